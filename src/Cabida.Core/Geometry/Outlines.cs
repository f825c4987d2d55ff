using NetTopologySuite.Geometries;
using NetTopologySuite.Geometries.Utilities;
using NetTopologySuite.Operation.Union;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Geometry;

/// <summary>Turns contours into areas and areas into one another. Areas are polygons or collections of them; y up.</summary>
public static class Outlines
{
    /// <summary>The factory of every geometry in the core: floating precision.</summary>
    public static GeometryFactory Factory { get; } = new();

    /// <summary>An area without extent.</summary>
    public static Area Empty => Factory.CreateMultiPolygon();

    /// <summary>
    /// The area that contours enclose by the non-zero rule. Contours that overlap, as in typefaces drawn in strokes,
    /// become one.
    /// </summary>
    public static Area FromContours(IReadOnlyList<Contour> contours, double chordError, double turn)
    {
        ArgumentNullException.ThrowIfNull(contours);
        var rings = contours.Select(c => CurveFlattening.Flatten(c, chordError, turn)).Where(p => p.Count >= 3).ToList();
        return rings.Count == 0 ? Empty : NonZeroFill.Of(rings);
    }

    /// <summary>The union of areas.</summary>
    public static Area Union(IReadOnlyList<Area> areas)
    {
        ArgumentNullException.ThrowIfNull(areas);
        return areas.Count switch
        {
            0 => Empty,
            1 => areas[0],
            _ => UnaryUnionOp.Union(areas, Factory) ?? Empty,
        };
    }

    /// <summary>
    /// Joins areas into closed outlines: those that touch or overlap become one, the others are left as they are.
    /// Only what touches is overlaid, since most letters of most faces stand apart.
    /// </summary>
    public static Area Join(IReadOnlyList<Area> areas)
    {
        ArgumentNullException.ThrowIfNull(areas);
        var group = Enumerable.Range(0, areas.Count).ToArray();
        for (var i = 0; i < areas.Count; i++)
        {
            for (var j = i + 1; j < areas.Count; j++)
            {
                if (areas[i].EnvelopeInternal.Intersects(areas[j].EnvelopeInternal) && Root(i) != Root(j) && areas[i].Intersects(areas[j]))
                {
                    group[Root(j)] = Root(i);
                }
            }
        }

        var polygons = Enumerable.Range(0, areas.Count).GroupBy(Root).OrderBy(g => g.Min())
            .Select(g => Union(g.Select(i => areas[i]).ToList()))
            .SelectMany(PolygonsOf)
            .ToArray();
        return polygons.Length == 1 ? polygons[0] : Factory.CreateMultiPolygon(polygons);

        int Root(int i)
        {
            while (group[i] != i)
            {
                i = group[i] = group[group[i]];
            }

            return i;
        }
    }

    /// <summary>The polygons of an area, in order.</summary>
    public static IEnumerable<Polygon> PolygonsOf(Area area)
    {
        ArgumentNullException.ThrowIfNull(area);
        return PolygonExtracter.GetPolygons(area).OfType<Polygon>().Where(p => !p.IsEmpty);
    }

    /// <summary>The rings of an area, outer and holes.</summary>
    public static IEnumerable<LineString> RingsOf(Area area) =>
        PolygonsOf(area).SelectMany(p => p.InteriorRings.Prepend(p.ExteriorRing));

    /// <summary>A polygon through points, closed if it is not.</summary>
    public static Polygon Ring(IReadOnlyList<PlanePoint> points)
    {
        ArgumentNullException.ThrowIfNull(points);
        var closed = points.Select(p => p.ToCoordinate()).Append(points[0].ToCoordinate()).ToArray();
        return Factory.CreatePolygon(closed);
    }

    /// <summary>An upright rectangle.</summary>
    public static Polygon Rectangle(Box box) => Ring(
        [new(box.MinX, box.MinY), new(box.MaxX, box.MinY), new(box.MaxX, box.MaxY), new(box.MinX, box.MaxY)]);

    /// <summary>The area scaled about the origin and then moved.</summary>
    public static Area Placed(Area area, double scale, double dx, double dy)
    {
        ArgumentNullException.ThrowIfNull(area);
        return Transform(area, new AffineTransformation(scale, 0, dx, 0, scale, dy));
    }

    /// <summary>The area mirrored left to right about x = <paramref name="axis"/>.</summary>
    public static Area Mirrored(Area area, double axis)
    {
        ArgumentNullException.ThrowIfNull(area);
        return Transform(area, new AffineTransformation(-1, 0, 2 * axis, 0, 1, 0));
    }

    /// <summary>The area turned a quarter to the left about the origin.</summary>
    public static Area QuarterTurned(Area area)
    {
        ArgumentNullException.ThrowIfNull(area);
        return Transform(area, new AffineTransformation(0, -1, 0, 1, 0, 0));
    }

    private static Area Transform(Area area, AffineTransformation by) => area.IsEmpty ? area : by.Transform(area);
}
