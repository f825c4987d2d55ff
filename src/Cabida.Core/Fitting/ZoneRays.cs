using Cabida.Core.Blanks;
using Cabida.Core.Geometry;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Fitting;

/// <summary>How far ink may grow about a point from which all of a zone is seen: along each ray until it meets the edge.</summary>
internal static class ZoneRays
{
    /// <summary>
    /// The factor by which ink grows until a corner of it meets the zone's edge. Where an edge of the ink meets a corner of the zone
    /// before that, it is a little too large.
    /// </summary>
    /// <param name="ink">The ink about its origin; not empty.</param>
    /// <param name="zone">The zone; all of its edge is seen from the point.</param>
    /// <param name="at">Where the origin stands.</param>
    public static double RoomFor(Area ink, ZoneShape zone, PlanePoint at)
    {
        // Seen from within, the edges follow one another by their angle.
        var edges = zone
            .Edges.Select(e => (From: new PlanePoint(e.From.X - at.X, e.From.Y - at.Y), To: new PlanePoint(e.To.X - at.X, e.To.Y - at.Y)))
            .Select(e => (e.From, e.To, Angle: Math.Atan2(e.From.Y, e.From.X)))
            .OrderBy(e => e.Angle)
            .ToArray();
        var angles = Array.ConvertAll(edges, e => e.Angle);
        var room = double.PositiveInfinity;
        foreach (var ring in Outlines.PolygonsOf(ink).Select(p => p.ExteriorRing))
        {
            foreach (var p in ring.Coordinates)
            {
                var found = Array.BinarySearch(angles, Math.Atan2(p.Y, p.X));
                // What lies before the first begins with the last.
                var (from, to, _) = edges[found >= 0 ? found : (~found + edges.Length - 1) % edges.Length];
                double dx = to.X - from.X,
                    dy = to.Y - from.Y,
                    across = (p.X * dy) - (p.Y * dx);
                if (across > 0)
                {
                    room = Math.Min(room, ((from.X * dy) - (from.Y * dx)) / across);
                }
            }
        }

        return room;
    }
}
