using Cabida.Core.Findings;
using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using Cabida.Core.Motifs;
using Cabida.Core.Stock;
using Cabida.Core.Wording;

namespace Cabida.Core.Checking;

/// <summary>K5: parts that nothing holds, where they matter: islands of a stencil, what does not reach the rest of one piece.</summary>
public sealed class LooseParts : ICheck
{
    /// <inheritdoc/>
    public IEnumerable<Finding> Look(CheckedFit piece)
    {
        ArgumentNullException.ThrowIfNull(piece);
        foreach (var film in piece.Films)
        {
            foreach (var part in PartPlaces.Of(piece.Fit.Parts, film.Layer, film.Facts.Loose, l => l.At))
            {
                yield return new Finding(Rule.LooseParts, Severity.Stop, Say(film, part))
                {
                    Part = part.Id,
                    Layer = $"{film.Layer}",
                    Places = [.. part.Places.Select(p => p.At)],
                };
            }
        }
    }

    private static Phrase Say(CheckedFilm film, PartPlaces<LoosePart> part)
    {
        var (name, count) = (PartPlaces.Named(part.Part), part.Places.Count);
        var across = Box.Of(part.Places[0].Outline) is { } box
            ? Phrase.Say($"{Length.Mm(box.Width)} × {Length.Mm(box.Height)}")
            : Phrase.Empty;
        var letters = PartPlaces.Letters(part.Part, part.Places.Select(p => p.At));
        var where = letters.Count > 0 && string.Concat(letters) != name ? $" ({string.Join(", ", letters)})" : "";
        return film.Limits.Purpose == FilmPurpose.Loose
            ? count == 1
                ? Phrase.Say($"{name:strong}: an island of {across}{where} would fall out of this stencil.")
                : Phrase.Say($"{name:strong}: {count} islands{where} would fall out of this stencil, the largest of {across}.")
            : count == 1
                ? Phrase.Say($"{name:strong}: a part of {across}{where} hangs on nothing, and this is to be one piece.")
                : Phrase.Say($"{name:strong}: {count} parts{where} hang on nothing, and this is to be one piece; the largest is {across}.");
    }
}
