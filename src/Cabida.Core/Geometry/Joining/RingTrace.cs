namespace Cabida.Core.Geometry;

/// <summary>
/// Follows the outline of areas that hang together from ring to ring: along each as long as it lies in no other's ink, and where it goes
/// into one, on along the ring that comes out there.
/// </summary>
internal sealed class RingTrace
{
    private readonly IReadOnlyList<StandingRings> standing;
    private readonly Dictionary<(int Part, int Ring), List<Cut>> cuts = [];
    private readonly Dictionary<(int Part, int Ring), int> within = [];
    private readonly Dictionary<(int Part, int Polygon), int> polygons = [];
    private readonly List<(int, int)> hanging = [];

    private RingTrace(IReadOnlyList<StandingRings> standing, IReadOnlyList<PartsMeeting> meetings, List<int> group)
    {
        this.standing = standing;
        foreach (var part in group)
        {
            for (var p = 0; p < standing[part].Rings.Polygons; p++)
            {
                polygons[(part, p)] = polygons.Count;
            }
        }

        foreach (var (first, second, how) in meetings)
        {
            foreach (var c in how.Crossings)
            {
                var at = new PlanePoint(c.X + standing[first].X, c.Y + standing[first].Y);
                var one = new Cut(first, c.First, c.FirstEnters, second, at);
                one.Twin = new Cut(second, c.Second, !c.FirstEnters, first, at) { Twin = one };
                Take(one);
                Take(one.Twin);
                hanging.Add((Polygon(first, c.First.Ring), Polygon(second, c.Second.Ring)));
            }

            Take(first, second, how.FirstWithin);
            Take(second, first, how.SecondWithin);
        }
    }

    /// <summary>The polygons that areas become; null where three lie on one another, or an overlay has to say.</summary>
    /// <param name="standing">All areas.</param>
    /// <param name="meetings">How those of the group meet.</param>
    /// <param name="group">The group, in order.</param>
    public static List<JoinedRings.Polygon>? Of(
        IReadOnlyList<StandingRings> standing,
        IReadOnlyList<PartsMeeting> meetings,
        List<int> group
    ) =>
        meetings.All(m => m.How.IsClear) && new RingTrace(standing, meetings, group) is var trace && trace.Sort() ? trace.Polygons() : null;

    /// <summary>Puts the cuts of each ring in order; false where one lies in two others at once, or too near to another.</summary>
    private bool Sort()
    {
        foreach (var (ring, along) in cuts)
        {
            along.Sort((a, b) => a.At.CompareTo(b.At));
            // A ring whose first crossing with another comes out began inside it.
            var depth = within.GetValueOrDefault(ring) + along.DistinctBy(c => c.Other).Count(c => !c.Enters);
            for (var i = 0; i < along.Count; i++)
            {
                var (cut, next) = (along[i], along[i + 1 < along.Count ? i + 1 : 0]);
                depth += cut.Enters ? 1 : -1;
                cut.Next = next;
                if (depth is < 0 or > 1 || (cut != next && cut.At.IsNear(next.At, Meeting.Near)))
                {
                    return false;
                }
            }
        }

        return true;
    }

    private List<JoinedRings.Polygon>? Polygons()
    {
        // Every polygon that hangs together has one shell; all other rings of it are its holes.
        var groups = Clusters.Of(polygons.Count, hanging);
        var of = new int[polygons.Count];
        for (var g = 0; g < groups.Count; g++)
        {
            groups[g].ForEach(p => of[p] = g);
        }

        var (shells, holes) = (new IReadOnlyList<Stretch>?[groups.Count], groups.Select(_ => new List<IReadOnlyList<Stretch>>()).ToList());
        foreach (var (polygon, isHole, ring) in Kept().Concat(Traced()))
        {
            if (isHole)
            {
                holes[of[polygon]].Add(ring);
            }
            else if (shells[of[polygon]] is null)
            {
                shells[of[polygon]] = ring;
            }
            else
            {
                return null;
            }
        }

        return shells.Contains(null) ? null : [.. shells.Select((s, g) => new JoinedRings.Polygon([s!, .. holes[g]]))];
    }

    /// <summary>Rings that cross none and lie in none.</summary>
    private IEnumerable<(int Polygon, bool IsHole, IReadOnlyList<Stretch> Ring)> Kept()
    {
        foreach (var part in polygons.Keys.Select(p => p.Part).Distinct())
        {
            var rings = standing[part].Rings.Rings;
            for (var r = 0; r < rings.Count; r++)
            {
                if (!cuts.ContainsKey((part, r)) && !within.ContainsKey((part, r)))
                {
                    yield return (Polygon(part, r), rings[r].IsHole, [new Stretch(part, r, null, 0, rings[r].Count)]);
                }
            }
        }
    }

    /// <summary>Rings made of stretches between crossings.</summary>
    private IEnumerable<(int Polygon, bool IsHole, IReadOnlyList<Stretch> Ring)> Traced()
    {
        foreach (var start in cuts.Values.SelectMany(c => c).Where(c => !c.Enters))
        {
            if (start.IsTaken)
            {
                continue;
            }

            var ring = new List<Stretch>();
            for (var cut = start; !cut.IsTaken; cut = cut.Next.Twin)
            {
                cut.IsTaken = true;
                ring.Add(StretchFrom(cut));
            }

            // Ink lies to the right: what runs to the left is a hole.
            yield return (Polygon(start.Part, start.At.Ring), TwiceArea(ring) > 0, ring);
        }
    }

    /// <summary>From where a ring comes out to where it next goes in.</summary>
    private Stretch StretchFrom(Cut cut)
    {
        var count = standing[cut.Part].Rings.Rings[cut.At.Ring].Count;
        var (first, last) = (cut.At.Edge, cut.Next.At.Edge);
        var corners =
            first != last ? (last - first + count) % count
            : cut.Next.At.Along > cut.At.Along ? 0
            : count;
        return new Stretch(cut.Part, cut.At.Ring, cut.Place, (first + 1) % count, corners);
    }

    private double TwiceArea(List<Stretch> ring)
    {
        var corners = ring.SelectMany(Corners).ToList();
        var (twice, o) = (0.0, corners[0]);
        for (var i = 1; i + 1 < corners.Count; i++)
        {
            twice += ((corners[i].X - o.X) * (corners[i + 1].Y - o.Y)) - ((corners[i].Y - o.Y) * (corners[i + 1].X - o.X));
        }

        return twice;
    }

    private IEnumerable<PlanePoint> Corners(Stretch s)
    {
        var (rings, dx, dy) = standing[s.Part];
        var ring = rings.Rings[s.Ring];
        return Enumerable
            .Range(s.First, s.Corners)
            .Select(i => new PlanePoint(ring.X[i % ring.Count] + dx, ring.Y[i % ring.Count] + dy))
            .Prepend(s.From!.Value);
    }

    private int Polygon(int part, int ring) => polygons[(part, standing[part].Rings.Rings[ring].Polygon)];

    private void Take(Cut cut)
    {
        if (!cuts.TryGetValue((cut.Part, cut.At.Ring), out var along))
        {
            cuts[(cut.Part, cut.At.Ring)] = along = [];
        }

        along.Add(cut);
    }

    private void Take(int part, int other, IReadOnlyList<RingWithin> rings)
    {
        foreach (var ring in rings)
        {
            within[(part, ring.Ring)] = within.GetValueOrDefault((part, ring.Ring)) + 1;
            hanging.Add((Polygon(part, ring.Ring), polygons[(other, ring.Polygon)]));
        }
    }

    /// <summary>A crossing as seen from one of its two rings.</summary>
    private sealed class Cut(int part, OnRing at, bool enters, int other, PlanePoint place)
    {
        public int Part => part;

        public OnRing At => at;

        /// <summary>Whether the ring goes into the other's ink there.</summary>
        public bool Enters => enters;

        /// <summary>Whose ring it crosses.</summary>
        public int Other => other;

        public PlanePoint Place => place;

        /// <summary>The same crossing as seen from the other ring.</summary>
        public Cut Twin { get; set; } = null!;

        /// <summary>The next crossing of the ring.</summary>
        public Cut Next { get; set; } = null!;

        /// <summary>Whether a ring was followed through it.</summary>
        public bool IsTaken { get; set; }
    }
}
