using Cabida.Core.Geometry;
using NetTopologySuite.Algorithm;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Waste;

/// <summary>A side from which waste is peeled.</summary>
public enum PeelSide
{
    /// <summary>From the left.</summary>
    Left,

    /// <summary>From the right.</summary>
    Right,

    /// <summary>From above.</summary>
    Above,

    /// <summary>From below.</summary>
    Below,
}

/// <summary>
/// How many free ends of strokes point to each side (calculations 3.10). A free end is where ink comes to an extreme in that direction and
/// stands out behind it for at least as far as it is wide, and no wider than a stroke: the side of an E is none, its arms are. Waste that
/// is pulled over a free end catches under it and lifts it.
/// </summary>
/// <param name="Left">Those that point to the left.</param>
/// <param name="Right">To the right.</param>
/// <param name="Above">Upwards.</param>
/// <param name="Below">Downwards.</param>
public sealed record PeelSides(int Left, int Right, int Above, int Below)
{
    /// <summary>What stands out less than this is no end, in millimetres.</summary>
    private const double Least = 0.5;

    /// <summary>Widths are looked at so often along what stands out.</summary>
    private const int Steps = 12;

    /// <summary>The side at which fewest point; of several the first in reading order from the left.</summary>
    public PeelSide Best => new[] { PeelSide.Left, PeelSide.Right, PeelSide.Above, PeelSide.Below }.MinBy(Of);

    /// <summary>Those of this and of other ink together.</summary>
    public PeelSides And(PeelSides other)
    {
        ArgumentNullException.ThrowIfNull(other);
        return new(Left + other.Left, Right + other.Right, Above + other.Above, Below + other.Below);
    }

    /// <summary>How many point to a side.</summary>
    public int Of(PeelSide side) =>
        side switch
        {
            PeelSide.Left => Left,
            PeelSide.Right => Right,
            PeelSide.Above => Above,
            _ => Below,
        };

    /// <summary>Counts the free ends of ink.</summary>
    public static PeelSides Of(Area ink)
    {
        // A stroke's width is about twice its area over its outline; an end is no wider than two of them.
        var rings = Outlines.PolygonsOf(ink).Select(p => (Points: Points(p.Shell), Widest: 4 * p.Area / p.Length)).ToList();
        int Ends(Func<PlanePoint, PlanePoint> turned) => rings.Sum(r => EndsUp([.. r.Points.Select(turned)], r.Widest));
        // Each turned so that its side is up; turning keeps the way round.
        return new PeelSides(
            Left: Ends(p => new(p.Y, -p.X)),
            Right: Ends(p => new(-p.Y, p.X)),
            Above: Ends(p => p),
            Below: Ends(p => new(-p.X, -p.Y))
        );
    }

    private static List<PlanePoint> Points(NetTopologySuite.Geometries.LinearRing ring)
    {
        var points = ring.Coordinates.SkipLast(1).Select(c => new PlanePoint(c.X, c.Y)).ToList();
        if (!Orientation.IsCCW(ring.CoordinateSequence))
        {
            points.Reverse();
        }

        return points;
    }

    /// <summary>Ends that point upwards, of a ring that runs to the left round.</summary>
    private static int EndsUp(List<PlanePoint> ring, double widest)
    {
        var ends = 0;
        for (var i = 0; i < ring.Count; i++)
        {
            ends += IsTop(ring, i) && StandsOut(ring, i, widest) ? 1 : 0;
        }

        return ends;
    }

    /// <summary>Whether a corner is an extreme upwards with ink beneath it; of a level stretch its first corner counts.</summary>
    private static bool IsTop(List<PlanePoint> ring, int at)
    {
        var (y, n) = (ring[at].Y, ring.Count);
        var (before, after) = ((at + n - 1) % n, (at + 1) % n);
        while (after != at && ring[after].Y == y)
        {
            after = (after + 1) % n;
        }

        // Round to the left, the outline of ink goes over a top from right to left.
        return ring[before].Y < y && ring[after].Y < y && Turn(ring[before], ring[at], ring[after]) > 0;
    }

    private static double Turn(PlanePoint a, PlanePoint b, PlanePoint c) => ((b.X - a.X) * (c.Y - b.Y)) - ((b.Y - a.Y) * (c.X - b.X));

    /// <summary>
    /// Whether what lies beneath a top reaches at least as far down as it is wide there, before something as high joins it.
    /// </summary>
    private static bool StandsOut(List<PlanePoint> ring, int top, double widest)
    {
        var (low, high) = (ring.Min(p => p.Y), ring[top].Y);
        var deepest = high - Math.Max(Saddle(ring, top, 1), Saddle(ring, top, -1));
        deepest = double.IsFinite(deepest) ? deepest : high - low;
        var wide = 0.0;
        // Closer at the top, where what is broad shows at once.
        for (var i = 0; deepest >= Least && i <= Steps && wide <= widest + Tolerances.Fit; i++)
        {
            var down = Least * Math.Pow(deepest / Least, (double)i / Steps);
            wide = Math.Max(wide, WidthAt(ring, top, high - down));
            if (wide <= Math.Min(down, widest) + Tolerances.Fit)
            {
                return true;
            }
        }

        return false;
    }

    /// <summary>The lowest that the outline comes to on its way to something higher; nothing where it comes to none.</summary>
    private static double Saddle(List<PlanePoint> ring, int top, int step)
    {
        var (low, n) = (double.PositiveInfinity, ring.Count);
        for (var k = 1; k < n; k++)
        {
            var p = ring[(((top + (k * step)) % n) + n) % n];
            if (p.Y > ring[top].Y)
            {
                return low;
            }

            low = Math.Min(low, p.Y);
        }

        return double.NegativeInfinity;
    }

    /// <summary>How far apart the outline first comes to a height on either side of a top.</summary>
    private static double WidthAt(List<PlanePoint> ring, int top, double y)
    {
        PlanePoint First(int step)
        {
            var n = ring.Count;
            for (var k = 0; k < n; k++)
            {
                var (a, b) = (ring[(((top + (k * step)) % n) + n) % n], ring[(((top + ((k + 1) * step)) % n) + n) % n]);
                if (b.Y <= y)
                {
                    return a.Y > y ? a.Towards(b, (a.Y - y) / (a.Y - b.Y)) : b;
                }
            }

            return ring[top];
        }

        return First(1).To(First(-1));
    }
}
