using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Geometry;

/// <summary>
/// Where outlines of an area meet in a point alone: those of parts that touch by a corner, or one that comes back to where it was. Outlines
/// that cross are filled to such ones, with a vertex where they crossed.
/// </summary>
public static class MeetingPoints
{
    /// <summary>Vertices this near to one another are one place to a blade; millimetres.</summary>
    public const double Near = 0.005;

    /// <summary>The places, from the left.</summary>
    /// <param name="ink">The area; millimetres.</param>
    public static IReadOnlyList<PlanePoint> Of(Area ink)
    {
        var rings = Outlines.RingsOf(ink).Select(r => r.Coordinates).ToList();
        // Along the outline of one ring neighbours are near to one another; what meets is further along, or on another ring.
        var vertices = rings
            .SelectMany((r, ring) => Lengths(r).Select((along, i) => (At: new PlanePoint(r[i].X, r[i].Y), Ring: ring, Along: along)))
            .OrderBy(v => v.At.X)
            .ToList();
        var whole = rings.ConvertAll(r => Lengths(r, closed: true)[^1]);
        var found = new List<PlanePoint>();
        for (var i = 0; i < vertices.Count; i++)
        {
            var (at, ring, along) = vertices[i];
            for (var j = i + 1; j < vertices.Count && vertices[j].At.X - at.X <= Near; j++)
            {
                var other = vertices[j];
                var apart = Math.Abs(other.Along - along);
                if (
                    at.To(other.At) <= Near
                    && (other.Ring != ring || Math.Min(apart, whole[ring] - apart) > 4 * Near)
                    && !found.Exists(f => f.To(at) <= 4 * Near)
                )
                {
                    found.Add(at);
                }
            }
        }

        return found;
    }

    /// <summary>How far along a ring each of its vertices is; with the way back to the first at the end where it is asked for.</summary>
    private static List<double> Lengths(NetTopologySuite.Geometries.Coordinate[] ring, bool closed = false)
    {
        var along = new List<double> { 0 };
        for (var i = 1; i < ring.Length - (closed ? 0 : 1); i++)
        {
            along.Add(along[^1] + ring[i - 1].Distance(ring[i]));
        }

        return along;
    }
}
