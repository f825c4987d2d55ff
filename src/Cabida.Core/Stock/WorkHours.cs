using System.ComponentModel.DataAnnotations;
using System.Globalization;
using System.Text.RegularExpressions;
using Cabida.Core.Wording;

namespace Cabida.Core.Stock;

/// <summary>When a workshop is open on a day of the week, as typed; closed where both are empty.</summary>
/// <param name="From">When it opens.</param>
/// <param name="To">When it closes.</param>
public sealed partial record WorkHours(
    [property: MaxLength(WorkHours.MostLetters)] string From,
    [property: MaxLength(WorkHours.MostLetters)] string To
)
{
    /// <summary>The most letters of a time of day.</summary>
    public const int MostLetters = 20;

    /// <summary>How many days a week has.</summary>
    public const int Days = 7;

    /// <summary>Closed.</summary>
    public static WorkHours Closed { get; } = new("", "");

    /// <summary>A week as it usually is: Monday to Friday, nine to five; the product's own default.</summary>
    public static IReadOnlyList<WorkHours> Usual { get; } =
    [.. Enumerable.Range(0, Days).Select(day => day < 5 ? new WorkHours("9:00", "17:00") : Closed)];

    /// <summary>When it is open, in minutes from midnight; null where it is closed or that cannot be read.</summary>
    public (int From, int To)? Read() =>
        Minutes(From).ValueOrDefault is { } from && Minutes(To).ValueOrDefault is { } to && from < to ? (from, to) : null;

    /// <summary>What cannot be used, with its field.</summary>
    public IEnumerable<(string Field, Phrase Problem)> Problems()
    {
        foreach (var (field, typed) in new[] { ("from", From), ("to", To) })
        {
            if (Minutes(typed).Problem is { } problem)
            {
                yield return (field, problem);
            }
        }

        if (string.IsNullOrWhiteSpace(From) != string.IsNullOrWhiteSpace(To))
        {
            yield return (
                string.IsNullOrWhiteSpace(From) ? "from" : "to",
                Phrase.Say($"Type both when it opens and when it closes, or neither for a day off.")
            );
        }
        else if (Minutes(From).ValueOrDefault is { } opens && Minutes(To).ValueOrDefault is { } closes && closes <= opens)
        {
            yield return ("to", Phrase.Say($"It would close before it opens."));
        }
    }

    /// <summary>A time of day in minutes from midnight: <c>9</c>, <c>9:30</c>, <c>17.00</c>. Nothing typed is null.</summary>
    public static Outcome<int?> Minutes(string typed)
    {
        ArgumentNullException.ThrowIfNull(typed);
        if (string.IsNullOrWhiteSpace(typed))
        {
            return Outcome<int?>.Of(null);
        }

        var match = Form().Match(typed.Trim());
        var hours = match.Success ? int.Parse(match.Groups["h"].Value, CultureInfo.InvariantCulture) : 99;
        var minutes = match.Groups["m"].Success ? int.Parse(match.Groups["m"].Value, CultureInfo.InvariantCulture) : 0;
        return (hours * 60) + minutes <= 24 * 60
            ? Outcome<int?>.Of((hours * 60) + minutes)
            : Outcome<int?>.Fail(Phrase.Say($"“{typed.Trim()}” is no time of day. Type it like 9:30 or 17:00."));
    }

    [GeneratedRegex("^(?<h>[0-9]{1,2})(?:[:.](?<m>[0-5][0-9]))?$")]
    private static partial Regex Form();
}
