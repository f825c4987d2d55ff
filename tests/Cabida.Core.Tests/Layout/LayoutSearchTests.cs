using Cabida.Core.Geometry;
using Cabida.Core.Layout;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Tests.Layout;

public class LayoutSearchTests
{
    private const long FewMoves = 700;

    private static NetTopologySuite.Geometries.Polygon Rectangle(double width, double height, double x = 0, double y = 0) =>
        Outlines.Rectangle(new Box(x, y, x + width, y + height));

    private static List<LayPlan> Plans(IReadOnlyList<LayItem> items, IReadOnlyList<LayPlace> places, LayTerms terms, long moves = FewMoves)
    {
        var plans = new List<LayPlan>();
        LayoutSearch.Run(items, places, terms, plans.Add, default, moves);
        return plans;
    }

    private static List<LayItem> Many(int count, double width, double height, string kind = "") =>
        [.. Enumerable.Range(1, count).Select(n => new LayItem(ItemId.Of($"{kind}{n}"), Rectangle(width, height), kind))];

    public static TheoryData<int, bool, LayTurning, double> Jigsaws =>
        new()
        {
            { 10, true, LayTurning.None, 0 },
            { 10, false, LayTurning.Quarter, 0 },
            { 20, true, LayTurning.Any, 3 },
            { 20, false, LayTurning.Quarter, 2 },
        };

    [Theory]
    [MemberData(nameof(Jigsaws))]
    public void Every_plan_of_a_jigsaw_can_be_cut_and_each_is_better_than_the_one_before(
        int count,
        bool convex,
        LayTurning turning,
        double room
    )
    {
        var items = Jigsaw.Of(count, convex, count).Items(turned: false, 1);
        List<LayPlace> places = [new(Rectangle(300, 1500), IsRoll: true)];
        var terms = new LayTerms(room, turning);
        var plans = Plans(items, places, terms);
        plans.ShouldNotBeEmpty();
        foreach (var plan in plans)
        {
            PlanCheck.Of(items, places, terms, plan).ShouldBeEmpty();
            plan.NotLaid.ShouldBeEmpty();
            LayFigures.Of(items, places, terms, plan).Density.ShouldBeLessThan(1 + 1e-9);
        }

        plans.Zip(plans.Skip(1)).ShouldAllBe(p => p.Second.BetterThan(p.First));
        plans[^1].Length.ShouldBeLessThan(plans[0].Length);
    }

    [Fact]
    public void A_used_off_cut_of_any_shape_is_kept_to_also_around_its_holes()
    {
        Area cut = Outlines.Ring([new(0, 0), new(300, 20), new(280, 260), new(140, 200), new(10, 280)]);
        foreach (var (x, y, r) in new[] { (70.0, 80.0, 25.0), (180.0, 120.0, 30.0), (240.0, 60.0, 18.0) })
        {
            cut = Outlines.Without(cut, Outlines.Factory.CreatePoint(new NetTopologySuite.Geometries.Coordinate(x, y)).Buffer(r));
        }

        List<LayItem> items = [.. Many(12, 48, 22), .. Many(6, 31, 31, "square")];
        List<LayPlace> places = [new(cut, 1), new(Rectangle(200, 200))];
        var terms = new LayTerms(2, LayTurning.Any);
        foreach (var plan in Plans(items, places, terms))
        {
            PlanCheck.Of(items, places, terms, plan).ShouldBeEmpty();
            plan.Loads[0].Place.ShouldBe(0);
        }
    }

    [Fact]
    public void The_same_seed_gives_the_same_plans_and_another_seed_others()
    {
        var items = Jigsaw.Of(15, false, 4).Items(turned: true, 2);
        List<LayPlace> places = [new(Rectangle(300, 1500), IsRoll: true)];
        List<double> Lengths(int seed) => Plans(items, places, new LayTerms(1, Seed: seed)).ConvertAll(p => p.Length);
        var plans = Plans(items, places, new LayTerms(1, Seed: 5));
        plans
            .SelectMany(p => p.Loads)
            .SelectMany(l => l.Items)
            .ShouldBe(Plans(items, places, new LayTerms(1, Seed: 5)).SelectMany(p => p.Loads).SelectMany(l => l.Items));
        Lengths(6).ShouldNotBe(Lengths(5));
    }

    [Fact]
    public void What_fits_to_the_hair_fits()
    {
        // Six of 100 × 50 with 5 between them take 205 × 160, and not a hair less.
        foreach (var (width, loads) in new[] { (205.0, 1), (204.9, 2) })
        {
            var plan = Plans(Many(6, 100, 50), [new(Rectangle(width, 160))], new LayTerms(5, LayTurning.None))[^1];
            plan.Loads.Count.ShouldBe(loads);
        }

        // Round shapes are seen a little larger than they are, at one side more than at another: as wide as the ground they fit it.
        var random = new Random(3);
        for (var n = 0; n < 20; n++)
        {
            Area blob = Outlines.Union([
                .. Enumerable
                    .Range(0, 5)
                    .Select(_ => (Area)Outlines.Rectangle(new Box(0, 0, 40, 12).Moved(30 * random.NextDouble(), 9 * random.NextDouble())))
                    .Select(r => Outlines.Grown(r, 8 * random.NextDouble(), 0.01)),
            ]);
            var box = Box.Of(blob)!.Value;
            List<LayItem> two = [new(ItemId.Of("a"), blob), new(ItemId.Of("b"), blob)];
            var plan = Plans(two, [new(Rectangle(box.Width, 200, box.MinX))], new LayTerms(5, LayTurning.None), 0)[^1];
            plan.NotLaid.ShouldBeEmpty();
        }
    }

    [Fact]
    public void A_last_load_is_emptied_where_all_goes_on_those_before()
    {
        // Four squares of 50 and four of 49 × 99 cover 200 × 150 but for hairs; a first plan takes two loads for them.
        List<LayItem> items = [.. Many(4, 49.9, 49.9, "square"), .. Many(4, 49.9, 99.9, "tall")];
        List<LayPlace> places = [new(Rectangle(200, 150.2))];
        var terms = new LayTerms(0, LayTurning.None);
        var plans = Plans(items, places, terms, 20_000);
        plans.ShouldAllBe(p => PlanCheck.Of(items, places, terms, p).Count == 0);
        plans[^1].Loads.Count.ShouldBe(1);
        // What could only lie beyond the end of a place is never taken for laid.
        var narrow = Plans([.. Many(3, 60, 40)], [new(Rectangle(70, 90))], terms);
        narrow.ShouldAllBe(p => PlanCheck.Of(Many(3, 60, 40), new[] { new LayPlace(Rectangle(70, 90)) }, terms, p).Count == 0);
        narrow[^1].Loads.Count.ShouldBe(2);
    }

    [Fact]
    public void What_is_pinned_stays_and_all_else_lies_around_it()
    {
        var pin = new RigidMotion(90, 130, 60);
        List<LayItem> items = [new(ItemId.Of("pinned"), Rectangle(60, 30)) { Pinned = (1, pin) }, .. Many(30, 40, 25)];
        List<LayPlace> places = [new(Rectangle(200, 150))];
        var terms = new LayTerms(3) { Begun = [0, 0] };
        var plans = Plans(items, places, terms);
        foreach (var plan in plans)
        {
            PlanCheck.Of(items, places, terms, plan).ShouldBeEmpty();
            plan.Loads[1].Items.ShouldContain(new LaidItem(ItemId.Of("pinned"), pin));
        }
    }

    [Fact]
    public void What_is_kept_together_lies_on_one_load_unless_none_holds_it()
    {
        List<LayItem> Grouped(int group, int count) =>
            Many(count, 90, 40, $"g{group}-").ConvertAll(i => i with { Group = $"{group}", Kind = "" });
        // Four go on a load, and five of a group on none.
        List<LayItem> items = [.. Grouped(1, 3), .. Grouped(2, 3), .. Grouped(3, 2), .. Grouped(4, 5)];
        var plan = Plans(items, [new(Rectangle(190, 90))], new LayTerms(5, LayTurning.None), 0)[0];
        var byGroup = items.ToLookup(i => i.Group, i => plan.Loads.ToList().FindIndex(l => l.Items.Any(p => p.Id == i.Id)));
        foreach (var group in new[] { "1", "2", "3" })
        {
            byGroup[group].Distinct().Count().ShouldBe(1);
        }

        byGroup["4"].ShouldNotContain(-1);
        plan.NotLaid.ShouldBeEmpty();
        // And stays so as plans become better: three of a row go on a load, with others of no row around them.
        List<LayItem> rows = [.. Grouped(1, 3), .. Grouped(2, 3), .. Grouped(3, 3), .. Many(6, 40, 30, "single")];
        var better = Plans(rows, [new(Rectangle(190, 140))], new LayTerms(2));
        foreach (var found in better)
        {
            found
                .Loads.SelectMany((l, n) => l.Items.Select(i => (Row: i.Id.Piece.Split('-')[0], Load: n)))
                .Where(i => i.Row.StartsWith('g'))
                .GroupBy(i => i.Row)
                .ShouldAllBe(g => g.Select(i => i.Load).Distinct().Count() == 1);
        }
    }

    [Fact]
    public void Places_are_taken_in_order_and_what_no_place_holds_is_named()
    {
        List<LayItem> items = [.. Many(1, 50, 50), new(ItemId.Of("long"), Rectangle(400, 10)), new(ItemId.Of("huge"), Rectangle(500, 500))];
        var plan = Plans(items, [new(Rectangle(60, 60), 1), new(Rectangle(400, 12), 2)], new LayTerms(2))[^1];
        plan.Loads.Select(l => l.Place).ShouldBe([0, 1]);
        plan.NotLaid.ShouldBe([ItemId.Of("huge")]);
    }

    [Fact]
    public void Things_lie_in_the_holes_of_others_where_that_is_wanted()
    {
        var frame = Outlines.Without(Rectangle(200, 200), Rectangle(150, 150, 25, 25));
        List<LayItem> Items(bool holes) => [new(ItemId.Of("frame"), Silhouette.Of(frame, holes, 5)), .. Many(4, 60, 60)];
        var place = new LayPlace(Rectangle(200, 200));
        Plans(Items(true), [place], new LayTerms(5))[^1].Loads.Count.ShouldBe(1);
        Plans(Items(false), [place], new LayTerms(5))[^1].Loads.Count.ShouldBe(2);
    }

    [Fact]
    public void Two_thousand_pieces_are_all_laid()
    {
        List<LayItem> items =
        [
            .. Enumerable
                .Range(0, 2000)
                .Select(n => new LayItem(ItemId.Of($"{n}"), Rectangle(60 + (n % 37), 20 + (n % 11)), $"{n % 37} {n % 11}")),
        ];
        List<LayPlace> places = [new(Rectangle(300, 600))];
        var terms = new LayTerms(2);
        var plan = Plans(items, places, terms)[^1];
        PlanCheck.Of(items, places, terms, plan).ShouldBeEmpty();
        plan.NotLaid.ShouldBeEmpty();
        LayFigures.Of(items, places, terms, plan).Density.ShouldBeGreaterThan(0.8);
    }

    [Fact]
    public void Without_anything_or_without_a_place_there_is_no_load()
    {
        Plans([], [new(Rectangle(10, 10))], new LayTerms(1)).ShouldHaveSingleItem().Loads.ShouldBeEmpty();
        Plans(Many(2, 5, 5), [], new LayTerms(1)).ShouldHaveSingleItem().NotLaid.Count.ShouldBe(2);
    }
}
