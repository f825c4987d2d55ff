using Cabida.Core.Geometry;

namespace Cabida.Core.Tracing;

/// <summary>
/// What is bright on a picture and lies on something dark: parted from it by Otsu's threshold (1979), and brought to four sides.
/// </summary>
internal static class BrightPlace
{
    /// <summary>Paper must be brighter than what it lies on by this many of 255.</summary>
    private const double LeastStep = 18;

    /// <summary>A picture in pixels so many times as large, each the mean of those it stands for.</summary>
    public static GreyPicture Smaller(GreyPicture picture, int step)
    {
        var (w, h) = (picture.Width / step, picture.Height / step);
        var pixels = new byte[w * h];
        for (var y = 0; y < h; y++)
        {
            for (var x = 0; x < w; x++)
            {
                var sum = 0;
                for (var j = 0; j < step; j++)
                {
                    var row = picture.Pixels.AsSpan((((y * step) + j) * picture.Width) + (x * step), step);
                    foreach (var p in row)
                    {
                        sum += p;
                    }
                }

                pixels[(y * w) + x] = (byte)(sum / (step * step));
            }
        }

        return new GreyPicture(w, h, pixels);
    }

    /// <summary>The brightness that parts a picture into two classes with the least spread in each; null where there are not two.</summary>
    public static (int At, double Apart)? Threshold(byte[] pixels)
    {
        var counts = new long[256];
        foreach (var p in pixels)
        {
            counts[p]++;
        }

        double total = pixels.Length,
            sum = 0;
        for (var i = 0; i < 256; i++)
        {
            sum += (double)i * counts[i];
        }

        double below = 0,
            sumBelow = 0,
            best = -1;
        var at = -1;
        var apart = 0.0;
        for (var i = 0; i < 255; i++)
        {
            below += counts[i];
            sumBelow += (double)i * counts[i];
            if (below == 0 || below == total)
            {
                continue;
            }

            var step = ((sum - sumBelow) / (total - below)) - (sumBelow / below);
            var between = below * (total - below) * step * step;
            if (between > best)
            {
                (best, at, apart) = (between, i, step);
            }
        }

        return apart >= LeastStep ? (at, apart) : null;
    }

    /// <summary>The largest connected bright place, as indices of its pixels.</summary>
    public static List<int>? Largest(GreyPicture picture, int threshold)
    {
        var seen = new bool[picture.Pixels.Length];
        List<int>? largest = null;
        for (var start = 0; start < seen.Length; start++)
        {
            if (seen[start] || picture.Pixels[start] <= threshold)
            {
                continue;
            }

            var blob = new List<int> { start };
            seen[start] = true;
            for (var i = 0; i < blob.Count; i++)
            {
                var (x, y) = (blob[i] % picture.Width, blob[i] / picture.Width);
                Reach(x - 1, y);
                Reach(x + 1, y);
                Reach(x, y - 1);
                Reach(x, y + 1);
            }

            largest = largest is null || blob.Count > largest.Count ? blob : largest;

            void Reach(int x, int y)
            {
                if (x < 0 || y < 0 || x >= picture.Width || y >= picture.Height)
                {
                    return;
                }

                var at = (y * picture.Width) + x;
                if (!seen[at] && picture.Pixels[at] > threshold)
                {
                    seen[at] = true;
                    blob.Add(at);
                }
            }
        }

        return largest;
    }

    /// <summary>The convex hull of a place, from the corners of its pixels.</summary>
    public static List<PlanePoint> Hull(List<int> blob, GreyPicture picture)
    {
        // Only the first and last pixel of a row can be on the hull.
        var rows = new Dictionary<int, (int From, int To)>();
        foreach (var i in blob)
        {
            var (x, y) = (i % picture.Width, i / picture.Width);
            rows[y] = rows.TryGetValue(y, out var r) ? (Math.Min(r.From, x), Math.Max(r.To, x)) : (x, x);
        }

        var corners = rows.SelectMany(r =>
                new[] { (r.Value.From, r.Key), (r.Value.To + 1, r.Key), (r.Value.From, r.Key + 1), (r.Value.To + 1, r.Key + 1) }
            )
            .Select(c => new NetTopologySuite.Geometries.Coordinate(c.Item1, c.Item2))
            .ToArray();
        var hull = Outlines.Factory.CreateMultiPointFromCoords(corners).ConvexHull();
        return [.. hull.Coordinates.SkipLast(1).Select(c => new PlanePoint(c.X, c.Y))];
    }

    /// <summary>
    /// The four corners of a hull: the corner whose loss would cut least off is left out until four are left, so that rounded or dog-eared
    /// corners count little.
    /// </summary>
    public static List<PlanePoint>? FourSides(List<PlanePoint> hull)
    {
        var left = hull.ToList();
        while (left.Count > 4)
        {
            var least = Enumerable
                .Range(0, left.Count)
                .MinBy(i => TriangleArea(left[(i + left.Count - 1) % left.Count], left[i], left[(i + 1) % left.Count]));
            left.RemoveAt(least);
        }

        return AreaOf(left) > 0 ? left : null;
    }

    private static double TriangleArea(PlanePoint a, PlanePoint b, PlanePoint c) =>
        Math.Abs(((b.X - a.X) * (c.Y - a.Y)) - ((b.Y - a.Y) * (c.X - a.X))) / 2;

    /// <summary>The area within a ring.</summary>
    public static double AreaOf(List<PlanePoint> ring) =>
        Math.Abs(ring.Select((p, i) => (p.X * ring[(i + 1) % ring.Count].Y) - (ring[(i + 1) % ring.Count].X * p.Y)).Sum()) / 2;
}
