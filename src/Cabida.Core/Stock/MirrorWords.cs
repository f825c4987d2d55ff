using Cabida.Core.Wording;

namespace Cabida.Core.Stock;

/// <summary>Whether something is mirrored (L6): cut from the back, or seen through what it lies behind, but not both.</summary>
public static class MirrorWords
{
    /// <summary>Whether it is mirrored.</summary>
    /// <param name="film">The film.</param>
    /// <param name="seenThrough">Whether it is seen through the goods.</param>
    public static bool Mirrors(Film film, bool seenThrough)
    {
        ArgumentNullException.ThrowIfNull(film);
        return film.Mirrored != seenThrough;
    }

    /// <summary>That and why, in words.</summary>
    /// <param name="film">The film.</param>
    /// <param name="seenThrough">Whether it is seen through the goods.</param>
    public static Phrase Of(Film film, bool seenThrough)
    {
        ArgumentNullException.ThrowIfNull(film);
        return (film.Mirrored, seenThrough) switch
        {
            (true, false) => Phrase.Say($"Cut {"MIRRORED":strong}: {film.Name} is cut from the back."),
            (false, true) => Phrase.Say($"Cut {"MIRRORED":strong}: it lies behind the goods and is seen through them."),
            (true, true) => Phrase.Say(
                $"Cut as it reads: {film.Name} is cut from the back, and seen through the goods, which turns it round again."
            ),
            _ => Phrase.Say($"Cut as it reads."),
        };
    }
}
