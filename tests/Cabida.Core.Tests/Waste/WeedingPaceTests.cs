using Cabida.Core.Measures;
using Cabida.Core.Stock;
using Cabida.Core.Waste;

namespace Cabida.Core.Tests.Waste;

/// <summary>How long weeding takes (calculations 3.10), and what a maker's own times make of it.</summary>
public class WeedingPaceTests
{
    private static readonly (int Bits, int Small, double Length)[] Various =
    [
        (14, 3, 1500),
        (40, 0, 900),
        (8, 8, 2600),
        (90, 22, 5200),
        (3, 1, 700),
        (25, 2, 4100),
    ];

    [Fact]
    public void Five_times_are_waited_for_and_those_of_other_films_do_not_count()
    {
        var slow = Entries(0.1, 0.3, 0.001).ToList();
        WeedingPace.Of(slow.Take(4), FilmPurpose.Stays).ShouldBe(WeedingPace.Usual);
        WeedingPace.Of(slow, FilmPurpose.PulledOff).ShouldBe(WeedingPace.Usual);
        WeedingPace.Of(slow.Take(5), FilmPurpose.Stays).Entries.ShouldBe(5);
    }

    [Fact]
    public void Times_that_follow_a_pace_give_that_pace_and_no_spread()
    {
        var pace = WeedingPace.Of(Entries(0.07, 0.21, 0.0009), FilmPurpose.Stays);
        pace.Bit.ShouldBe(0.07, 1e-9);
        pace.SmallBit.ShouldBe(0.21, 1e-9);
        pace.Millimetre.ShouldBe(0.0009, 1e-9);
        pace.Spread!.Value.ShouldBe(0, 1e-9);
    }

    [Fact]
    public void No_set_of_shares_that_are_not_negative_leaves_less_than_the_one_that_is_found()
    {
        var random = new Random(7);
        for (var round = 0; round < 40; round++)
        {
            var entries = Enumerable
                .Range(0, 5 + random.Next(8))
                .Select(i =>
                    Entry(i, 1 + random.Next(60), random.Next(20), 200 + (4000 * random.NextDouble()), 0.2 + (9 * random.NextDouble()))
                )
                .ToList();
            var pace = WeedingPace.Of(entries, FilmPurpose.Stays);
            new[] { pace.Bit, pace.SmallBit, pace.Millimetre }.ShouldAllBe(s => s >= 0);
            var found = Left(entries, pace);
            var freedom = entries.Count - new[] { pace.Bit, pace.SmallBit, pace.Millimetre }.Count(s => s > 0);
            pace.Spread!.Value.ShouldBe(Math.Sqrt(found / freedom), 1e-9);
            // Looked for blindly around it, nothing better turns up.
            for (var i = 0; i < 400; i++)
            {
                double Near(double share, double scale) => Math.Max(0, share + (scale * (random.NextDouble() - 0.5)));
                var other = new WeedingPace(Near(pace.Bit, 0.05), Near(pace.SmallBit, 0.1), Near(pace.Millimetre, 0.001), 0, null);
                Left(entries, other).ShouldBeGreaterThanOrEqualTo(found - 1e-9);
            }
        }
    }

    [Fact]
    public void Times_of_the_same_thing_over_and_over_make_the_whole_pace_faster_or_slower()
    {
        var entries = Enumerable.Range(0, 6).Select(i => Entry(i, 14, 3, 1500, 2 * 1.3666666)).ToList();
        var pace = WeedingPace.Of(entries, FilmPurpose.Stays);
        pace.Bit.ShouldBe(2 * WeedingPace.Usual.Bit, 1e-6);
        pace.Millimetre.ShouldBe(2 * WeedingPace.Usual.Millimetre, 1e-8);
        pace.Spread!.Value.ShouldBe(0, 1e-6);
    }

    [Theory]
    [InlineData("7", 7.0)]
    [InlineData("7,5 min", 7.5)]
    [InlineData("7:30", 7.5)]
    [InlineData("45 s", 0.75)]
    [InlineData("  ", null)]
    public void Minutes_are_read_as_makers_type_them(string typed, double? minutes) => TypedMinutes.Read(typed).Value.ShouldBe(minutes);

    [Theory]
    [InlineData("half an hour")]
    [InlineData("-3")]
    [InlineData("0")]
    [InlineData("7:75")]
    [InlineData("9999")]
    [InlineData("1e3")]
    public void What_is_no_time_is_said(string typed) => TypedMinutes.Read(typed).Problem.ShouldNotBeNull();

    [Fact]
    public void The_book_keeps_the_last_of_each_and_forgets_the_oldest_beyond_its_bound()
    {
        var book = WeedingBook.Empty;
        for (var i = 0; i < WeedingBook.Most + 5; i++)
        {
            book = book.Noting($"{i}", Entry(i, 1, 0, 10, 1)).Remembering($"film {i}", WeedWays.Usual);
        }

        book.Took.Count.ShouldBe(WeedingBook.Most);
        book.Films.Count.ShouldBe(WeedingBook.Most);
        book.Took[0].Of.ShouldBe("5");
        book.Noting("7", Entry(7, 1, 0, 10, 3)).Took.Single(t => t.Of == "7").Minutes.ShouldBe(3);
        book.Noting("7", null).Took.ShouldNotContain(t => t.Of == "7");
        var boxed = WeedWays.Usual with { Box = WeedBox.Row };
        book.Remembering("film 9", boxed).WaysOf("film 9").ShouldBe(boxed);
    }

    private static IEnumerable<WeedingTook> Entries(double bit, double small, double millimetre) =>
        Various.Select((v, i) => Entry(i, v.Bits, v.Small, v.Length, (bit * v.Bits) + (small * v.Small) + (millimetre * v.Length)));

    private static WeedingTook Entry(int of, int bits, int small, double length, double minutes) =>
        new($"{of}", "", FilmPurpose.Stays, bits, small, length, minutes);

    private static double Left(IEnumerable<WeedingTook> entries, WeedingPace pace) =>
        entries.Sum(e => Math.Pow(e.Minutes - pace.MinutesOf(new Weeding(e.Bits, e.Small, e.CutLength, null)), 2));
}
