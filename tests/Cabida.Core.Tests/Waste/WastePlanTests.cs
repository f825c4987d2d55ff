using Cabida.Core.Geometry;
using Cabida.Core.Waste;
using NetTopologySuite.Geometries;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Tests.Waste;

/// <summary>The weed box and its breaks (calculations 6.5).</summary>
public class WastePlanTests
{
    private static readonly WasteTerms Terms = new(5, 1, 150);

    [Fact]
    public void Rows_and_words_are_parted_by_the_shortest_ways_that_keep_clear()
    {
        // Two rows of two words of blocks; straight ways are free everywhere.
        var plan = WastePlan.Of([Row(20, (0, 3), (40, 2)), Row(0, (0, 2), (30, 3))], Terms)!;
        plan.Box.ShouldBe(new Box(-5, -5, 69, 35));
        plan.NoWay.ShouldBeEmpty();
        plan.Breaks.Select(b => b.Kind).ShouldBe([BreakKind.Rows, BreakKind.Words, BreakKind.Words]);
        plan.Breaks[0].Line.Length.ShouldBe(74, 0.2);
        // From an edge of the box to the break between the rows.
        plan.Breaks.Skip(1).ShouldAllBe(b => b.Line.Length > 15.9 && b.Line.Length < 24.1);
        plan.Cells.Count.ShouldBe(4);
        Proved(plan, Ink(plan, [Row(20, (0, 3), (40, 2)), Row(0, (0, 2), (30, 3))]), Terms);
    }

    [Fact]
    public void A_way_goes_round_what_hangs_into_it_and_never_between_a_letter_and_its_dot()
    {
        // A hook of the upper row hangs between two blocks of the lower; a dot stands over a block of the lower row.
        var hook = new InkUnit(Outlines.Join([Bar(0, 20, 60, 26), Bar(28, 6, 31, 26)]));
        var dotted = new InkUnit(Outlines.Together([Bar(40, 0, 50, 8), Bar(43, 13, 47, 16)]));
        InkRow[] rows = [new([new InkWord([hook])]), new([new InkWord([new(Bar(0, 0, 20, 12)), dotted])])];
        var plan = WastePlan.Of(rows, Terms)!;
        plan.NoWay.ShouldBeEmpty();
        var line = plan.Breaks.ShouldHaveSingleItem().Line;
        // Under the hook, and over the dot.
        YAt(line, 29.5).ShouldBeInRange(-0.01, 5);
        YAt(line, 45).ShouldBeInRange(17, 19);
        Proved(plan, Ink(plan, rows), Terms);
    }

    [Fact]
    public void Where_no_way_keeps_clear_none_is_made_and_it_is_said()
    {
        // 1.8 apart: 1.0 to either side does not go.
        InkRow[] rows = [Row(11.8, (0, 3)), Row(0, (0, 3))];
        var plan = WastePlan.Of(rows, Terms)!;
        plan.Breaks.ShouldBeEmpty();
        plan.Cells.ShouldHaveSingleItem();
        plan.NoWay.ShouldHaveSingleItem().ToString().ShouldBe("Between two rows there is no way that keeps 1.00 mm from the ink.");
        WastePlan.Of(rows, Terms with { Clearance = 0.6 })!.Breaks.ShouldHaveSingleItem();
        // Rows that are joined have none either, and nothing has none at all.
        InkRow[] joined = [new([new InkWord([new(Bar(0, 0, 10, 30))])]), Row(0, (10, 2))];
        WastePlan.Of(joined, Terms)!.Breaks.ShouldBeEmpty();
        WastePlan.Of([], Terms).ShouldBeNull();
    }

    [Fact]
    public void Waste_that_is_too_long_is_broken_between_letters_until_it_is_not()
    {
        // One word of thirty blocks 4 apart: 416 in all, 426 with the box.
        InkRow[] rows = [new([new InkWord([.. Enumerable.Range(0, 30).Select(i => new InkUnit(Bar(14 * i, 0, (14 * i) + 10, 10)))])])];
        var plan = WastePlan.Of(rows, Terms)!;
        plan.NoWay.ShouldBeEmpty();
        plan.Breaks.ShouldAllBe(b => b.Kind == BreakKind.Long);
        plan.Cells.ShouldAllBe(c => c.Length <= 150);
        plan.Cells.Sum(c => c.Area.Area).ShouldBe(plan.Box.Width * plan.Box.Height, 0.01);
        Proved(plan, Ink(plan, rows), Terms);
        // A plate as long has nothing to go between.
        WastePlan.Of([new([new InkWord([new(Bar(0, 0, 365, 40))])])], Terms)!.Breaks.ShouldAllBe(b => b.Line.Length < 20);
    }

    [Theory]
    [InlineData(1)]
    [InlineData(2)]
    [InlineData(3)]
    public void Breaks_of_ink_thrown_at_random_keep_clear_of_it_and_part_no_letter(int seed)
    {
        var random = new Random(seed);
        List<InkRow> rows = [];
        for (var r = 0; r < 4; r++)
        {
            List<InkWord> words = [];
            var x = random.NextDouble() * 20;
            for (var w = 0; w < 3; w++)
            {
                List<InkUnit> units = [];
                for (var l = 0; l < 4; l++)
                {
                    var (wide, high, low) = (3 + (random.NextDouble() * 8), 5 + (random.NextDouble() * 9), random.NextDouble() * 4);
                    units.Add(new(Disc(x + (wide / 2), (-20 * r) + low + (high / 2), wide / 2, high / 2)));
                    x += wide + 0.5 + (random.NextDouble() * 3);
                }

                words.Add(new InkWord(units));
                x += 6;
            }

            rows.Add(new InkRow(words));
        }

        var plan = WastePlan.Of(rows, Terms)!;
        plan.Breaks.Count.ShouldBeGreaterThan(6);
        Proved(plan, Ink(plan, rows), Terms);
    }

    [Fact]
    public void What_would_be_too_much_to_break_keeps_its_box_and_says_why()
    {
        // Three thousand dots that belong together, and as many words in one row.
        var dots = new InkUnit(
            Outlines.Together([
                .. Enumerable.Range(0, 3000).Select(i => Bar(3 * (i % 60), 3 * (i / 60), (3 * (i % 60)) + 1, (3 * (i / 60)) + 1)),
            ])
        );
        var one = WastePlan.Of([new([new InkWord([dots])])], Terms)!;
        one.Box.ShouldBe(dots.Box.Grown(5));
        one.Cells.ShouldNotBeEmpty();
        InkWord Word(int i) => new([new InkUnit(Bar(4 * i, 0, (4 * i) + 1, 40))]);
        var many = WastePlan.Of([new([.. Enumerable.Range(0, 3000).Select(Word)])], Terms with { Longest = double.PositiveInfinity })!;
        many.Breaks.Count.ShouldBeLessThanOrEqualTo(WastePlan.MostBreaks);
        many.NoWay.ShouldNotBeEmpty();
        many.Cells.Sum(c => c.Area.Area).ShouldBe(many.Box.Width * many.Box.Height, 1);
    }

    /// <summary>What holds of every plan, found another way: by exact distances, and by what lies in which cell.</summary>
    private static void Proved(WastePlan plan, Area ink, WasteTerms terms)
    {
        plan.ClearanceTo(ink)!.Value.ShouldBeGreaterThanOrEqualTo(terms.Clearance - 1e-9);
        plan.Cells.ShouldAllBe(c => c.Area.IsValid);
        plan.Cells.Sum(c => c.Area.Area).ShouldBe(plan.Box.Width * plan.Box.Height, 0.01);
        foreach (var part in Outlines.PolygonsOf(ink))
        {
            plan.Cells.Count(c => c.Area.Covers(part)).ShouldBe(1);
        }

        // No end lies nearer to another than the clearance unless they meet.
        var ends = plan.Breaks.SelectMany(b => new[] { b.Line.StartPoint, b.Line.EndPoint }).ToList();
        var apart = from i in Enumerable.Range(0, ends.Count) from j in Enumerable.Range(0, i) select ends[i].Distance(ends[j]);
        apart.ShouldAllBe(d => d < 1e-6 || d >= terms.Clearance - 1e-6);
    }

    private static Area Ink(WastePlan plan, IEnumerable<InkRow> rows) =>
        plan is null ? Outlines.Empty : Outlines.Join([.. rows.SelectMany(r => r.Units).SelectMany(u => Outlines.PolygonsOf(u.Ink))]);

    private static double YAt(LineString line, double x) =>
        line.Intersection(Outlines.Factory.CreateLineString([new(x, -1000), new(x, 1000)])).Coordinate.Y;

    /// <summary>A row of words of blocks, 10 wide and 10 high, 12 apart; each word with where it begins and how many it has.</summary>
    private static InkRow Row(double foot, params (double At, int Count)[] words) =>
        new([
            .. words.Select(w => new InkWord([
                .. Enumerable.Range(0, w.Count).Select(i => new InkUnit(Bar(w.At + (12 * i), foot, w.At + (12 * i) + 10, foot + 10))),
            ])),
        ]);

    private static Polygon Bar(double left, double foot, double right, double top) => Outlines.Rectangle(new Box(left, foot, right, top));

    private static Polygon Disc(double x, double y, double across, double up) =>
        Outlines.Ring([
            .. Enumerable
                .Range(0, 48)
                .Select(i => i * Math.PI / 24)
                .Select(a => new PlanePoint(x + (across * Math.Cos(a)), y + (up * Math.Sin(a)))),
        ]);
}
