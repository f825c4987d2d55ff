using Cabida.Core.Geometry;
using Cabida.Core.Layout;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Tests.Layout;

public class LayFiguresTests
{
    private static NetTopologySuite.Geometries.Polygon Rectangle(double width, double height, double x = 0, double y = 0) =>
        Outlines.Rectangle(new Box(x, y, x + width, y + height));

    private static LayPlan PlanOf(params LaidItem[] items) => new([new LaidLoad(0, items)], [], 50);

    [Fact]
    public void Density_is_that_of_outlines_and_place_both_grown_by_half_of_the_scissors_room()
    {
        // Two of 45 × 50, 10 apart, on a roll 100 wide: by hand (2·(55·60 − 25(4 − π)))/(110·60 − 25(4 − π)).
        List<LayItem> items = [new(ItemId.Of("a"), Rectangle(45, 50)), new(ItemId.Of("b"), Rectangle(45, 50))];
        List<LayPlace> places = [new(Rectangle(100, 400), IsRoll: true)];
        var plan = PlanOf(new(ItemId.Of("a"), default), new(ItemId.Of("b"), new RigidMotion(0, 55, 0)));
        var corner = 25 * (4 - Math.PI);
        var byHand = 2 * ((55 * 60) - corner) / ((110 * 60) - corner);
        LayFigures.Of(items, places, new LayTerms(10), plan).Density.ShouldBe(byHand, 0.001);
        LayFigures.Of(items, places, new LayTerms(0), plan with { Length = 50 }).Density.ShouldBe(0.9, 1e-9);
    }

    [Theory]
    [InlineData(4, 1)]
    [InlineData(5, 2)]
    [InlineData(9, 3)]
    public void No_plan_has_fewer_loads_than_the_areas_take(int count, int loads)
    {
        List<LayItem> items = [.. Enumerable.Range(0, count).Select(n => new LayItem(ItemId.Of($"{n}"), Rectangle(50, 50)))];
        LayFigures.Of(items, [new LayPlace(Rectangle(100, 100))], new LayTerms(0), new LayPlan([], [], 0)).LeastLoads.ShouldBe(loads);
    }

    [Fact]
    public void Every_fault_of_a_plan_is_told()
    {
        List<LayItem> items = [new(ItemId.Of("a"), Rectangle(40, 40)), new(ItemId.Of("b"), Rectangle(40, 40)) { }];
        List<LayPlace> places = [new(Outlines.Without(Rectangle(100, 100), Rectangle(10, 10, 80, 80)), 1)];
        var terms = new LayTerms(5);
        (PlanFaultKind Kind, double By)[] Faults(LayPlan plan, LayTerms? other = null) =>
            [.. PlanCheck.Of(items, places, other ?? terms, plan).Select(f => (f.Kind, Math.Round(f.By, 3)))];
        LaidItem A(double x, double y, double turn = 0) => new(ItemId.Of("a"), new RigidMotion(turn, x, y));
        LaidItem B(double x, double y) => new(ItemId.Of("b"), new RigidMotion(0, x, y));
        Faults(PlanOf(A(0, 0), B(45, 0))).ShouldBeEmpty();
        Faults(PlanOf(A(0, 0), B(44, 0))).ShouldBe([(PlanFaultKind.TooNear, 1)]);
        Faults(PlanOf(A(0, 0), B(0, 0))).ShouldContain(f => f.Kind == PlanFaultKind.TooNear);
        Faults(PlanOf(A(0, 0), B(39, 0)), terms with { ScissorsRoom = 0 }).ShouldContain(f => f.Kind == PlanFaultKind.TooNear);
        Faults(PlanOf(A(0, 0), B(62, 0))).ShouldBe([(PlanFaultKind.Outside, 2)]);
        Faults(PlanOf(A(0, 0), B(50, 50))).ShouldContain(f => f.Kind == PlanFaultKind.Outside);
        Faults(PlanOf(A(0, 0))).ShouldBe([(PlanFaultKind.Missing, 0)]);
        Faults(PlanOf(A(0, 0), B(45, 0), new LaidItem(ItemId.Of("c"), default))).ShouldBe([(PlanFaultKind.Unknown, 0)]);
        Faults(PlanOf(A(0, 0), B(45, 0)) with { NotLaid = [ItemId.Of("a")] }).ShouldBe([(PlanFaultKind.Twice, 0)]);
        Faults(PlanOf(A(45, 0, 90), B(50, 0)), terms with { Turning = LayTurning.None }).ShouldBe([(PlanFaultKind.Turned, 0)]);
        Faults(new LayPlan([new LaidLoad(0, [A(0, 0)]), new LaidLoad(0, [B(0, 0)])], [], 50)).ShouldBe([(PlanFaultKind.TooMany, 0)]);
    }

    [Fact]
    public void The_largest_free_rectangle_is_that_of_all_that_there_are()
    {
        var random = new Random(17);
        for (var n = 0; n < 25; n++)
        {
            // Blocks on whole millimetres, so that bands of half a millimetre see them as they are.
            const int size = 24;
            var taken = new bool[size, size];
            Area area = Rectangle(size, size);
            for (var k = 0; k < 6; k++)
            {
                var (x, y, w, h) = (random.Next(size - 2), random.Next(size - 2), 1 + random.Next(5), 1 + random.Next(5));
                area = Outlines.Without(area, Rectangle(w, h, x, y));
                for (var i = x; i < Math.Min(size, x + w); i++)
                {
                    for (var j = y; j < Math.Min(size, y + h); j++)
                    {
                        taken[i, j] = true;
                    }
                }
            }

            var best = 0;
            for (var x0 = 0; x0 < size; x0++)
            for (var y0 = 0; y0 < size; y0++)
            for (var x1 = x0 + 3; x1 <= size; x1++)
            for (var y1 = y0 + 3; y1 <= size; y1++)
            {
                if ((x1 - x0) * (y1 - y0) > best && Free(taken, x0, y0, x1, y1))
                {
                    best = (x1 - x0) * (y1 - y0);
                }
            }

            var found = FreeRectangles.Of(area, 3);
            (found.Count > 0 ? found[0].Width * found[0].Height : 0).ShouldBe(best, 1e-6);
            found.ShouldAllBe(b => Overlay.Intersection(Outlines.Rectangle(b), area).Area > (b.Width * b.Height) - 1e-6);
        }
    }

    private static bool Free(bool[,] taken, int x0, int y0, int x1, int y1)
    {
        for (var x = x0; x < x1; x++)
        {
            for (var y = y0; y < y1; y++)
            {
                if (taken[x, y])
                {
                    return false;
                }
            }
        }

        return true;
    }

    [Fact]
    public void So_many_more_of_a_piece_go_beside_what_lies_there()
    {
        List<LayItem> items = [new(ItemId.Of("a"), Rectangle(20, 20))];
        List<LayPlace> places = [new(Rectangle(108.5, 43))];
        var plan = PlanOf(new LaidItem(ItemId.Of("a"), new RigidMotion(0, 0, 0)));
        // Five across with 2 between them, two up.
        var more = Spares.Of(items, places, new LayTerms(2), plan, items[0], Spares.Most, default);
        more.Count.ShouldBe(9);
        List<LayItem> all = [items[0], .. more.Select((m, i) => items[0] with { Id = ItemId.Of($"more {i}") })];
        var filled = PlanOf([plan.Loads[0].Items[0], .. more.Select((m, i) => new LaidItem(ItemId.Of($"more {i}"), m.At))]);
        PlanCheck.Of(all, places, new LayTerms(2), filled).ShouldBeEmpty();
        Spares.Of(items, places, new LayTerms(2), plan, items[0], 4, default).Count.ShouldBe(4);
    }

    [Fact]
    public void A_silhouette_is_one_area_that_holds_all_of_the_ink()
    {
        // Three letters apart, with an island in a ring, and a dot far above.
        var ring = Outlines.Without(Rectangle(20, 30), Rectangle(12, 22, 4, 4));
        var ink = Outlines.Together([
            .. new[] { ring, Rectangle(5, 5, 7, 12), Rectangle(18, 30, 24, 0), Rectangle(3, 3, 30, 55) }.SelectMany(Outlines.PolygonsOf),
        ]);
        foreach (var holes in new[] { true, false })
        {
            var outline = Silhouette.Of(ink, holes, 0);
            Outlines.PolygonsOf(outline).Count().ShouldBe(1);
            Overlay.Difference(ink, outline).Area.ShouldBeLessThan(1e-6);
            outline.Area.ShouldBeLessThan(ink.ConvexHull().Area * 1.05);
        }

        // Where the room alone joins what is cut, nothing is closed by more than it; a letter farther off still is one with it.
        var near = new[] { Rectangle(10, 20), Rectangle(10, 20, 13, 0) };
        Silhouette.Of(Outlines.Together(near), false, 2).Area.ShouldBe(460, 12);
        // A disc of 5.3 leaves a bite of 25.8 at both ends of a gap of 10; about all of it lies the slack.
        Silhouette.Of(Outlines.Together([.. near, Rectangle(10, 20, 33, 0)]), false, 2).Area.ShouldBe(860 - 51.6 + 18.9, 8);

        var plain = Silhouette.Of(ring, true, 2);
        plain.Area.ShouldBe(ring.Area);
        Silhouette.Of(ring, false, 2).Area.ShouldBe(600);
    }
}
