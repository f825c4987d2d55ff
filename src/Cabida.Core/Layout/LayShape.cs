using Cabida.Core.Geometry;
using NetTopologySuite.Geometries;
using NetTopologySuite.Simplify;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Layout;

/// <summary>
/// An outline as the search sees it: few edges that never lie inside the outline, so that what is apart here is apart. About the middle
/// of its box, so that it turns in place.
/// </summary>
internal sealed class LayShape
{
    /// <summary>So many discs are looked at together.</summary>
    public const int Lanes = 8;

    /// <summary>With so few corners an outline is grown exactly to its sides.</summary>
    private const int FewGrown = 13;
    private const int SidesAbout = 16;

    /// <summary>An outline of more points than this is round somewhere: points within its sides are not looked for.</summary>
    private const int Straightened = 200;
    private const int MostSharp = 12;
    private const double Sharply = 20 * Math.PI / 180;

    /// <summary>With so few corners an outline is left as it is.</summary>
    private const int FewCorners = 40;

    /// <summary>More corners than this are made fewer, further from the outline.</summary>
    private const int MostCorners = 70;

    /// <summary>With more corners than this an outline is not even grown: it would keep too many.</summary>
    private const int HopelesslyMany = 3 * MostCorners;

    /// <summary>How far from the outline its edges may lie, tried in turn; millimetres.</summary>
    private static readonly double[] Away = [0.05, 0.1, 0.2, 0.4];

    /// <summary>Found when they are first looked at: a first plan does without.</summary>
    private Circle[]? poles;
    private float[]? poleRadii;

    private LayShape(Area area, PlanePoint middle)
    {
        var polygons = Outlines.PolygonsOf(area).ToList();
        PolygonStarts = [0, .. Running(polygons.Select(p => 1 + p.NumInteriorRings))];
        Rings = [.. Outlines.RingsOf(area).Select(r => Points(r, middle))];
        Area = area.Area;
        Radius = Rings.SelectMany(r => r).Max(p => p.To(default));
        var box = Box.Of(area)!.Value;
        Diameter = Math.Sqrt((box.Width * box.Width) + (box.Height * box.Height));
        Sharp =
        [
            .. Rings.SelectMany(Corners).Where(c => c.Turn > Sharply).OrderByDescending(c => c.Turn).Take(MostSharp).Select(c => c.At),
        ];
        IsLeft = Rings[0].Zip([.. Rings[0].Skip(1), Rings[0][0]], (p, q) => (p.X * q.Y) - (q.X * p.Y)).Sum() > 0;
        IsConvex = Rings.Length == 1 && area.ConvexHull().Area <= Area * (1 + 1e-9);
        Bulk = Math.Sqrt(area.ConvexHull().Area);
    }

    /// <summary>Its rings, without the first point repeated, about the middle.</summary>
    public PlanePoint[][] Rings { get; }

    /// <summary>At which ring each polygon begins, and how many rings there are.</summary>
    public int[] PolygonStarts { get; }

    /// <summary>Discs within it, the largest first.</summary>
    public Circle[] Poles => poles ??= [.. Layout.Poles.Of(Rings, Area)];

    /// <summary>Their radii, filled up with none to a multiple of the lanes that are worked out at once.</summary>
    public float[] PoleRadii => poleRadii ??= Filled([.. Poles.Select(p => (float)p.Radius)]);

    /// <summary>Its area.</summary>
    public double Area { get; }

    /// <summary>The diagonal of its box.</summary>
    public double Diameter { get; }

    /// <summary>How far its farthest point lies from its middle.</summary>
    public double Radius { get; }

    /// <summary>Its sharpest corners: places where others fit closely.</summary>
    public PlanePoint[] Sharp { get; }

    /// <summary>The root of its hull's area: how hard it is to move past others.</summary>
    public double Bulk { get; }

    /// <summary>Whether its first ring goes round to the left.</summary>
    public bool IsLeft { get; }

    /// <summary>Whether it is its own hull.</summary>
    public bool IsConvex { get; }

    /// <summary>How many corners it has.</summary>
    public int CornerCount => Rings.Sum(r => r.Length);

    /// <summary>The shape of an outline grown at all sides.</summary>
    /// <param name="outline">The outline; millimetres.</param>
    /// <param name="by">How far it is grown.</param>
    /// <param name="middle">What becomes its origin.</param>
    public static LayShape Of(Area outline, double by, PlanePoint middle)
    {
        if (outline.NumPoints <= Straightened && Simplified(outline, 0) is var straight)
        {
            if (by == 0 && straight.NumPoints <= FewCorners)
            {
                return new LayShape(straight, middle);
            }

            if (by > 0 && straight.NumPoints <= FewGrown)
            {
                return new LayShape(Grown(straight, by), middle);
            }
        }

        Area? last = null;
        foreach (var away in Away)
        {
            // Edges may lie inside the corners that are left out, and round corners inside true arcs: growing by all of it keeps the
            // outline within.
            var plain = Simplified(outline, away / 2);
            if (plain.NumPoints > HopelesslyMany && away < Away[^1])
            {
                continue;
            }

            last = Simplified(Outlines.Grown(plain, by + (2 * away), away / 2), away);
            if (last.NumPoints <= MostCorners)
            {
                break;
            }
        }

        return new LayShape(last!, middle);
    }

    /// <summary>
    /// An area of few corners grown exactly to its sides where they are level or upright, and by a fiftieth more at most where they slant:
    /// its sum (Minkowski) with a polygon about the disc.
    /// </summary>
    private static Area Grown(Area area, double by)
    {
        Area About(Coordinate corner) =>
            Outlines.Ring([.. AboutDisc.Select(p => new PlanePoint(corner.X + (by * p.X), corner.Y + (by * p.Y)))]);
        Area Hull(IEnumerable<Coordinate> corners) => Outlines.Factory.BuildGeometry(corners.Select(About)).ConvexHull();
        var hull = area.ConvexHull();
        if (hull.Area <= area.Area * (1 + 1e-9))
        {
            return Hull(hull.Coordinates);
        }

        var sides = Outlines.RingsOf(area).SelectMany(r => r.Coordinates.Zip(r.Coordinates.Skip(1), (a, b) => Hull([a, b])));
        return Outlines.Union([area, .. sides]);
    }

    /// <summary>The corners of a polygon about the unit disc that touches it to the right, above, to the left and below.</summary>
    private static readonly PlanePoint[] AboutDisc =
    [
        .. Enumerable
            .Range(0, SidesAbout)
            .Select(i => (i + 0.5) * 2 * Math.PI / SidesAbout)
            .Select(angle => new PlanePoint(
                Math.Cos(angle) / Math.Cos(Math.PI / SidesAbout),
                Math.Sin(angle) / Math.Cos(Math.PI / SidesAbout)
            )),
    ];

    /// <summary>An area with all of its corners, about the origin of its coordinates.</summary>
    public static LayShape AsItIs(Area area) => new(area, default);

    private static Area Simplified(Area area, double away)
    {
        var simple =
            away == 0 ? TopologyPreservingSimplifier.Simplify(area, Tolerances.Fit / 1000) : DouglasPeuckerSimplifier.Simplify(area, away);
        return simple.IsEmpty ? area : simple;
    }

    private static float[] Filled(float[] radii)
    {
        Array.Resize(ref radii, (radii.Length + Lanes - 1) / Lanes * Lanes);
        return radii;
    }

    /// <summary>The corners of a ring, each with how far its outline turns there, either way; radians.</summary>
    private static IEnumerable<(PlanePoint At, double Turn)> Corners(PlanePoint[] ring)
    {
        for (var i = 0; i < ring.Length; i++)
        {
            var (before, at, after) = (ring[(i + ring.Length - 1) % ring.Length], ring[i], ring[(i + 1) % ring.Length]);
            var (ux, uy, vx, vy) = (at.X - before.X, at.Y - before.Y, after.X - at.X, after.Y - at.Y);
            yield return (at, Math.Abs(Math.Atan2((ux * vy) - (uy * vx), (ux * vx) + (uy * vy))));
        }
    }

    private static IEnumerable<int> Running(IEnumerable<int> counts)
    {
        var sum = 0;
        foreach (var count in counts)
        {
            yield return sum += count;
        }
    }

    private static PlanePoint[] Points(LineString ring, PlanePoint middle) =>
        [.. ring.Coordinates.Skip(1).Select(c => new PlanePoint(c.X - middle.X, c.Y - middle.Y))];
}
