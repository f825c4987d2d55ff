using Cabida.Core.Findings;
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
