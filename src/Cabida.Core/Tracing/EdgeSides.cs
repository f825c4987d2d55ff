using Cabida.Core.Geometry;

namespace Cabida.Core.Tracing;

/// <summary>The four sides of a sheet where they are: each a line through the places at which brightness falls most across it.</summary>
internal static class EdgeSides
{
    /// <summary>An edge falls by at least this share of what parts paper from what it lies on.</summary>
    private const double OfContrast = 0.3;

    /// <summary>Places beside one another along a side that are looked at together, in pixels.</summary>
    private static readonly double[] Abreast = [-8, -4, 0, 4, 8];

    /// <summary>Places along a side at which its edge is looked for.</summary>
    private const int PerSide = 160;

    /// <summary>
    /// Each side fitted to where brightness changes most across it, near where it was; null where an edge cannot be told.
    /// </summary>
    public static List<PlanePoint>? Sharpened(List<PlanePoint> rough, GreyPicture picture, double reach, double contrast)
    {
        var sides = new List<(PlanePoint At, PlanePoint Along)>();
        var middle = new PlanePoint(rough.Average(p => p.X), rough.Average(p => p.Y));
        for (var i = 0; i < 4; i++)
        {
            PlanePoint a = rough[i],
                b = rough[(i + 1) % 4];
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

            double mx = points.Average(p => p.X),
                my = points.Average(p => p.Y);
            var (xx, yy) = (points.Sum(p => (p.X - mx) * (p.X - mx)), points.Sum(p => (p.Y - my) * (p.Y - my)));
            var xy = points.Sum(p => (p.X - mx) * (p.Y - my));
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
}
