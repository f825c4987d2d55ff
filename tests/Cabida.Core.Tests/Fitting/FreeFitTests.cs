using Cabida.Core.Blanks;
using Cabida.Core.Fitting;
using Cabida.Core.Geometry;
using Cabida.Core.Runs;
using CsCheck;
using NetTopologySuite.Geometries;
using NetTopologySuite.Geometries.Prepared;
using static Cabida.Core.Tests.Fitting.FitShapes;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Tests.Fitting;

public class FreeFitTests
{
    private static readonly FitRules Free = FitRules.OnDatum with { Placing = Placing.Free };

    [Fact]
    public void A_three_to_one_rectangle_stands_on_the_base_of_a_triangle()
    {
        var fit = Fit(Block(3, 1), Zone((0, 0), (120, 0), (60, 90)));
        (3 * fit.Scale).ShouldBe(83.077, 0.001);
        fit.At.X.ShouldBe(60, 1e-3);
        fit.At.Y.ShouldBe(fit.Scale / 2, 1e-3);
    }

    [Fact]
    public void A_disc_in_a_triangle_is_its_incircle()
    {
        // Sides 120, 108.167, 108.167: area 5,400, half the perimeter 168.167, inradius 32.111.
        var fit = Fit(Of(Disc(1)), Zone((0, 0), (120, 0), (60, 90)));
        fit.Scale.ShouldBe(32.111, 0.01);
        fit.At.Y.ShouldBe(32.111, 0.02);
    }

    [Fact]
    public void A_rectangle_in_an_ellipse_touches_it_at_four_corners()
    {
        // Half axes 60 and 30: a box of half sides s and s/2 has (s/60)² + (s/60)² = 1.
        var ellipse = Outlines.Moved(Disc(1), Motion.Scale(60, 30));
        Fit(Block(2, 1), Zone(ellipse, 3, -2)).Scale.ShouldBe(60 / Math.Sqrt(2), 0.05);
    }

    [Fact]
    public void In_an_L_it_takes_the_larger_leg()
    {
        // Legs 100 × 30 and 40 × 90: a 1:2 box upright is 40 wide and 80 high, standing anywhere in the upright leg.
        var fit = Fit(Block(1, 2), Zone((0, 0), (100, 0), (100, 30), (40, 30), (40, 90), (0, 90)));
        fit.Scale.ShouldBe(40, 0.2);
        fit.At.X.ShouldBe(20, 0.2);
        // A 3:1 box lies in the other.
        Fit(Block(3, 1), Zone((0, 0), (100, 0), (100, 30), (40, 30), (40, 90), (0, 90))).Scale.ShouldBe(30, 0.15);
    }

    [Fact]
    public void Beside_a_hole_the_widest_strip_is_found()
    {
        // 100 × 60 with a hole of 20 × 20 whose right side leaves 50: the largest square is 50.
        var zone = Outlines.Rectangle(new Box(0, 0, 100, 60)).Difference(Outlines.Rectangle(new Box(30, 20, 50, 40)));
        var fit = Fit(Block(1, 1), Zone(zone, 15, 30));
        fit.Scale.ShouldBe(50, 0.25);
        fit.At.X.ShouldBe(75, 0.3);
    }

    [Fact]
    public void A_ring_finds_its_way_round_a_hole_off_the_datum()
    {
        var ring = Disc(1).Difference(Disc(0.9));
        var zone = Disc(50.001).Difference(Disc(30));
        Fit(Of(ring), Zone(zone, 4, 3)).Scale.ShouldBe(50, 0.25);
    }

    [Theory]
    [InlineData(false)]
    [InlineData(true)]
    public void No_more_than_half_a_hundredth_below_a_search_of_every_place(bool holed) =>
        Gen.Select(Gen.Double[0.5, 1].Array[14], Gen.Double[0.4, 1].Array[9], Gen.Double[-12, 12], Gen.Double[-8, 8])
            .Sample(
                (corners, star, x, y) =>
                {
                    Area outline = Star(corners, 60, 45);
                    outline = holed ? outline.Difference(Outlines.Placed(Star(star, 1, 1), 9, x, y)) : outline;
                    if (outline is not Polygon { IsValid: true } polygon)
                    {
                        return true;
                    }

                    Area ink = Star(star, 0.6, 0.3);
                    var zone = ZoneShape.Of(polygon, new PlanePoint(polygon.InteriorPoint.X, polygon.InteriorPoint.Y));
                    var found = Fit(Of(ink), zone);
                    var allowed = PreparedGeometryFactory.Prepare(polygon);
                    // Inside by the fit itself, and no worse than the best place of a grid of 1.5 mm.
                    var inside = allowed.Covers(Outlines.Placed(ink, found.Scale * (1 - 1e-6), found.At.X, found.At.Y));
                    var best = Exhaustive(ink, polygon, found.Scale * 1.005, 1.5);
                    return inside && best is null;
                },
                iter: 40
            );

    [Fact]
    public void At_a_given_size_it_stands_as_near_to_the_datum_as_it_can()
    {
        var zone = Zone(Outlines.Rectangle(new Box(0, 0, 100, 75)).Difference(Outlines.Rectangle(new Box(24, 20, 56, 40))), 40, 30);
        var place = BestFit.PlaceAt(Block(20, 20), 1, zone, Free);
        // The nearest way out of the hole is up: 10 of the block and 10 of the hole; below there is no room.
        place.At.X.ShouldBe(40, 0.1);
        place.At.Y.ShouldBe(50, 0.1);
        BestFit.PlaceAt(Block(20, 20), 1, Zone((0, 0), (100, 0), (100, 60), (0, 60)), Free).At.ShouldBe(new PlanePoint(50, 30));
    }

    [Fact]
    public void A_range_of_turning_finds_the_diagonal()
    {
        // A thin bar of length L in a square of 100 is longest along the diagonal: L·(cos 45° + t·sin 45°) = 100, t = 0.02.
        var rules = FitRules.OnDatum with { Turning = Turning.Range, TurnRange = 60 };
        var fit = BestFit.Find(Block(1, 0.02), true, Zone((0, 0), (100, 0), (100, 100), (0, 100)), rules).ShouldNotBeNull();
        fit.Scale.ShouldBe(100 * Math.Sqrt(2) / 1.02, 0.05);
        Math.Abs(fit.Turn).ShouldBe(45, 1);
        // Nothing is turned that does not become larger.
        BestFit.Find(Of(Disc(1)), true, Zone((0, 0), (100, 0), (100, 100), (0, 100)), rules)!.Turn.ShouldBe(0);
    }

    [Fact]
    public void A_nudge_moves_the_place_and_takes_the_room()
    {
        var rules = FitRules.OnDatum with { Nudge = new PlanePoint(10, 0) };
        var fit = BestFit.Find(Block(2, 1), true, ZoneShape.Rectangle(new Box(0, 0, 100, 60)), rules).ShouldNotBeNull();
        fit.At.ShouldBe(new PlanePoint(60, 30));
        fit.Scale.ShouldBe(40, 1e-4);
    }

    private static FitPlace Fit(Cabida.Core.Motifs.IScaledInk ink, ZoneShape zone) => BestFit.Find(ink, true, zone, Free).ShouldNotBeNull();

    /// <summary>A place of the grid at which ink of a scale fits; null when none does.</summary>
    private static PlanePoint? Exhaustive(Area ink, Polygon zone, double scale, double step)
    {
        var (allowed, at, box) = (PreparedGeometryFactory.Prepare(zone), Outlines.Placed(ink, scale, 0, 0), zone.EnvelopeInternal);
        for (var x = box.MinX; x <= box.MaxX; x += step)
        {
            for (var y = box.MinY; y <= box.MaxY; y += step)
            {
                if (allowed.Covers(Outlines.Placed(at, 1, x, y)))
                {
                    return new PlanePoint(x, y);
                }
            }
        }

        return null;
    }

    private static Polygon Star(double[] radii, double width, double height) =>
        Outlines.Ring([
            .. radii.Select(
                (r, i) =>
                    new PlanePoint(
                        width * r * Math.Cos(2 * Math.PI * i / radii.Length),
                        height * r * Math.Sin(2 * Math.PI * i / radii.Length)
                    )
            ),
        ]);

    private static ZoneShape Arm(double degrees, double width, double length)
    {
        // A round body with one arm: the thin thing fits best along the arm, at just its turn.
        var arm = Outlines.Moved(Outlines.Rectangle(new Box(0, -width / 2, length, width / 2)), Motion.TurnLeft(degrees));
        return FitShapes.Zone(FitShapes.Disc(16, 16).Union(arm), 0, 0);
    }

    [Theory]
    [InlineData(-37.25, 12, 130)]
    [InlineData(51.7, 7, 110)]
    [InlineData(8.1, 5, 90)]
    public void A_bar_finds_the_arm_at_whatever_turn_and_in_whatever_wider_range(double degrees, double width, double length)
    {
        var (bar, zone) = (FitShapes.Block(40, 4), Arm(degrees, width, length));
        FitPlace Fit(double range) => BestFit.Find(bar, true, zone, new FitRules(Placing.Free, Turning.Range, range, default))!;
        // Along the arm the bar ends at the arm's end and in the body: it is as wide as the arm, or as long as both.
        var along = Math.Min(width / 4, (length + 16) / 40);
        var ranges = new[] { 10.0, Math.Abs(degrees) - 3, Math.Abs(degrees) + 0.5, 60, 90 }.Order().ToList();
        var scales = ranges.Select(r => Fit(r).Scale).ToList();
        scales[^1].ShouldBeGreaterThan(0.99 * along);
        for (var i = 1; i < scales.Count; i++)
        {
            scales[i].ShouldBeGreaterThan(scales[i - 1] * 0.999, $"±{ranges[i]} after ±{ranges[i - 1]}");
        }
    }

    /// <summary>Against every place, turn and size of a dense grid, each refined by trying all around it.</summary>
    [Theory]
    [InlineData(1)]
    [InlineData(2)]
    [InlineData(3)]
    public void No_more_than_half_a_hundredth_below_a_search_of_every_place_and_turn(int seed)
    {
        var random = new Random(seed);
        // A star with a hole, and a shape of a few corners to put in it.
        var star = Outlines.Ring([
            .. Enumerable
                .Range(0, 10)
                .Select(i => (Turn: Math.PI * i / 5, Far: (i % 2 == 0 ? 32 : 14) + (6 * random.NextDouble())))
                .Select(p => new PlanePoint(p.Far * Math.Cos(p.Turn), p.Far * Math.Sin(p.Turn))),
        ]);
        var zone = FitShapes.Zone(star.Difference(Outlines.Placed(FitShapes.Disc(3, 6), 1, 4, -3)), 0, 0);
        var one = Outlines.Rectangle(new Box(-4 - (4 * random.NextDouble()), -1 - random.NextDouble(), 5, 1.5));
        const double range = 70;
        var found = BestFit.Find(FitShapes.Of(one), true, zone, new FitRules(Placing.Free, Turning.Range, range, default))!;
        zone.Outline.Buffer(1e-3).Covers(Outlines.Moved(Outlines.Placed(one, found.Scale, 0, 0), found.Motion)).ShouldBeTrue();
        var allowed = NetTopologySuite.Geometries.Prepared.PreparedGeometryFactory.Prepare(zone.Outline);
        bool Fits(double x, double y, double turn, double s) =>
            allowed.Covers(Outlines.Moved(Outlines.Placed(one, s, 0, 0), Motion.TurnLeft(turn).Moved(x, y)));
        var best = 0.0;
        (double X, double Y, double Turn) at = default;
        void Try(double x, double y, double turn)
        {
            // Only what beats the best so far is worth sizing.
            if (Fits(x, y, turn, best * 1.0005))
            {
                var (low, high) = (Math.Max(best * 1.0005, 1e-3), 12.0);
                while (high - low > 1e-4 * low)
                {
                    var middle = (low + high) / 2;
                    (low, high) = Fits(x, y, turn, middle) ? (middle, high) : (low, middle);
                }

                (best, at) = (low, (x, y, turn));
            }
        }

        for (var x = -38.0; x <= 38; x += 1)
        {
            for (var y = -38.0; y <= 38; y += 1)
            {
                for (var turn = -range; turn <= range; turn += 2)
                {
                    Try(x, y, turn);
                }
            }
        }

        for (var step = 0.5; step > 0.005; step /= 2)
        {
            var middle = at;
            for (var i = 0; i < 7 * 7 * 7; i++)
            {
                Try(
                    middle.X + (((i % 7) - 3) * step / 2),
                    middle.Y + (((i / 7 % 7) - 3) * step / 2),
                    Math.Clamp(middle.Turn + (((i / 49) - 3) * step), -range, range)
                );
            }
        }

        found.Scale.ShouldBeGreaterThan(0.995 * best, $"turned {found.Turn} at {found.At}; the search has {at}");
    }
}
