using Cabida.Core.Wording;
using NetTopologySuite.Algorithm;
using NetTopologySuite.Geometries;

namespace Cabida.Core.Geometry;

/// <summary>
/// How two areas meet where one stands so far from the other: nowhere, by crossing edges and by rings of one within the other, or in a
/// way that is left to an overlay (they touch, or come so near that rounding decides). It depends on the two and their distance alone,
/// so it is worked out once for two letters however many names hold them.
/// </summary>
internal sealed record Meeting
{
    /// <summary>Nearer than this nothing is told apart here: in em, 10⁻⁷ mm at any size of lettering.</summary>
    public const double Near = 1e-9;

    private const int BytesPerCrossing = 72;

    private Meeting() { }

    /// <summary>They have nothing in common.</summary>
    public static Meeting None { get; } = new();

    /// <summary>What is left to an overlay.</summary>
    public static Meeting Unclear { get; } = new() { IsClear = false };

    /// <summary>Whether crossings and rings within say all.</summary>
    public bool IsClear { get; private init; } = true;

    /// <summary>Where an edge of the one goes through an edge of the other.</summary>
    public IReadOnlyList<Crossing> Crossings { get; private init; } = [];

    /// <summary>Rings of the first that lie in ink of the second without crossing its edges.</summary>
    public IReadOnlyList<RingWithin> FirstWithin { get; private init; } = [];

    /// <summary>Rings of the second that lie in ink of the first.</summary>
    public IReadOnlyList<RingWithin> SecondWithin { get; private init; } = [];

    /// <summary>Whether they have nothing in common.</summary>
    public bool IsNone => IsClear && Crossings.Count == 0 && FirstWithin.Count == 0 && SecondWithin.Count == 0;

    /// <summary>About how many bytes it holds.</summary>
    public long Bytes => 120 + (BytesPerCrossing * (long)Crossings.Count) + (16L * (FirstWithin.Count + SecondWithin.Count));

    /// <summary>How two areas meet.</summary>
    /// <param name="a">The one.</param>
    /// <param name="b">The other.</param>
    /// <param name="dx">How far the other is moved to the right.</param>
    /// <param name="dy">How far up.</param>
    public static Meeting Of(RingSet a, RingSet b, double dx, double dy)
    {
        if (a.Box is not { } ofA || b.Box?.Moved(dx, dy) is not { } ofB || !ofA.Grown(Near).Meets(ofB))
        {
            return None;
        }

        if (CrossingsOf(Edge.Of(a, 0, 0, ofB), Edge.Of(b, dx, dy, ofA)) is not { } crossings)
        {
            return Unclear;
        }

        var (first, second) = (crossings.ToLookup(c => c.First.Ring), crossings.ToLookup(c => c.Second.Ring));
        return
            first.All(g => Alternates([.. g.Select(c => (c.First, c.FirstEnters))]))
            && second.All(g => Alternates([.. g.Select(c => (c.Second, !c.FirstEnters))]))
            ? new Meeting
            {
                Crossings = crossings,
                FirstWithin = Within(a, b, -dx, -dy, first),
                SecondWithin = Within(b, a, dx, dy, second),
            }
            : Unclear;
    }

    /// <summary>Every crossing; null where edges touch or nearly do.</summary>
    private static List<Crossing>? CrossingsOf(Edge[] some, Edge[] others)
    {
        var found = new List<Crossing>();
        var lines = new RobustLineIntersector();
        for (int i = 0, j = 0; i < some.Length && j < others.Length; )
        {
            // Of two that meet, the one that begins further left is taken against all that begin before it ends.
            var first = some[i].Box.MinX <= others[j].Box.MinX;
            var (one, rest, from) = first ? (some[i++], others, j) : (others[j++], some, i);
            var k = from;
            for (; k < rest.Length && rest[k].Box.MinX <= one.Box.MaxX + Near; k++)
            {
                if (!rest[k].Box.Grown(Near).Meets(one.Box))
                {
                    continue;
                }

                var (a, b) = first ? (one, rest[k]) : (rest[k], one);
                lines.ComputeIntersection(a.From, a.To, b.From, b.To);
                if (!lines.HasIntersection)
                {
                    if (DistanceComputer.SegmentToSegment(a.From, a.To, b.From, b.To) < Near)
                    {
                        return null;
                    }

                    continue;
                }

                if (!lines.IsProper || CrossingOf(a, b, lines.GetIntersection(0)) is not { } crossing)
                {
                    return null;
                }

                found.Add(crossing);
            }

            Effort.Spend(1 + k - from);
        }

        return found;
    }

    private static Crossing? CrossingOf(Edge a, Edge b, Coordinate at) =>
        new[] { a.From, a.To, b.From, b.To }.Any(end => end.Distance(at) < Near)
            ? null
            : new Crossing(
                new OnRing(a.Ring, a.Index, a.From.Distance(at)),
                new OnRing(b.Ring, b.Index, b.From.Distance(at)),
                Orientation.Index(b.From, b.To, a.To) == OrientationIndex.Clockwise,
                at.X,
                at.Y
            );

    /// <summary>A ring that goes in has to come out before it goes in again, and never at the same place.</summary>
    private static bool Alternates(List<(OnRing At, bool Enters)> crossings)
    {
        crossings.Sort((a, b) => a.At.CompareTo(b.At));
        var last = crossings[^1];
        foreach (var next in crossings)
        {
            if (next.Enters == last.Enters || next.At.IsNear(last.At, Near))
            {
                return false;
            }

            last = next;
        }

        return true;
    }

    private static List<RingWithin> Within(RingSet rings, RingSet others, double dx, double dy, ILookup<int, Crossing> crossed)
    {
        var within = new List<RingWithin>();
        for (var i = 0; i < rings.Rings.Count; i++)
        {
            if (!crossed.Contains(i) && others.PolygonAt(rings.Rings[i].X[0] + dx, rings.Rings[i].Y[0] + dy) is var polygon and >= 0)
            {
                within.Add(new RingWithin(i, polygon));
            }
        }

        return within;
    }

    /// <summary>An edge of a ring, for finding others near it.</summary>
    private sealed record Edge(int Ring, int Index, Coordinate From, Coordinate To, Box Box)
    {
        /// <summary>The edges of rings that are moved so, as far as they lie near a box, from left to right.</summary>
        public static Edge[] Of(RingSet set, double dx, double dy, Box near)
        {
            near = near.Grown(Near);
            var edges = new List<Edge>();
            for (var r = 0; r < set.Rings.Count; r++)
            {
                var ring = set.Rings[r];
                if (!near.Meets(ring.Box.Moved(dx, dy)))
                {
                    continue;
                }

                for (var i = 0; i < ring.Count; i++)
                {
                    var j = i + 1 < ring.Count ? i + 1 : 0;
                    var (from, to) = (new Coordinate(ring.X[i] + dx, ring.Y[i] + dy), new Coordinate(ring.X[j] + dx, ring.Y[j] + dy));
                    var box = new Box(Math.Min(from.X, to.X), Math.Min(from.Y, to.Y), Math.Max(from.X, to.X), Math.Max(from.Y, to.Y));
                    if (near.Meets(box))
                    {
                        edges.Add(new Edge(r, i, from, to, box));
                    }
                }
            }

            return [.. edges.OrderBy(e => e.Box.MinX)];
        }
    }
}

/// <summary>A place on a ring.</summary>
/// <param name="Ring">Which ring.</param>
/// <param name="Edge">The edge that follows that corner.</param>
/// <param name="Along">How far along the edge.</param>
internal readonly record struct OnRing(int Ring, int Edge, double Along) : IComparable<OnRing>
{
    /// <summary>Places of one ring in its order.</summary>
    public int CompareTo(OnRing other) => Edge != other.Edge ? Edge.CompareTo(other.Edge) : Along.CompareTo(other.Along);

    /// <summary>Whether two places of an edge are nearer than that; one is not near itself.</summary>
    public bool IsNear(OnRing other, double near) => this != other && Edge == other.Edge && Math.Abs(Along - other.Along) < near;
}

/// <summary>Where two rings go through one another.</summary>
/// <param name="First">The place on a ring of the first.</param>
/// <param name="Second">The place on a ring of the second.</param>
/// <param name="FirstEnters">Whether the first's ring goes into ink of the second there, the other's out; else the reverse.</param>
/// <param name="X">Where, across, as seen from the first.</param>
/// <param name="Y">Where, up.</param>
internal readonly record struct Crossing(OnRing First, OnRing Second, bool FirstEnters, double X, double Y);

/// <summary>A ring that lies in ink of another area.</summary>
/// <param name="Ring">Which ring.</param>
/// <param name="Polygon">The polygon of the other.</param>
internal readonly record struct RingWithin(int Ring, int Polygon);
