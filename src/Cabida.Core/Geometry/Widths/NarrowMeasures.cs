using Cabida.Core.Wording;

namespace Cabida.Core.Geometry;

/// <summary>How wide and long a narrow place is, and where it is narrowest.</summary>
/// <param name="disc">The disc that found it.</param>
internal sealed class NarrowMeasures(RollingDisc disc)
{
    /// <summary>Least widths are refined so often.</summary>
    private const int Refinings = 12;

    /// <summary>What keeps this share of its width to its end does not run out to a point.</summary>
    private const double BluntShare = 0.8;

    /// <summary>A ball of a smaller radius is in a corner; millimetres.</summary>
    private const double Point = Tolerances.Check / 4;

    private double Limit => disc.Diameter;

    /// <summary>A neck, or what is narrow throughout, by its narrowest place that is not covered by what is wide.</summary>
    /// <param name="bounds">What bounds it.</param>
    /// <param name="kind">Which it is.</param>
    /// <param name="gates">The middles of the discs in its gates.</param>
    public NarrowPlace Between(List<NarrowStretch> bounds, NarrowKind kind, List<PlanePoint> gates)
    {
        var balls = new List<Sample>();
        foreach (var stretch in bounds)
        {
            Effort.Spend(stretch.Places.Count * RollingDisc.StepsPerPlace);
            balls.AddRange(stretch.Places.Select((u, i) => new Sample(stretch, i, disc.BallAt(stretch.Walk, u))));
        }

        // Ink that ends in a point is nowhere as thin as there; of what is only corners, the widest place counts.
        var side = balls.Min(SideOf);
        balls = balls.FindAll(b => SideOf(b) == side);
        var wide = kind == NarrowKind.Throughout ? [] : Near(balls.ConvertAll(b => b.Ball.Centre));
        double Away(PlanePoint at) => wide.Count == 0 ? double.PositiveInfinity : wide.Min(w => w.To(at)) - (Limit / 2);
        // Of places about as narrow, the one farthest from what is wide.
        var best =
            side == Sides.None
                ? null
                : balls
                    .Select(b => (Sample: b, Away: Away(b.Ball.Centre)))
                    .Where(b => b.Away > 0)
                    .OrderBy(b => Math.Round(b.Sample.Ball.Radius / (Tolerances.Check / 2)))
                    .ThenByDescending(b => b.Away)
                    .Select(b => b.Sample)
                    .FirstOrDefault();
        // Short necks are covered but for the middle between two discs.
        var (at, width) = best is not null
            ? (best.Ball.Centre, 2 * Refined(best).Radius)
            : (
                Uncovered(gates, balls.ConvertAll(b => b.Ball.Centre), Away),
                2 * (side == Sides.None ? balls.Max(b => b.Ball.Radius) : balls.Min(b => b.Ball.Radius))
            );
        return new NarrowPlace(kind, at, width, Extent(bounds)) { Rings = [.. bounds.Select(b => b.Walk.Ring)] };
    }

    /// <summary>A tip, when it is long enough to be told.</summary>
    /// <param name="stretch">The way round it.</param>
    public NarrowPlace? Tip(NarrowStretch stretch)
    {
        // There and back again along its sides is longer than it is.
        if (stretch.Length <= 4 * Limit)
        {
            return null;
        }

        Effort.Spend(stretch.Places.Count * (RollingDisc.StepsPerPlace + (stretch.Places.Count / 8)));
        var balls = stretch.Places.ConvertAll(u => disc.BallAt(stretch.Walk, u));
        var ways = FromWide(balls);
        var reached = balls.Select((b, i) => ways[i] + b.Radius - (Limit / 2)).ToList();
        var length = reached.Where(double.IsFinite).DefaultIfEmpty(0).Max();
        if (length <= 2 * Limit)
        {
            return null;
        }

        var halfway = Enumerable.Range(0, balls.Count).MinBy(i => Math.Abs(reached[i] - balls[i].Radius - (length / 2)));
        var least = balls.Where(IsStroke).Select(b => b.Radius).DefaultIfEmpty(0).Min();
        return new NarrowPlace(NarrowKind.Tip, balls[halfway].Centre, 2 * balls[halfway].Radius, length)
        {
            IsBlunt = least > BluntShare * balls[halfway].Radius,
            Rings = [stretch.Walk.Ring],
        };
    }

    /// <summary>
    /// The shortest way from the middle of what is wide to each ball, from ball to ball that overlap, since between their middles it lies
    /// within them, and to the balls before and after, however small.
    /// </summary>
    private double[] FromWide(List<TouchingBall> balls)
    {
        var wide = Near(balls.ConvertAll(b => b.Centre));
        var ways = new double[balls.Count];
        for (var i = 0; i < balls.Count; i++)
        {
            var near =
                balls[i].Radius > Point
                    ? wide.Select(w => w.To(balls[i].Centre)).DefaultIfEmpty(double.PositiveInfinity).Min()
                    : double.PositiveInfinity;
            ways[i] = near < (Limit / 2) + balls[i].Radius ? near : double.PositiveInfinity;
        }

        var done = new bool[balls.Count];
        while (true)
        {
            var next = -1;
            for (var i = 0; i < balls.Count; i++)
            {
                next = !done[i] && double.IsFinite(ways[i]) && (next < 0 || ways[i] < ways[next]) ? i : next;
            }

            if (next < 0)
            {
                return ways;
            }

            done[next] = true;
            for (var i = 0; i < balls.Count; i++)
            {
                var away = balls[i].Centre.To(balls[next].Centre);
                if (!done[i] && (Math.Abs(i - next) == 1 || away < balls[i].Radius + balls[next].Radius))
                {
                    ways[i] = Math.Min(ways[i], ways[next] + away);
                }
            }
        }
    }

    /// <summary>How sure it is that a ball lies between the two sides of a stroke.</summary>
    private enum Sides
    {
        /// <summary>From side to side the boundary goes a long way.</summary>
        Far,

        /// <summary>It goes some widths, as round the end of a short stroke.</summary>
        Near,

        /// <summary>They are the sides of a corner.</summary>
        None,
    }

    /// <summary>A ball at a place of a stretch.</summary>
    private sealed record Sample(NarrowStretch Of, int At, TouchingBall Ball);

    private Sides SideOf(Sample sample)
    {
        var ball = sample.Ball;
        if (!IsStroke(ball) || ball.On < 0)
        {
            return Sides.None;
        }

        var (walk, across) = (sample.Of.Walk, disc.Grid.Segments[ball.On]);
        if (across.Ring != walk.Ring)
        {
            return Sides.Far;
        }

        var ring = disc.Grid.RingLengths[walk.Ring];
        var way = Math.Abs(across.Start + across.A.To(ball.Across) - (walk.Along(sample.Of.Places[sample.At]) % ring));
        way = Math.Min(Math.Abs(way), Math.Abs(ring - way));
        return way <= WidthSample.LeastAround * 2 * ball.Radius ? Sides.None
            : way <= 4 * Limit ? Sides.Near
            : Sides.Far;
    }

    private static bool IsStroke(TouchingBall ball) => ball.Facing > WidthSample.FacingSides && ball.Radius > Point;

    /// <summary>Where the disc fits, near to some places.</summary>
    private List<PlanePoint> Near(List<PlanePoint> places) => disc.FitsWithin(Box.AroundPoints(places).Grown(Limit));

    /// <summary>The place farthest from what is wide: the middle between two gates, or one of others.</summary>
    private static PlanePoint Uncovered(List<PlanePoint> gates, List<PlanePoint> others, Func<PlanePoint, double> away) =>
        (from i in Enumerable.Range(0, gates.Count) from j in Enumerable.Range(0, i) select gates[i].Towards(gates[j], 0.5))
            .Concat(others)
            .MaxBy(away);

    /// <summary>The least ball between the places before and after one, by golden section.</summary>
    private TouchingBall Refined(Sample sample)
    {
        var (stretch, at, ball) = sample;
        var golden = (Math.Sqrt(5) - 1) / 2;
        var (low, high) = (
            at > 0 ? stretch.Places[at - 1] : stretch.Places[at],
            at < stretch.Places.Count - 1 ? stretch.Places[at + 1] : stretch.Places[at]
        );
        TouchingBall Try(double u)
        {
            var there = disc.BallAt(stretch.Walk, u);
            ball = IsStroke(there) && there.Radius < ball.Radius ? there : ball;
            return there;
        }

        var (a, b) = (high - (golden * (high - low)), low + (golden * (high - low)));
        var (atA, atB) = (Try(a), Try(b));
        for (var i = 0; i < Refinings && high > low; i++)
        {
            if (atA.Radius <= atB.Radius)
            {
                (high, b, atB) = (b, a, atA);
                a = high - (golden * (high - low));
                atA = Try(a);
            }
            else
            {
                (low, a, atA) = (a, b, atB);
                b = low + (golden * (high - low));
                atB = Try(b);
            }
        }

        return ball;
    }

    /// <summary>The longest extent of what the stretches bound.</summary>
    private static double Extent(List<NarrowStretch> bounds)
    {
        var points = bounds.SelectMany(b => b.Places.Select(u => b.Walk.Place(u).At.ToCoordinate())).ToArray();
        var hull = Outlines.Factory.CreateMultiPointFromCoords(points).ConvexHull().Coordinates;
        var longest = 0.0;
        for (var i = 0; i < hull.Length; i++)
        {
            for (var j = i + 1; j < hull.Length; j++)
            {
                longest = Math.Max(longest, hull[i].Distance(hull[j]));
            }
        }

        return longest;
    }
}
