using System.Globalization;
using System.Text.RegularExpressions;
using Cabida.Core.Wording;

namespace Cabida.Core.Measures;

/// <summary>An area as a maker types it. Stored in square millimetres.</summary>
/// <param name="SquareMillimetres">Square millimetres.</param>
public readonly partial record struct SurfaceArea(double SquareMillimetres)
{
    private const double SquareInch = Length.MillimetresPerInch * Length.MillimetresPerInch;

    /// <summary>The largest that a dot or counter can be asked to have: a square of 100 mm.</summary>
    private const double Most = 10_000;

    /// <summary>
    /// Reads <c>0.8</c>, <c>0.8 mm²</c>, <c>0.8 mm2</c>, <c>0.001 in²</c> or <c>0.001 sq in</c>; a bare number is square millimetres.
    /// Nothing typed is null.
    /// </summary>
    public static Outcome<SurfaceArea?> Read(string text)
    {
        ArgumentNullException.ThrowIfNull(text);
        if (string.IsNullOrWhiteSpace(text))
        {
            return Outcome<SurfaceArea?>.Of(null);
        }

        var match = Form().Match(text.Trim());
        if (!match.Success)
        {
            return Outcome<SurfaceArea?>.Fail(Phrase.Say($"“{text.Trim()}” cannot be read as an area. Type it like 0.8 mm² or 0.001 in²."));
        }

        var number = double.Parse(match.Groups["number"].Value.Replace(',', '.'), CultureInfo.InvariantCulture);
        var area = match.Groups["inch"].Success ? number * SquareInch : number;
        return area is > 0 and <= Most
            ? Outcome<SurfaceArea?>.Of(new SurfaceArea(area))
            : Outcome<SurfaceArea?>.Fail(Phrase.Say($"{area:0.####} mm² is no size of a dot; it must lie between 0 and {Most:0} mm²."));
    }

    [GeneratedRegex(
        @"^(?<number>[0-9]{1,6}(?:[.,][0-9]{1,6})?|[.,][0-9]{1,6})\s*"
            + @"(?:(?<inch>(?:sq\.?\s*in|in\s*[²2]|""\s*[²2]))|(?:sq\.?\s*mm|mm\s*[²2]))?$",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex Form();
}
