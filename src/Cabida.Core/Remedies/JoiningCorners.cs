using Cabida.Core.Findings;
using Cabida.Core.Measures;
using Cabida.Core.Motifs;
using Cabida.Core.Wording;

namespace Cabida.Core.Remedies;

/// <summary>Outlines that meet in a point are grown a little, so that what they part hangs together there.</summary>
internal sealed class JoiningCorners : IMending
{
    /// <summary>By how much, on the finished piece; millimetres.</summary>
    private const double By = 0.15;

    /// <inheritdoc/>
    public IEnumerable<Remedy> Of(MendCase @case) =>
        @case is { Finding.Rule: Rule.CrossedCuts, Placed.Part: GraphicPart or LetteringPart }
            ? PartRemedies.Tried(
                @case,
                "corners",
                new PartMend(@case.Finding.Part) { Strengthen = TypedLength.Mm(By) },
                Phrase.Say($"Join the corners: grow its outlines by {Length.Mm(By):fine}")
            )
            : [];
}
