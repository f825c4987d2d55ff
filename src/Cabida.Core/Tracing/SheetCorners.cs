using Cabida.Core.Geometry;

namespace Cabida.Core.Tracing;

/// <summary>
/// Finds the four corners of a sheet on a photograph: the largest bright place is parted from what it lies on by the threshold that parts
/// them best (Otsu 1979), its hull is brought to the four sides that enclose most of it, and each side is then fitted to the edge itself.
/// </summary>
public static class SheetCorners
{
    /// <summary>The sheet is looked for on a picture made this small, in pixels.</summary>
    private const int Coarse = 360;

    /// <summary>A sheet fills at least this share of the picture.</summary>
    private const double LeastShare = 0.12;

    /// <summary>The bright place must fill this share of its four sides, and they no more than of its hull; else it is no sheet.</summary>
    private const double Fills = 0.97;

    /// <summary>What is drawn on a sheet leaves at least this share of it bright.</summary>
    private const double Bright = 0.35;

    /// <summary>Paper must be brighter than what it lies on by this many of 255.</summary>
    private const double LeastStep = 18;

    /// <summary>How far to either side of where a side should be it is looked for, in coarse pixels: at first, and then.</summary>
    private const double Far = 6;

    private const double Near = 1.5;

    /// <summary>An edge falls by at least this share of what parts paper from what it lies on.</summary>
    private const double OfContrast = 0.3;

    /// <summary>Places beside one another along a side that are looked at together, in pixels.</summary>
    private static readonly double[] Abreast = [-8, -4, 0, 4, 8];

    /// <summary>Places along a side at which its edge is looked for.</summary>
    private const int PerSide = 160;

    /// <summary>The corners from the upper left, clockwise, in pixels; null when no sheet stands out.</summary>
    /// <param name="picture">The picture.</param>
    /// <param name="stop">Stops it.</param>
    public static IReadOnlyList<PlanePoint>? Of(GreyPicture picture, CancellationToken stop = default)
    {
        ArgumentNullException.ThrowIfNull(picture);
        var step = Math.Max(1, (Math.Max(picture.Width, picture.Height) + Coarse - 1) / Coarse);
        var small = Smaller(picture, step);
        stop.ThrowIfCancellationRequested();
        if (Threshold(small.Pixels) is not { } parts || Largest(small, parts.At) is not { } blob || blob.Count < LeastShare * small.Pixels.Length)
        {
            return null;
        }

        var hull = Hull(blob, small);
        if (hull.Count < 4)
        {
            return null;
        }

        var four = FourSides(hull);
        if (four is null || AreaOf(hull) < Fills * AreaOf(four) || blob.Count < Bright * AreaOf(four))
        {
            return null;
        }

        // Where a corner lies off the picture, the sheet was not photographed whole.
        List<PlanePoint> rough = [.. four.Select(p => new PlanePoint(p.X * step, p.Y * step))];
        var margin = 1.5 * step;
        if (rough.Any(p => p.X < margin || p.Y < margin || p.X > picture.Width - margin || p.Y > picture.Height - margin))
        {
            return null;
        }

        // The hull of coarse pixels may lie several of them off; the second time each side is looked for where it is.
        return Sharpened(rough, picture, Far * step, parts.Apart) is { } near && Sharpened(near, picture, Near * step, parts.Apart) is { } sharp ? SheetLying.InOrder(sharp) : null;
    }

    private static GreyPicture Smaller(GreyPicture picture, int step)
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
    private static (int At, double Apart)? Threshold(byte[] pixels)
    {
        var counts = new long[256];
        foreach (var p in pixels)
        {
            counts[p]++;
        }

        double total = pixels.Length, sum = 0;
        for (var i = 0; i < 256; i++)
        {
            sum += (double)i * counts[i];
        }

        double below = 0, sumBelow = 0, best = -1;
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
    private static List<int>? Largest(GreyPicture picture, int threshold)
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
    private static List<PlanePoint> Hull(List<int> blob, GreyPicture picture)
    {
        // Only the first and last pixel of a row can be on the hull.
        var rows = new Dictionary<int, (int From, int To)>();
        foreach (var i in blob)
        {
            var (x, y) = (i % picture.Width, i / picture.Width);
            rows[y] = rows.TryGetValue(y, out var r) ? (Math.Min(r.From, x), Math.Max(r.To, x)) : (x, x);
        }

        var corners = rows.SelectMany(r => new[] { (r.Value.From, r.Key), (r.Value.To + 1, r.Key), (r.Value.From, r.Key + 1), (r.Value.To + 1, r.Key + 1) })
            .Select(c => new NetTopologySuite.Geometries.Coordinate(c.Item1, c.Item2)).ToArray();
        return [.. Outlines.Factory.CreateMultiPointFromCoords(corners).ConvexHull().Coordinates.SkipLast(1).Select(c => new PlanePoint(c.X, c.Y))];
    }

    /// <summary>
    /// The four corners of a hull: the corner whose loss would cut least off is left out until four are left, so that rounded or dog-eared
    /// corners count little; then each side is moved out along the hull's long edges.
    /// </summary>
    private static List<PlanePoint>? FourSides(List<PlanePoint> hull)
    {
        var left = hull.ToList();
        while (left.Count > 4)
        {
            var least = Enumerable.Range(0, left.Count).MinBy(i => TriangleArea(left[(i + left.Count - 1) % left.Count], left[i], left[(i + 1) % left.Count]));
            left.RemoveAt(least);
        }

        return AreaOf(left) > 0 ? left : null;
    }

    /// <summary>Each side fitted to where brightness changes most across it, near where it was; null where an edge cannot be told.</summary>
    private static List<PlanePoint>? Sharpened(List<PlanePoint> rough, GreyPicture picture, double reach, double contrast)
    {
        var sides = new List<(PlanePoint At, PlanePoint Along)>();
        var middle = new PlanePoint(rough.Average(p => p.X), rough.Average(p => p.Y));
        for (var i = 0; i < 4; i++)
        {
            PlanePoint a = rough[i], b = rough[(i + 1) % 4];
            var length = a.To(b);
            PlanePoint outwards = new((b.Y - a.Y) / length, -(b.X - a.X) / length);
            PlanePoint along = new((b.X - a.X) / length, (b.Y - a.Y) / length);
            if (((middle.X - a.X) * outwards.X) + ((middle.Y - a.Y) * outwards.Y) > 0)
            {
                outwards = new(-outwards.X, -outwards.Y);
            }

            var edge = new List<PlanePoint>();
            for (var k = 0; k < PerSide; k++)
            {
                // The ends of a side may be curled or dog-eared.
                var p = a.Towards(b, 0.06 + (0.88 * (k + 0.5) / PerSide));
                if (EdgeAcross(p) is { } found)
                {
                    edge.Add(found);
                }
            }

            if (Line(edge) is not { } line)
            {
                return null;
            }

            sides.Add(line);

            PlanePoint? EdgeAcross(PlanePoint p)
            {
                const double Half = 1.5;
                PlanePoint On(double t) => new(p.X + (t * outwards.X), p.Y + (t * outwards.Y));
                // Several places beside one another, so that the noise of a pixel makes no edge.
                double Value(double t) => On(t) is var q ? Abreast.Average(s => picture.At(q.X + (s * along.X), q.Y + (s * along.Y))) : 0;
                var (best, at) = (0.0, 0.0);
                for (var t = -reach; t <= reach; t += 0.5)
                {
                    var falls = Value(t - Half) - Value(t + Half);
                    if (falls > best)
                    {
                        (best, at) = (falls, t);
                    }
                }

                return best >= OfContrast * contrast ? On(at) : null;
            }
        }

        var corners = new List<PlanePoint>();
        for (var i = 0; i < 4; i++)
        {
            if (Crossing(sides[(i + 3) % 4], sides[i]) is not { } corner || corner.To(rough[i]) > 3 * reach)
            {
                return null;
            }

            corners.Add(corner);
        }

        return corners;
    }

    /// <summary>The line through points by their principal axis, twice: the second time without those that lie off it.</summary>
    private static (PlanePoint At, PlanePoint Along)? Line(List<PlanePoint> points)
    {
        for (var round = 0; round < 4; round++)
        {
            if (points.Count < PerSide / 4)
            {
                return null;
            }

            double mx = points.Average(p => p.X), my = points.Average(p => p.Y);
            double xx = points.Sum(p => (p.X - mx) * (p.X - mx)), yy = points.Sum(p => (p.Y - my) * (p.Y - my)), xy = points.Sum(p => (p.X - mx) * (p.Y - my));
            var angle = 0.5 * Math.Atan2(2 * xy, xx - yy);
            PlanePoint along = new(Math.Cos(angle), Math.Sin(angle));
            double Off(PlanePoint p) => Math.Abs(((p.X - mx) * along.Y) - ((p.Y - my) * along.X));
            if (round == 3)
            {
                return (new(mx, my), along);
            }

            var middle = points.Select(Off).Order().ElementAt(points.Count / 2);
            points = [.. points.Where(p => Off(p) <= Math.Max(0.7, 3 * middle))];
        }

        return null;
    }

    private static PlanePoint? Crossing((PlanePoint At, PlanePoint Along) a, (PlanePoint At, PlanePoint Along) b)
    {
        var d = (a.Along.X * b.Along.Y) - (a.Along.Y * b.Along.X);
        if (Math.Abs(d) < 0.05)
        {
            return null;
        }

        var t = (((b.At.X - a.At.X) * b.Along.Y) - ((b.At.Y - a.At.Y) * b.Along.X)) / d;
        return new(a.At.X + (t * a.Along.X), a.At.Y + (t * a.Along.Y));
    }

    private static double TriangleArea(PlanePoint a, PlanePoint b, PlanePoint c) => Math.Abs(((b.X - a.X) * (c.Y - a.Y)) - ((b.Y - a.Y) * (c.X - a.X))) / 2;

    private static double AreaOf(List<PlanePoint> ring) =>
        Math.Abs(ring.Select((p, i) => (p.X * ring[(i + 1) % ring.Count].Y) - (ring[(i + 1) % ring.Count].X * p.Y)).Sum()) / 2;
}
