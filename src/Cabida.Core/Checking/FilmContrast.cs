using Cabida.Core.Blanks;
using Cabida.Core.Findings;
using Cabida.Core.Geometry;
using Cabida.Core.Motifs;
using Cabida.Core.Stock;
using Cabida.Core.Wording;

namespace Cabida.Core.Checking;

/// <summary>
/// Contrast of each film with what lies behind it: a film below it, or the goods, or their backdrop where they are clear.
/// </summary>
public static class FilmContrast
{
    /// <summary>A film lies on another when so much of its ink does.</summary>
    private const double LiesOn = 0.3;

    /// <summary>What is hard to read, for films lowest first.</summary>
    /// <param name="films">The ink by film.</param>
    /// <param name="filmOf">The films by their place in that list; null where none is chosen yet.</param>
    /// <param name="material">What the goods are made of; null where that is not known.</param>
    public static IReadOnlyList<Finding> Of(IReadOnlyList<FilmInk> films, Func<FilmPly, Film?> filmOf, Material? material)
    {
        ArgumentNullException.ThrowIfNull(films);
        ArgumentNullException.ThrowIfNull(filmOf);
        var notes = new List<Finding>();
        for (var i = 0; i < films.Count; i++)
        {
            if (filmOf(films[i].Film) is not { } film)
            {
                continue;
            }

            var below = films
                .Take(i)
                .Reverse()
                .FirstOrDefault(b =>
                    b.Film.FilmId != films[i].Film.FilmId && Outlines.Within(films[i].Ink, b.Ink).Area > LiesOn * films[i].Ink.Area
                );
            var (colour, named) = below is not null
                ? (filmOf(below.Film)?.Colour ?? "", filmOf(below.Film)?.Name ?? "")
                : (material?.SeenAgainst ?? "", Behind(material));
            if (FilmOnBlank.Contrast(film.Colour, colour) is { } contrast && contrast < FilmOnBlank.LeastContrast)
            {
                notes.Add(
                    new Finding(
                        Rule.Contrast,
                        Severity.Look,
                        Phrase.Say(
                            $"{film.Name:strong} on {named}: the contrast is {contrast:0.0} to 1; below "
                                + $"{FilmOnBlank.LeastContrast:0.0} it is hard to read."
                        )
                    )
                    {
                        Figure = contrast,
                        Limit = FilmOnBlank.LeastContrast,
                    }
                );
            }
        }

        return notes;
    }

    private static string Behind(Material? material) =>
        material is null ? ""
        : material.Opacity == Opacity.Clear
            ? material.Behind.Length > 0 ? material.Behind
                : "what is seen through the goods"
        : material.Name.Length > 0 ? material.Name
        : "the goods";
}
