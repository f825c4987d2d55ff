using Cabida.Core.Geometry;

namespace Cabida.Core.Tracing;

/// <summary>
/// The mark at the loading corner of a carrier: an angle of two bars that meet in the lower left corner of what the cutter reaches. A scan
/// of a carrier tells by it where what lies there lies.
/// </summary>
/// <param name="Corner">Where the outer edges of its bars meet; millimetres on the paper.</param>
/// <param name="Turned">How far it is turned on the paper, counterclockwise.</param>
public sealed record CornerMark(PlanePoint Corner, Measures.Angle Turned)
{
    /// <summary>How long its bars are, from the corner; millimetres.</summary>
    public const double Arm = 40;

    /// <summary>How wide they are; millimetres.</summary>
    public const double Width = 5;

    private const double OffLength = 1.5;
    private const double OffWidth = 1;
    private const double OffRight = 2;

    /// <summary>Rounded off by a scan, a corner is this near to its edges.</summary>
    private const double Rounded = 0.8;

    /// <summary>Its corners in order: the corner, along one bar and back to where the bars meet inside, along the other.</summary>
    public static IReadOnlyList<PlanePoint> Outline { get; } =
    [new(0, 0), new(Arm, 0), new(Arm, Width), new(Width, Width), new(Width, Arm), new(0, Arm)];

    /// <summary>The mark that a ring is; null where it is none.</summary>
    /// <param name="ring">Its points, the first not repeated; millimetres.</param>
    public static CornerMark? Of(IReadOnlyList<PlanePoint> ring)
    {
        ArgumentNullException.ThrowIfNull(ring);
        if (ring.Count < 6 || Outlines.Ring(ring) is not { IsValid: true } polygon)
        {
            return null;
        }

        var shell = NetTopologySuite.Simplify.DouglasPeuckerSimplifier.Simplify(polygon, Rounded);
        if (shell is not NetTopologySuite.Geometries.Polygon { NumInteriorRings: 0, NumPoints: 7 } six)
        {
            return null;
        }

        var isLeft = NetTopologySuite.Algorithm.Orientation.IsCCW(six.Shell.CoordinateSequence);
        var at = (isLeft ? six.Shell.Coordinates : six.Shell.Coordinates.Reverse()).Take(6).Select(c => new PlanePoint(c.X, c.Y)).ToList();
        // Of its six corners one points inwards: the one across from the outer corner.
        var inner = Enumerable.Range(0, 6).Where(i => Turn(at[(i + 5) % 6], at[i], at[(i + 1) % 6]) < 0).ToList();
        if (inner.Count != 1)
        {
            return null;
        }

        PlanePoint At(int from) => at[(inner[0] + 3 + from) % 6];
        if (
            Math.Abs(At(0).To(At(1)) - Arm) > OffLength
            || Math.Abs(At(0).To(At(5)) - Arm) > OffLength
            || Math.Abs(At(1).To(At(2)) - Width) > OffWidth
            || Math.Abs(At(5).To(At(4)) - Width) > OffWidth
        )
        {
            return null;
        }

        // The two outer edges as the lines that lie nearest to all that was seen of them, but for their ends.
        var (foot, side) = (Fitted(ring, At(0), At(1)), Fitted(ring, At(0), At(5)));
        var right = (side.Direction - foot.Direction) * 180 / Math.PI;
        return Math.Abs(Normal(right - 90)) > OffRight
            ? null
            : new CornerMark(Meeting(foot, side), Measures.Angle.FromDegrees(foot.Direction * 180 / Math.PI + (Normal(right - 90) / 2)));
    }

    /// <summary>A place on the paper as it lies from the corner, along the bars.</summary>
    public PlanePoint FromCorner(PlanePoint onPaper)
    {
        var turn = Turned.Degrees * Math.PI / 180;
        var (x, y) = (onPaper.X - Corner.X, onPaper.Y - Corner.Y);
        return new((x * Math.Cos(turn)) + (y * Math.Sin(turn)), (y * Math.Cos(turn)) - (x * Math.Sin(turn)));
    }

    private static double Normal(double degrees) => Math.IEEERemainder(degrees, 360);

    private static double Turn(PlanePoint a, PlanePoint b, PlanePoint c) => ((b.X - a.X) * (c.Y - b.Y)) - ((b.Y - a.Y) * (c.X - b.X));

    /// <summary>The line of least squared distances (total least squares) to points along an edge.</summary>
    private static (PlanePoint Middle, double Direction) Fitted(IReadOnlyList<PlanePoint> ring, PlanePoint from, PlanePoint to)
    {
        const double step = 0.25;
        const double ends = 0.1;
        var points = new List<PlanePoint>();
        for (var i = 0; i < ring.Count; i++)
        {
            var (a, b) = (ring[i], ring[(i + 1) % ring.Count]);
            var parts = Math.Max(1, (int)(a.To(b) / step));
            points.AddRange(Enumerable.Range(0, parts).Select(k => a.Towards(b, (double)k / parts)));
        }

        var (length, dx, dy) = (from.To(to), to.X - from.X, to.Y - from.Y);
        var near = points
            .Where(p =>
            {
                var along = (((p.X - from.X) * dx) + ((p.Y - from.Y) * dy)) / (length * length);
                return along is > ends and < 1 - ends && Math.Abs(((p.Y - from.Y) * dx) - ((p.X - from.X) * dy)) / length < Rounded;
            })
            .ToList();
        var middle = near.Count > 0 ? new PlanePoint(near.Average(p => p.X), near.Average(p => p.Y)) : from.Towards(to, 0.5);
        double sxx = 0,
            syy = 0,
            sxy = 0;
        foreach (var p in near)
        {
            var (x, y) = (p.X - middle.X, p.Y - middle.Y);
            (sxx, syy, sxy) = (sxx + (x * x), syy + (y * y), sxy + (x * y));
        }

        var direction = near.Count > 1 ? Math.Atan2(2 * sxy, sxx - syy) / 2 : Math.Atan2(dy, dx);
        return (middle, (Math.Cos(direction) * dx) + (Math.Sin(direction) * dy) < 0 ? direction + Math.PI : direction);
    }

    private static PlanePoint Meeting((PlanePoint Middle, double Direction) a, (PlanePoint Middle, double Direction) b)
    {
        var (ax, ay, bx, by) = (Math.Cos(a.Direction), Math.Sin(a.Direction), Math.Cos(b.Direction), Math.Sin(b.Direction));
        var along = (((b.Middle.X - a.Middle.X) * by) - ((b.Middle.Y - a.Middle.Y) * bx)) / ((ax * by) - (ay * bx));
        return new(a.Middle.X + (along * ax), a.Middle.Y + (along * ay));
    }
}
