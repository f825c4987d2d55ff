using System.Buffers;
using NetTopologySuite.Geometries;
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

    /// <summary>Vertices of one outline that are no further from one another along it are neighbours.</summary>
    private const double Neighbours = 4 * Near;

    /// <summary>The places, from the left.</summary>
    /// <param name="ink">The area; millimetres.</param>
    public static IReadOnlyList<PlanePoint> Of(Area ink)
    {
        var rings = Outlines.RingsOf(ink).Select(r => r.CoordinateSequence).ToList();
        var count = rings.Sum(r => r.Count - 1);
        var (xs, vertices) = (ArrayPool<double>.Shared.Rent(count), ArrayPool<(int Ring, int Index)>.Shared.Rent(count));
        var next = 0;
        for (var ring = 0; ring < rings.Count; ring++)
        {
            for (var i = 0; i < rings[ring].Count - 1; i++)
            {
                xs[next] = rings[ring].GetX(i);
                vertices[next++] = (ring, i);
            }
        }

        Array.Sort(xs, vertices, 0, count);
        var found = new List<PlanePoint>();
        for (var i = 0; i < count; i++)
        {
            for (var j = i + 1; j < count && xs[j] - xs[i] <= Near; j++)
            {
                var ((one, a), (other, b)) = (vertices[i], vertices[j]);
                if (
                    Math.Abs(rings[one].GetY(a) - rings[other].GetY(b)) <= Near
                    && At(rings[one], a) is var at
                    && at.To(At(rings[other], b)) <= Near
                    && (one != other || !IsShort(rings[one], Math.Min(a, b), Math.Max(a, b)))
                    && !found.Exists(f => f.To(at) <= Neighbours)
                )
                {
                    found.Add(at);
                }
            }
        }

        ArrayPool<double>.Shared.Return(xs);
        ArrayPool<(int Ring, int Index)>.Shared.Return(vertices);
        return found;
    }

    private static PlanePoint At(CoordinateSequence ring, int i) => new(ring.GetX(i), ring.GetY(i));

    /// <summary>Whether the way from one vertex to a later one is short, there or round the other side.</summary>
    private static bool IsShort(CoordinateSequence ring, int from, int to) =>
        IsShortWay(ring, from, to) || IsShortWay(ring, to, from + ring.Count - 1);

    private static bool IsShortWay(CoordinateSequence ring, int from, int to)
    {
        var (last, way) = (ring.Count - 1, 0.0);
        for (var i = from; i < to && way <= Neighbours; i++)
        {
            way += At(ring, i % last).To(At(ring, (i + 1) % last));
        }

        return way <= Neighbours;
    }
}
