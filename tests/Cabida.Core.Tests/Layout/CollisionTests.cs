using Cabida.Core.Geometry;
using Cabida.Core.Layout;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Tests.Layout;

/// <summary>What the search is told of shapes, against the exact overlay.</summary>
public class CollisionTests
{
    private static NetTopologySuite.Geometries.Polygon Star(Random random, int corners, double size) =>
        Outlines.Ring([
            .. Enumerable
                .Range(0, corners)
                .Select(i => (Angle: 2 * Math.PI * i / corners, Out: size * (0.3 + (0.7 * random.NextDouble()))))
                .Select(p => new PlanePoint(p.Out * Math.Cos(p.Angle), p.Out * Math.Sin(p.Angle))),
        ]);

    private static LayShape ShapeOf(Area area) => LayShape.AsItIs(area);

    private static PosedShape Posed(LayShape shape, double degrees, double x, double y)
    {
        var (posed, by) = (new PosedShape(shape), Motion.TurnLeft(degrees));
        posed.Pose(by.D, by.A, x, y);
        return posed;
    }

    [Fact]
    public void Shapes_collide_where_their_areas_overlap_and_nowhere_else()
    {
        var random = new Random(11);
        var told = (Apart: 0, Colliding: 0);
        for (var n = 0; n < 600; n++)
        {
            Area a = Star(random, 3 + random.Next(30), 30);
            var b = Star(random, 3 + random.Next(30), 5 + (40 * random.NextDouble()));
            if (n % 3 == 0)
            {
                a = Outlines.Without(a, Outlines.Placed(a, 0.6, 0, 0));
            }

            var (turn, x, y) = (random.Next(360), 90 * (random.NextDouble() - 0.5), 90 * (random.NextDouble() - 0.5));
            var there = Outlines.Moved(b, Motion.TurnLeft(turn).Moved(x, y));
            var common = Overlay.Intersection(a, there).Area;
            var collide = Collision.Of(Posed(ShapeOf(a), 0, 0, 0), Posed(ShapeOf(b), turn, x, y));
            collide.ShouldBe(common > 1e-6, $"number {n}: {common} mm² in common");
            told = collide ? (told.Apart, told.Colliding + 1) : (told.Apart + 1, told.Colliding);
        }

        told.Apart.ShouldBeGreaterThan(100);
        told.Colliding.ShouldBeGreaterThan(100);
    }

    [Theory]
    [InlineData(10, 0, false)] // side by side
    [InlineData(10, 3, false)] // side by side and shifted
    [InlineData(9.99, 0, true)] // their edges on one line
    [InlineData(0, 0, true)] // one on the other
    [InlineData(10, 10, false)] // a corner in common
    [InlineData(2, 3, true)] // within
    public void What_touches_does_not_collide_and_what_lies_on_it_does(double x, double y, bool collide)
    {
        var a = ShapeOf(Outlines.Rectangle(new Box(0, 0, 10, 10)));
        var b = ShapeOf(Outlines.Rectangle(new Box(0, 0, x is 2 ? 5 : 10, y is 3 && x is 2 ? 4 : 10)));
        Collision.Of(Posed(a, 0, 0, 0), Posed(b, 0, x, y)).ShouldBe(collide);
        Collision.Of(Posed(b, 0, x, y), Posed(a, 0, 0, 0)).ShouldBe(collide);
    }

    [Fact]
    public void A_shape_never_lies_inside_its_outline_and_has_few_corners()
    {
        var random = new Random(3);
        for (var n = 0; n < 20; n++)
        {
            var outline = Outlines.Grown(Star(random, 12, 60), 1 + random.NextDouble(), 0.005);
            foreach (var by in new[] { 0, 1.5 })
            {
                var shape = LayShape.Of(outline, by, default);
                var area = Outlines.Ring(shape.Rings[0]);
                Overlay.Difference(Outlines.Grown(outline, by, 0.001), area).Area.ShouldBeLessThan(1e-6);
                shape.CornerCount.ShouldBeLessThan(150);
                area.Area.ShouldBeLessThan(Outlines.Grown(outline, by + 1.7, 0.01).Area);
            }
        }
    }

    [Fact]
    public void Poles_lie_within_do_not_overlap_and_the_first_is_the_largest_there_is()
    {
        var random = new Random(5);
        for (var n = 0; n < 20; n++)
        {
            var outline = Star(random, 9, 50);
            var shape = ShapeOf(outline);
            foreach (var (pole, i) in shape.Poles.Select((p, i) => (p, i)))
            {
                Rings.Depth(shape.Rings, pole.Middle).ShouldBeGreaterThan(pole.Radius - 1e-9);
                shape.Poles.Skip(i + 1).ShouldAllBe(other => other.Middle.To(pole.Middle) >= pole.Radius + other.Radius - 1e-9);
            }

            // Everywhere else on a raster it is at most a little deeper.
            var deepest = Enumerable.Range(0, 101 * 101).Max(k => Rings.Depth(shape.Rings, new PlanePoint((k % 101) - 50, (k / 101) - 50)));
            deepest.ShouldBeLessThan(shape.Poles[0].Radius * 1.05);
        }
    }

    [Fact]
    public void A_no_fit_polygon_in_bands_never_lets_things_overlap_and_loses_little()
    {
        const double height = 0.5;
        var random = new Random(8);
        for (var n = 0; n < 40; n++)
        {
            var (a, b) = (ShapeOf(Star(random, 11, 30)), ShapeOf(Star(random, 7, 20)));
            Bands BandsOf(LayShape s)
            {
                var (low, high) = (s.Rings[0].Min(p => p.Y), s.Rings[0].Max(p => p.Y));
                return Bands.Of(s.Rings, height, low, (int)Math.Ceiling((high - low) / height));
            }

            var (fixedOne, moved) = (BandsOf(a), BandsOf(b));
            var noFit = new NoFit(fixedOne, moved);
            for (var k = 0; k < 50; k++)
            {
                var (x, row) = (100 * (random.NextDouble() - 0.5), random.Next(200) - 100);
                var taken = noFit.At(row).ToArray().Chunk(2).Any(s => x > s[0] && x < s[1]);
                var y = fixedOne.Foot + (row * height) - moved.Foot;
                var there = Outlines.Moved(Outlines.Ring(b.Rings[0]), Motion.Move(x, y));
                var standing = Outlines.Ring(a.Rings[0]);
                if (taken)
                {
                    Overlay.Distance(standing, there).ShouldBeLessThan(4 * height);
                }
                else
                {
                    Overlay.Intersection(standing, there).Area.ShouldBeLessThan(1e-6);
                }
            }
        }
    }

    [Fact]
    public void Bands_rule_no_place_out_in_which_a_thing_lies_clear_of_all_others()
    {
        const int rows = 90;
        const double width = 120;
        var random = new Random(21);
        var (ruledOut, places) = (0, 0);
        for (var n = 0; n < 25; n++)
        {
            Bands BandsOf(double size)
            {
                var ring = Star(random, 9, size).Coordinates.Select(c => new PlanePoint(c.X, c.Y)).SkipLast(1).ToArray();
                var (low, high) = (ring.Min(p => p.Y), ring.Max(p => p.Y));
                return Bands.Of([ring], 1, low, (int)Math.Ceiling(high - low));
            }

            var stretches = new FreeStretches(0, width);
            List<(Bands Bands, int Row, double X)> laid = [];
            for (var k = 0; k < 8; k++)
            {
                laid.Add((BandsOf(18), random.Next(rows), width * random.NextDouble()));
                stretches.Look(laid, laid[^1].Row, laid[^1].Row + laid[^1].Bands.Rows.Length);
            }

            // One of them is taken off again.
            laid.RemoveAt(laid.Count - 1);
            stretches.Look(laid, 0, int.MaxValue);
            var thing = BandsOf(14 + n);
            for (var row = 0; row < rows; row++)
            {
                var free = Enumerable
                    .Range(0, 1 + (int)(width * 4))
                    .Select(i => (i / 4.0) - thing.MinX)
                    .Where(x => x + thing.MaxX <= width)
                    .Any(x =>
                        laid.TrueForAll(l =>
                            !new NoFit(l.Bands, thing).At(row - l.Row).ToArray().Chunk(2).Any(s => x - l.X > s[0] && x - l.X < s[1])
                        )
                    );
                var may = stretches.MayTake(thing, row);
                (may || !free).ShouldBeTrue();
                (ruledOut, places) = (ruledOut + (may ? 0 : 1), places + (free ? 1 : 0));
            }
        }

        // It says something of either kind.
        ruledOut.ShouldBeGreaterThan(200);
        places.ShouldBeGreaterThan(200);
    }
}
