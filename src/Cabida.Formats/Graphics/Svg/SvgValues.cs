using System.Globalization;
using System.Text.RegularExpressions;
using Cabida.Core.Geometry;
using SkiaSharp;

namespace Cabida.Formats.Graphics.Svg;

/// <summary>Reads the small languages of SVG: numbers, lengths, colours, transforms, view boxes.</summary>
internal static partial class SvgValues
{
    /// <summary>User units to the inch, as CSS defines them.</summary>
    public const double UnitsPerInch = 96;

    /// <summary>Millimetres to the user unit, as CSS defines it.</summary>
    public const double MillimetresPerUnit = 25.4 / UnitsPerInch;

    private const double UsualFontSize = 16;

    /// <summary>All numbers of a text.</summary>
    public static double[] Numbers(string text) =>
        [.. Number().Matches(text).Select(m => double.Parse(m.Value, CultureInfo.InvariantCulture))];

    /// <summary>About how many numbers a text holds: runs of digits, a point within one not counted apart.</summary>
    public static int Count(string text)
    {
        var (count, inside) = (0, false);
        foreach (var c in text)
        {
            var digit = char.IsAsciiDigit(c) || (c == '.' && inside);
            count += digit && !inside ? 1 : 0;
            inside = digit;
        }

        return count;
    }

    /// <summary>A length in user units.</summary>
    /// <param name="text">The length.</param>
    /// <param name="whole">What a percentage is of.</param>
    /// <param name="otherwise">What it is when there is none.</param>
    public static double Length(string text, double whole, double otherwise = 0)
    {
        var match = WithUnit().Match(text);
        if (!match.Success)
        {
            return otherwise;
        }

        var n = double.Parse(match.Groups["number"].Value, CultureInfo.InvariantCulture);
        return n
            * (
                match.Groups["unit"].Value.ToLowerInvariant() switch
                {
                    "%" => whole / 100,
                    "em" or "rem" => UsualFontSize,
                    "ex" => UsualFontSize / 2,
                    var unit => (Millimetres(unit) ?? MillimetresPerUnit) / MillimetresPerUnit,
                }
            );
    }

    /// <summary>The unit of a length; empty for user units, null when it is no length.</summary>
    public static string? UnitOf(string text) =>
        WithUnit().Match(text) is { Success: true } match ? match.Groups["unit"].Value.ToLowerInvariant() : null;

    /// <summary>Millimetres in a physical unit; null for one that is none.</summary>
    public static double? Millimetres(string unit) =>
        unit switch
        {
            "mm" => 1,
            "cm" => 10,
            "in" => 25.4,
            "pt" => 25.4 / 72,
            "pc" => 25.4 / 6,
            "q" => 0.25,
            _ => null,
        };

    /// <summary>How a view box comes to a viewport, as its preserveAspectRatio says.</summary>
    public static Motion ViewBox(string viewBox, string aspect, double x, double y, double width, double height)
    {
        if (Numbers(viewBox) is not [var minX, var minY, > 0 and var w, > 0 and var h] || width <= 0 || height <= 0)
        {
            return Motion.Move(x, y);
        }

        var (sx, sy) = (width / w, height / h);
        if (!aspect.Contains("none", StringComparison.Ordinal))
        {
            sx = sy = aspect.Contains("slice", StringComparison.Ordinal) ? Math.Max(sx, sy) : Math.Min(sx, sy);
        }

        double Share(string least, string most) =>
            aspect.Contains(least, StringComparison.Ordinal) ? 0
            : aspect.Contains(most, StringComparison.Ordinal) ? 1
            : 0.5;
        return new Motion(
            sx,
            0,
            x + ((width - (w * sx)) * Share("xMin", "xMax")) - (minX * sx),
            0,
            sy,
            y + ((height - (h * sy)) * Share("YMin", "YMax")) - (minY * sy)
        );
    }

    /// <summary>The parts of a text between marks that stand in no brackets and no quotes; comments are left out.</summary>
    public static IEnumerable<string> Split(string text, char mark)
    {
        var (from, open, quote) = (0, 0, '\0');
        text = Comment().Replace(text, "");
        for (var i = 0; i < text.Length; i++)
        {
            var c = text[i];
            if (quote != '\0')
            {
                quote = c == quote ? '\0' : quote;
            }
            else if (c is '"' or '\'')
            {
                quote = c;
            }
            else if (c == mark && open <= 0)
            {
                yield return text[from..i].Trim();
                from = i + 1;
            }
            else
            {
                open +=
                    c is '(' or '[' ? 1
                    : c is ')' or ']' ? -1
                    : 0;
            }
        }

        if (text[from..].Trim() is { Length: > 0 } last)
        {
            yield return last;
        }
    }

    /// <summary>A share from 0 to 1, as a number or in percent; <paramref name="otherwise"/> for one that is not read.</summary>
    public static double Share(string text, double otherwise = 1) =>
        WithUnit().Match(text) is { Success: true } m
        && m.Groups["unit"].Value is "" or "%"
        && double.Parse(m.Groups["number"].Value, CultureInfo.InvariantCulture) is var n
            ? Math.Clamp(m.Groups["unit"].Value == "%" ? n / 100 : n, 0, 1)
            : otherwise;

    /// <summary>An angle in degrees; zero for one that is not read.</summary>
    public static double Degrees(string text) =>
        WithUnit().Match(text) is { Success: true } m && double.Parse(m.Groups["number"].Value, CultureInfo.InvariantCulture) is var n
            ? n
                * (
                    m.Groups["unit"].Value.ToLowerInvariant() switch
                    {
                        "rad" => 180 / Math.PI,
                        "grad" => 0.9,
                        "turn" => 360,
                        _ => 1,
                    }
                )
            : 0;

    /// <summary>A colour as <c>#rrggbb</c>, with how much of it is seen, from 0 to 1; null for one that is not read.</summary>
    public static (string Colour, double Alpha)? Paint(string text)
    {
        var t = text.Trim().ToLowerInvariant();
        var alpha = t switch
        {
            ['#', _, _, _, var a] => Convert.ToInt32($"{Hex(a)}{Hex(a)}", 16) / 255.0,
            ['#', _, _, _, _, _, _, var a, var b] => Convert.ToInt32($"{Hex(a)}{Hex(b)}", 16) / 255.0,
            "transparent" => 0,
            _ when t.Contains('(', StringComparison.Ordinal) && Last().Match(t) is { Success: true } last => Share(
                last.Groups["alpha"].Value
            ),
            _ => 1,
        };
        return t == "transparent" ? ("#000000", 0)
            : Colour(t) is { } colour ? (colour, alpha)
            : null;

        static char Hex(char c) => char.IsAsciiHexDigit(c) ? c : '0';
    }

    /// <summary>A colour as <c>#rrggbb</c>; null for one that is not read.</summary>
    public static string? Colour(string text)
    {
        var t = text.Trim().ToLowerInvariant();
        if (t.StartsWith('#') && t.Length is 4 or 5)
        {
            return $"#{t[1]}{t[1]}{t[2]}{t[2]}{t[3]}{t[3]}";
        }

        if (t.StartsWith('#') && t.Length is 7 or 9)
        {
            return t[..7];
        }

        if (t.StartsWith("rgb", StringComparison.Ordinal) && Numbers(t) is [var r, var g, var b, ..])
        {
            var of = t.Contains('%', StringComparison.Ordinal) ? 255.0 / 100 : 1;
            return string.Create(CultureInfo.InvariantCulture, $"#{Byte(r * of):x2}{Byte(g * of):x2}{Byte(b * of):x2}");
        }

        if (t.StartsWith("hsl", StringComparison.Ordinal) && Numbers(t) is [var hue, var s, var l, ..])
        {
            var c = SKColor.FromHsl((float)(((hue % 360) + 360) % 360), (float)s, (float)l);
            return $"#{c.Red:x2}{c.Green:x2}{c.Blue:x2}";
        }

        var named = System.Drawing.Color.FromName(t);
        return named.IsKnownColor && !named.IsSystemColor ? $"#{named.R:x2}{named.G:x2}{named.B:x2}" : null;
    }

    private static int Byte(double value) => (int)Math.Clamp(Math.Round(value, 6) is var v ? Math.Floor(v + 0.5) : 0, 0, 255);

    [GeneratedRegex(@"[-+]?(?:\d+\.?\d*|\.\d+)(?:[eE][-+]?\d+)?")]
    private static partial Regex Number();

    [GeneratedRegex(@"^\s*(?<number>[-+]?(?:\d+\.?\d*|\.\d+)(?:[eE][-+]?\d+)?)\s*(?<unit>[a-zA-Z%]*)\s*$")]
    private static partial Regex WithUnit();

    [GeneratedRegex(@"/\*.*?(\*/|$)", RegexOptions.Singleline)]
    private static partial Regex Comment();

    /// <summary>The fourth value of a function, or what stands behind its slash.</summary>
    [GeneratedRegex(@"(/|^[^,]*,[^,]*,[^,]*,)\s*(?<alpha>[-+.0-9e]+%?)\s*\)$")]
    private static partial Regex Last();
}
