using Cabida.Core.Blanks;
using Cabida.Core.Geometry;

namespace Cabida.Core.Fitting;

/// <summary>
/// The places at which ink lies inside a convex zone: the inner-fit polygon, the zone eroded by the ink. An edge with inward
/// normal n allows the places t with n·t ≥ n·edge − min n·ink, so the polygon is the intersection of as many half-planes as the
/// zone has edges, and only the ink's convex hull matters. Exact.
/// </summary>
internal static class InnerFit
{
    /// <summary>Places this little outside still count, in millimetres: at the largest scale a single point is left.</summary>
    private const double Rounding = 1e-9;

    /// <summary>The allowed place nearest to a point; null when there is none.</summary>
    /// <param name="zone">The zone; convex.</param>
    /// <param name="ink">The ink about its origin.</param>
    /// <param name="to">The point.</param>
    public static PlanePoint? Nearest(ZoneShape zone, NetTopologySuite.Geometries.Geometry ink, PlanePoint to)
    {
        var places = Of(zone, ink);
        if (places.Count == 0)
        {
            return null;
        }

        var inside = true;
        (PlanePoint At, double Distance) nearest = (places[0], double.MaxValue);
        for (var i = 0; i < places.Count; i++)
        {
            var (a, b) = (places[i], places[(i + 1) % places.Count]);
            inside &= ((b.X - a.X) * (to.Y - a.Y)) - ((b.Y - a.Y) * (to.X - a.X)) >= 0;
            var at = to.NearestOn(a, b);
            var distance = at.To(to);
            nearest = distance < nearest.Distance ? (at, distance) : nearest;
        }

        return inside && places.Count > 2 ? to : nearest.At;
    }

    /// <summary>The corners of the polygon of places, counter-clockwise; perhaps one or two only; none when nothing fits.</summary>
    public static IReadOnlyList<PlanePoint> Of(ZoneShape zone, NetTopologySuite.Geometries.Geometry ink)
    {
        var hull = ink.ConvexHull().Coordinates;
        if (Box.Of(ink) is not { } box)
        {
            return [];
        }

        var bounds = zone.Bounds;
        // Half a millimetre more on every side, so that the edges decide.
        List<PlanePoint> places = Corners(
            new Box(bounds.MinX - box.MinX - 0.5, bounds.MinY - box.MinY - 0.5, bounds.MaxX - box.MaxX + 0.5, bounds.MaxY - box.MaxY + 0.5)
        );
        if (bounds.Width - box.Width < -Rounding || bounds.Height - box.Height < -Rounding)
        {
            return [];
        }

        foreach (var edge in zone.Edges)
        {
            double dx = edge.To.X - edge.From.X,
                dy = edge.To.Y - edge.From.Y,
                length = Math.Sqrt((dx * dx) + (dy * dy));
            if (length == 0)
            {
                continue;
            }

            var (nx, ny) = (-dy / length, dx / length);
            var least = double.MaxValue;
            foreach (var c in hull)
            {
                least = Math.Min(least, (nx * c.X) + (ny * c.Y));
            }

            places = HalfPlane.Clip(places, nx, ny, (nx * edge.From.X) + (ny * edge.From.Y) - least);
            if (places.Count == 0)
            {
                return places;
            }
        }

        return places;
    }

    private static List<PlanePoint> Corners(Box b) => [new(b.MinX, b.MinY), new(b.MaxX, b.MinY), new(b.MaxX, b.MaxY), new(b.MinX, b.MaxY)];
}
