using Cabida.Core.Findings;
using Cabida.Core.Measures;
using Cabida.Core.Motifs;
using Cabida.Core.Wording;

namespace Cabida.Core.Remedies;

/// <summary>Ties for what would fall out (calculations 6.3).</summary>
internal sealed class Tying : IMending
{
    /// <inheritdoc/>
    public IEnumerable<Remedy> Of(MendCase @case) =>
        @case is { Finding: { Rule: Rule.LooseParts, Places.Count: var many }, Placed.Part: { } part, Film: { } film }
            ? PartRemedies.Tried(
                @case,
                "tie",
                new PartMend(part.Id) { Tied = true },
                many == 1
                    ? Phrase.Say($"Hold it by ties of {Length.Mm(film.Limits.Tie):fine}")
                    : Phrase.Say($"Hold all {many} by ties of {Length.Mm(film.Limits.Tie):fine}")
            )
            : [];
}
