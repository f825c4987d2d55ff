using Cabida.Core.Geometry;
using NetTopologySuite.Geometries;

namespace Cabida.Core.Blanks;

/// <summary>What stops ink from being larger.</summary>
public enum LimitKind
{
    /// <summary>The margin below the rim.</summary>
    Rim,

    /// <summary>The margin above the base.</summary>
    Base,

    /// <summary>The margin beside the handle or seam, at the left.</summary>
    LeftSide,

    /// <summary>The margin beside the handle or seam, at the right.</summary>
    RightSide,

    /// <summary>An edge without a name of its own.</summary>
    Edge,

    /// <summary>A place to keep clear.</summary>
    KeptClear,
}

/// <summary>A stretch of a zone's boundary.</summary>
/// <param name="Limit">What it is.</param>
/// <param name="From">Where it starts.</param>
/// <param name="To">Where it ends.</param>
public readonly record struct ZoneEdge(LimitKind Limit, PlanePoint From, PlanePoint To);

/// <summary>Where artwork may go: a polygon, perhaps with holes, in developed coordinates; its edges know what they are.</summary>
public sealed class ZoneShape
{
    private ZoneShape(Polygon outline, IReadOnlyList<ZoneEdge> edges, PlanePoint datum, bool isRectangle)
    {
        Outline = outline;
        Edges = edges;
        Datum = datum;
        IsRectangle = isRectangle;
        Bounds = Box.Of(outline)!.Value;
        IsStarShaped = outline.NumInteriorRings == 0 && SeesAll(outline, datum);
    }

    /// <summary>The polygon.</summary>
    public Polygon Outline { get; }

    /// <summary>Its boundary, the zone on the left of each edge.</summary>
    public IReadOnlyList<ZoneEdge> Edges { get; }

    /// <summary>Its datum centre: where ink is centred unless the maker says otherwise.</summary>
    public PlanePoint Datum { get; }

    /// <summary>The box round it.</summary>
    public Box Bounds { get; }

    /// <summary>Whether it is an upright rectangle.</summary>
    public bool IsRectangle { get; }

    /// <summary>
    /// Whether the straight line from the datum to any point of the zone stays inside. Then whatever fits fits at every
    /// smaller scale too, when all of it scales about the datum.
    /// </summary>
    public bool IsStarShaped { get; }

    /// <summary>An upright rectangle between margins.</summary>
    public static ZoneShape Rectangle(Box box) => Of(
        [
            (LimitKind.Base, [new(box.MinX, box.MinY), new(box.MaxX, box.MinY)]),
            (LimitKind.RightSide, [new(box.MaxX, box.MinY), new(box.MaxX, box.MaxY)]),
            (LimitKind.Rim, [new(box.MaxX, box.MaxY), new(box.MinX, box.MaxY)]),
            (LimitKind.LeftSide, [new(box.MinX, box.MaxY), new(box.MinX, box.MinY)]),
        ],
        new PlanePoint(box.CentreX, box.CentreY),
        isRectangle: true);

    /// <summary>A zone within sides that follow one another counter-clockwise.</summary>
    public static ZoneShape Of(IReadOnlyList<(LimitKind Limit, IReadOnlyList<PlanePoint> Line)> sides, PlanePoint datum) =>
        Of(sides, datum, isRectangle: false);

    /// <summary>Any polygon; its outside is an edge, its holes are kept clear.</summary>
    public static ZoneShape Of(Polygon outline, PlanePoint datum)
    {
        ArgumentNullException.ThrowIfNull(outline);
        var edges = EdgesOf(outline.ExteriorRing, LimitKind.Edge, counterClockwise: true)
            .Concat(outline.InteriorRings.SelectMany(h => EdgesOf(h, LimitKind.KeptClear, counterClockwise: false))).ToList();
        return new ZoneShape(outline, edges, datum, isRectangle: false);
    }

    private static ZoneShape Of(
        IReadOnlyList<(LimitKind Limit, IReadOnlyList<PlanePoint> Line)> sides, PlanePoint datum, bool isRectangle)
    {
        ArgumentNullException.ThrowIfNull(sides);
        var edges = sides.SelectMany(s => s.Line.Zip(s.Line.Skip(1), (a, b) => new ZoneEdge(s.Limit, a, b))).ToList();
        return new ZoneShape(Outlines.Ring([.. edges.Select(e => e.From)]), edges, datum, isRectangle);
    }

    private static IEnumerable<ZoneEdge> EdgesOf(LineString ring, LimitKind limit, bool counterClockwise)
    {
        var way = NetTopologySuite.Algorithm.Orientation.IsCCW(ring.CoordinateSequence) == counterClockwise
            ? ring.Coordinates
            : [.. Enumerable.Reverse(ring.Coordinates)];
        return way.Zip(way.Skip(1), (a, b) => new ZoneEdge(limit, new(a.X, a.Y), new(b.X, b.Y)));
    }

    private static bool SeesAll(Polygon outline, PlanePoint from)
    {
        var ring = outline.ExteriorRing.CoordinateSequence;
        var way = NetTopologySuite.Algorithm.Orientation.IsCCW(ring) ? 1 : -1;
        for (var i = 0; i < ring.Count - 1; i++)
        {
            double ax = ring.GetX(i), ay = ring.GetY(i), bx = ring.GetX(i + 1), by = ring.GetY(i + 1);
            if (way * (((bx - ax) * (from.Y - ay)) - ((by - ay) * (from.X - ax))) < 0)
            {
                return false;
            }
        }

        return true;
    }
}
