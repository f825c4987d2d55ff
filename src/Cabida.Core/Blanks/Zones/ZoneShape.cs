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

    /// <summary>The margin below the top edge of a panel.</summary>
    Top,

    /// <summary>The margin above the bottom edge of a panel.</summary>
    Bottom,

    /// <summary>The size that was typed for the zone itself.</summary>
    Size,

    /// <summary>What the press covers.</summary>
    Platen,

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
    /// <summary>Less than this share of the area comes from rounding.</summary>
    private const double FlatShare = 1e-12;

    private ZoneShape(Polygon outline, IReadOnlyList<ZoneEdge> edges, PlanePoint datum, bool isRectangle)
    {
        Outline = outline;
        Edges = edges;
        Datum = datum;
        IsRectangle = isRectangle;
        Bounds = Box.Of(outline)!.Value;
        IsConvex = outline.NumInteriorRings == 0 && outline.ConvexHull().Area - outline.Area <= FlatShare * outline.Area;
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

    /// <summary>Whether it has no holes and no corner that points inwards.</summary>
    public bool IsConvex { get; }

    /// <summary>
    /// Whether the straight line from a place to any point of the zone stays inside. Then whatever fits fits at every
    /// smaller scale too, when all of it scales about that place.
    /// </summary>
    public bool SeesAllFrom(PlanePoint place) => Outline.NumInteriorRings == 0 && SeesAll(Outline, place);

    /// <summary>An upright rectangle whose sides are all the same limit.</summary>
    public static ZoneShape Rectangle(Box box, LimitKind limit) =>
        Of(Outlines.Rectangle(box), new PlanePoint(box.CentreX, box.CentreY), _ => limit);

    /// <summary>An upright rectangle between margins of a wall.</summary>
    public static ZoneShape Rectangle(Box box) => Rectangle(box, WallLimits.Margins);

    /// <summary>An upright rectangle on a wall.</summary>
    internal static ZoneShape Rectangle(Box box, WallLimits limits) =>
        Of(
            [
                (limits.Foot, [new(box.MinX, box.MinY), new(box.MaxX, box.MinY)]),
                (limits.Right, [new(box.MaxX, box.MinY), new(box.MaxX, box.MaxY)]),
                (limits.Top, [new(box.MaxX, box.MaxY), new(box.MinX, box.MaxY)]),
                (limits.Left, [new(box.MinX, box.MaxY), new(box.MinX, box.MinY)]),
            ],
            new PlanePoint(box.CentreX, box.CentreY),
            isRectangle: true
        );

    /// <summary>Any polygon whose edges are named by what they lie on.</summary>
    internal static ZoneShape Of(Polygon outline, PlanePoint datum, Func<ZoneEdge, LimitKind> limitOf)
    {
        var edges = EdgesOf(outline.ExteriorRing, LimitKind.Edge, counterClockwise: true)
            .Concat(outline.InteriorRings.SelectMany(h => EdgesOf(h, LimitKind.KeptClear, counterClockwise: false)))
            .Select(e => e with { Limit = limitOf(e) })
            .ToList();
        var isRectangle =
            outline.NumInteriorRings == 0
            && outline.NumPoints == 5
            && Math.Abs(outline.Area - outline.EnvelopeInternal.Area) < 1e-9 * outline.Area;
        return new ZoneShape(outline, edges, datum, isRectangle);
    }

    /// <summary>
    /// The zone less places that must stay clear; of several parts that remain, the one with the datum or else the
    /// largest. Null when nothing remains. Where the places cut a side off, the datum moves to the middle of what is left.
    /// </summary>
    internal ZoneShape? Without(IReadOnlyList<Polygon> away)
    {
        var cutting = away.Where(p => Overlay.Meet(p, Outline)).ToList();
        if (cutting.Count == 0)
        {
            return this;
        }

        var rest = cutting.Aggregate((NetTopologySuite.Geometries.Geometry)Outline, (left, place) => Overlay.Difference(left, place));
        var here = Outlines.Factory.CreatePoint(Datum.ToCoordinate());
        var part = Outlines
            .PolygonsOf(rest)
            .Select(Spikes.Without)
            .OfType<Polygon>()
            .OrderByDescending(p => p.Contains(here))
            .ThenByDescending(p => p.Area)
            .FirstOrDefault();
        if (part is null)
        {
            return null;
        }

        var box = Box.Of(part)!.Value;
        bool Moved(double a, double b) => Math.Abs(a - b) > 1e-6;
        var datum = new PlanePoint(
            Moved(box.MinX, Bounds.MinX) || Moved(box.MaxX, Bounds.MaxX) ? box.CentreX : Datum.X,
            Moved(box.MinY, Bounds.MinY) || Moved(box.MaxY, Bounds.MaxY) ? box.CentreY : Datum.Y
        );
        // Most edges are untouched and keep their names; the few others lie on an old edge or on a place kept clear.
        var untouched = Edges.GroupBy(e => (e.From, e.To)).ToDictionary(g => g.Key, g => g.First().Limit);
        var whole = Outline.Boundary;
        return Of(part, datum, e => untouched.TryGetValue((e.From, e.To), out var limit) ? limit
            : e.From.Towards(e.To, 0.5) is var middle && whole.IsWithinDistance(Outlines.Factory.CreatePoint(middle.ToCoordinate()), OnEdge)
                ? LimitNear(middle)
            : LimitKind.KeptClear);
    }

    /// <summary>A point this near to an edge lies on it; millimetres.</summary>
    internal const double OnEdge = 1e-6;

    private LimitKind LimitNear(PlanePoint point)
    {
        var p = point.ToCoordinate();
        return Edges
            .MinBy(e => NetTopologySuite.Algorithm.DistanceComputer.PointToSegment(p, e.From.ToCoordinate(), e.To.ToCoordinate()))
            .Limit;
    }

    /// <summary>The zone with its place changed and another datum centre.</summary>
    internal ZoneShape Moved(Motion by, PlanePoint datum) =>
        new(
            Sound((Polygon)Outlines.Moved(Outline, by)),
            [.. Edges.Select(e => e with { From = by.Of(e.From), To = by.Of(e.To) })],
            datum,
            IsRectangle && by.KeepsBoxes
        );

    /// <summary>
    /// What was cut along an edge runs so near it that rounding in a turn may make the two cross: then repaired, the largest part of
    /// it.
    /// </summary>
    private static Polygon Sound(Polygon outline) => Outlines.PolygonsOf(Overlay.Sound(outline)).MaxBy(p => p.Area) ?? outline;

    /// <summary>The zone with every point moved; its edges are divided so that they can bend, and keep their names.</summary>
    internal ZoneShape Mapped(Func<PlanePoint, PlanePoint> to, double longest)
    {
        var edges = Edges
            .SelectMany(e =>
                Outlines.Divided(e.From, e.To, longest).Append(e.To).ToList() is var points
                    ? points.Zip(points.Skip(1), (a, b) => new ZoneEdge(e.Limit, to(a), to(b)))
                    : []
            )
            .ToList();
        return new ZoneShape(
            (Polygon)Outlines.PolygonsOf(Outlines.Mapped(Outline, to, longest)).First(),
            edges,
            to(Datum),
            isRectangle: false
        );
    }

    /// <summary>A zone within sides that follow one another counter-clockwise.</summary>
    public static ZoneShape Of(IReadOnlyList<(LimitKind Limit, IReadOnlyList<PlanePoint> Line)> sides, PlanePoint datum) =>
        Of(sides, datum, isRectangle: false);

    /// <summary>Any polygon; its outside is an edge, its holes are kept clear.</summary>
    public static ZoneShape Of(Polygon outline, PlanePoint datum)
    {
        ArgumentNullException.ThrowIfNull(outline);
        var edges = EdgesOf(outline.ExteriorRing, LimitKind.Edge, counterClockwise: true)
            .Concat(outline.InteriorRings.SelectMany(h => EdgesOf(h, LimitKind.KeptClear, counterClockwise: false)))
            .ToList();
        return new ZoneShape(outline, edges, datum, isRectangle: false);
    }

    private static ZoneShape Of(IReadOnlyList<(LimitKind Limit, IReadOnlyList<PlanePoint> Line)> sides, PlanePoint datum, bool isRectangle)
    {
        ArgumentNullException.ThrowIfNull(sides);
        var edges = sides.SelectMany(s => s.Line.Zip(s.Line.Skip(1), (a, b) => new ZoneEdge(s.Limit, a, b))).ToList();
        return new ZoneShape(Outlines.Ring([.. edges.Select(e => e.From)]), edges, datum, isRectangle);
    }

    private static IEnumerable<ZoneEdge> EdgesOf(LineString ring, LimitKind limit, bool counterClockwise)
    {
        var way =
            NetTopologySuite.Algorithm.Orientation.IsCCW(ring.CoordinateSequence) == counterClockwise
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
            double ax = ring.GetX(i),
                ay = ring.GetY(i),
                bx = ring.GetX(i + 1),
                by = ring.GetY(i + 1);
            if (way * (((bx - ax) * (from.Y - ay)) - ((by - ay) * (from.X - ax))) < 0)
            {
                return false;
            }
        }

        return true;
    }
}
