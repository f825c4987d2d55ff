using Cabida.Core.Findings;
using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using Cabida.Core.Motifs;
using Cabida.Core.Wording;

namespace Cabida.Core.Remedies;

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
