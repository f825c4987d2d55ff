using Cabida.Core.Findings;
using Cabida.Core.Stock;

namespace Cabida.Core.Checking;

/// <summary>K3: separate parts smaller than the film bears, by area or by their inscribed circle.</summary>
public sealed class Specks : ICheck
{
    /// <inheritdoc/>
    public IEnumerable<Finding> Look(CheckedFit piece)
    {
        ArgumentNullException.ThrowIfNull(piece);
        return PlacesFinding.OfEach(
            piece,
            Rule.Specks,
            f => f.Facts.Specks,
            s => s.At,
            (film, specks) =>
                film.Limits.Purpose == FilmPurpose.Loose
                    ? SmallWords.Of(film, specks, ("an opening of", "openings from"), "this stencil lets paint through openings")
                    : SmallWords.Of(film, specks, ("a dot of", "dots from"), "this film holds dots")
        );
    }
}
