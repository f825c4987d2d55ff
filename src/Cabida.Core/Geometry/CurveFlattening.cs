namespace Cabida.Core.Geometry;

/// <summary>
/// Flattens curves by halving: a stretch is kept when its control polygon lies within the chord error and turns by
/// no more than the allowed angle. The chord error of a Bézier curve is bounded by its control polygon's distance
/// from the chord times 3/4 (cubic) or 1/2 (quadratic).
/// </summary>
public static class CurveFlattening
{
    private const int DeepestHalving = 12;

    /// <summary>The vertices of a contour, without repeating the first at the end.</summary>
    /// <param name="contour">The contour.</param>
    /// <param name="chordError">The greatest distance of the curve from its chords, in the contour's units.</param>
    /// <param name="turn">The greatest turn of one stretch, in radians; not enforced on stretches shorter than four chord errors.</param>
    public static List<PlanePoint> Flatten(Contour contour, double chordError, double turn)
    {
        ArgumentNullException.ThrowIfNull(contour);
        var points = new List<PlanePoint> { contour.Start };
        var at = contour.Start;
        foreach (var segment in contour.Segments)
        {
            switch (segment)
            {
                case QuadraticTo q:
                    Halve(at, at.Towards(q.Control, 2.0 / 3), q.End.Towards(q.Control, 2.0 / 3), q.End, 0);
                    break;
                case CubicTo c:
                    Halve(at, c.Control1, c.Control2, c.End, 0);
                    break;
                default:
                    Add(segment.End);
                    break;
            }

            at = segment.End;
        }

        if (points.Count > 1 && points[^1] == points[0])
        {
            points.RemoveAt(points.Count - 1);
        }

        return points;

        void Add(PlanePoint p)
        {
            if (p != points[^1])
            {
                points.Add(p);
            }
        }

        void Halve(PlanePoint a, PlanePoint b, PlanePoint c, PlanePoint d, int depth)
        {
            var bow = 0.75 * Math.Max(DistanceToChord(b, a, d), DistanceToChord(c, a, d));
            var turns = Turn(a, b, c, d);
            if (depth == DeepestHalving || (bow <= chordError && (turns <= turn || a.To(d) < 4 * chordError)))
            {
                Add(d);
                return;
            }

            var ab = a.Towards(b, 0.5);
            var bc = b.Towards(c, 0.5);
            var cd = c.Towards(d, 0.5);
            var abc = ab.Towards(bc, 0.5);
            var bcd = bc.Towards(cd, 0.5);
            var mid = abc.Towards(bcd, 0.5);
            Halve(a, ab, abc, mid, depth + 1);
            Halve(mid, bcd, cd, d, depth + 1);
        }
    }

    private static double DistanceToChord(PlanePoint p, PlanePoint a, PlanePoint d)
    {
        var length = a.To(d);
        return length < 1e-12 ? p.To(a) : Math.Abs(((d.X - a.X) * (p.Y - a.Y)) - ((d.Y - a.Y) * (p.X - a.X))) / length;
    }

    private static double Turn(PlanePoint a, PlanePoint b, PlanePoint c, PlanePoint d) => Between(a, b, b, c) + Between(b, c, c, d);

    private static double Between(PlanePoint a, PlanePoint b, PlanePoint c, PlanePoint d)
    {
        double ux = b.X - a.X,
            uy = b.Y - a.Y,
            vx = d.X - c.X,
            vy = d.Y - c.Y;
        return Math.Abs(Math.Atan2((ux * vy) - (uy * vx), (ux * vx) + (uy * vy)));
    }
}
