using NetTopologySuite.Geometries;
using NetTopologySuite.Geometries.Utilities;
using NetTopologySuite.Index.Strtree;
using NetTopologySuite.Operation.Buffer;
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
    /// The area that contours enclose, by the non-zero rule unless the even-odd one is asked for. Contours that overlap,
    /// as in typefaces drawn in strokes, become one.
    /// </summary>
    public static Area FromContours(IReadOnlyList<Contour> contours, double chordError, double turn, bool evenOdd = false)
    {
        ArgumentNullException.ThrowIfNull(contours);
        var rings = contours.Select(c => CurveFlattening.Flatten(c, chordError, turn)).Where(p => p.Count >= 3).ToList();
        return rings.Count == 0 ? Empty : RingFill.Of(rings, evenOdd);
    }

    /// <summary>The union of areas.</summary>
    public static Area Union(IReadOnlyList<Area> areas)
    {
        ArgumentNullException.ThrowIfNull(areas);
        return Overlay.Union(areas);
    }

    /// <summary>
    /// Joins areas into closed outlines: those that touch or overlap become one, the others are left as they are.
    /// Only what touches is overlaid, since most letters of most faces stand apart.
    /// </summary>
    public static Area Join(IReadOnlyList<Area> areas)
    {
        ArgumentNullException.ThrowIfNull(areas);
        var polygons = Clusters
            .Of([.. areas.Select(a => a.EnvelopeInternal)], (i, j) => Overlay.Meet(areas[i], areas[j]))
            .SelectMany(g => PolygonsOf(Union([.. g.Select(i => areas[i])])))
            .ToArray();
        return polygons.Length == 1 ? polygons[0] : Factory.CreateMultiPolygon(polygons);
    }

    /// <summary>The polygons of an area, in order.</summary>
    public static IEnumerable<Polygon> PolygonsOf(Area area)
    {
        ArgumentNullException.ThrowIfNull(area);
        return PolygonExtracter.GetPolygons(area).OfType<Polygon>().Where(p => !p.IsEmpty);
    }

    /// <summary>The rings of an area, outer and holes.</summary>
    public static IEnumerable<LineString> RingsOf(Area area) => PolygonsOf(area).SelectMany(p => p.InteriorRings.Prepend(p.ExteriorRing));

    /// <summary>An open line through points.</summary>
    public static LineString Line(IEnumerable<PlanePoint> points) => Factory.CreateLineString([.. points.Select(p => p.ToCoordinate())]);

    /// <summary>A line with fewer points that lies no further than this from them (Douglas and Peucker 1973); its ends stay.</summary>
    public static IReadOnlyList<PlanePoint> Thinned(IReadOnlyList<PlanePoint> points, double error)
    {
        ArgumentNullException.ThrowIfNull(points);
        return points.Count < 4
            ? points
            :
            [
                .. NetTopologySuite
                    .Simplify.DouglasPeuckerLineSimplifier.Simplify([.. points.Select(p => p.ToCoordinate())], error)
                    .Select(c => new PlanePoint(c.X, c.Y)),
            ];
    }

    /// <summary>A polygon through points, closed if it is not.</summary>
    public static Polygon Ring(IReadOnlyList<PlanePoint> points)
    {
        ArgumentNullException.ThrowIfNull(points);
        var closed = points.Select(p => p.ToCoordinate()).Append(points[0].ToCoordinate()).ToArray();
        return Factory.CreatePolygon(closed);
    }

    /// <summary>An upright rectangle.</summary>
    public static Polygon Rectangle(Box box) =>
        Ring([new(box.MinX, box.MinY), new(box.MaxX, box.MinY), new(box.MaxX, box.MaxY), new(box.MinX, box.MaxY)]);

    /// <summary>The area scaled about the origin and then moved.</summary>
    public static Area Placed(Area area, double scale, double dx, double dy)
    {
        ArgumentNullException.ThrowIfNull(area);
        return Moved(area, new Motion(scale, 0, dx, 0, scale, dy));
    }

    /// <summary>The area mirrored left to right about x = <paramref name="axis"/>.</summary>
    public static Area Mirrored(Area area, double axis)
    {
        ArgumentNullException.ThrowIfNull(area);
        return Moved(area, new Motion(-1, 0, 2 * axis, 0, 1, 0));
    }

    /// <summary>The area turned a quarter to the left about the origin.</summary>
    public static Area QuarterTurned(Area area)
    {
        ArgumentNullException.ThrowIfNull(area);
        return Moved(area, Motion.TurnLeft(90));
    }

    /// <summary>The area with its place changed.</summary>
    public static Area Moved(Area area, Motion by)
    {
        ArgumentNullException.ThrowIfNull(area);
        return by == Motion.None || area.IsEmpty
            ? area
            : area switch
            {
                Polygon p => MovedPolygon(p, by),
                MultiPolygon all => Factory.CreateMultiPolygon([.. all.Geometries.Select(p => MovedPolygon((Polygon)p, by))]),
                _ => new AffineTransformation(by.A, by.B, by.C, by.D, by.E, by.F).Transform(area),
            };
    }

    /// <summary>The area with every point of its outlines moved; long stretches are divided first, so that they can bend.</summary>
    /// <param name="area">The area.</param>
    /// <param name="to">Where a point goes; neighbours stay neighbours.</param>
    /// <param name="longest">The longest stretch, in millimetres.</param>
    public static Area Mapped(Area area, Func<PlanePoint, PlanePoint> to, double longest) =>
        Together([
            .. PolygonsOf(area)
                .Select(p =>
                    Factory.CreatePolygon(Mapped(p.ExteriorRing, to, longest), [.. p.InteriorRings.Select(h => Mapped(h, to, longest))])
                ),
        ]);

    private static LinearRing Mapped(LineString ring, Func<PlanePoint, PlanePoint> to, double longest)
    {
        var points = ring.Coordinates.Select(c => new PlanePoint(c.X, c.Y)).ToList();
        var moved = points
            .Zip(points.Skip(1), (a, b) => Divided(a, b, longest))
            .SelectMany(d => d)
            .Select(p => to(p).ToCoordinate())
            .ToList();
        return Factory.CreateLinearRing([.. moved, moved[0].Copy()]);
    }

    /// <summary>Points along a stretch, no further apart than allowed, its end left out.</summary>
    internal static IEnumerable<PlanePoint> Divided(PlanePoint from, PlanePoint to, double longest)
    {
        var parts = Math.Max(1, (int)Math.Ceiling(from.To(to) / longest));
        for (var i = 0; i < parts; i++)
        {
            yield return i == 0 ? from : from.Towards(to, (double)i / parts);
        }
    }

    /// <summary>The area grown at every side with round corners, or shrunk when negative.</summary>
    /// <param name="area">The area.</param>
    /// <param name="by">How far.</param>
    /// <param name="chordError">How far the round corners may lie from true arcs, inside them.</param>
    public static Area Grown(Area area, double by, double chordError)
    {
        ArgumentNullException.ThrowIfNull(area);
        if (by == 0 || area.IsEmpty)
        {
            return area;
        }

        // n segments to a quarter turn leave a sagitta of r(1 − cos(π/4n)).
        var segments =
            Math.Abs(by) <= chordError
                ? 2
                : (int)Math.Clamp(Math.Ceiling(Math.PI / (4 * Math.Acos(1 - (chordError / Math.Abs(by))))), 2, 64);
        // By itself it leaves out corners that lie within a hundredth of the distance, which is seen where the distance is not small.
        var simplified = Math.Min(BufferParameters.DefaultSimplifyFactor, chordError / Math.Abs(by));
        return Overlay.Grown(area, by, new BufferParameters(segments) { SimplifyFactor = simplified });
    }

    /// <summary>The area with its holes filled.</summary>
    public static Area Filled(Area area) => Join([.. PolygonsOf(area).Select(p => (Area)Factory.CreatePolygon(p.Shell))]);

    /// <summary>What of an area lies outside another; cut only where they meet.</summary>
    public static Area Without(Area area, Area away)
    {
        ArgumentNullException.ThrowIfNull(area);
        ArgumentNullException.ThrowIfNull(away);
        if (!area.EnvelopeInternal.Intersects(away.EnvelopeInternal))
        {
            return area;
        }

        var near = Near(away);
        return Apart(
            Together([.. PolygonsOf(area).SelectMany(p => near(p) is { } there ? PolygonsOf(Overlay.Difference(p, there)) : [p])]),
            () => Overlay.Difference(area, away)
        );
    }

    /// <summary>What of an area lies inside another.</summary>
    public static Area Within(Area area, Area inside)
    {
        ArgumentNullException.ThrowIfNull(area);
        ArgumentNullException.ThrowIfNull(inside);
        var near = Near(inside);
        return Apart(
            Together([.. PolygonsOf(area).SelectMany(p => near(p) is { } there ? PolygonsOf(Overlay.Intersection(p, there)) : [])]),
            () => Overlay.Intersection(area, inside)
        );
    }

    /// <summary>
    /// Polygons worked out one by one; where they met in a corner and rounding made them cross, all is worked out at once.
    /// </summary>
    private static Area Apart(Area one, Func<Area> whole) =>
        one.NumGeometries < 2 || one.IsValid ? one : Together([.. PolygonsOf(whole())]);

    /// <summary>For a polygon, what of an area lies near it by its boxes, or null: of many small things few concern any one.</summary>
    private static Func<Polygon, Area?> Near(Area area)
    {
        var polygons = PolygonsOf(area).ToList();
        if (polygons.Count <= 1)
        {
            return p => p.EnvelopeInternal.Intersects(area.EnvelopeInternal) ? area : null;
        }

        var tree = new STRtree<int>();
        for (var i = 0; i < polygons.Count; i++)
        {
            tree.Insert(polygons[i].EnvelopeInternal, i);
        }

        return p => tree.Query(p.EnvelopeInternal) is { Count: > 0 } found ? Together([.. found.Order().Select(i => polygons[i])]) : null;
    }

    /// <summary>Polygons that do not touch, as one area.</summary>
    public static Area Together(IReadOnlyList<Polygon> polygons)
    {
        ArgumentNullException.ThrowIfNull(polygons);
        return polygons.Count == 1 ? polygons[0] : Factory.CreateMultiPolygon([.. polygons]);
    }

    /// <summary>Of a moved area the polygons whose boxes meet a box; the others are not moved at all.</summary>
    internal static List<Polygon> MovedNear(Area area, Motion by, Box box) =>
        [.. PolygonsOf(area).Where(p => by.Of(Box.Of(p)!.Value).Meets(box)).Select(p => MovedPolygon(p, by))];

    /// <summary>Whether any polygon of one list has a point in common with any of another.</summary>
    internal static bool Touch(IReadOnlyList<Polygon> some, IReadOnlyList<Polygon> others)
    {
        if (some.Count == 0 || others.Count == 0)
        {
            return false;
        }

        var near = Near(Together(others));
        return some.Any(p => near(p) is { } there && Overlay.Meet(p, there));
    }

    private static Polygon MovedPolygon(Polygon polygon, Motion by) =>
        Factory.CreatePolygon(
            MovedRing(polygon.ExteriorRing, by),
            polygon.NumInteriorRings == 0 ? [] : [.. polygon.InteriorRings.Select(h => MovedRing(h, by))]
        );

    private static LinearRing MovedRing(LineString ring, Motion by)
    {
        var from = ring.Coordinates;
        var to = new Coordinate[from.Length];
        for (var i = 0; i < from.Length; i++)
        {
            to[i] = new Coordinate((by.A * from[i].X) + (by.B * from[i].Y) + by.C, (by.D * from[i].X) + (by.E * from[i].Y) + by.F);
        }

        return Factory.CreateLinearRing(to);
    }
}
