using System.Globalization;
using System.Text.RegularExpressions;
using Cabida.Core.Wording;

namespace Cabida.Core.Measures;

/// <summary>How long something at the bench takes or waits, as a maker types it.</summary>
public static partial class TypedDuration
{
    /// <summary>The longest wait: thirty days, in minutes.</summary>
    public const double Most = 30 * 24 * 60;

    /// <summary>
    /// Minutes of <c>0</c>, <c>7.5</c>, <c>7:30</c>, <c>45 s</c>, <c>20 min</c>, <c>1.5 h</c>, <c>1 h 30</c> or <c>2 days</c>; a bare
    /// number is in minutes. Nothing typed is null.
    /// </summary>
    public static Outcome<double?> Read(string text)
    {
        ArgumentNullException.ThrowIfNull(text);
        if (string.IsNullOrWhiteSpace(text))
        {
            return Outcome<double?>.Of(null);
        }

        var match = Form().Match(text.Trim());
        if (!match.Success)
        {
            return Outcome<double?>.Fail(Phrase.Say($"“{text.Trim()}” cannot be read as a time. Type it like 20 min, 1 h 30 or 2 days."));
        }

        double Of(string group) =>
            match.Groups[group].Success ? double.Parse(match.Groups[group].Value.Replace(',', '.'), CultureInfo.InvariantCulture) : 0;
        var minutes = (Of("days") * 24 * 60) + (Of("hours") * 60) + Of("minutes") + (Of("seconds") / 60);
        return minutes <= Most
            ? Outcome<double?>.Of(minutes)
            : Outcome<double?>.Fail(Phrase.Say($"{text.Trim():strong} is longer than {Most / (24 * 60):0} days."));
    }

    /// <summary>A time as it is read aloud: 45 s, 20 min, 1 h 30, 2 days.</summary>
    /// <param name="minutes">In minutes.</param>
    public static string Say(double minutes)
    {
        var whole = (long)Math.Round(minutes);
        return minutes < 1 && minutes > 0 ? FormattableString.Invariant($"{60 * minutes:0} s")
            : whole < 60 ? FormattableString.Invariant($"{minutes:0.#} min")
            : whole < 48 * 60
                ? whole % 60 == 0 ? FormattableString.Invariant($"{whole / 60} h")
                    : FormattableString.Invariant($"{whole / 60} h {whole % 60:00}")
            : FormattableString.Invariant($"{minutes / (24 * 60):0.#} days");
    }

    private const string Number = "[0-9]{1,4}(?:[.,][0-9]{1,3})?";

    [GeneratedRegex(
        $"^(?:(?<minutes>[0-9]{{1,4}}):(?<seconds>[0-5][0-9])"
            + $"|(?<seconds>{Number})\\s*(?:s|sec|seconds?)"
            + $"|(?<minutes>{Number})\\s*(?:m|min|minutes?)?"
            + $"|(?<hours>{Number})\\s*(?:h|hours?)(?:\\s*(?<minutes>[0-5]?[0-9])\\s*(?:m|min)?)?"
            + $"|(?<days>{Number})\\s*(?:d|days?))$",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex Form();
}
