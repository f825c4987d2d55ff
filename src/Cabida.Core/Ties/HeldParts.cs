using Cabida.Core.Geometry;
using NetTopologySuite.Geometries;
using NetTopologySuite.Operation.Distance;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Ties;

/// <summary>Parts that have to hang together, as a graph: what holds, and what hangs on nothing without ties. Millimetres.</summary>
/// <remarks>
/// The minimum spanning tree by shortest distance gives the ties (Kruskal 1956; calculations 6.3). A shortest way between two parts that
/// crosses a third is never in it, since both its halves are shorter.
/// </remarks>
internal sealed class HeldParts
{
    /// <summary>More parts than this are not tied to one another.</summary>
    public const int Most = 2000;

    private readonly IReadOnlyList<Area> outlines;
    private readonly int[] holder;

    /// <summary>The tree of parts.</summary>
    /// <param name="outlines">The outline of each part; the first is what holds the others.</param>
    public HeldParts(IReadOnlyList<Area> outlines)
    {
        this.outlines = outlines;
        holder = new int[outlines.Count];
        Array.Fill(holder, -1);
        Ways = [.. Rooted(Spanning())];
    }

    /// <summary>The shortest way from each part but the first to what holds it, in the order of the parts.</summary>
    public IReadOnlyList<(int Part, PlanePoint From, PlanePoint To)> Ways { get; }

    /// <summary>The way from a place on a part's outline to the nearest of what does not hang on that part itself.</summary>
    public (PlanePoint From, PlanePoint To)? WayFrom(int part, PlanePoint from)
    {
        var at = Outlines.Factory.CreatePoint(from.ToCoordinate());
        return
            Enumerable
                .Range(0, outlines.Count)
                .Where(i => !HangsOn(i, part))
                .Select(i => (Far: outlines[i].EnvelopeInternal.Distance(at.EnvelopeInternal), Outline: outlines[i]))
                .OrderBy(o => o.Far)
                .Aggregate((Distance: double.PositiveInfinity, To: (Coordinate?)null), (best, next) => next.Far >= best.Distance ? best
                    : new DistanceOp(at, next.Outline) is var op && op.Distance() < best.Distance ? (op.Distance(), op.NearestPoints()[1])
                    : best)
                .To
                is { } to
            ? (from, new PlanePoint(to.X, to.Y))
            : null;
    }

    private bool HangsOn(int part, int on)
    {
        for (var at = part; at >= 0; at = holder[at])
        {
            if (at == on)
            {
                return true;
            }
        }

        return false;
    }

    /// <summary>The edges of the tree: the nearest first, each pair measured only when no nearer one can be left.</summary>
    private List<(int A, int B, PlanePoint AtA, PlanePoint AtB)> Spanning()
    {
        var queue = new PriorityQueue<(int A, int B, (PlanePoint A, PlanePoint B)? Exact), (double Far, int A, int B)>();
        for (var a = 0; a < outlines.Count; a++)
        {
            for (var b = a + 1; b < outlines.Count; b++)
            {
                queue.Enqueue((a, b, null), (outlines[a].EnvelopeInternal.Distance(outlines[b].EnvelopeInternal), a, b));
            }
        }

        Wording.Effort.Spend(queue.Count);
        var (tree, root) = (new List<(int, int, PlanePoint, PlanePoint)>(), Enumerable.Range(0, outlines.Count).ToArray());
        int Root(int of) => root[of] == of ? of : root[of] = Root(root[of]);
        while (tree.Count < outlines.Count - 1 && queue.TryDequeue(out var next, out _))
        {
            if (Root(next.A) == Root(next.B))
            {
                continue;
            }

            if (next.Exact is { } way)
            {
                root[Root(next.A)] = Root(next.B);
                tree.Add((next.A, next.B, way.A, way.B));
                continue;
            }

            var op = new DistanceOp(outlines[next.A], outlines[next.B]);
            var ends = op.NearestPoints();
            queue.Enqueue((next.A, next.B, (new(ends[0].X, ends[0].Y), new(ends[1].X, ends[1].Y))), (op.Distance(), next.A, next.B));
        }

        return tree;
    }

    /// <summary>
    /// Where two parts run along one another the shortest way is at many places: the middle of the longest such stretch holds best.
    /// </summary>
    private (int Part, PlanePoint From, PlanePoint To) Middle(int part, int on, PlanePoint from, PlanePoint to)
    {
        var near = outlines[on].Buffer(from.To(to) + Tolerances.Check, quadrantSegments: 2);
        var along = LineMerged(outlines[part].Intersection(near)).MaxBy(l => l.Length);
        if (along is null || along.Length < Tolerances.Check)
        {
            return (part, from, to);
        }

        var middle = new NetTopologySuite.LinearReferencing.LengthIndexedLine(along).ExtractPoint(along.Length / 2);
        var ends = DistanceOp.NearestPoints(Outlines.Factory.CreatePoint(middle), outlines[on]);
        return (part, new PlanePoint(middle.X, middle.Y), new PlanePoint(ends[1].X, ends[1].Y));
    }

    private static IEnumerable<LineString> LineMerged(Area lines)
    {
        var merger = new NetTopologySuite.Operation.Linemerge.LineMerger();
        merger.Add(lines);
        return merger.GetMergedLineStrings().OfType<LineString>();
    }

    private IEnumerable<(int Part, PlanePoint From, PlanePoint To)> Rooted(List<(int A, int B, PlanePoint AtA, PlanePoint AtB)> tree)
    {
        var edges = tree.Concat(tree.Select(e => (A: e.B, B: e.A, AtA: e.AtB, AtB: e.AtA))).ToLookup(e => e.A);
        var found = new List<(int Part, PlanePoint From, PlanePoint To)>();
        var reached = new HashSet<int> { 0 };
        var next = new Queue<int>([0]);
        while (next.TryDequeue(out var at))
        {
            foreach (var edge in edges[at].Where(e => reached.Add(e.B)))
            {
                holder[edge.B] = at;
                found.Add(Middle(edge.B, at, edge.AtB, edge.AtA));
                next.Enqueue(edge.B);
            }
        }

        return found.OrderBy(f => f.Part);
    }
}
