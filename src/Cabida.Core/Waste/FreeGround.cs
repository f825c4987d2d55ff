using Cabida.Core.Geometry;
using NetTopologySuite.Geometries;
using NetTopologySuite.Geometries.Prepared;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Waste;

/// <summary>
/// Where a break may run: a region less what must be kept clear of. The shortest way is found on a grid (Dijkstra 1959, towards the far
/// edge as Hart, Nilsson and Raphael 1968) and then pulled straight, each straight stretch proved against the outlines themselves.
/// </summary>
internal sealed class FreeGround
{
    /// <summary>Cells of a grid at most.</summary>
    private const int MostCells = 400_000;

    /// <summary>What a cell of ground costs, in steps of effort.</summary>
    private const int StepsForCell = 4;

    /// <summary>Half the diagonal of a cell, as a share of its side: from the middle of a free cell so far is free.</summary>
    private const double HalfDiagonal = 0.7072;

    /// <summary>A way begins and ends at a cell so near to its edge, in sides of a cell.</summary>
    private const double AtEdge = 1.5;

    private readonly Polygon region;
    private readonly Box box;
    private readonly double pitch;
    private readonly int columns;
    private readonly int rows;
    private readonly bool[] blocked;
    private readonly IPreparedGeometry keptFrom;
    private readonly IPreparedGeometry within;
    private readonly List<LineString> walls = [];

    /// <summary>Ground to find a way on.</summary>
    /// <param name="region">Where the way must stay.</param>
    /// <param name="window">Where it is looked for.</param>
    /// <param name="ink">What it must stay clear of.</param>
    /// <param name="ends">Ends of other breaks, from which it stays away as far.</param>
    /// <param name="clearance">By how much; millimetres.</param>
    public FreeGround(Polygon region, Box window, Area ink, IReadOnlyList<PlanePoint> ends, double clearance)
    {
        this.region = region;
        box = window;
        pitch = Math.Max(clearance / 4, Math.Sqrt(window.Width * window.Height / MostCells));
        columns = Math.Max(1, (int)Math.Ceiling(window.Width / pitch));
        rows = Math.Max(1, (int)Math.Ceiling(window.Height / pitch));
        Wording.Effort.Spend(StepsForCell * (long)columns * rows);
        var near = Outlines.Within(ink, Outlines.Rectangle(window.Grown(2 * clearance)));
        Area Grown(double by) =>
            Outlines
                .Grown(near, by, Tolerances.Ink)
                .Union(Outlines.Factory.CreateMultiPointFromCoords([.. ends.Select(e => e.ToCoordinate())]).Buffer(by));
        // Round corners are drawn within their arcs by as much.
        keptFrom = PreparedGeometryFactory.Prepare(Grown(clearance + Tolerances.Ink));
        within = PreparedGeometryFactory.Prepare(region.Buffer(Tolerances.Fit));
        blocked = new bool[columns * rows];
        Array.Fill(blocked, true);
        Fill(region, to: false);
        Fill(Grown(clearance + Tolerances.Ink + (HalfDiagonal * pitch)), to: true);
    }

    /// <summary>Puts a wall that no way goes through.</summary>
    public void Wall(PlanePoint from, PlanePoint to)
    {
        if (!Box.AroundPoints([from, to]).Meets(box))
        {
            return;
        }

        walls.Add(Outlines.Line([from, to]));
        // Every cell that the wall touches: a way that goes from corner to corner does not slip through.
        var steps = (int)Math.Ceiling(from.To(to) / (pitch / 4)) + 1;
        for (var i = 0; i <= steps; i++)
        {
            if (CellAt(from.Towards(to, (double)i / steps)) is { } cell)
            {
                blocked[cell] = true;
            }
        }
    }

    /// <summary>The shortest way from one edge to another; null where there is none.</summary>
    public LineString? Way(LineString from, LineString to)
    {
        var (begins, ends) = (AtEdgeOf(from), AtEdgeOf(to));
        if (begins.Count == 0 || ends.Count == 0)
        {
            return null;
        }

        // No way to the far edge is shorter than that to its box.
        var goal = Box.Of(to)!.Value;
        double Left(int cell) => goal.DistanceTo(Middle(cell));
        var (far, before) = (new double[blocked.Length], new int[blocked.Length]);
        Array.Fill(far, double.PositiveInfinity);
        Array.Fill(before, -1);
        var queue = new PriorityQueue<int, double>();
        foreach (var (cell, edge) in begins)
        {
            far[cell] = Middle(cell).To(edge);
            queue.Enqueue(cell, far[cell] + Left(cell));
        }

        var (best, last, diagonal) = (double.PositiveInfinity, -1, Math.Sqrt(2) * pitch);
        while (queue.TryDequeue(out var at, out var reached) && reached < best)
        {
            if (reached > far[at] + Left(at) + Tolerances.Fit)
            {
                continue;
            }

            if (ends.TryGetValue(at, out var end) && far[at] + Middle(at).To(end) is var whole && whole < best)
            {
                (best, last) = (whole, at);
            }

            var (x, y) = (at % columns, at / columns);
            for (var beside = 0; beside < 9; beside++)
            {
                var (dx, dy) = ((beside % 3) - 1, (beside / 3) - 1);
                var next = at + (dy * columns) + dx;
                if (beside == 4 || !IsIn(x + dx, y + dy) || blocked[next])
                {
                    continue;
                }

                var there = far[at] + (dx != 0 && dy != 0 ? diagonal : pitch);
                if (there < far[next])
                {
                    far[next] = there;
                    before[next] = at;
                    queue.Enqueue(next, there + Left(next));
                }
            }
        }

        if (last < 0)
        {
            return null;
        }

        var way = new List<PlanePoint> { ends[last] };
        for (var at = last; at >= 0; at = before[at])
        {
            way.Add(Middle(at));
            last = at;
        }

        way.Add(begins[last]);
        way.Reverse();
        return Outlines.Line(Pulled(way));
    }

    /// <summary>Free cells at an edge, each with the place on the edge that it is nearest to.</summary>
    private Dictionary<int, PlanePoint> AtEdgeOf(LineString edge)
    {
        var found = new Dictionary<int, PlanePoint>();
        var reach = (int)Math.Ceiling(AtEdge);
        foreach (var on in Along(edge))
        {
            var (column, row) = ((int)Math.Floor((on.X - box.MinX) / pitch), (int)Math.Floor((on.Y - box.MinY) / pitch));
            for (var y = row - reach; y <= row + reach; y++)
            {
                for (var x = column - reach; x <= column + reach; x++)
                {
                    if (x < 0 || y < 0 || x >= columns || y >= rows || blocked[(y * columns) + x])
                    {
                        continue;
                    }

                    var (cell, place) = ((y * columns) + x, new PlanePoint(on.X, on.Y));
                    var middle = Middle(cell);
                    if (
                        middle.To(place) <= AtEdge * pitch
                        && (!found.TryGetValue(cell, out var known) || middle.To(place) < middle.To(known))
                    )
                    {
                        found[cell] = place;
                    }
                }
            }
        }

        // What is costly is asked once a cell.
        return found.Where(f => IsFree(Middle(f.Key), f.Value)).ToDictionary();
    }

    /// <summary>Places along an edge as far as it runs through the window, half a cell from one another.</summary>
    private IEnumerable<PlanePoint> Along(LineString edge)
    {
        var around = box.Grown(AtEdge * pitch);
        for (var i = 1; i < edge.NumPoints; i++)
        {
            var (from, to) = (edge.GetCoordinateN(i - 1), edge.GetCoordinateN(i));
            var (a, b) = (new PlanePoint(from.X, from.Y), new PlanePoint(to.X, to.Y));
            var (first, last) = (0.0, 1.0);
            foreach (
                var (at, by, least, most) in new[]
                {
                    (a.X, b.X - a.X, around.MinX, around.MaxX),
                    (a.Y, b.Y - a.Y, around.MinY, around.MaxY),
                }
            )
            {
                var (enters, leaves) =
                    by == 0 ? (at < least || at > most ? (1.0, 0.0) : (0.0, 1.0)) : ((least - at) / by, (most - at) / by);
                (first, last) = (Math.Max(first, Math.Min(enters, leaves)), Math.Min(last, Math.Max(enters, leaves)));
                if (by == 0 && enters > leaves)
                {
                    last = -1;
                }
            }

            var steps = last < first ? -1 : (int)Math.Ceiling((last - first) * a.To(b) / (pitch / 2));
            for (var k = 0; k <= steps; k++)
            {
                yield return a.Towards(b, first + ((last - first) * k / Math.Max(1, steps)));
            }
        }
    }

    /// <summary>The same way with as few corners as it can have.</summary>
    private List<PlanePoint> Pulled(List<PlanePoint> way)
    {
        var pulled = new List<PlanePoint> { way[0] };
        for (var at = 0; at < way.Count - 1; )
        {
            var next = way.Count - 1;
            while (next > at + 1 && !IsFree(way[at], way[next]))
            {
                next = next - at > 16 ? at + ((next - at) * 7 / 8) : next - 1;
            }

            pulled.Add(way[next]);
            at = next;
        }

        return pulled;
    }

    private bool IsFree(PlanePoint from, PlanePoint to)
    {
        var line = Outlines.Line([from, to]);
        return !keptFrom.Intersects(line) && within.Covers(line) && !walls.Exists(w => w.Intersects(line));
    }

    private bool IsIn(int x, int y) => x >= 0 && y >= 0 && x < columns && y < rows;

    private PlanePoint Middle(int cell) =>
        new(box.MinX + (((cell % columns) + 0.5) * pitch), box.MinY + (((cell / columns) + 0.5) * pitch));

    private int? CellAt(PlanePoint at) =>
        ((int)Math.Floor((at.X - box.MinX) / pitch), (int)Math.Floor((at.Y - box.MinY) / pitch)) is var (x, y) && IsIn(x, y)
            ? (y * columns) + x
            : null;

    /// <summary>Sets the cells whose middle lies in an area, line of cells by line.</summary>
    private void Fill(Area area, bool to)
    {
        var crossings = new List<double>[rows];
        foreach (var ring in Outlines.RingsOf(area).Select(r => r.Coordinates))
        {
            for (var i = 0; i + 1 < ring.Length; i++)
            {
                var (a, b) = ring[i].Y < ring[i + 1].Y ? (ring[i], ring[i + 1]) : (ring[i + 1], ring[i]);
                var first = Math.Max(0, (int)Math.Ceiling(((a.Y - box.MinY) / pitch) - 0.5));
                for (var y = first; y < rows && box.MinY + ((y + 0.5) * pitch) is var at && at < b.Y; y++)
                {
                    (crossings[y] ??= []).Add(a.X + ((b.X - a.X) * (at - a.Y) / (b.Y - a.Y)));
                }
            }
        }

        for (var y = 0; y < rows; y++)
        {
            crossings[y]?.Sort();
            for (var i = 0; i + 1 < (crossings[y]?.Count ?? 0); i += 2)
            {
                var from = Math.Max(0, (int)Math.Ceiling(((crossings[y][i] - box.MinX) / pitch) - 0.5));
                for (var x = from; x < columns && box.MinX + ((x + 0.5) * pitch) < crossings[y][i + 1]; x++)
                {
                    blocked[(y * columns) + x] = to;
                }
            }
        }
    }
}
