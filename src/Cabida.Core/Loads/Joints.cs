using Cabida.Core.Geometry;
using Cabida.Core.Layout;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Loads;

/// <summary>A straight line at which art larger than the reach is parted.</summary>
/// <param name="IsUpright">Whether it goes up; else across.</param>
/// <param name="At">Where, from the art's own origin; millimetres.</param>
/// <param name="Crosses">How much ink it goes through; millimetres.</param>
/// <param name="Nearest">How near ink comes to it where it crosses none; 0 where it does.</param>
public readonly record struct Joint(bool IsUpright, double At, double Crosses, double Nearest);

/// <summary>
/// Where art is parted along one axis (calculations 6.7): of all joints at steps of a half the set with every section inside the reach
/// that crosses least ink, then comes nearer to ink than 1.0 the fewest times, then makes the fewest sections, then the evenest. The first
/// three by dynamic programming (Bellman 1957), the last by what is best of all that are equal in these.
/// </summary>
internal sealed class Joints
{
    /// <summary>Joints are looked for at steps of this; millimetres.</summary>
    public const double Step = 0.5;

    /// <summary>Nearer to ink than this a joint is hard to cut cleanly; millimetres.</summary>
    public const double Near = 1;
    private const double MostSteps = 20_000;
    private const double Micron = 1000;

    private readonly List<PlanePoint[]> rings;
    private readonly double[] levels;
    private readonly bool isUpright;

    /// <summary>For ink, along one axis.</summary>
    /// <param name="ink">The ink.</param>
    /// <param name="isUpright">Whether joints are upright, so that sections lie side by side.</param>
    public Joints(Area ink, bool isUpright)
    {
        this.isUpright = isUpright;
        // Upright joints are those across of art whose axes are exchanged.
        rings =
        [
            .. Outlines
                .RingsOf(ink)
                .Select(r => r.Coordinates.Skip(1).Select(c => isUpright ? new PlanePoint(c.Y, c.X) : new PlanePoint(c.X, c.Y)).ToArray()),
        ];
        levels = [.. rings.SelectMany(r => r).Select(p => p.Y).Order()];
    }

    /// <summary>A joint at a place, with what it crosses.</summary>
    public Joint At(double at)
    {
        var spans = Rings.Spans(rings, at);
        var crosses = 0.0;
        for (var i = 0; i + 1 < spans.Count; i += 2)
        {
            crosses += spans[i + 1] - spans[i];
        }

        return new Joint(isUpright, at, crosses, crosses > 0 ? 0 : ToLevel(at));
    }

    /// <summary>The best joints; none where the art is inside the reach; null where no steps are fine enough for it.</summary>
    /// <param name="reach">How long a section may be.</param>
    public IReadOnlyList<Joint>? Best(double reach)
    {
        var (low, high) = (levels[0], levels[^1]);
        if (high - low <= reach)
        {
            return [];
        }

        if (reach <= Step || (high - low) / Step > MostSteps)
        {
            return null;
        }

        var places = new List<double> { low };
        var joints = new List<Joint?> { null };
        for (var k = 1; low + (k * Step) < high - 1e-9; k++)
        {
            places.Add(low + (k * Step));
            joints.Add(At(places[^1]));
        }

        places.Add(high);
        joints.Add(null);
        return [.. new Cheapest(places, joints, reach).Way().Select(i => joints[i]!.Value)];
    }

    /// <summary>The distance to the nearest corner above or below: where a line crosses nothing, nothing is nearer.</summary>
    private double ToLevel(double at)
    {
        var i = Array.BinarySearch(levels, at);
        i = i < 0 ? ~i : i;
        return Math.Min(i < levels.Length ? levels[i] - at : double.MaxValue, i > 0 ? at - levels[i - 1] : double.MaxValue);
    }

    /// <summary>What joints cost, in the order in which it counts.</summary>
    private readonly record struct Cost(long Crossed, int Near, int Sections) : IComparable<Cost>
    {
        public static Cost None { get; } = new(long.MaxValue / 4, 0, 0);

        public static Cost operator +(Cost a, Cost b) => new(a.Crossed + b.Crossed, a.Near + b.Near, a.Sections + b.Sections);

        public int CompareTo(Cost other) => (Crossed, Near, Sections).CompareTo((other.Crossed, other.Near, other.Sections));
    }

    /// <summary>
    /// The cheapest way from the first place to the last in steps no longer than the reach, and of equal ones the evenest.
    /// </summary>
    private sealed class Cheapest
    {
        private readonly List<double> places;
        private readonly double reach;
        private readonly Cost[] costs;
        private readonly Cost[] before;
        private readonly Cost[] after;

        public Cheapest(List<double> places, List<Joint?> joints, double reach)
        {
            (this.places, this.reach) = (places, reach);
            costs =
            [
                .. joints.Select(j =>
                    j is { } joint
                        ? new Cost((long)Math.Round(joint.Crosses * Micron), joint.Nearest < Near - 1e-9 ? 1 : 0, 1)
                        : new Cost(0, 0, 1)
                ),
            ];
            var last = places.Count - 1;
            (before, after) = (new Cost[places.Count], new Cost[places.Count]);
            before[0] = default;
            for (var q = 1; q <= last; q++)
            {
                before[q] = Cost.None;
                for (var p = q - 1; p >= 0 && places[q] - places[p] <= reach + 1e-9; p--)
                {
                    before[q] = Less(before[q], before[p] + costs[q]);
                }
            }

            after[last] = default;
            for (var p = last - 1; p >= 0; p--)
            {
                after[p] = Cost.None;
                for (var q = p + 1; q <= last && places[q] - places[p] <= reach + 1e-9; q++)
                {
                    after[p] = Less(after[p], costs[q] + after[q]);
                }
            }
        }

        /// <summary>The places on the way, first and last left out.</summary>
        public List<int> Way()
        {
            var last = places.Count - 1;
            var best = before[last];
            // Of all cheapest ways to a place those that no other beats in both its shortest and its longest section.
            var ways = new List<Ways>[places.Count];
            ways[0] = [new Ways(double.MaxValue, 0, 0, null)];
            for (var q = 1; q <= last; q++)
            {
                ways[q] = [];
                if ((before[q] + after[q]).CompareTo(best) != 0)
                {
                    continue;
                }

                for (var p = q - 1; p >= 0 && places[q] - places[p] <= reach + 1e-9; p--)
                {
                    if (ways[p].Count == 0 || (before[p] + costs[q] + after[q]).CompareTo(best) != 0)
                    {
                        continue;
                    }

                    var length = places[q] - places[p];
                    foreach (var way in ways[p])
                    {
                        Keep(ways[q], new Ways(Math.Min(way.Least, length), Math.Max(way.Most, length), q, way));
                    }
                }
            }

            var found = new List<int>();
            for (var way = ways[last].MinBy(w => w.Most - w.Least)!.From; way is { At: > 0 }; way = way.From)
            {
                found.Add(way.At);
            }

            found.Reverse();
            return found;
        }

        private static void Keep(List<Ways> all, Ways one)
        {
            if (all.Exists(w => w.Least >= one.Least && w.Most <= one.Most))
            {
                return;
            }

            all.RemoveAll(w => w.Least <= one.Least && w.Most >= one.Most);
            all.Add(one);
        }

        private static Cost Less(Cost a, Cost b) => a.CompareTo(b) <= 0 ? a : b;

        private sealed record Ways(double Least, double Most, int At, Ways? From);
    }
}
