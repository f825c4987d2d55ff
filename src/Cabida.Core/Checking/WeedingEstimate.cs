using Cabida.Core.Stock;
using Cabida.Core.Waste;

namespace Cabida.Core.Checking;

/// <summary>
/// How long weeding is expected to take in one workshop: at the maker's own pace, and with the weed box of each piece where its film has
/// one. What pieces of a load share is counted with the load.
/// </summary>
/// <param name="book">What the workshop remembers of weeding.</param>
/// <param name="waysOf">How the waste of a film is cut; it is named as layers name it.</param>
/// <param name="kept">Where waste is kept.</param>
public sealed class WeedingEstimate(WeedingBook book, Func<string, WeedWays> waysOf, FilmWasteCache kept)
{
    /// <summary>An estimate where no run says how waste is cut: by the maker's pace, without boxes.</summary>
    public static WeedingEstimate Bare(WeedingBook book) => new(book, _ => WeedWays.Usual, new FilmWasteCache());

    /// <summary>Tells apart estimates that could differ by what was typed since.</summary>
    public string Key { get; } = string.Join(' ', Enum.GetValues<FilmPurpose>().Select(p => $"{WeedingPace.Of(book.Took, p)}"));

    /// <summary>How many minutes a piece takes, on one side, with all its films.</summary>
    public double MinutesOf(CheckedFit piece)
    {
        ArgumentNullException.ThrowIfNull(piece);
        return piece
            .Films.Select((film, number) => WeedingPace.Of(book.Took, film.Limits.Purpose).MinutesOf(Of(piece, film, number)))
            .Sum();
    }

    private Weeding Of(CheckedFit piece, CheckedFilm film, int number)
    {
        var ways = waysOf(film.Layer.FilmId);
        return ways.Box != WeedBox.Piece
            ? film.Facts.Weeding
            : kept.Of($"{piece.Fit.Hash} {number}", film.Facts.Ink, film.Layer, piece.Fit.Parts, film.Limits, ways)?.Weeding
                ?? Weeding.None;
    }
}
