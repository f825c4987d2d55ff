using System.Globalization;

namespace Cabida.Store;

/// <summary>
/// Which copies stay: the newest of each of the last 7 days, 5 weeks and 12 months of which there is any. Days without a copy do not
/// count, so that neither a long holiday nor a clock that was years ahead for a day takes a copy away.
/// </summary>
public static class CopyKeeping
{
    /// <summary>Days of which a copy stays.</summary>
    public const int Days = 7;

    /// <summary>Weeks of which a copy stays.</summary>
    public const int Weeks = 5;

    /// <summary>Months of which a copy stays.</summary>
    public const int Months = 12;

    /// <summary>The last copies stay whatever day they are of: one before a copy is brought back is wanted most right after it.</summary>
    public const int Last = 3;

    /// <summary>The copies that stay, the newest first.</summary>
    /// <param name="all">All there are.</param>
    /// <param name="zone">Where the workshop's days begin and end.</param>
    public static IReadOnlyList<LibraryCopy> Staying(IEnumerable<LibraryCopy> all, TimeZoneInfo zone)
    {
        ArgumentNullException.ThrowIfNull(all);
        ArgumentNullException.ThrowIfNull(zone);
        var newestFirst = all.OrderByDescending(c => c.Number).ToList();
        var staying = newestFirst
            .Take(Last)
            .Concat(NewestOf(newestFirst, c => DayOf(c).DayNumber, Days))
            .Concat(NewestOf(newestFirst, c => WeekOf(DayOf(c)), Weeks))
            .Concat(NewestOf(newestFirst, c => MonthOf(DayOf(c)), Months))
            .ToHashSet();
        return [.. newestFirst.Where(staying.Contains)];

        DateOnly DayOf(LibraryCopy copy) => DateOnly.FromDateTime(TimeZoneInfo.ConvertTimeFromUtc(copy.MadeAt, zone));
    }

    private static IEnumerable<LibraryCopy> NewestOf(List<LibraryCopy> newestFirst, Func<LibraryCopy, int> periodOf, int periods) =>
        newestFirst.GroupBy(periodOf).OrderByDescending(g => g.Key).Take(periods).Select(g => g.First());

    private static int WeekOf(DateOnly day)
    {
        var at = day.ToDateTime(TimeOnly.MinValue);
        return (ISOWeek.GetYear(at) * 100) + ISOWeek.GetWeekOfYear(at);
    }

    private static int MonthOf(DateOnly day) => (day.Year * 100) + day.Month;
}
