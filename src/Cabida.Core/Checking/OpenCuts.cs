using Cabida.Core.Findings;
using Cabida.Core.Measures;
using Cabida.Core.Motifs;
using Cabida.Core.Wording;

namespace Cabida.Core.Checking;

/// <summary>
/// K4: outlines of a graphic that do not close (calculations 6.4). No cut of a piece is open, since the use of the graphic says what
/// becomes of them; that is told where the graphic is used, with the other ways.
/// </summary>
public static class OpenCuts
{
    /// <summary>What is told of a graphic; null where all its outlines that are cut close.</summary>
    /// <param name="part">Its use.</param>
    /// <param name="outlines">Its outlines.</param>
    /// <param name="scale">The scale at which the piece is looked at.</param>
    public static Finding? Look(GraphicPart part, GraphicOutlines outlines, double scale)
    {
        ArgumentNullException.ThrowIfNull(part);
        ArgumentNullException.ThrowIfNull(outlines);
        var left = part.Films.Where(f => f.Use == ColourUse.LeftOut).Select(f => f.Colour).ToHashSet(StringComparer.Ordinal);
        var dropped = part.Dropped.ToHashSet();
        var open = outlines.Pieces.Where((p, i) => !dropped.Contains(i) && !left.Contains(p.Colour)).Sum(p => p.Open.Count);
        if (open == 0)
        {
            return null;
        }

        var what = open == 1 ? Phrase.Say($"One outline does not close") : Phrase.Say($"{open} outlines do not close");
        var stroke = Length.Mm(part.StrokeWidth.At(Scales.Both(scale), LengthRange.Artwork));
        return new Finding(
            Rule.OpenCuts,
            Severity.Told,
            part.Open switch
            {
                OpenOutlines.LeftOut => Phrase.Say($"{what}: left out, nothing of them is cut."),
                OpenOutlines.Closed => Phrase.Say($"{what}: closed by straight lines and filled."),
                _ => Phrase.Say($"{what}: cut as strokes {stroke:fine} wide."),
            }
        )
        {
            Part = part.Id,
        };
    }
}
