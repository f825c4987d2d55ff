using System.Globalization;
using System.Text.RegularExpressions;
using Cabida.Core.Stock;

namespace Cabida.Devices.Cutting;

/// <summary>
/// How deep the stand-in cuts: as far as its force drives the blade into the material in so many passes, and never deeper than the blade
/// stands out. The figures are the stand-in's own; a real cutter has others, which is what a test cut is for.
/// </summary>
public static partial class BladeDepth
{
    /// <summary>A step of its blade holder, for a depth that is typed as a bare number; millimetres.</summary>
    private const double Step = 0.2;
    private const double GramsOfNewton = 102;
    private const double MostPasses = 99;

    /// <summary>How deep it cuts; null where it cannot tell: a force in neither grams nor newtons, or passes that are no number.</summary>
    /// <param name="settings">As the maker typed them.</param>
    /// <param name="film">What lies in the cutter.</param>
    public static CutDepth? Of(CutSettings settings, FilmIn film)
    {
        ArgumentNullException.ThrowIfNull(settings);
        ArgumentNullException.ThrowIfNull(film);
        var passes = string.IsNullOrWhiteSpace(settings.Passes) ? 1 : Math.Floor(Number(settings.Passes)?.Value ?? 0);
        if (Grams(settings.Pressure) is not { } force || passes is < 1 or > MostPasses)
        {
            return null;
        }

        var driven = passes * force / Hardness(film.Material);
        var own = Backing(film.Material);
        return new CutDepth(
            Number(settings.Depth) is { Value: > 0 } stands
                ? Math.Min(driven, stands.Unit == "mm" ? stands.Value : stands.Value * Step)
                : driven,
            film.Thickness ?? UsualThickness(film.Material),
            own > 0 ? own : film.CarrierThickness ?? 0
        );
    }

    /// <summary>What is to be warned of; null for nothing.</summary>
    public static CutterWarning? Warning(CutDepth? depth) =>
        depth is null ? new CutterWarning(CutterWarningKind.DepthUnknown, 0, 0)
        : depth.Depth < depth.Film ? new CutterWarning(CutterWarningKind.NotThrough, 0, depth.Depth)
        : depth.Depth >= depth.Film + depth.Backing ? new CutterWarning(CutterWarningKind.RightThrough, 0, depth.Depth)
        : null;

    /// <summary>Grams of force for each millimetre of depth.</summary>
    private static double Hardness(FilmMaterial material) =>
        material switch
        {
            FilmMaterial.Vinyl => 900,
            FilmMaterial.HeatTransfer => 700,
            FilmMaterial.Card => 250,
            FilmMaterial.Sheet => 1500,
            _ => throw new ArgumentOutOfRangeException(nameof(material)),
        };

    private static double UsualThickness(FilmMaterial material) =>
        material switch
        {
            FilmMaterial.Vinyl => 0.08,
            FilmMaterial.HeatTransfer => 0.09,
            FilmMaterial.Card => 0.25,
            FilmMaterial.Sheet => 0.5,
            _ => throw new ArgumentOutOfRangeException(nameof(material)),
        };

    /// <summary>The backing that a film brings along; card and sheet have none, and lie on the carrier.</summary>
    private static double Backing(FilmMaterial material) =>
        material switch
        {
            FilmMaterial.Vinyl => 0.12,
            FilmMaterial.HeatTransfer => 0.1,
            _ => 0,
        };

    private static double? Grams(string text) =>
        Number(text) switch
        {
            { Value: > 0, Unit: "g" or "gf" or "gram" or "grams" } n => n.Value,
            { Value: > 0, Unit: "n" } n => n.Value * GramsOfNewton,
            _ => null,
        };

    private static (double Value, string Unit)? Number(string text) =>
        Figures().Match(text.Replace(',', '.').ToLowerInvariant()) is { Success: true } m
            ? (double.Parse(m.Groups[1].ValueSpan, CultureInfo.InvariantCulture), m.Groups[2].Value)
            : null;

    [GeneratedRegex(@"(\d{1,9}(?:\.\d{1,9})?)\s*([a-z]*)")]
    private static partial Regex Figures();
}
