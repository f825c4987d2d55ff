using NetTopologySuite.Geometries;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Geometry;

/// <summary>How far an inset keeps from what bounds an outline on each side; millimetres.</summary>
/// <param name="Left">From what bounds it on the left.</param>
/// <param name="Right">On the right.</param>
/// <param name="Bottom">Below.</param>
/// <param name="Top">Above.</param>
public readonly record struct SideInsets(double Left, double Right, double Bottom, double Top)
{
    /// <summary>The same on every side.</summary>
    public static SideInsets All(double by) => new(by, by, by, by);

    internal bool AreEqual => Left == Right && Right == Bottom && Bottom == Top;
}

/// <summary>
/// An outline moved in from its true edge. With one distance it is the offset: no point of it is nearer to the edge. Where the
/// sides differ it is the erosion by a figure made of four quarter ellipses with those distances as half-axes: an upright or
/// level edge keeps its own distance, a slanting one goes over smoothly from the one to the other.
/// </summary>
public static class Inset
{
    /// <summary>Corners of a quarter of the figure; it is circumscribed, so that distances hold.</summary>
    private const int QuarterSteps = 12;

    /// <summary>Steps of a quarter of a round offset: its arcs lie within a ten-thousandth of their radius.</summary>
    private const int OffsetSteps = 64;

    /// <summary>The inset of a polygon without holes; in parts, where it is parted, or empty.</summary>
    public static Area Of(Polygon outline, SideInsets by)
    {
        ArgumentNullException.ThrowIfNull(outline);
        if (by is { Left: 0, Right: 0, Bottom: 0, Top: 0 })
        {
            return outline;
        }

        var ring = (Polygon)Outlines.Factory.CreatePolygon((LinearRing)outline.ExteriorRing);
        if (ring.NumPoints == 5 && Box.Of(ring) is { } box && Math.Abs((box.Width * box.Height) - ring.Area) <= 1e-12 * ring.Area)
        {
            var left = new Box(box.MinX + by.Left, box.MinY + by.Bottom, box.MaxX - by.Right, box.MaxY - by.Top);
            return left is { Width: > 0, Height: > 0 } ? Outlines.Rectangle(left) : Outlines.Empty;
        }

        return IsConvex(ring) ? OfConvex(ring, by)
            : by.AreEqual ? Overlay.Grown(ring, -by.Left, new(OffsetSteps))
            : OfAny(ring, by);
    }

    private static bool IsConvex(Polygon ring)
    {
        var hull = ring.ConvexHull().Area;
        return hull - ring.Area <= 1e-9 * hull;
    }

    /// <summary>A convex outline is what lies inside of all its edges: each is moved in by the figure's reach across it. Exact.</summary>
    private static Area OfConvex(Polygon ring, SideInsets by)
    {
        var points = Outlines.RingsOf(ring).First().Coordinates.Select(c => new PlanePoint(c.X, c.Y)).ToList();
        if (!NetTopologySuite.Algorithm.Orientation.IsCCW(ring.ExteriorRing.CoordinateSequence))
        {
            points.Reverse();
        }

        var kept = points.Take(points.Count - 1).ToList();
        for (var i = 0; i + 1 < points.Count && kept.Count > 0; i++)
        {
            var (a, b) = (points[i], points[i + 1]);
            var length = a.To(b);
            if (length > 0)
            {
                // Inwards is to the left of an edge; outwards it faces the side whose distance counts.
                var (nx, ny) = ((a.Y - b.Y) / length, (b.X - a.X) / length);
                kept = HalfPlane.Clip(kept, nx, ny, (nx * a.X) + (ny * a.Y) + Reach(by, -nx, -ny));
            }
        }

        return kept.Count < 3 ? Outlines.Empty
            : Outlines.Ring(kept) is { Area: > 0 } left ? left
            : Outlines.Empty;
    }

    /// <summary>How far the figure reaches in a direction of length 1.</summary>
    private static double Reach(SideInsets by, double x, double y)
    {
        var (a, b) = (x * (x > 0 ? by.Right : by.Left), y * (y > 0 ? by.Top : by.Bottom));
        return Math.Sqrt((a * a) + (b * b));
    }

    /// <summary>Any outline: less all that the figure, turned about, sweeps as its middle goes along the edge (Minkowski sum).</summary>
    private static Area OfAny(Polygon ring, SideInsets by)
    {
        var figure = Figure(by);
        var coordinates = ring.ExteriorRing.Coordinates;
        var swept = coordinates
            .Zip(coordinates.Skip(1), (a, b) =>
                (Area)
                    Outlines
                        .Factory.CreateMultiPointFromCoords([
                            .. figure.Select(f => new Coordinate(a.X - f.X, a.Y - f.Y)),
                            .. figure.Select(f => new Coordinate(b.X - f.X, b.Y - f.Y)),
                        ])
                        .ConvexHull()
            )
            .Where(h => h is Polygon)
            .ToList();
        return Outlines.Without(ring, Overlay.Union(swept));
    }

    private static PlanePoint[] Figure(SideInsets by)
    {
        var steps = 4 * QuarterSteps;
        var larger = 1 / Math.Cos(Math.PI / steps);
        return
        [
            .. Enumerable
                .Range(0, steps)
                .Select(i => 2 * Math.PI * i / steps)
                .Select(t => (X: Math.Cos(t), Y: Math.Sin(t)))
                .Select(p => new PlanePoint(p.X * larger * (p.X > 0 ? by.Right : by.Left), p.Y * larger * (p.Y > 0 ? by.Top : by.Bottom))),
        ];
    }
}
