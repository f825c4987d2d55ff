using Cabida.Core.Cutting;
using Cabida.Core.Geometry;

namespace Cabida.Core.Tests.Cutting;

public class CuttingTests
{
    private static readonly CutSpeeds Speeds = new(200, 400, 2000);

    private static IReadOnlyList<PlanePoint> Square(double side, double x = 0, double y = 0) =>
        [new(x, y), new(x + side, y), new(x + side, y + side), new(x, y + side), new(x, y)];

    private static double Length(IReadOnlyList<PlanePoint> way) => way.Zip(way.Skip(1), (a, b) => a.To(b)).Sum();

    [Fact]
    public void A_square_takes_as_long_as_it_does_by_hand()
    {
        var time = CutTime.Of([Square(100)], Speeds);
        time.Down.ShouldBe(2.4, 1e-9);
        time.LengthDown.ShouldBe(400, 1e-9);
        CutTime.OfMove(150, 400, 2000).ShouldBe(0.575, 1e-9);
        // Never at full speed: 2·√(20/2000).
        CutTime.OfMove(20, 400, 2000).ShouldBe(0.2, 1e-9);
        // A round line has no corner to stop at.
        var round = Enumerable
            .Range(0, 361)
            .Select(d => new PlanePoint(50 * Math.Cos(d * Math.PI / 180), 50 * Math.Sin(d * Math.PI / 180)));
        CutTime
            .Of(
                [
                    [.. round],
                ],
                Speeds
            )
            .Down.ShouldBe((100 * Math.PI / 200) + 0.1, 0.001);
    }

    [Fact]
    public void A_proving_square_gives_scale_and_skew_and_files_are_written_through_the_inverse()
    {
        var truth = CutterTruth.Of(100, 99.6, 100.2, 141.5, 141.0);
        truth.Across.ShouldBe(0.996, 1e-9);
        truth.Along.ShouldBe(1.002, 1e-9);
        (truth.Skew * 180 / Math.PI).ShouldBe(0.2027, 0.0001);
        truth.Written.Of(new PlanePoint(90, 0)).X.ShouldBe(90.361, 0.0005);
        // What the cutter makes of what is written is what was meant, and of the square what was measured.
        foreach (var p in new PlanePoint[] { new(0, 0), new(90, 0), new(13, 250), new(-4, 7) })
        {
            truth.Makes.Of(truth.Written.Of(p)).To(p).ShouldBeLessThan(1e-9);
        }

        PlanePoint Made(double x, double y) => truth.Makes.Of(new PlanePoint(x, y));
        Made(0, 0).To(Made(100, 0)).ShouldBe(99.6, 1e-9);
        Made(0, 0).To(Made(0, 100)).ShouldBe(100.2, 1e-9);
        (Math.Pow(Made(0, 0).To(Made(100, 100)), 2) - Math.Pow(Made(0, 100).To(Made(100, 0)), 2)).ShouldBe(
            (141.5 * 141.5) - (141.0 * 141.0),
            1e-6
        );
    }

    [Theory]
    [InlineData(1.0, 0.115)] // the example of the design
    [InlineData(0, 0.5)]
    [InlineData(-3, 0.9998)]
    [InlineData(30, 0)]
    public void The_chance_of_touching_is_that_of_blank_cutter_and_hand_together(double room, double chance)
    {
        var all = RoomChance.Of(room, 1.3, 0.3, 1.0);
        all.Uncertainty.ShouldBe(1.6673, 0.0001);
        all.OfTouching.ShouldBe(chance, 0.0005);
    }

    [Fact]
    public void The_normal_distribution_is_the_integral_of_its_density()
    {
        var (sum, step) = (0.5, 0.0001);
        for (var x = 0.0; x < 6; x += step)
        {
            // Simpson over each step.
            double Density(double t) => Math.Exp(-t * t / 2) / Math.Sqrt(2 * Math.PI);
            sum += step / 6 * (Density(x) + (4 * Density(x + (step / 2))) + Density(x + step));
            if (Math.Abs((x + step) % 0.5) < step / 2)
            {
                RoomChance.Normal(x + step).ShouldBe(sum, 1e-8);
                RoomChance.Normal(-x - step).ShouldBe(1 - sum, 1e-8);
            }
        }
    }

    [Fact]
    public void A_drag_knife_goes_on_past_corners_swings_about_them_and_cuts_on_at_the_end()
    {
        const double offset = 0.25,
            overcut = 0.5;
        var way = BladeWay.Of(Square(10), true, new DragKnife(offset, overcut));
        way[0].ShouldBe(new PlanePoint(offset, 0));
        way.ShouldContain(p => p.To(new PlanePoint(10 + offset, 0)) < 1e-9);
        way.ShouldContain(p => p.To(new PlanePoint(10, offset)) < 1e-9);
        // Four sides, four quarter swings and the overcut.
        Length(way).ShouldBe(40 + (4 * offset * Math.PI / 2) + overcut, 0.02);
        way[^1].To(new PlanePoint(overcut + offset, 0)).ShouldBeLessThan(1e-9);
        // The tip trails behind the holder by the offset, always drawn towards it: it stays on the square.
        var tip = new PlanePoint(0, 0);
        var line = Outlines.Line(Square(10));
        for (var i = 1; i < way.Count; i++)
        {
            for (var k = 1; k <= 200; k++)
            {
                var holder = way[i - 1].Towards(way[i], k / 200.0);
                var away = holder.To(tip);
                tip = away > offset ? tip.Towards(holder, (away - offset) / away) : tip;
                line.Distance(Outlines.Factory.CreatePoint(tip.ToCoordinate())).ShouldBeLessThan(0.02);
            }
        }

        BladeWay.Of(Square(10), true, new DragKnife(0, 0.5)).Count.ShouldBe(6);
        BladeWay.Of([new(0, 0), new(5, 0)], false, new DragKnife(0, 0.5)).ShouldBe([new(0, 0), new(5, 0)]);
    }

    [Theory]
    [InlineData(1)]
    [InlineData(2)]
    [InlineData(3)]
    [InlineData(4)]
    [InlineData(5)]
    [InlineData(6)]
    public void The_way_with_the_blade_up_is_hardly_longer_than_the_best_of_all_orders(int seed)
    {
        var random = new Random(seed);
        var lines = new List<(IReadOnlyList<PlanePoint> Points, bool IsClosed)>();
        var count = seed == 6 ? 9 : 7;
        while (lines.Count < count)
        {
            var (x, y, side) = (random.NextDouble() * 250, random.NextDouble() * 250, 5 + (random.NextDouble() * 30));
            lines.Add((Square(side, x, y), true));
            if (lines.Count < count && random.Next(2) == 0)
            {
                lines.Add((Square(side / 2, x + (side / 4), y + (side / 4)), true));
            }
        }

        // Open lines and one that holds several.
        lines[6] = ([new(20, 200), new(60, 240), new(90, 220)], false);
        if (seed % 2 == 0)
        {
            lines[0] = (Square(280, -5, -5), true);
        }

        var found = CuttingOrder.Of(lines);
        var within = lines.ConvertAll(outer =>
            lines.ConvertAll(inner => outer.IsClosed && outer != inner && Outlines.Ring(outer.Points).Contains(Outlines.Line(inner.Points)))
        );
        InnerFirst(within, [.. found.Select(f => f.Line)]).ShouldBeTrue();
        var best = Permutations([.. Enumerable.Range(0, count)]).Where(o => InnerFirst(within, o)).Min(o => BestOf(lines, o));
        CuttingOrder.BladeUp(found.Select(f => f.Points)).ShouldBeLessThanOrEqualTo(best * 1.15 + 1e-9);
        CuttingOrder.BladeUp(found.Select(f => f.Points)).ShouldBeGreaterThanOrEqualTo(best - 1e-9);
        found.Select(f => f.Line).Order().ShouldBe(Enumerable.Range(0, count));
        foreach (var (line, points) in found)
        {
            points.ToHashSet().SetEquals(lines[line].Points).ShouldBeTrue();
            Length(points).ShouldBe(Length(lines[line].Points), 1e-9);
        }
    }

    /// <summary>The shortest way of an order, whichever corner each is begun at.</summary>
    private static double BestOf(List<(IReadOnlyList<PlanePoint> Points, bool IsClosed)> lines, int[] order)
    {
        List<(PlanePoint End, double Cost)> layer = [(default, 0)];
        foreach (var (points, isClosed) in order.Select(i => lines[i]))
        {
            (PlanePoint Start, PlanePoint End)[] ways = isClosed
                ? [.. points.Skip(1).Select(p => (p, p))]
                : [(points[0], points[^1]), (points[^1], points[0])];
            layer = [.. ways.Select(w => (w.End, layer.Min(l => l.Cost + l.End.To(w.Start))))];
        }

        return layer.Min(l => l.Cost + l.End.To(default));
    }

    private static bool InnerFirst(List<List<bool>> within, int[] order)
    {
        for (var i = 0; i < order.Length; i++)
        {
            for (var j = i + 1; j < order.Length; j++)
            {
                if (within[order[i]][order[j]])
                {
                    return false;
                }
            }
        }

        return true;
    }

    private static IEnumerable<int[]> Permutations(int[] all)
    {
        if (all.Length <= 1)
        {
            return [all];
        }

        return all.SelectMany(first => Permutations([.. all.Where(x => x != first)]).Select(rest => (int[])[first, .. rest]));
    }

    [Fact]
    public void Arcs_lie_where_the_curves_do_that_they_stand_for_and_bend_as_they_do()
    {
        var random = new Random(9);
        PlanePoint Point() => new(random.NextDouble() * 40, random.NextDouble() * 40);
        for (var n = 0; n < 200; n++)
        {
            var start = Point();
            var contour = new Contour(
                start,
                [new CubicTo(Point(), Point(), Point()), new LineSegmentTo(Point()), new CubicTo(Point(), Point(), start)]
            );
            var corners = ArcPath.Of(contour, true, 0.003);
            var arcs = Outlines.Line(ArcPoints.Of(corners, true, 0.0002));
            var curve = Outlines.Line(new CutLine(contour, true, CutLineKind.Ink).Points(0.0002));
            NetTopologySuite.Algorithm.Distance.DiscreteHausdorffDistance.Distance(arcs, curve, 0.5).ShouldBeLessThan(0.006);
            arcs.Length.ShouldBe(curve.Length, 0.001 * curve.Length);
        }

        // A quarter of a circle, as a cubic is within a thousandth of it, is an arc or two.
        const double k = 0.5522847498;
        var quarter = new Contour(new(10, 0), [new CubicTo(new(10, 10 * k), new(10 * k, 10), new(0, 10))]);
        ArcPath.Of(quarter, false, 0.01).Count.ShouldBeLessThanOrEqualTo(3);
    }
}
