using Cabida.Core.Findings;
using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using Cabida.Core.Motifs;
using Cabida.Core.Wording;

namespace Cabida.Core.Remedies;

/// <summary>Dots left out.</summary>
internal sealed class DroppingDots : IMending
{
    /// <inheritdoc/>
    public IEnumerable<Remedy> Of(MendCase @case) =>
        @case.Finding.Rule != Rule.Specks || @case.Film is not { } film
            ? []
            : SmallOnes.Of(
                @case,
                "drop",
                @case.InPart(film.Facts.Specks, s => s.At),
                film.Facts.Parts.Select(p => p.Area),
                (across, many) =>
                    (new InkMending { Dots = across }, many == 1 ? Phrase.Say($"Leave it out") : Phrase.Say($"Leave out all {many}"))
            );
}

/// <summary>Counters filled.</summary>
internal sealed class FillingCounters : IMending
{
    /// <inheritdoc/>
    public IEnumerable<Remedy> Of(MendCase @case) =>
        @case.Finding.Rule != Rule.Counters || @case.Film is not { } film
            ? []
            : SmallOnes.Of(
                @case,
                "fill",
                @case.InPart(film.Facts.Counters, c => c.At),
                film.Facts.Parts.SelectMany(p => p.Holes).Select(h => Outlines.Factory.CreatePolygon(h).Area),
                (across, many) =>
                    (new InkMending { Counters = across }, many == 1 ? Phrase.Say($"Fill it") : Phrase.Say($"Fill all {many}"))
            );
}

/// <summary>Tips rounded off where they are as wide as the film bears.</summary>
internal sealed class RoundingTips : IMending
{
    /// <inheritdoc/>
    public IEnumerable<Remedy> Of(MendCase @case)
    {
        if (
            @case.Finding.Rule != Rule.ThinStrokes
            || @case.IsStencil
            || @case is not { Film: { } film, Placed.Part: LetteringPart or GraphicPart }
            || @case.InPart(film.Facts.Strokes, s => s.At) is not { Count: > 0 } strokes
            || strokes.All(s => s.Kind != NarrowKind.Tip)
        )
        {
            return [];
        }

        var (tips, words) = (strokes.Count(s => s.Kind == NarrowKind.Tip), Phrase.Say($"Round off its tips"));
        return tips < strokes.Count
            ?
            [
                PartRemedies.Refused(
                    @case,
                    "round",
                    words,
                    Phrase.Say($"{strokes.Count - tips} of its {strokes.Count} thin places are strokes, not tips.")
                ),
            ]
            : PartRemedies.Tried(
                @case,
                "round",
                new PartMend(@case.Finding.Part) { Ink = new InkMending { Tips = TypedLength.Mm(film.Limits.Stroke) } },
                words
            );
    }
}

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
