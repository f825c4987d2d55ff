using System.Globalization;
using System.Text.RegularExpressions;
using Cabida.Core.Wording;

namespace Cabida.Core.Measures;

/// <summary>
/// Reads a length the way it is read off a tape: <c>8 5/8</c>, <c>8-5/8"</c>, <c>3 7/16 in</c>, <c>8.625</c>,
/// <c>219 mm</c>, <c>21,9 cm</c>, <c>2¼ cm</c>, <c>1.2 m</c>, <c>5 ft 3 1/2 in</c>. A vulgar fraction without a unit is in
/// inches, since millimetre tapes have none. Digits of any script are digits.
/// </summary>
public static partial class LengthText
{
    /// <summary>A whole number is taken as read from the commonest finest marks: a millimetre.</summary>
    private static readonly Length WholeMetric = Length.Mm(1);

    /// <summary>A whole number of inches is taken as read from eighths, the coarsest marks of common tapes.</summary>
    private static readonly Length WholeInch = Length.Inches(1.0 / 8);

    private const double InchesPerFoot = 12;
    private const double MillimetresPerMetre = 1000;

    /// <summary>A unit as it can be typed.</summary>
    /// <param name="Unit">The unit it counts as.</param>
    /// <param name="Millimetres">Millimetres in one.</param>
    /// <param name="Part">The unit that may follow it in the same length, as inches follow feet; null for none.</param>
    private sealed record WrittenUnit(LengthUnit Unit, double Millimetres, LengthUnit? Part = null);

    /// <summary>One number with its unit.</summary>
    private sealed record Term(double Amount, bool IsFraction, double Step, WrittenUnit? Unit);

    /// <summary>Reads <paramref name="text"/>; a bare number takes <paramref name="inForce"/>.</summary>
    /// <returns>The length with its unit and graduation, or what is wrong with it.</returns>
    public static Outcome<ReadLength> Read(string text, LengthUnit inForce, LengthRange range)
    {
        ArgumentNullException.ThrowIfNull(text);
        ArgumentNullException.ThrowIfNull(range);
        var tidy = Tidy(text.Length > TypedLength.MostLetters ? text[..TypedLength.MostLetters] : text);
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
            return Outcome<ReadLength>.Fail(
                Phrase.Say($"“{Shortened(text)}” cannot be read as a length. Type it like 219, 21.9 cm, 8 5/8 or 3 7/16 in.")
            );
        }

        if (Thousands().Match(match.Groups["number"].Value) is { Success: true } unclear)
        {
            var (whole, rest) = (unclear.Groups[1].Value, unclear.Groups[2].Value);
            return Outcome<ReadLength>.Fail(
                Phrase.Say($"“{Shortened(text)}” may be {whole}{rest} or {whole}.{rest}. Type the one you mean.")
            );
        }

        var first = TermOf(match, "");
        var second = match.Groups["number2"].Success || match.Groups["over2"].Success ? TermOf(match, "2") : null;
        if (first is null || (second is null && match.Groups["rest"].Success))
        {
            return Outcome<ReadLength>.Fail(
                Phrase.Say($"“{Shortened(text)}” has no proper fraction: the part above must be smaller than the part below.")
            );
        }

        return second is null ? One(text, first, inForce, negative, range) : Two(text, first, second, negative, range);
    }

    /// <summary>Millimetres in one of a unit.</summary>
    public static double MillimetresIn(LengthUnit unit) =>
        unit switch
        {
            LengthUnit.Millimetre => 1,
            LengthUnit.Centimetre => 10,
            LengthUnit.Inch => Length.MillimetresPerInch,
            _ => throw new ArgumentOutOfRangeException(nameof(unit)),
        };

    private static Outcome<ReadLength> One(string text, Term term, LengthUnit inForce, bool negative, LengthRange range)
    {
        var unit = term.Unit ?? Plain(term.IsFraction ? LengthUnit.Inch : inForce);
        return term.IsFraction && unit is { Unit: LengthUnit.Millimetre }
            ? Outcome<ReadLength>.Fail(
                Phrase.Say($"“{Shortened(text)}” mixes a fraction with millimetres. Fractions are read in inches or centimetres.")
            )
            : Within(Length.Mm(term.Amount * unit.Millimetres), unit.Unit, GraduationOf(term, unit), negative, range);
    }

    /// <summary>Feet and inches, metres and centimetres.</summary>
    private static Outcome<ReadLength> Two(string text, Term whole, Term part, bool negative, LengthRange range)
    {
        if (whole.Unit is not { Part: { } follows } unit || whole.IsFraction || (part.Unit is { } named && named != Plain(follows)))
        {
            return Outcome<ReadLength>.Fail(
                Phrase.Say($"“{Shortened(text)}” holds two numbers. Type one length, like 5 ft 3 in or 1 m 20 cm.")
            );
        }

        var of = Plain(follows);
        return part.Amount * of.Millimetres >= unit.Millimetres
            ? Outcome<ReadLength>.Fail(Phrase.Say($"“{Shortened(text)}” has more behind than makes a whole one. Type it as one length."))
            : Within(
                Length.Mm((whole.Amount * unit.Millimetres) + (part.Amount * of.Millimetres)),
                of.Unit,
                GraduationOf(part, of),
                negative,
                range
            );
    }

    private static Outcome<ReadLength> Within(Length size, LengthUnit unit, Length graduation, bool negative, LengthRange range)
    {
        var value = negative ? -size : size;
        if (value < range.Least)
        {
            return Outcome<ReadLength>.Fail(Phrase.Say($"{value} is too small here; the least is {range.Least}."));
        }

        return value > range.Most
            ? Outcome<ReadLength>.Fail(Phrase.Say($"{value} is more than {range.Most}. Is the unit the one you meant?"))
            : Outcome<ReadLength>.Of(new ReadLength(value, unit, graduation));
    }

    /// <summary>
    /// The step of the scale a number was read from: its last digit's, or the fraction's; of a whole number the marks that tapes have.
    /// </summary>
    private static Length GraduationOf(Term term, WrittenUnit unit) =>
        term.Step < 1 ? Length.Mm(unit.Millimetres * term.Step)
        : unit.Unit == LengthUnit.Inch ? WholeInch
        : WholeMetric;

    /// <summary>A number with its unit; null when its fraction is none.</summary>
    private static Term? TermOf(Match match, string which)
    {
        double Number(string group) => double.Parse(match.Groups[group + which].Value, CultureInfo.InvariantCulture);
        var unit = UnitOf(match.Groups["unit" + which].Value);
        if (match.Groups["over" + which].Success)
        {
            var (top, over) = (Number("top"), Number("over"));
            var whole = match.Groups["whole" + which].Success ? Number("whole") : 0;
            return over == 0 || top >= over ? null : new Term(whole + (top / over), true, 1 / over, unit);
        }

        var digits = match.Groups["number" + which].Value.Replace(',', '.');
        var decimals = digits.Contains('.', StringComparison.Ordinal)
            ? digits.Length - digits.IndexOf('.', StringComparison.Ordinal) - 1
            : 0;
        return new Term(double.Parse(digits, NumberStyles.Float, CultureInfo.InvariantCulture), false, Math.Pow(10, -decimals), unit);
    }

    private static string Tidy(string text)
    {
        var written = new System.Text.StringBuilder();
        // By whole signs: half of one is none, and no digit either.
        foreach (var rune in text.Trim().EnumerateRunes())
        {
            var digit = rune.IsBmp ? CharUnicodeInfo.GetDecimalDigitValue((char)rune.Value) : -1;
            if (digit >= 0)
            {
                written.Append((char)('0' + digit));
                continue;
            }

            // Single-character fractions such as ⅝ decompose to digits with a fraction slash.
            var parts = rune.ToString().Normalize(System.Text.NormalizationForm.FormKD);
            written.Append(parts.Length > 1 && parts.Contains('⁄', StringComparison.Ordinal) ? " " + parts : parts);
        }

        return written
            .ToString()
            .ToLowerInvariant()
            .Replace('−', '-')
            .Replace('–', '-')
            .Replace('\u00a0', ' ')
            .Replace('\u202f', ' ')
            .Replace('٫', '.')
            .Replace('⁄', '/')
            .Replace('’', '\'')
            .Replace('′', '\'')
            .Replace("''", "\"", StringComparison.Ordinal)
            .Replace('″', '"')
            .Replace('”', '"')
            .Trim();
    }

    private static string Shortened(string text) => text.Trim() is { Length: > 24 } t ? t[..24] + "…" : text.Trim();

    private static WrittenUnit Plain(LengthUnit unit) => new(unit, MillimetresIn(unit));

    private static WrittenUnit? UnitOf(string text) =>
        text switch
        {
            "" => null,
            "mm" or "millimetre" or "millimetres" or "millimeter" or "millimeters" => Plain(LengthUnit.Millimetre),
            "cm" or "centimetre" or "centimetres" or "centimeter" or "centimeters" => Plain(LengthUnit.Centimetre),
            "m" or "metre" or "metres" or "meter" or "meters" => new(LengthUnit.Centimetre, MillimetresPerMetre, LengthUnit.Centimetre),
            "ft" or "ft." or "foot" or "feet" or "'" => new(LengthUnit.Inch, InchesPerFoot * Length.MillimetresPerInch, LengthUnit.Inch),
            _ => Plain(LengthUnit.Inch),
        };

    /// <summary>A comma before just three digits: thousands to one reader, thousandths to another.</summary>
    [GeneratedRegex("^([1-9][0-9]{0,2}),([0-9]{3})$")]
    private static partial Regex Thousands();

    [GeneratedRegex(
        """^(?:(?:(?<whole>[0-9]{1,6})(?:\s*-\s*|\s+))?(?<top>[0-9]{1,4})\s*/\s*(?<over>[0-9]{1,4})|(?<number>[0-9]{1,7}(?:[.,][0-9]{0,6})?|[.,][0-9]{1,6}))\s*(?<unit>mm|millimet(?:re|er)s?|cm|centimet(?:re|er)s?|met(?:re|er)s?|m|inch(?:es)?|in\.?|"|ft\.?|foot|feet|')?"""
            + """(?<rest>[\s-]*(?:(?:(?<whole2>[0-9]{1,6})(?:\s*-\s*|\s+))?(?<top2>[0-9]{1,4})\s*/\s*(?<over2>[0-9]{1,4})|(?<number2>[0-9]{1,7}(?:[.,][0-9]{0,6})?))\s*(?<unit2>cm|centimet(?:re|er)s?|inch(?:es)?|in\.?|")?)?$"""
    )]
    private static partial Regex Form();
}
