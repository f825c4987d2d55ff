using Cabida.Core.Geometry;

namespace Cabida.Core.Tracing;

/// <summary>
/// Moves the points of a contour to where brightness is half-way between the drawing and the paper beside it, looked for
/// along the normal: so an edge is found as well where the pencil is light as where it is dark.
/// </summary>
internal static class EdgeRefinement
{
    /// <summary>How far to either side is looked, in pixels.</summary>
    private const int Reach = 5;

    private const int PerPixel = 2;
    private const int Around = 6;

    /// <summary>A contour is followed in steps of this length, in pixels.</summary>
    private const double Step = 1.0;

    /// <summary>The contour's points at its edge.</summary>
    public static List<PlanePoint> Of(LevelContour contour, GreyPicture picture, PaperLight light)
    {
        var points = Even(contour.Points);
        var n = points.Count;
        if (n < 8)
        {
            return points;
        }

        var profiles = new double[n][];
        var dark = new double[n];
        var bright = new double[n];
        var normals = new PlanePoint[n];
        for (var i = 0; i < n; i++)
        {
            PlanePoint before = points[(i + n - 2) % n],
                after = points[(i + 2) % n];
            var length = before.To(after);
            // What is dark lies on the left; the normal points away from it (y is down).
            normals[i] = length < 1e-9 ? new(0, 0) : new(-(after.Y - before.Y) / length, (after.X - before.X) / length);
            profiles[i] = Profile(points[i], normals[i]);
            var middle = Reach * PerPixel;
            dark[i] = profiles[i].Take(middle + 1).Min();
            bright[i] = profiles[i].Skip(middle).Max();
        }

        var level = Averaged(dark).Zip(Averaged(bright), (d, b) => (d + b) / 2).ToArray();
        var moved = new List<PlanePoint>(n);
        for (var i = 0; i < n; i++)
        {
            var by = Crossing(profiles[i], level[i]);
            moved.Add(by is { } t ? new(points[i].X + (t * normals[i].X), points[i].Y + (t * normals[i].Y)) : points[i]);
        }

        return moved;

        double[] Profile(PlanePoint p, PlanePoint normal)
        {
            var values = new double[(2 * Reach * PerPixel) + 1];
            for (var k = 0; k < values.Length; k++)
            {
                var t = ((double)k / PerPixel) - Reach;
                var (x, y) = (p.X + (t * normal.X), p.Y + (t * normal.Y));
                values[k] = picture.At(x, y) / light.At(x, y);
            }

            return values;
        }
    }

    /// <summary>Where a profile rises through a level, nearest to its middle; in pixels along the normal.</summary>
    private static double? Crossing(double[] profile, double level)
    {
        double? best = null;
        for (var k = 0; k + 1 < profile.Length; k++)
        {
            if (profile[k] <= level && profile[k + 1] > level)
            {
                var t = ((k + ((level - profile[k]) / (profile[k + 1] - profile[k]))) / PerPixel) - Reach;
                best = best is { } b && Math.Abs(b) < Math.Abs(t) ? b : t;
            }
        }

        return best;
    }

    /// <summary>Each value as the mean of those around it, so that the noise of one pixel does not move the level.</summary>
    private static double[] Averaged(double[] values)
    {
        var n = values.Length;
        return
        [
            .. Enumerable
                .Range(0, n)
                .Select(i => Enumerable.Range(-Around, (2 * Around) + 1).Average(k => values[(i + k + (n * Around)) % n])),
        ];
    }

    /// <summary>The contour at even steps.</summary>
    private static List<PlanePoint> Even(IReadOnlyList<PlanePoint> points)
    {
        var even = new List<PlanePoint>();
        var left = 0.0;
        for (var i = 0; i < points.Count; i++)
        {
            PlanePoint a = points[i],
                b = points[(i + 1) % points.Count];
            var length = a.To(b);
            while (left <= length)
            {
                even.Add(length < 1e-12 ? a : a.Towards(b, left / length));
                left += Step;
            }

            left -= length;
        }

        return even;
    }
}
