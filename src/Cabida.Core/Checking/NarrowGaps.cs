using Cabida.Core.Findings;
using Cabida.Core.Measures;
using Cabida.Core.Stock;
using Cabida.Core.Wording;

namespace Cabida.Core.Checking;

/// <summary>K2: gaps narrower than the film bears; of a stencil, its openings.</summary>
public sealed class NarrowGaps : ICheck
{
    /// <inheritdoc/>
    public IEnumerable<Finding> Look(CheckedFit piece)
    {
        ArgumentNullException.ThrowIfNull(piece);
        return PlacesFinding.OfEach(
            piece,
            Rule.NarrowGaps,
            f => f.Facts.Gaps,
            g => g.At,
            (film, gaps) =>
                film.Limits.Purpose == FilmPurpose.Loose
                    ? new PlacesWords(
                        ("an opening of", "openings from"),
                        gaps[0].Width,
                        film.Limits.Gap,
                        Phrase.Say($"less than {Length.Mm(film.Limits.Gap):fine} lets no paint through cleanly.")
                    )
                    : new PlacesWords(
                        ("a gap of", "gaps from"),
                        gaps[0].Width,
                        film.Limits.Gap,
                        Phrase.Say($"waste comes out of this film cleanly from {Length.Mm(film.Limits.Gap):fine}.")
                    )
        );
    }
}
