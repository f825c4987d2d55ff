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

    /// <summary>What it stands on where it lies within the zone's extents and yet outside: in a hole, in a notch, over what stays clear.</summary>
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
            new Room(box.MaxX - ink.MaxX, Along(e => e.To.Y > e.From.Y && e.From.X == e.To.X)));
    }

    private static Rooms InPolygon(NetTopologySuite.Geometries.Geometry ink, ZoneShape zone)
    {
        var boundary = Outlines.RingsOf(ink)
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
            Known(Upwards(boundary, zone.Edges, p => new(-p.Y, p.X)), its.MaxX - mine.MaxX));
        if (Standing.Of(ink, zone) is not { } outside || outside.Depth <= Tolerances.Fit)
        {
            return rooms;
        }

        // Where a side is already over, that side tells of it.
        return rooms with { Outside = outside.Depth, StandsOn = rooms.All.All(r => r.Distance > -outside.Depth / 2) ? outside.Limit : null };
    }

    /// <summary>
    /// Both boundaries are made of straight edges, so the least distance along y is found at a vertex of one of them:
    /// each ink vertex against the zone's edges over it, each vertex of the zone's upper edges against the ink under it.
    /// </summary>
    private static Room Upwards(List<ZoneEdge> ink, IReadOnlyList<ZoneEdge> zone, Func<PlanePoint, PlanePoint> turned)
    {
        ZoneEdge[] inkEdges = [.. ink.Select(e => e with { From = turned(e.From), To = turned(e.To) })];
        ZoneEdge[] zoneEdges = [.. zone.Select(e => e with { From = turned(e.From), To = turned(e.To) })];
        var least = new Room(double.PositiveInfinity, LimitKind.Edge);
        foreach (var edge in inkEdges)
        {
            Take(OverInside(zoneEdges, edge.From));
        }

        foreach (var edge in zoneEdges.Where(e => e.To.X < e.From.X))
        {
            Take(UnderOutside(inkEdges, edge.From, edge.Limit));
            Take(UnderOutside(inkEdges, edge.To, edge.Limit));
        }

        return least;

        void Take(Room? room)
        {
            if (room is { } r && r.Distance < least.Distance)
            {
                least = r;
            }
        }
    }

    /// <summary>From a vertex of an upper edge down to the ink; when the vertex is inside ink, by how much the ink stands over it.</summary>
    private static Room? UnderOutside(ZoneEdge[] ink, PlanePoint p, LimitKind limit)
    {
        double? under = null, over = null;
        var crossings = 0;
        foreach (var edge in ink)
        {
            if (HeightAt(edge, p.X) is not { } y)
            {
                continue;
            }

            if (y > p.Y)
            {
                crossings++;
                over = over < y - p.Y ? over : y - p.Y;
            }
            else
            {
                under = under < p.Y - y ? under : p.Y - y;
            }
        }

        // A corner that only touches the ink is not within it, however rounding has it.
        return (crossings % 2 == 1 && !Touches(ink, p) ? -over : under) is { } distance ? new Room(distance, limit) : null;
    }

    /// <summary>From a point up to where the zone ends; when the point is outside, back down to where it would be inside.</summary>
    private static Room? OverInside(ZoneEdge[] zone, PlanePoint p)
    {
        var (above, below) = (default(Room?), default(Room?));
        var crossings = 0;
        foreach (var edge in zone)
        {
            if (HeightAt(edge, p.X) is not { } y)
            {
                continue;
            }

            if (y >= p.Y)
            {
                crossings++;
                above = above is { } a && a.Distance <= y - p.Y ? above : new Room(y - p.Y, edge.Limit);
            }
            else
            {
                below = below is { } b && b.Distance >= y - p.Y ? below : new Room(y - p.Y, edge.Limit);
            }
        }

        return crossings % 2 == 1 ? above : above is null && !Touches(zone, p) ? below : null;
    }

    private static bool Touches(ZoneEdge[] edges, PlanePoint p) => edges.Any(e => p.To(p.NearestOn(e.From, e.To)) <= Tolerances.Fit);

    /// <summary>Where an edge stands over x, its right end left out so that a vertex counts once.</summary>
    private static double? HeightAt(ZoneEdge e, double x)
    {
        var (lo, hi) = e.From.X < e.To.X ? (e.From, e.To) : (e.To, e.From);
        return x >= lo.X && x < hi.X ? lo.Y + ((hi.Y - lo.Y) * (x - lo.X) / (hi.X - lo.X)) : null;
    }
}
