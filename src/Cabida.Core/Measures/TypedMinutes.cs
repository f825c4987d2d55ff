using System.Globalization;
using System.Text.RegularExpressions;
using Cabida.Core.Wording;

namespace Cabida.Core.Measures;

/// <summary>Minutes as a maker types them.</summary>
public static partial class TypedMinutes
{
    /// <summary>Nobody weeds one thing for longer than a day.</summary>
    private const double Most = 24 * 60;

    /// <summary>Reads <c>7</c>, <c>7.5</c>, <c>7:30</c>, <c>7 min</c> or <c>45 s</c>. Nothing typed is null.</summary>
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
            return Outcome<double?>.Fail(Phrase.Say($"“{text.Trim()}” cannot be read as minutes. Type it like 7.5, 7:30 or 45 s."));
        }

        var number = double.Parse(match.Groups["number"].Value.Replace(',', '.'), CultureInfo.InvariantCulture);
        var minutes =
            match.Groups["seconds"].Success ? number + (double.Parse(match.Groups["seconds"].Value, CultureInfo.InvariantCulture) / 60)
            : match.Groups["second"].Success ? number / 60
            : number;
        return minutes is >= 0.01 and <= Most
            ? Outcome<double?>.Of(minutes)
            : Outcome<double?>.Fail(
                Phrase.Say($"{minutes:0.##} minutes are no time that weeding takes; it must lie between 0.01 and {Most:0}.")
            );
    }

    [GeneratedRegex(
        @"^(?:(?<number>[0-9]{1,4}):(?<seconds>[0-5][0-9])|(?<number>[0-9]{1,4}(?:[.,][0-9]{1,3})?)\s*(?:(?<second>s|sec)|min|m)?)$",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex Form();
}
