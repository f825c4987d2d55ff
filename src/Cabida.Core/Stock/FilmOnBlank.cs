using System.Globalization;
using Cabida.Core.Blanks;
using Cabida.Core.Measures;
using Cabida.Core.Wording;

namespace Cabida.Core.Stock;

/// <summary>What a blank's material means for a film that is chosen for it: contrast, heat, hold.</summary>
public static class FilmOnBlank
{
    /// <summary>Less contrast than this between film and what lies behind it is said.</summary>
    public const double LeastContrast = 2.5;

    /// <summary>What wants looking at before this film goes on goods of this material.</summary>
    public static IReadOnlyList<Phrase> Notes(Film film, Material material)
    {
        ArgumentNullException.ThrowIfNull(film);
        ArgumentNullException.ThrowIfNull(material);
        var notes = new List<Phrase>();
        var goods = material.Name.Length > 0 ? material.Name : "the goods";
        if (Contrast(film.Colour, material.SeenAgainst) is { } contrast && contrast < LeastContrast)
        {
            notes.Add(
                material.Opacity == Opacity.Clear
                    ? Phrase.Say(
                        $"{film.Name:strong} against {(material.Behind.Length > 0 ? material.Behind : "what is seen through")}: the "
                            + $"contrast is {contrast:0.0} to 1; below {LeastContrast:0.0} it is hard to read."
                    )
                    : Phrase.Say(
                        $"{film.Name:strong} on {goods}: the contrast is {contrast:0.0} to 1; below {LeastContrast:0.0} it is hard to read."
                    )
            );
        }

        var pressed = film.Heat.Window;
        var stands = Temperature.Read(material.StandsHeat).ValueOrDefault;
        if (TooHot(film, material) is { } tooHot)
        {
            notes.Add(tooHot);
        }

        if (film.Material == FilmMaterial.HeatTransfer && pressed is not null && stands is null)
        {
            notes.Add(
                Phrase.Say(
                    $"What heat {goods} stand{(material.Name.Length > 0 ? "s" : "")} is not noted; {film.Name:strong} is pressed at "
                        + $"{Degrees(pressed.Value)}. Note it with the blank, or try a corner first."
                )
            );
        }

        if (film.Material == FilmMaterial.Vinyl && material.Finish is Finish.Textured or Finish.Cloth)
        {
            var (why, instead) =
                material.Finish == Finish.Cloth
                    ? ("does not hold on cloth", "a film that is pressed on")
                    : ("holds badly on a rough surface", "one made for rough surfaces, or try it first");
            notes.Add(Phrase.Say($"{film.Name:strong} is self-adhesive and {why}. Take {instead}."));
        }

        return notes;
    }

    /// <summary>A range of heat in words: 155 °C, 150 to 160 °C.</summary>
    /// <param name="window">From and to, in degrees Celsius.</param>
    internal static string Degrees((double From, double To) window) =>
        window.To - window.From < 0.05
            ? FormattableString.Invariant($"{window.From:0.#} °C")
            : FormattableString.Invariant($"{window.From:0.#} to {window.To:0.#} °C");

    /// <summary>
    /// That the least heat at which a film sets is more than the goods stand; null where it is not, or one of both is not noted.
    /// </summary>
    public static Phrase? TooHot(Film film, Material material)
    {
        ArgumentNullException.ThrowIfNull(film);
        ArgumentNullException.ThrowIfNull(material);
        if (film.Heat.Window is not { } heat || Temperature.Read(material.StandsHeat).ValueOrDefault is not { } most)
        {
            return null;
        }

        var goods = material.Name.Length > 0 ? $"{material.Name} stands" : "the goods stand";
        return heat.From > most.Celsius
            ? Phrase.Say($"{film.Name:strong} is pressed at {Degrees(heat)}, and {goods} {most.Celsius:0} °C.")
            : null;
    }

    /// <summary>
    /// The contrast of two colours after WCAG 2: (L₁ + 0.05)/(L₂ + 0.05) of their relative luminances; null when one is not a colour.
    /// </summary>
    public static double? Contrast(string one, string other)
    {
        if (Luminance(one) is not { } a || Luminance(other) is not { } b)
        {
            return null;
        }

        return (Math.Max(a, b) + 0.05) / (Math.Min(a, b) + 0.05);
    }

    private static double? Luminance(string colour)
    {
        if (
            colour is not ['#', _, _, _, _, _, _]
            || !int.TryParse(colour.AsSpan(1), NumberStyles.HexNumber, CultureInfo.InvariantCulture, out var rgb)
        )
        {
            return null;
        }

        double Linear(int channel)
        {
            var c = channel / 255.0;
            return c <= 0.04045 ? c / 12.92 : Math.Pow((c + 0.055) / 1.055, 2.4);
        }

        return (0.2126 * Linear((rgb >> 16) & 255)) + (0.7152 * Linear((rgb >> 8) & 255)) + (0.0722 * Linear(rgb & 255));
    }
}
