using Cabida.Core.Findings;
using Cabida.Core.Geometry;
using Cabida.Core.Motifs;
using Cabida.Core.Wording;

namespace Cabida.Core.Remedies;

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
