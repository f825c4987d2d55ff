using Cabida.Core.Findings;
using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using Cabida.Core.Motifs;
using Cabida.Core.Wording;

namespace Cabida.Core.Remedies;

/// <summary>What is small by its area is told from what is not by a size across.</summary>
internal static class SmallOnes
{
    /// <summary>Small ones mended by their area, if no other is as small.</summary>
    /// <param name="case">What is mended.</param>
    /// <param name="kind">A word for the kind of remedy.</param>
    /// <param name="small">Those that are at fault, in the part.</param>
    /// <param name="areas">The areas of all there are in the layer, square millimetres.</param>
    /// <param name="mending">What is done, and its words, of a size across and how many.</param>
    public static IEnumerable<Remedy> Of(
        MendCase @case,
        string kind,
        IReadOnlyList<SmallArea> small,
        IEnumerable<double> areas,
        Func<TypedLength, int, (InkMending Ink, Phrase Words)> mending
    )
    {
        if (small.Count == 0 || @case.Placed?.Part is not (LetteringPart or GraphicPart))
        {
            return [];
        }

        // Just above the largest of them, to a hundredth.
        var across = Math.Ceiling((2 * Math.Sqrt(small.Max(s => s.Area) / Math.PI) * 100) + 1e-3) / 100;
        var (ink, words) = mending(TypedLength.Mm(across), small.Count);
        var others = areas.Count(a => a < Math.PI / 4 * across * across) - small.Count;
        return others > 0 && small.Any(s => s.Area >= @case.Film!.Limits.SpeckArea)
            ?
            [
                PartRemedies.Refused(
                    @case,
                    kind,
                    words,
                    Phrase.Say($"{others} more that are as small and wide enough would go with {(small.Count == 1 ? "it" : "them")}.")
                ),
            ]
            : PartRemedies.Tried(@case, kind, new PartMend(@case.Finding.Part) { Ink = ink }, words);
    }
}
