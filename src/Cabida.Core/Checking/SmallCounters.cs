using Cabida.Core.Findings;
using Cabida.Core.Stock;

namespace Cabida.Core.Checking;

/// <summary>K3: holes of the ink smaller than the film bears; of a stencil, islands too small to hold.</summary>
public sealed class SmallCounters : ICheck
{
    /// <inheritdoc/>
    public IEnumerable<Finding> Look(CheckedFit piece)
    {
        ArgumentNullException.ThrowIfNull(piece);
        return PlacesFinding.OfEach(
            piece,
            Rule.Counters,
            f => f.Facts.Counters,
            c => c.At,
            (film, counters) =>
                film.Limits.Purpose == FilmPurpose.Loose
                    ? SmallWords.Of(film, counters, ("an island of", "islands from"), "this stencil holds islands")
                    : SmallWords.Of(film, counters, ("a counter of", "counters from"), "this film holds counters")
        );
    }
}
