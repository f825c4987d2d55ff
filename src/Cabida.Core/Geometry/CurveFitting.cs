using NetTopologySuite.Geometries;

namespace Cabida.Core.Geometry;

/// <summary>
/// Fits lines and cubic Béziers to a flattened ring, for files and drawings: within the given tolerance of every
/// vertex and the box of the ring, corners kept sharp, and in as few as can be. Cubics are fitted by least squares with reparameterization
/// (Schneider, Graphics Gems 1990).
/// </summary>
public static class CurveFitting
{
    /// <summary>A vertex that turns more than this was a corner at its source, since curves turn by 5° at most.</summary>
    private const double CornerTurn = 14 * Math.PI / 180;

    private const int MostRounds = 6;

    /// <summary>A cubic that turns by more than this follows no outline of ink; radians.</summary>
    private const double MostTurn = 200 * Math.PI / 180;

    /// <summary>For drawings a cubic turns by so much at most, in radians, and follows no more edges than this.</summary>
    private const double DrawnTurn = 50 * Math.PI / 180;

    private const int DrawnEdges = 32;

    /// <summary>Standing out less than this is none; millimetres.</summary>
    private const double Beyond = 0.0002;

    /// <summary>Along an edge a cubic is looked at so often, in millimetres, and no oftener than so many times.</summary>
    private const double LookedAt = 0.5;
    private const int MostLooks = 24;

    /// <summary>Where its handles move a cubic by less than this share, they are not moved by more for it.</summary>
    private const double LeastShare = 0.2;

    /// <summary>The ring as a contour of lines and cubics, for files that are cut: in as few as can be.</summary>
    /// <param name="ring">A closed ring; millimetres.</param>
    /// <param name="tolerance">The greatest distance of the result from the ring.</param>
    public static Contour Fit(LineString ring, double tolerance) => Fitted(ring, tolerance, FitRun);

    /// <summary>The ring as a contour of lines and cubics, for drawings: in more than are needed, and quickly.</summary>
    /// <param name="ring">A closed ring; millimetres.</param>
    /// <param name="tolerance">The greatest distance of the result from the ring.</param>
    public static Contour Drawn(LineString ring, double tolerance) => Fitted(ring, tolerance, DrawRun);

    private static Contour Fitted(LineString ring, double tolerance, Action<Run, double, List<CurveSegment>> fit)
    {
        ArgumentNullException.ThrowIfNull(ring);
        var within = Box.Of(ring) ?? throw new ArgumentException("A ring has points.", nameof(ring));
        var points = ring.Coordinates.Take(ring.NumPoints - 1).Select(c => new PlanePoint(c.X, c.Y)).ToList();
        var knots = Enumerable.Range(0, points.Count).Where(i => IsKnot(points, i, tolerance)).ToList();
        if (knots.Count == 0)
        {
            knots = [0, points.Count / 2];
        }
        else if (knots.Count == 1)
        {
            knots = [.. new[] { knots[0], (knots[0] + (points.Count / 2)) % points.Count }.Order()];
        }

        var segments = new List<CurveSegment>();
        for (var k = 0; k < knots.Count; k++)
        {
            var (from, to) = (knots[k], knots[(k + 1) % knots.Count]);
            var count = ((to - from + points.Count) % points.Count) + 1;
            var run = Enumerable.Range(0, count).Select(i => points[(from + i) % points.Count]).ToList();
            fit(new Run(run, Tangent(points, from, 1, within), Tangent(points, to, -1, within), within), tolerance, segments);
        }

        return new Contour(points[knots[0]], segments);
    }

    private static bool IsKnot(List<PlanePoint> points, int i, double tolerance)
    {
        var n = points.Count;
        var (before, at, after) = (points[(i + n - 1) % n], points[i], points[(i + 1) % n]);
        var turn = TurnAt(points, i);
        // A corner at the other end says nothing of how the edge bends.
        double Bends(int other) => turn + (TurnAt(points, other) is var there && there <= CornerTurn ? there : turn);
        // An edge too long to be a chord of the curve that its ends' turning would make is a straight line.
        return turn > CornerTurn
            || before.To(at) * Bends((i + n - 1) % n) / 16 > tolerance
            || at.To(after) * Bends((i + 1) % n) / 16 > tolerance;
    }

    private static double TurnAt(List<PlanePoint> points, int i)
    {
        var n = points.Count;
        var (a, b, c) = (points[(i + n - 1) % n], points[i], points[(i + 1) % n]);
        double ux = b.X - a.X,
            uy = b.Y - a.Y,
            vx = c.X - b.X,
            vy = c.Y - b.Y;
        return Math.Abs(Math.Atan2((ux * vy) - (uy * vx), (ux * vx) + (uy * vy)));
    }

    /// <summary>
    /// The direction leaving knot <paramref name="i"/>; at a smooth knot both runs share it, so that none is made a corner.
    /// </summary>
    private static PlanePoint Tangent(List<PlanePoint> points, int i, int way, Box within)
    {
        var n = points.Count;
        var (before, at, after) = (points[(i + n - 1) % n], points[i], points[(i + 1) % n]);
        if (TurnAt(points, i) > CornerTurn)
        {
            return way > 0 ? Direction(at, after) : Direction(at, before);
        }

        // At a smooth knot beside a straight edge the edge gives the direction.
        double a = before.To(at),
            b = at.To(after);
        var d =
            a > 4 * b ? Direction(before, at)
            : b > 4 * a ? Direction(at, after)
            : Along(OnCircle(before, at, after), at, within);
        return way > 0 ? d : new PlanePoint(-d.X, -d.Y);
    }

    private static PlanePoint Direction(PlanePoint a, PlanePoint b)
    {
        var l = Math.Max(a.To(b), 1e-12);
        return new PlanePoint((b.X - a.X) / l, (b.Y - a.Y) / l);
    }

    /// <summary>A run of a ring between two knots.</summary>
    /// <param name="Points">Its vertices.</param>
    /// <param name="Start">The direction that leaves its first one.</param>
    /// <param name="End">The direction that leaves its last one, backwards.</param>
    /// <param name="Within">The box of the ring.</param>
    private sealed record Run(List<PlanePoint> Points, PlanePoint Start, PlanePoint End, Box Within)
    {
        public int Last => Points.Count - 1;

        /// <summary>The direction of the run at a vertex.</summary>
        public PlanePoint Way(int i) =>
            i == 0 ? Start
            : i == Last ? new PlanePoint(-End.X, -End.Y)
            : Along(OnCircle(Points[i - 1], Points[i], Points[i + 1]), Points[i], Within);

        /// <summary>How far it turns up to each vertex, whichever way; radians.</summary>
        public double[] Turned()
        {
            var turned = new double[Points.Count];
            for (var i = 1; i < turned.Length; i++)
            {
                turned[i] = turned[i - 1] + (i < Last ? TurnAt(Points, i) : 0);
            }

            return turned;
        }
    }

    /// <summary>
    /// A run in as few curves as can be: from where one ends the next follows the longest stretch that one can, with the directions that
    /// the run has where they meet.
    /// </summary>
    private static void FitRun(Run run, double tolerance, List<CurveSegment> into)
    {
        var (turned, usual) = (run.Turned(), 1);
        for (var from = 0; from < run.Last; )
        {
            var (reach, found) = (1, (CurveSegment)new LineSegmentTo(run.Points[from + 1]));
            bool Reaches(int count)
            {
                if (
                    count == 1
                    || turned[from + count - 1] - turned[from] > MostTurn
                    || Followed(run, from, from + count, tolerance) is not { } cubic
                )
                {
                    return count == 1;
                }

                (reach, found) = (count, cubic);
                return true;
            }

            var left = run.Last - from;
            if (!Reaches(left))
            {
                // About as far as the one before, and from there on or back.
                var step = Math.Min(usual, left - 1);
                while (step > 1 && !Reaches(step))
                {
                    step /= 2;
                }

                for (step = Math.Max(1, step); reach + step < left && Reaches(reach + step); step *= 2) { }
                for (; step > 0; step /= 2)
                {
                    if (reach + step < left)
                    {
                        Reaches(reach + step);
                    }
                }
            }

            into.Add(found);
            from += reach;
            usual = reach;
        }
    }

    /// <summary>A run in short curves, each tried on a few edges and on half as many where it does not follow them.</summary>
    private static void DrawRun(Run run, double tolerance, List<CurveSegment> into)
    {
        var turned = run.Turned();
        for (var from = 0; from < run.Last; )
        {
            var (reach, found) = (1, default(CubicTo));
            while (reach < Math.Min(DrawnEdges, run.Last - from) && turned[from + reach] - turned[from] < DrawnTurn)
            {
                reach++;
            }

            for (; reach > 1 && (found = Followed(run, from, from + reach, tolerance, rounds: 0)) is null; reach /= 2) { }
            into.Add(found ?? (CurveSegment)new LineSegmentTo(run.Points[from + 1]));
            from += reach;
        }
    }

    /// <summary>The direction at the middle of three vertices: that of the circle through them.</summary>
    private static PlanePoint OnCircle(PlanePoint before, PlanePoint at, PlanePoint after)
    {
        double a = before.To(at),
            b = at.To(after);
        return Direction(
            new PlanePoint(0, 0),
            new PlanePoint(
                ((at.X - before.X) * b / a) + ((after.X - at.X) * a / b),
                ((at.Y - before.Y) * b / a) + ((after.Y - at.Y) * a / b)
            )
        );
    }

    /// <summary>One cubic along a stretch; null where none keeps within the tolerance.</summary>
    private static CubicTo? Followed(Run run, int from, int to, double tolerance, int rounds = MostRounds)
    {
        var (stretch, start, end) = (run.Points.GetRange(from, to - from + 1), run.Way(from), run.Way(to));
        var at = ChordLengths(stretch);
        var before = double.PositiveInfinity;
        for (var round = 0; ; round++)
        {
            var (cubic, beyond) = KeptIn(run.Within, stretch[0], LeastSquares(stretch, at, start, new PlanePoint(-end.X, -end.Y)));
            var worst = AtVertices(stretch, at, cubic);
            if (worst <= tolerance && beyond <= SoundCurves.Beyond / 2)
            {
                worst = Math.Max(worst, BetweenVertices(stretch, at, cubic));
                if (worst <= tolerance)
                {
                    return cubic;
                }
            }

            // Where each round brings as much as the last, those that are left do not bring enough.
            if (round == rounds || worst > 16 * tolerance || worst * Math.Pow(worst / before, rounds - round) > tolerance)
            {
                return null;
            }

            before = worst;

            Reparameterize(stretch, at, cubic);
        }
    }

    /// <summary>A cubic drawn back to within a box that its ends lie in, by its handles; with how far it stands out all the same.</summary>
    private static (CubicTo Cubic, double Beyond) KeptIn(Box box, PlanePoint from, CubicTo cubic)
    {
        for (var round = 0; ; round++)
        {
            // A cubic lies among its handles.
            if (box.DistanceTo(cubic.Control1) == 0 && box.DistanceTo(cubic.Control2) == 0)
            {
                return (cubic, 0);
            }

            var (x, y, beyond) = (0.0, 0.0, 0.0);
            foreach (
                var t in Extremes(from.X, cubic.Control1.X, cubic.Control2.X, cubic.End.X)
                    .Concat(Extremes(from.Y, cubic.Control1.Y, cubic.Control2.Y, cubic.End.Y))
            )
            {
                var p = Point(from, cubic, t);
                beyond = Math.Max(beyond, box.DistanceTo(p));
                // There the curve moves by as much of what both its handles do; near its ends by next to nothing.
                var share = Math.Max(LeastShare, 3 * t * (1 - t));
                (x, y) = (Further(x, p.X, box.MinX, box.MaxX, share), Further(y, p.Y, box.MinY, box.MaxY, share));
            }

            if ((x == 0 && y == 0) || round == MostRounds)
            {
                return (cubic, beyond);
            }

            PlanePoint Moved(PlanePoint p) => new(p.X + x, p.Y + y);
            cubic = new CubicTo(Moved(cubic.Control1), Moved(cubic.Control2), cubic.End);
        }
    }

    /// <summary>Where a cubic in one coordinate turns back, between its ends.</summary>
    private static IEnumerable<double> Extremes(double p0, double p1, double p2, double p3)
    {
        // Its derivative over three: a t² + 2 b t + c.
        var (a, b, c) = (p3 - (3 * p2) + (3 * p1) - p0, p2 - (2 * p1) + p0, p1 - p0);
        var square = (b * b) - (a * c);
        if (square < 0)
        {
            return [];
        }

        // The larger root of the two in size, and the other by their product: neither is lost where a is next to nothing.
        var q = -(b + Math.CopySign(Math.Sqrt(square), b));
        return new[] { a == 0 ? -1 : q / a, q == 0 ? -1 : c / q }.Where(t => t is > 0 and < 1);
    }

    /// <summary>What brings a place back between two ends, or what another needed where that is more.</summary>
    private static double Further(double by, double at, double least, double most, double share)
    {
        var back = Math.Clamp(at, least, most) - at;
        return Math.Abs(back) > Beyond && Math.Abs(back / share) > Math.Abs(by) ? back / share : by;
    }

    /// <summary>At the edge of a box that it stays in, a curve runs along that edge.</summary>
    private static PlanePoint Along(PlanePoint way, PlanePoint at, Box box) =>
        Math.Min(at.X - box.MinX, box.MaxX - at.X) < Beyond && Math.Abs(way.Y) > Math.Abs(way.X) ? new(0, Math.Sign(way.Y))
        : Math.Min(at.Y - box.MinY, box.MaxY - at.Y) < Beyond && Math.Abs(way.X) > Math.Abs(way.Y) ? new(Math.Sign(way.X), 0)
        : way;

    private static double[] ChordLengths(List<PlanePoint> run)
    {
        var at = new double[run.Count];
        for (var i = 1; i < run.Count; i++)
        {
            at[i] = at[i - 1] + run[i - 1].To(run[i]);
        }

        return [.. at.Select(a => a / at[^1])];
    }

    private static CubicTo LeastSquares(List<PlanePoint> run, double[] at, PlanePoint start, PlanePoint end)
    {
        var (p0, p3) = (run[0], run[^1]);
        double c00 = 0,
            c01 = 0,
            c11 = 0,
            x0 = 0,
            x1 = 0;
        for (var i = 0; i < run.Count; i++)
        {
            double t = at[i],
                s = 1 - t,
                b0 = s * s * s,
                b1 = 3 * t * s * s,
                b2 = 3 * t * t * s,
                b3 = t * t * t;
            var a0 = new PlanePoint(start.X * b1, start.Y * b1);
            var a1 = new PlanePoint(end.X * b2, end.Y * b2);
            c00 += (a0.X * a0.X) + (a0.Y * a0.Y);
            c01 += (a0.X * a1.X) + (a0.Y * a1.Y);
            c11 += (a1.X * a1.X) + (a1.Y * a1.Y);
            double dx = run[i].X - (p0.X * (b0 + b1)) - (p3.X * (b2 + b3)),
                dy = run[i].Y - (p0.Y * (b0 + b1)) - (p3.Y * (b2 + b3));
            x0 += (a0.X * dx) + (a0.Y * dy);
            x1 += (a1.X * dx) + (a1.Y * dy);
        }

        var det = (c00 * c11) - (c01 * c01);
        var third = p0.To(p3) / 3;
        double l0 = third,
            l1 = third;
        if (Math.Abs(det) > 1e-14)
        {
            (l0, l1) = (((x0 * c11) - (x1 * c01)) / det, ((c00 * x1) - (c01 * x0)) / det);
            if (l0 < 1e-3 * third || l1 < 1e-3 * third || l0 > 12 * third || l1 > 12 * third)
            {
                (l0, l1) = (third, third);
            }
        }

        return new CubicTo(
            new PlanePoint(p0.X + (l0 * start.X), p0.Y + (l0 * start.Y)),
            new PlanePoint(p3.X + (l1 * end.X), p3.Y + (l1 * end.Y)),
            p3
        );
    }

    private static double AtVertices(List<PlanePoint> run, double[] at, CubicTo cubic)
    {
        var worst = 0.0;
        for (var i = 1; i < run.Count - 1; i++)
        {
            worst = Math.Max(worst, Point(run[0], cubic, at[i]).To(run[i]));
        }

        return worst;
    }

    /// <summary>How far the curve leaves the edges between vertices, as it may along an edge that it meets well at both ends.</summary>
    private static double BetweenVertices(List<PlanePoint> run, double[] at, CubicTo cubic)
    {
        var worst = 0.0;
        for (var i = 0; i < run.Count - 1; i++)
        {
            var parts = Math.Clamp((int)Math.Ceiling(run[i].To(run[i + 1]) / LookedAt), 2, MostLooks);
            for (var part = 1; part < parts; part++)
            {
                var t = at[i] + ((at[i + 1] - at[i]) * part / parts);
                worst = Math.Max(worst, ToEdge(Point(run[0], cubic, t), run[i], run[i + 1]));
            }
        }

        return worst;
    }

    private static double ToEdge(PlanePoint p, PlanePoint a, PlanePoint b)
    {
        double dx = b.X - a.X,
            dy = b.Y - a.Y;
        var share = Math.Clamp((((p.X - a.X) * dx) + ((p.Y - a.Y) * dy)) / Math.Max((dx * dx) + (dy * dy), 1e-18), 0, 1);
        return p.To(a.Towards(b, share));
    }

    private static void Reparameterize(List<PlanePoint> run, double[] at, CubicTo c)
    {
        var p0 = run[0];
        for (var i = 1; i < run.Count - 1; i++)
        {
            double t = at[i],
                s = 1 - t;
            var q = Point(p0, c, t);
            double d1x =
                3 * ((s * s * (c.Control1.X - p0.X)) + (2 * s * t * (c.Control2.X - c.Control1.X)) + (t * t * (c.End.X - c.Control2.X)));
            double d1y =
                3 * ((s * s * (c.Control1.Y - p0.Y)) + (2 * s * t * (c.Control2.Y - c.Control1.Y)) + (t * t * (c.End.Y - c.Control2.Y)));
            double d2x = 6 * ((s * (c.Control2.X - (2 * c.Control1.X) + p0.X)) + (t * (c.End.X - (2 * c.Control2.X) + c.Control1.X)));
            double d2y = 6 * ((s * (c.Control2.Y - (2 * c.Control1.Y) + p0.Y)) + (t * (c.End.Y - (2 * c.Control2.Y) + c.Control1.Y)));
            double ex = q.X - run[i].X,
                ey = q.Y - run[i].Y;
            var slope = (d1x * d1x) + (d1y * d1y) + (ex * d2x) + (ey * d2y);
            if (Math.Abs(slope) > 1e-14)
            {
                at[i] = Math.Clamp(t - (((ex * d1x) + (ey * d1y)) / slope), 0, 1);
            }
        }
    }

    private static PlanePoint Point(PlanePoint p0, CubicTo c, double t)
    {
        double s = 1 - t,
            b0 = s * s * s,
            b1 = 3 * t * s * s,
            b2 = 3 * t * t * s,
            b3 = t * t * t;
        return new PlanePoint(
            (b0 * p0.X) + (b1 * c.Control1.X) + (b2 * c.Control2.X) + (b3 * c.End.X),
            (b0 * p0.Y) + (b1 * c.Control1.Y) + (b2 * c.Control2.Y) + (b3 * c.End.Y)
        );
    }
}
