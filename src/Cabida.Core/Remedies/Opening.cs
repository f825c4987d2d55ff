using Cabida.Core.Findings;
using Cabida.Core.Measures;
using Cabida.Core.Motifs;
using Cabida.Core.Type;
using Cabida.Core.Wording;

namespace Cabida.Core.Remedies;

/// <summary>
/// Letters that stand nearer to one another than the film bears are set apart by what is lacking. Of a stencil it is the web between them.
/// </summary>
internal sealed class Opening : IMending
{
    /// <inheritdoc/>
    public IEnumerable<Remedy> Of(MendCase @case)
    {
        if (
            @case.Finding.Rule != (@case.IsStencil ? Rule.ThinStrokes : Rule.NarrowGaps)
            || @case is not { Placed.Part: LetteringPart line, Finding.Limit: { } limit }
        )
        {
            return [];
        }

        var apart = Math.Ceiling((limit * 100) - 1e-6) / 100;
        var words = Phrase.Say($"Keep its letters {Length.Mm(apart):fine} apart");
        return line.Joins == LetterJoins.Overlap
            ? [PartRemedies.Refused(@case, "open", words, Phrase.Say($"its letters overlap on purpose."))]
            : PartRemedies.Tried(@case, "open", new PartMend(line.Id) { Apart = TypedLength.Mm(apart) }, words);
    }
}
