using Cabida.Core.Findings;
using Cabida.Core.Motifs;
using Cabida.Core.Wording;

namespace Cabida.Core.Remedies;

/// <summary>Of an outline that was traced twice, the outer one alone.</summary>
internal sealed class SingleOutlines : IMending
{
    /// <inheritdoc/>
    public IEnumerable<Remedy> Of(MendCase @case) =>
        @case is { Finding.Rule: Rule.DoubledCuts, Placed.Part: GraphicPart { DoubledRemoved: false } graphic }
            ? PartRemedies.Tried(
                @case,
                "single",
                new PartMend(graphic.Id) { Single = true },
                Phrase.Say($"Cut only the outer of outlines traced twice")
            )
            : [];
}
