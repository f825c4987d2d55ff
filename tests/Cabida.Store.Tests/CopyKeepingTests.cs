namespace Cabida.Store.Tests;

public class CopyKeepingTests
{
    private static LibraryCopy Copy(int number, DateTime at) => new($"{number}", number, at, CopyOccasion.Start, 1);

    [Fact]
    public void Three_years_of_days_leave_the_last_of_seven_days_five_weeks_and_twelve_months()
    {
        var (kept, all, random) = (new List<LibraryCopy>(), new List<LibraryCopy>(), new Random(3));
        var at = new DateTime(2024, 1, 3, 7, 30, 0, DateTimeKind.Utc);
        for (var number = 1; at.Year < 2027; at = at.AddMinutes(random.Next(60, 2400)))
        {
            var copy = Copy(number++, at);
            all.Add(copy);
            kept = [.. CopyKeeping.Staying(kept.Append(copy), TimeZoneInfo.Utc)];
            // Pruning day by day leaves what one look at all there ever was would.
            kept.ShouldBe(CopyKeeping.Staying(all, TimeZoneInfo.Utc));
            kept[0].ShouldBe(copy);
        }

        kept.Count.ShouldBeInRange(7 + 3 + 10, 7 + 5 + 12 + 3);
        var days = all.GroupBy(c => c.MadeAt.Date).OrderByDescending(g => g.Key).Take(7).Select(g => g.Last());
        days.ShouldBeSubsetOf(kept);
        var months = all.GroupBy(c => (c.MadeAt.Year, c.MadeAt.Month)).TakeLast(12).Select(g => g.Last());
        months.ShouldBeSubsetOf(kept);
        // Weeks begin on Mondays.
        var weeks = all.GroupBy(c => c.MadeAt.Date.AddDays(-(((int)c.MadeAt.DayOfWeek + 6) % 7))).TakeLast(5).Select(g => g.Last());
        weeks.ShouldBeSubsetOf(kept);
    }

    [Fact]
    public void A_clock_that_was_years_ahead_or_behind_takes_no_copy_of_the_last_days_away()
    {
        var now = new DateTime(2026, 12, 1, 9, 0, 0, DateTimeKind.Utc);
        var week = Enumerable.Range(0, 6).Select(i => Copy(i + 1, now.AddDays(i - 6))).ToList();
        var wrong = new[] { Copy(7, now.AddYears(15)), Copy(8, now.AddYears(-20)) };
        var staying = CopyKeeping.Staying(week.Concat(wrong), TimeZoneInfo.Utc);
        week.ShouldBeSubsetOf(staying);
        // The one that was just made stays, however old its clock says it is.
        staying[0].Number.ShouldBe(8);
        // A hundred more by the clock that is behind push nothing out that the right clock dated.
        var behind = Enumerable.Range(9, 100).Select(i => Copy(i, now.AddYears(-20).AddDays(i)));
        week.ShouldBeSubsetOf(CopyKeeping.Staying(week.Concat(wrong).Concat(behind), TimeZoneInfo.Utc));
    }

    [Fact]
    public void A_day_is_the_workshops_own()
    {
        var zone = TimeZoneInfo.CreateCustomTimeZone("workshop", TimeSpan.FromHours(9), "workshop", "workshop");
        // The first three are of one day there and of two by UTC; later ones push them out of the last.
        var copies = new[] { "12-01 16:00", "12-01 23:59", "12-02 14:00", "12-03 03:00", "12-04 03:00", "12-05 03:00" }
            .Select(
                (t, i) => Copy(i + 1, DateTime.Parse($"2026-{t}Z", System.Globalization.CultureInfo.InvariantCulture).ToUniversalTime())
            )
            .ToList();
        CopyKeeping.Staying(copies, zone).Select(c => c.Number).ShouldBe([6, 5, 4, 3]);
    }

    [Fact]
    public void Names_are_read_back_and_what_is_named_otherwise_is_no_copy()
    {
        var folder = Directory.CreateTempSubdirectory("cabida-copies-").FullName;
        try
        {
            var at = new DateTime(2026, 12, 1, 20, 31, 5, DateTimeKind.Utc);
            foreach (var occasion in Enum.GetValues<CopyOccasion>())
            {
                var name = LibraryCopy.NameOf(7, at, occasion);
                File.WriteAllText(Path.Combine(folder, name), "abc");
                LibraryCopy.Of(new FileInfo(Path.Combine(folder, name))).ShouldBe(new LibraryCopy(name, 7, at, occasion, 3));
            }

            foreach (
                var name in new[] { "cabida.db", "cabida-000001-20261301T000000Z-start.db", "cabida-000001-20261201T203105Z-never.db" }
            )
            {
                File.WriteAllText(Path.Combine(folder, name), "abc");
            }

            new CopyShelf(folder).All().Count.ShouldBe(Enum.GetValues<CopyOccasion>().Length);
        }
        finally
        {
            Directory.Delete(folder, recursive: true);
        }
    }
}
