using NetTopologySuite.Geometries;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Geometry;

/// <summary>
/// An area as plain numbers: a third of the room, and nothing for the collector to follow corner by corner. The area it was made of is
/// given back as long as somebody else holds it, and built again after that.
/// </summary>
internal sealed class PackedArea
{
    private readonly WeakReference<Area> area;

    /// <summary>For each polygon its rings, for each ring its corners across and up in turn.</summary>
    private readonly double[][][] polygons;

    /// <summary>Packs an area.</summary>
    public PackedArea(Area area)
    {
        this.area = new(area);
        polygons = [.. Outlines.PolygonsOf(area).Select(p => (double[][])[Packed(p.ExteriorRing), .. p.InteriorRings.Select(Packed)])];
        Bytes = 100 + polygons.Sum(p => 50 + p.Sum(r => 40 + (sizeof(double) * (long)r.Length)));
    }

    /// <summary>How many bytes it holds.</summary>
    public long Bytes { get; }

    /// <summary>The area.</summary>
    public Area Area
    {
        get
        {
            if (!area.TryGetTarget(out var held))
            {
                held = Outlines.Together([
                    .. polygons.Select(p => Outlines.Factory.CreatePolygon(Ring(p[0]), [.. p.Skip(1).Select(Ring)])),
                ]);
                area.SetTarget(held);
            }

            return held;
        }
    }

    private static double[] Packed(LineString ring)
    {
        var corners = ring.Coordinates;
        var numbers = new double[2 * corners.Length];
        for (var i = 0; i < corners.Length; i++)
        {
            (numbers[2 * i], numbers[(2 * i) + 1]) = (corners[i].X, corners[i].Y);
        }

        return numbers;
    }

    private static LinearRing Ring(double[] numbers)
    {
        var corners = new Coordinate[numbers.Length / 2];
        for (var i = 0; i < corners.Length; i++)
        {
            corners[i] = new Coordinate(numbers[2 * i], numbers[(2 * i) + 1]);
        }

        return Outlines.Factory.CreateLinearRing(corners);
    }
}
