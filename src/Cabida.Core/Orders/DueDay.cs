using System.Globalization;
using Cabida.Core.Lists;
using Cabida.Core.Wording;

namespace Cabida.Core.Orders;

/// <summary>Reads the day an order is wanted.</summary>
public static class DueDay
{
    private static readonly string[] Plain =
    [
        "yyyy-MM-dd",
        "yyyy/MM/dd",
        "yyyy.MM.dd",
        "d MMMM yyyy",
        "d MMM yyyy",
        "MMMM d, yyyy",
        "MMM d, yyyy",
    ];
    private static readonly string[] DayFirst = ["d.M.yyyy", "d/M/yyyy", "d-M-yyyy", "d.M.yy", "d/M/yy"];
    private static readonly string[] MonthFirst = ["M/d/yyyy", "M-d-yyyy", "M/d/yy"];

    /// <summary>The day; null where nothing is said; a reason where it cannot be read, or could be read in two ways.</summary>
    /// <param name="typed">The day as it came, with or without a time behind it.</param>
    public static Outcome<DateOnly?> Read(string typed)
    {
        var text = CleanedText.Of(typed).Text;
        if (text.Length == 0)
        {
            return Outcome<DateOnly?>.Of(null);
        }

        // A time of day behind it, as spreadsheets and shops write it, is no matter of the day.
        var bare = text.Split('T')[0].Split(" 00:00")[0];
        if (Of(bare, Plain) is { } plain)
        {
            return Outcome<DateOnly?>.Of(plain);
        }

        var (day, month) = (Of(bare, DayFirst), Of(bare, MonthFirst));
        return (day, month) switch
        {
            ({ } d, { } m) when d != m => Outcome<DateOnly?>.Fail(
                Phrase.Say(
                    $"The day {typed:strong} may be {d:d MMMM yyyy} or {m:d MMMM yyyy}. Type it with the year first: {d:yyyy-MM-dd}."
                )
            ),
            ({ } d, _) => Outcome<DateOnly?>.Of(d),
            (null, { } m) => Outcome<DateOnly?>.Of(m),
            _ => Outcome<DateOnly?>.Fail(Phrase.Say($"The day {typed:strong} cannot be read. Type it with the year first, as 2026-12-05.")),
        };
    }

    private static DateOnly? Of(string text, string[] formats) =>
        DateOnly.TryParseExact(text, formats, CultureInfo.InvariantCulture, DateTimeStyles.None, out var day) ? day : null;
}
