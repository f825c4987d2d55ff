using NetTopologySuite.Geometries;
using NetTopologySuite.Operation.Polygonize;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Geometry;

/// <summary>
/// The area that closed rings enclose, however they cross themselves or one another: all edges are noded, the faces
/// between them found, and each kept round which the rings wind at least once, or an odd number of times (as typefaces
/// and open vector formats define filling).
/// </summary>
internal static class RingFill
{
    /// <summary>Faces smaller than this share of the whole box come from rounding, not from drawing.</summary>
    private const double SliverShare = 1e-10;

    public static Area Of(IReadOnlyList<IReadOnlyList<PlanePoint>> rings, bool evenOdd = false)
    {
        var closed = rings.Select(r => (Coordinate[])[.. r.Select(p => p.ToCoordinate()), r[0].ToCoordinate()]).ToList();
        var lines = Outlines.Factory.CreateMultiLineString([.. closed.Select(Outlines.Factory.CreateLineString)]);
        var polygonizer = new Polygonizer();
        polygonizer.Add(Overlay.Noded(lines));
        var sliver = SliverShare * Math.Max(lines.EnvelopeInternal.Area, double.Epsilon);
        var faces = polygonizer.GetPolygons()
            .Where(f => f.Area > sliver && Winding(closed, f.InteriorPoint.Coordinate) is var turns && (evenOdd ? turns % 2 != 0 : turns != 0))
            .ToList();
        return Outlines.Union(faces);
    }

    /// <summary>How often the rings go round a point: upward crossings to its right less downward ones.</summary>
    private static int Winding(List<Coordinate[]> rings, Coordinate p)
    {
        var winding = 0;
        foreach (var ring in rings)
        {
            for (var i = 0; i < ring.Length - 1; i++)
            {
                var (a, b) = (ring[i], ring[i + 1]);
                if (a.Y <= p.Y == b.Y <= p.Y)
                {
                    continue;
                }

                var x = a.X + ((b.X - a.X) * (p.Y - a.Y) / (b.Y - a.Y));
                winding += x > p.X ? Math.Sign(b.Y - a.Y) : 0;
            }
        }

        return winding;
    }
}
