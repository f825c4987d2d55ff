using Cabida.Core.Blanks;
using Cabida.Core.Stock;

namespace Cabida.Web.Runs;

/// <summary>The colour that artwork is seen against.</summary>
/// <param name="Colour">As <c>#rrggbb</c>; empty when it is not known.</param>
/// <param name="IsDark">Whether lines drawn on it must be light.</param>
internal sealed record GoodsView(string Colour, bool IsDark)
{
    /// <summary>On what white stands out at least so, dark lines do not.</summary>
    private const double Dark = 3.5;

    /// <summary>A light card and a dark one, for what is not on any goods yet.</summary>
    private static readonly GoodsView[] Cards = [new("#fbf6ee", false), new("#2b2f33", true)];

    /// <summary>The goods where their colour is known, else the card that a film stands out on more.</summary>
    public static GoodsView OrCard(GoodsView goods, Film film) =>
        goods.Colour.Length > 0 ? goods : Cards.MaxBy(c => FilmOnBlank.Contrast(c.Colour, film.Colour) ?? 0)!;

    public static GoodsView Of(Material? material)
    {
        var colour = material?.SeenAgainst ?? "";
        return FilmOnBlank.Contrast(colour, "#ffffff") is { } contrast ? new(colour, contrast > Dark) : new("", false);
    }
}
