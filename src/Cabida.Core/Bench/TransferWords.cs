using Cabida.Core.Measures;
using Cabida.Core.Stock;
using Cabida.Core.Wording;

namespace Cabida.Core.Bench;

/// <summary>How cut and weeded film is lifted from its backing onto the goods, in a sentence for the bench.</summary>
public static class TransferWords
{
    /// <summary>Tape reaches so far beyond the ink on every side, to be held by; millimetres, the product's own default.</summary>
    private const double TapeBeyond = 10;

    /// <summary>How a film is lifted.</summary>
    /// <param name="film">The film.</param>
    /// <param name="width">The width of its largest ink; millimetres.</param>
    /// <param name="height">The height of its largest ink, likewise.</param>
    public static Phrase Of(Film film, double width, double height)
    {
        ArgumentNullException.ThrowIfNull(film);
        var (across, up) = (Length.Mm(width + (2 * TapeBeyond)), Length.Mm(height + (2 * TapeBeyond)));
        return film switch
        {
            { IsPressed: true } => Phrase.Say(
                $"{film.Name:strong} lies on its own carrier: no tape. Cut the pieces apart and lay them carrier up."
            ),
            { Purpose: FilmPurpose.Loose } => Phrase.Say($"{film.Name:strong} is laid on by hand, without tape, and used again."),
            { Material: FilmMaterial.Card or FilmMaterial.Sheet } => Phrase.Say(
                $"{film.Name:strong} is lifted by hand and glued: no tape."
            ),
            { Purpose: FilmPurpose.PulledOff } => Phrase.Say(
                $"Tape of {across:strong} × {up:strong} lifts the largest piece of {film.Name}; rub the edges down well: "
                    + $"paint creeps under them."
            ),
            _ => Phrase.Say($"Tape of {across:strong} × {up:strong} lifts the largest piece of {film.Name}."),
        };
    }
}
