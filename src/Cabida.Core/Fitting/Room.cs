using Cabida.Core.Blanks;
using Cabida.Core.Geometry;

namespace Cabida.Core.Fitting;

/// <summary>How far ink could move one way before it touches.</summary>
/// <param name="Distance">Millimetres; negative when the ink stands outside by so much.</param>
/// <param name="Limit">What it touches first.</param>
public readonly record struct Room(double Distance, LimitKind Limit);

/// <summary>The room around ink in a zone, per side.</summary>
/// <param name="Above">Upwards.</param>
/// <param name="Below">Downwards.</param>
/// <param name="Left">To the left.</param>
/// <param name="Right">To the right.</param>
public sealed record Rooms(Room Above, Room Below, Room Left, Room Right)
{
    /// <summary>Room below this is none: the ink touches.</summary>
    public const double Touching = 0.05;

    /// <summary>All four, in reading order.</summary>
    public IReadOnlyList<Room> All => [Above, Below, Left, Right];

    /// <summary>How deep ink stands outside the zone, or the zone's corners within the ink; zero where it lies inside.</summary>
    public double Outside { get; init; }

    /// <summary>
    /// What it stands on where it lies within the zone's extents and yet outside: in a hole, in a notch, over what stays clear.
    /// </summary>
    public LimitKind? StandsOn { get; init; }

    /// <summary>The least; negative by how deep the ink stands outside, also where no side tells so.</summary>
    public double Least => Outside > Tolerances.Fit ? Math.Min(-Outside, All.Min(r => r.Distance)) : All.Min(r => r.Distance);

    /// <summary>What touches, or is crossed.</summary>
    public IReadOnlyList<LimitKind> Limits => [.. All.Where(r => r.Distance < Touching).Select(r => r.Limit).Distinct()];

    /// <summary>Measures the room of placed ink in a zone.</summary>
    /// <param name="ink">The ink in the zone's coordinates; not empty.</param>
    /// <param name="zone">The zone.</param>
    public static Rooms Of(NetTopologySuite.Geometries.Geometry ink, ZoneShape zone)
    {
        ArgumentNullException.ThrowIfNull(zone);
        var box = Box.Of(ink) ?? throw new ArgumentException("There is no ink.", nameof(ink));
        return zone.IsRectangle ? InRectangle(box, zone) : InPolygon(ink, zone);
    }

    /// <summary>The room of an ink box between upright limits.</summary>
    public static Rooms InRectangle(Box ink, ZoneShape zone)
    {
        ArgumentNullException.ThrowIfNull(zone);
        var box = zone.Bounds;
        // The zone lies on the left of its edges: its top runs to the left, its right side up.
        LimitKind Along(Func<ZoneEdge, bool> side) => zone.Edges.First(side).Limit;
        return new(
            new Room(box.MaxY - ink.MaxY, Along(e => e.To.X < e.From.X && e.From.Y == e.To.Y)),
            new Room(ink.MinY - box.MinY, Along(e => e.To.X > e.From.X && e.From.Y == e.To.Y)),
            new Room(ink.MinX - box.MinX, Along(e => e.To.Y < e.From.Y && e.From.X == e.To.X)),
            new Room(box.MaxX - ink.MaxX, Along(e => e.To.Y > e.From.Y && e.From.X == e.To.X))
        );
    }

    private static Rooms InPolygon(NetTopologySuite.Geometries.Geometry ink, ZoneShape zone)
    {
        var boundary = Outlines
            .RingsOf(ink)
            .SelectMany(r => r.Coordinates.Zip(r.Coordinates.Skip(1), (a, b) => new ZoneEdge(default, new(a.X, a.Y), new(b.X, b.Y))))
            .ToList();
        // Ink that stands wholly beside the zone meets nothing on its way past: there the extents tell how far it is.
        var (mine, its) = (Box.Of(ink)!.Value, zone.Bounds);
        static Room Known(Room room, double extents) => double.IsFinite(room.Distance) ? room : new Room(extents, LimitKind.Edge);
        // Four rotations, so that the zone stays on the left of its edges.
        var rooms = new Rooms(
            Known(Upwards(boundary, zone.Edges, p => p), its.MaxY - mine.MaxY),
            Known(Upwards(boundary, zone.Edges, p => new(-p.X, -p.Y)), mine.MinY - its.MinY),
            Known(Upwards(boundary, zone.Edges, p => new(p.Y, -p.X)), mine.MinX - its.MinX),
            Known(Upwards(boundary, zone.Edges, p => new(-p.Y, p.X)), its.MaxX - mine.MaxX)
        );
        if (Standing.Of(ink, zone) is not { } outside || outside.Depth <= Tolerances.Fit)
        {
            return rooms;
        }

        // Where a side is already over, that side tells of it.
        return rooms with
        {
            Outside = outside.Depth,
            StandsOn = rooms.All.All(r => r.Distance > -outside.Depth / 2) ? outside.Limit : null,
        };
    }

    /// <summary>
    /// Both boundaries are made of straight edges, so the least distance along y is found at a vertex of one of them:
    /// each ink vertex against the zone's edges over it, each vertex of the zone's upper edges against the ink under it. What stands
    /// past the other's end by no more than computed ink may is measured just within it: ink that touches a side still meets
    /// what is over it.
    /// </summary>
    private static Room Upwards(List<ZoneEdge> ink, IReadOnlyList<ZoneEdge> zone, Func<PlanePoint, PlanePoint> turned)
    {
        ZoneEdge[] inkEdges = [.. ink.Select(e => e with { From = turned(e.From), To = turned(e.To) })];
        ZoneEdge[] zoneEdges = [.. zone.Select(e => e with { From = turned(e.From), To = turned(e.To) })];
        var least = new Room(double.PositiveInfinity, LimitKind.Edge);
        var (left, right) = (inkEdges.Min(e => e.From.X), inkEdges.Max(e => e.From.X));
        PlanePoint Within(PlanePoint p) => p with { X = p.X + Math.Clamp(((left + right) / 2) - p.X, -Tolerances.Fit, Tolerances.Fit) };
        foreach (var edge in inkEdges)
        {
            var inward = Within(edge.From);
            // A foot that stands under the floor by as little meets what is over the zone all the same.
            Take(OverInside(zoneEdges, edge.From) ?? OverInside(zoneEdges, inward) ?? Raised(inward));
        }

        foreach (var (p, limit) in zoneEdges.Where(e => e.To.X < e.From.X).SelectMany(e => new[] { (e.From, e.Limit), (e.To, e.Limit) }))
        {
            Take(UnderOutside(inkEdges, p.X > left && p.X < right ? p : Within(p), limit));
        }

        return least;

        Room? Raised(PlanePoint p) =>
            OverInside(zoneEdges, p with { Y = p.Y + Tolerances.Fit }) is { } room
                ? room with
                {
                    Distance = room.Distance + Tolerances.Fit,
                }
                : null;

        void Take(Room? room)
        {
            if (room is { } r && r.Distance < least.Distance)
            {
                least = r;
            }
        }
    }

    /// <summary>
    /// From a vertex of an upper edge down to the ink; when the vertex is inside ink, by how much the ink stands over it.
    /// </summary>
    private static Room? UnderOutside(ZoneEdge[] ink, PlanePoint p, LimitKind limit)
    {
        var (under, over) = Nearest(ink, p, out var isWithin);
        var within = -Past(over, p) ?? (Touches(ink, p) ? null : -over?.Far);
        return (isWithin ? within : under?.Far) is { } distance ? new Room(distance, limit) : null;
    }

    /// <summary>From a point up to where the zone ends; when the point is outside, back down to where it would be inside.</summary>
    private static Room? OverInside(ZoneEdge[] zone, PlanePoint p)
    {
        var (below, above) = Nearest(zone, p, out var isWithin);
        return isWithin ? new Room(above!.Value.Far, above.Value.Edge.Limit)
            : Past(below, p) is { } past ? new Room(-past, below!.Value.Edge.Limit)
            : below is { } under && above is null && !Touches(zone, p) ? new Room(-under.Far, under.Edge.Limit)
            : null;
    }

    /// <summary>The edges next under and over a point, with how far they are along y; and whether it lies within them.</summary>
    private static ((ZoneEdge Edge, double Far)? Under, (ZoneEdge Edge, double Far)? Over) Nearest(
        ZoneEdge[] edges,
        PlanePoint p,
        out bool isWithin
    )
    {
        (ZoneEdge Edge, double Far)? under = null,
            over = null;
        isWithin = false;
        foreach (var edge in edges)
        {
            if (HeightAt(edge, p.X) is not { } y)
            {
                continue;
            }

            if (y >= p.Y)
            {
                isWithin = !isWithin;
                over = over?.Far <= y - p.Y ? over : (edge, y - p.Y);
            }
            else
            {
                under = under?.Far <= p.Y - y ? under : (edge, p.Y - y);
            }
        }

        return (under, over);
    }

    /// <summary>How far a point is past the edge next to it, where it only touches that.</summary>
    private static double? Past((ZoneEdge Edge, double Far)? next, PlanePoint p) =>
        next is { } n && Touches(n.Edge, p) ? Math.Min(n.Far, Close) : null;

    private static bool Touches(ZoneEdge[] edges, PlanePoint p) => edges.Any(e => Touches(e, p));

    private static bool Touches(ZoneEdge edge, PlanePoint p) => p.To(p.NearestOn(edge.From, edge.To)) <= Close;

    /// <summary>
    /// What is so near only touches: it is neither within nor outside, however rounding has it. Twice what computed ink may stand outside,
    /// since what is measured just within an end was moved by as much.
    /// </summary>
    private const double Close = 2 * Tolerances.Fit;

    /// <summary>Where an edge stands over x, its right end left out so that a vertex counts once.</summary>
    private static double? HeightAt(ZoneEdge e, double x)
    {
        var (lo, hi) = e.From.X < e.To.X ? (e.From, e.To) : (e.To, e.From);
        return x >= lo.X && x < hi.X ? lo.Y + ((hi.Y - lo.Y) * (x - lo.X) / (hi.X - lo.X)) : null;
    }
}
