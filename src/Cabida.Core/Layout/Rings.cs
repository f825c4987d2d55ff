using Cabida.Core.Geometry;

namespace Cabida.Core.Layout;

/// <summary>Plain questions to closed rings, without the first point repeated, by the even-odd rule.</summary>
internal static class Rings
{
    /// <summary>Whether a point lies within (ray crossing; Shimrat 1962); on an edge either may come out.</summary>
    public static bool Hold(IReadOnlyList<PlanePoint[]> rings, PlanePoint at)
    {
        var inside = false;
        foreach (var ring in rings)
        {
            var a = ring[^1];
            foreach (var b in ring)
            {
                if (b.Y > at.Y != a.Y > at.Y && at.X < ((a.X - b.X) * (at.Y - b.Y) / (a.Y - b.Y)) + b.X)
                {
                    inside = !inside;
                }

                a = b;
            }
        }

        return inside;
    }

    /// <summary>The distance to the nearest edge: positive within, negative outside.</summary>
    public static double Depth(IReadOnlyList<PlanePoint[]> rings, PlanePoint at)
    {
        var nearest = double.MaxValue;
        foreach (var ring in rings)
        {
            var a = ring[^1];
            foreach (var b in ring)
            {
                nearest = Math.Min(nearest, SquaredToEdge(at, a, b));
                a = b;
            }
        }

        return Hold(rings, at) ? Math.Sqrt(nearest) : -Math.Sqrt(nearest);
    }

    /// <summary>Where a level line enters and leaves what they enclose, in order.</summary>
    public static List<double> Spans(IReadOnlyList<PlanePoint[]> rings, double y)
    {
        var crossings = new List<double>();
        foreach (var ring in rings)
        {
            var a = ring[^1];
            foreach (var b in ring)
            {
                if (a.Y > y != b.Y > y)
                {
                    crossings.Add(a.X + ((b.X - a.X) * (y - a.Y) / (b.Y - a.Y)));
                }

                a = b;
            }
        }

        crossings.Sort();
        return crossings;
    }

    private static double SquaredToEdge(PlanePoint p, PlanePoint a, PlanePoint b)
    {
        var (dx, dy) = (b.X - a.X, b.Y - a.Y);
        var length = (dx * dx) + (dy * dy);
        var t = length > 0 ? Math.Clamp((((p.X - a.X) * dx) + ((p.Y - a.Y) * dy)) / length, 0, 1) : 0;
        var (x, y) = (p.X - a.X - (t * dx), p.Y - a.Y - (t * dy));
        return (x * x) + (y * y);
    }
}
