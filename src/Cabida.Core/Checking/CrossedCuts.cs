using Cabida.Core.Findings;
using Cabida.Core.Motifs;
using Cabida.Core.Wording;

namespace Cabida.Core.Checking;

/// <summary>
/// K4: outlines that meet in a point (calculations 6.4), as those of a graphic that cross do: the blade goes through its own cut there, and
/// the corner lifts with the waste.
/// </summary>
public sealed class CrossedCuts : ICheck
{
    /// <inheritdoc/>
    public IEnumerable<Finding> Look(CheckedFit piece)
    {
        ArgumentNullException.ThrowIfNull(piece);
        return piece.Films.SelectMany(film =>
            PartPlaces
                .Of(piece.Fit.Parts, film.Layer, film.Facts.Meeting, m => m)
                .Select(part => new Finding(Rule.CrossedCuts, Severity.Look, Said(part))
                {
                    Part = part.Id,
                    Layer = $"{film.Layer}",
                    Places = part.Places,
                })
        );
    }

    private static Phrase Said(PartPlaces<Geometry.PlanePoint> part)
    {
        var name = PartPlaces.Named(part.Part);
        return part.Places.Count == 1
            ? Phrase.Say($"{name:strong}: outlines meet in a point; the blade goes through its own cut there, and the corner lifts.")
            : Phrase.Say(
                $"{name:strong}: outlines meet in {part.Places.Count} points; the blade goes through its own cuts there, and corners lift."
            );
    }
}
