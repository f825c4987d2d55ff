using Cabida.Core.Geometry;

namespace Cabida.Core.Cutting;

/// <summary>A corner of a line of straight lines and arcs.</summary>
/// <param name="At">Where it is.</param>
/// <param name="Bulge">
/// The tangent of a quarter of the arc's angle to the next corner: 0 for a straight line, positive where the arc turns to the left.
/// </param>
public readonly record struct ArcCorner(PlanePoint At, double Bulge);

/// <summary>
/// Lines and arcs for curves, for files that know no others: each cubic becomes pairs of arcs that meet smoothly (biarcs; Bolton 1975) and
/// keep its directions at both ends, halved until they lie within a tolerance.
/// </summary>
public static class ArcPath
{
    private const int MostHalvings = 12;
    private const int Looked = 12;

    /// <summary>
    /// Arcs turn by a quarter at most, so that what lies between the places looked at cannot stray: tan(π/8), rounded up.
    /// </summary>
    private const double MostBulge = 0.4143;

    /// <summary>Flatter arcs are straight: they lie within a thousandth of a millimetre of their chord.</summary>
    private const double Straight = 1e-3;

    /// <summary>The corners of a contour; of a closed one the last leads back to the first.</summary>
    /// <param name="contour">The contour.</param>
    /// <param name="isClosed">Whether it is closed.</param>
    /// <param name="tolerance">How far arcs may lie from it; millimetres.</param>
    public static IReadOnlyList<ArcCorner> Of(Contour contour, bool isClosed, double tolerance)
    {
        ArgumentNullException.ThrowIfNull(contour);
        var corners = new List<ArcCorner>();
        var at = contour.Start;
        foreach (var segment in contour.Segments)
        {
            switch (segment)
            {
                case CubicTo c:
                    Add(corners, new Cubic(at, c.Control1, c.Control2, c.End), tolerance, MostHalvings);
                    break;
                case QuadraticTo q:
                    Add(
                        corners,
                        new Cubic(at, at.Towards(q.Control, 2.0 / 3), q.End.Towards(q.Control, 2.0 / 3), q.End),
                        tolerance,
                        MostHalvings
                    );
                    break;
                default:
                    corners.Add(new ArcCorner(at, 0));
                    break;
            }

            at = segment.End;
        }

        if (!isClosed || (corners.Count > 0 && at != corners[0].At && at.To(corners[0].At) > CutDrawing.Grid))
        {
            corners.Add(new ArcCorner(at, 0));
        }

        return corners;
    }

    private static void Add(List<ArcCorner> corners, Cubic curve, double tolerance, int halvings)
    {
        if (Biarc(curve) is { } arcs && arcs.All(a => Math.Abs(a.Bulge) < MostBulge) && Apart(curve, arcs) <= tolerance)
        {
            corners.AddRange(arcs.Select(a => new ArcCorner(a.From, a.Bulge)));
            return;
        }

        if (halvings == 0)
        {
            // What is so short is a line.
            corners.Add(new ArcCorner(curve.A, 0));
            return;
        }

        var (first, second) = curve.Halves();
        Add(corners, first, tolerance, halvings - 1);
        Add(corners, second, tolerance, halvings - 1);
    }

    /// <summary>Two arcs that begin and end as a curve does; one line where it is straight; null where none do.</summary>
    private static Arc[]? Biarc(Cubic curve)
    {
        var chord = curve.A.To(curve.D);
        if (chord < 1e-9)
        {
            return null;
        }

        if (curve.Flatness() < Straight)
        {
            return [new Arc(curve.A, curve.D, 0)];
        }

        if (curve.TangentAtStart() is not { } t1 || curve.TangentAtEnd() is not { } t2)
        {
            return null;
        }

        // Equal distances to where the arcs meet: d from (v·v − 2d v·(t1+t2) + 2d²(t1·t2 − 1) = 0), v from end to end.
        var (vx, vy) = (curve.D.X - curve.A.X, curve.D.Y - curve.A.Y);
        var (sx, sy) = (t1.X + t2.X, t1.Y + t2.Y);
        var (vs, dot) = ((vx * sx) + (vy * sy), (t1.X * t2.X) + (t1.Y * t2.Y));
        var a = 2 * (1 - dot);
        double d;
        if (a < 1e-9)
        {
            if (Math.Abs(vs) < 1e-12)
            {
                return null;
            }

            d = chord * chord / (2 * vs);
        }
        else
        {
            d = (-vs + Math.Sqrt((vs * vs) + (a * chord * chord))) / a;
        }

        if (!(d > 0) || d > 10 * chord)
        {
            return null;
        }

        var p = new PlanePoint(curve.A.X + (d * t1.X), curve.A.Y + (d * t1.Y));
        var q = new PlanePoint(curve.D.X - (d * t2.X), curve.D.Y - (d * t2.Y));
        var middle = p.Towards(q, 0.5);
        return [Arc.Of(curve.A, t1, middle), Arc.Of(middle, new PlanePoint((q.X - p.X) / p.To(q), (q.Y - p.Y) / p.To(q)), curve.D)];
    }

    /// <summary>How far a curve lies from arcs, at places along it.</summary>
    private static double Apart(Cubic curve, Arc[] arcs)
    {
        var most = 0.0;
        for (var i = 1; i < Looked; i++)
        {
            var at = curve.At((double)i / Looked);
            most = Math.Max(most, arcs.Min(a => a.DistanceTo(at)));
        }

        return most;
    }

    private readonly record struct Cubic(PlanePoint A, PlanePoint B, PlanePoint C, PlanePoint D)
    {
        public PlanePoint At(double t)
        {
            var s = 1 - t;
            var (a, b, c, d) = (s * s * s, 3 * s * s * t, 3 * s * t * t, t * t * t);
            return new((a * A.X) + (b * B.X) + (c * C.X) + (d * D.X), (a * A.Y) + (b * B.Y) + (c * C.Y) + (d * D.Y));
        }

        public (Cubic First, Cubic Second) Halves()
        {
            var (ab, bc, cd) = (A.Towards(B, 0.5), B.Towards(C, 0.5), C.Towards(D, 0.5));
            var (abc, bcd) = (ab.Towards(bc, 0.5), bc.Towards(cd, 0.5));
            var middle = abc.Towards(bcd, 0.5);
            return (new Cubic(A, ab, abc, middle), new Cubic(middle, bcd, cd, D));
        }

        public PlanePoint? TangentAtStart() => Direction(A, B) ?? Direction(A, C) ?? Direction(A, D);

        public PlanePoint? TangentAtEnd() => Direction(C, D) ?? Direction(B, D) ?? Direction(A, D);

        /// <summary>How far its control points lie from its chord.</summary>
        public double Flatness() => Math.Max(FromChord(B), FromChord(C));

        private double FromChord(PlanePoint p)
        {
            var (dx, dy) = (D.X - A.X, D.Y - A.Y);
            var t = Math.Clamp((((p.X - A.X) * dx) + ((p.Y - A.Y) * dy)) / ((dx * dx) + (dy * dy)), 0, 1);
            return p.To(A.Towards(D, t));
        }

        private static PlanePoint? Direction(PlanePoint from, PlanePoint to) =>
            from.To(to) is var length && length > 1e-9 ? new PlanePoint((to.X - from.X) / length, (to.Y - from.Y) / length) : null;
    }

    private readonly record struct Arc(PlanePoint From, PlanePoint To, double Bulge)
    {
        /// <summary>The arc from a point in a direction to another point: its angle is twice that between direction and chord.</summary>
        public static Arc Of(PlanePoint from, PlanePoint direction, PlanePoint to)
        {
            var (x, y) = (to.X - from.X, to.Y - from.Y);
            var half = Math.Atan2((direction.X * y) - (direction.Y * x), (direction.X * x) + (direction.Y * y));
            return new Arc(from, to, Math.Tan(half / 2));
        }

        /// <summary>The distance from a point near the arc to it.</summary>
        public double DistanceTo(PlanePoint p)
        {
            var chord = From.To(To);
            if (Math.Abs(Bulge) * chord / 2 < 1e-9)
            {
                var (dx, dy) = (To.X - From.X, To.Y - From.Y);
                var t = Math.Clamp((((p.X - From.X) * dx) + ((p.Y - From.Y) * dy)) / (chord * chord), 0, 1);
                return p.To(From.Towards(To, t));
            }

            var (centre, radius) = ArcPoints.Circle(From, To, Bulge);
            // Beyond its ends the nearer end counts.
            var side = ((To.X - From.X) * (p.Y - From.Y)) - ((To.Y - From.Y) * (p.X - From.X));
            var within = side * Bulge <= 0 || Math.Abs(side) / chord < 1e-6;
            return within ? Math.Abs(p.To(centre) - radius) : Math.Min(p.To(From), p.To(To));
        }
    }
}
