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
        var rings = Outlines.RingsOf(ink).Select(r => r.Coordinates).ToList();
        var count = rings.Sum(r => r.Length - 1);
        var (xs, vertices) = (new double[count], new Vertex[count]);
        var next = 0;
        foreach (var ring in rings)
        {
            var (along, whole) = (0.0, Length(ring));
            for (var i = 0; i < ring.Length - 1; i++)
            {
                xs[next] = ring[i].X;
                vertices[next++] = new Vertex(ring, i, along, whole);
                along += ring[i].Distance(ring[i + 1]);
            }
        }

        Array.Sort(xs, vertices);
        var found = new List<PlanePoint>();
        for (var i = 0; i < count; i++)
        {
            for (var j = i + 1; j < count && xs[j] - xs[i] <= Near; j++)
            {
                if (vertices[i].Meets(vertices[j]) && vertices[i].At is var at && !found.Exists(f => f.To(at) <= Neighbours))
                {
                    found.Add(at);
                }
            }
        }

        return found;
    }

    private static double Length(Coordinate[] ring)
    {
        var length = 0.0;
        for (var i = 1; i < ring.Length; i++)
        {
            length += ring[i - 1].Distance(ring[i]);
        }

        return length;
    }

    /// <summary>A vertex of an outline, with how far along that it is.</summary>
    private readonly record struct Vertex(Coordinate[] Ring, int Index, double Along, double Whole)
    {
        public PlanePoint At => new(Ring[Index].X, Ring[Index].Y);

        /// <summary>Whether another is in the same place, and is no neighbour along the same outline.</summary>
        public bool Meets(Vertex other)
        {
            var apart = Math.Abs(other.Along - Along);
            return Ring[Index].Distance(other.Ring[other.Index]) <= Near
                && (!ReferenceEquals(other.Ring, Ring) || Math.Min(apart, Whole - apart) > Neighbours);
        }
    }
}
