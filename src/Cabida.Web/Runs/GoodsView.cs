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

    public static GoodsView Of(Material? material)
    {
        var colour = material?.SeenAgainst ?? "";
        return FilmOnBlank.Contrast(colour, "#ffffff") is { } contrast ? new(colour, contrast > Dark) : new("", false);
    }
}
