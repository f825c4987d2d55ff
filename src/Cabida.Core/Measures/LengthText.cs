using System.Globalization;
using System.Text.RegularExpressions;
using Cabida.Core.Wording;

namespace Cabida.Core.Measures;

/// <summary>
/// Reads a length the way it is read off a tape: <c>8 5/8</c>, <c>8-5/8"</c>, <c>3 7/16 in</c>, <c>8.625</c>,
/// <c>219 mm</c>, <c>21,9 cm</c>. A vulgar fraction without a unit is in inches, since millimetre tapes have none.
/// </summary>
public static partial class LengthText
{
    /// <summary>A whole number is taken as read from the commonest finest marks: a millimetre.</summary>
    private static readonly Length WholeMetric = Length.Mm(1);

    /// <summary>A whole number of inches is taken as read from eighths, the coarsest marks of common tapes.</summary>
    private static readonly Length WholeInch = Length.Inches(1.0 / 8);

    /// <summary>Reads <paramref name="text"/>; a bare number takes <paramref name="inForce"/>.</summary>
    /// <returns>The length with its unit and graduation, or what is wrong with it.</returns>
    public static Outcome<ReadLength> Read(string text, LengthUnit inForce, LengthRange range)
    {
        ArgumentNullException.ThrowIfNull(text);
        ArgumentNullException.ThrowIfNull(range);
        var tidy = Tidy(text);
        if (tidy.Length == 0)
        {
            return Outcome<ReadLength>.Fail(Phrase.Say($"Nothing typed yet."));
        }

        var negative = tidy.StartsWith('-') && range.Least < Length.Zero;
        tidy = negative ? tidy[1..].TrimStart() : tidy;
        if (tidy.StartsWith('-'))
        {
            return Outcome<ReadLength>.Fail(Phrase.Say($"“{Shortened(text)}” is negative; a length is not."));
        }

        var match = Form().Match(tidy);
        if (!match.Success)
        {
            return Outcome<ReadLength>.Fail(Phrase.Say(
                $"“{Shortened(text)}” cannot be read as a length. Type it like 219, 21.9 cm, 8 5/8 or 3 7/16 in."));
        }

        var hasFraction = match.Groups["over"].Success;
        var unit = UnitOf(match.Groups["unit"].Value) ?? (hasFraction ? LengthUnit.Inch : inForce);
        if (hasFraction && unit != LengthUnit.Inch)
        {
            return Outcome<ReadLength>.Fail(Phrase.Say($"“{Shortened(text)}” mixes a fraction with a metric unit. Fractions are read in inches."));
        }

        var perUnit = MillimetresIn(unit);
        double amount;
        Length graduation;
        if (hasFraction)
        {
            var over = double.Parse(match.Groups["over"].Value, CultureInfo.InvariantCulture);
            var top = double.Parse(match.Groups["top"].Value, CultureInfo.InvariantCulture);
            var whole = match.Groups["whole"].Success ? double.Parse(match.Groups["whole"].Value, CultureInfo.InvariantCulture) : 0;
            if (over == 0 || top >= over)
            {
                return Outcome<ReadLength>.Fail(Phrase.Say($"“{Shortened(text)}” has no proper fraction: the part above must be smaller than the part below."));
            }

            amount = whole + (top / over);
            graduation = Length.Mm(perUnit / over);
        }
        else
        {
            var digits = match.Groups["number"].Value.Replace(',', '.');
            amount = double.Parse(digits, NumberStyles.Float, CultureInfo.InvariantCulture);
            var decimals = digits.Contains('.', StringComparison.Ordinal) ? digits.Length - digits.IndexOf('.', StringComparison.Ordinal) - 1 : 0;
            graduation = decimals > 0 ? Length.Mm(perUnit / Math.Pow(10, decimals)) : unit == LengthUnit.Inch ? WholeInch : WholeMetric;
        }

        var value = Length.Mm(negative ? -amount * perUnit : amount * perUnit);
        if (value < range.Least)
        {
            return Outcome<ReadLength>.Fail(Phrase.Say($"{value} is too small here; the least is {range.Least}."));
        }

        return value > range.Most
            ? Outcome<ReadLength>.Fail(Phrase.Say($"{value} is more than {range.Most}. Is the unit the one you meant?"))
            : Outcome<ReadLength>.Of(new ReadLength(value, unit, graduation));
    }

    /// <summary>Millimetres in one of a unit.</summary>
    public static double MillimetresIn(LengthUnit unit) => unit switch
    {
        LengthUnit.Millimetre => 1,
        LengthUnit.Centimetre => 10,
        LengthUnit.Inch => Length.MillimetresPerInch,
        _ => throw new ArgumentOutOfRangeException(nameof(unit)),
    };

    private static string Tidy(string text)
    {
        var plain = text.Trim().ToLowerInvariant()
            .Replace('−', '-').Replace('–', '-').Replace('\u00a0', ' ').Replace('\u202f', ' ')
            .Replace('⁄', '/').Replace('″', '"').Replace('”', '"');
        var written = new System.Text.StringBuilder();
        foreach (var c in plain)
        {
            // Single-character fractions such as ⅝ decompose to digits with a fraction slash.
            var parts = c.ToString().Normalize(System.Text.NormalizationForm.FormKD);
            written.Append(parts.Length > 1 && parts.Contains('⁄', StringComparison.Ordinal) ? " " + parts.Replace('⁄', '/') : parts);
        }

        return written.ToString().Trim();
    }

    private static string Shortened(string text) => text.Trim() is { Length: > 24 } t ? t[..24] + "…" : text.Trim();

    private static LengthUnit? UnitOf(string text) => text switch
    {
        "mm" or "millimetre" or "millimetres" or "millimeter" or "millimeters" => LengthUnit.Millimetre,
        "cm" or "centimetre" or "centimetres" or "centimeter" or "centimeters" => LengthUnit.Centimetre,
        "in" or "in." or "inch" or "inches" or "\"" or "''" => LengthUnit.Inch,
        _ => null,
    };

    [GeneratedRegex("""^(?:(?:(?<whole>\d{1,6})(?:\s*-\s*|\s+))?(?<top>\d{1,4})\s*/\s*(?<over>\d{1,4})|(?<number>\d{1,7}(?:[.,]\d{1,6})?|[.,]\d{1,6}))\s*(?<unit>mm|millimet(?:re|er)s?|cm|centimet(?:re|er)s?|inch(?:es)?|in\.?|"|'')?$""")]
    private static partial Regex Form();
}
