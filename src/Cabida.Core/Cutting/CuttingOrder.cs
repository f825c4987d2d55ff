using Cabida.Core.Geometry;

namespace Cabida.Core.Cutting;

/// <summary>
/// In which order lines are cut, and where each is begun (calculations 6.11): what lies within another first, since what is cut free may
/// move; then the least way with the blade up. Begun with the nearest of what may come next, then bettered by reversing stretches (2-opt;
/// Croes 1958) and by moving short ones (or-opt; Or 1976), where each closed line may be begun at any of several points.
/// </summary>
public static class CuttingOrder
{
    /// <summary>So many points of a closed line are thought of as its beginning.</summary>
    private const int Beginnings = 16;
    private const int LongestMoved = 3;

    /// <summary>Of very many lines only what lies so near in the order is exchanged.</summary>
    private const int MostSpan = 400;
    private const int MostRounds = 40;
    private const double Nothing = 1e-9;

    /// <summary>The lines in their order, each turned so that it begins where it is begun.</summary>
    /// <param name="lines">The lines; the first point repeated at the end of a closed one.</param>
    public static IReadOnlyList<(int Line, IReadOnlyList<PlanePoint> Points)> Of(
        IReadOnlyList<(IReadOnlyList<PlanePoint> Points, bool IsClosed)> lines
    )
    {
        ArgumentNullException.ThrowIfNull(lines);
        var tour = new Tour([.. lines.Select(l => new Stop(l.Points, l.IsClosed))], Holders(lines));
        tour.BeginNearest();
        for (var round = 0; round < MostRounds; round++)
        {
            if (!tour.Better())
            {
                break;
            }
        }

        return tour.Result();
    }

    /// <summary>The way with the blade up, from and back to the loading corner; millimetres.</summary>
    public static double BladeUp(IEnumerable<IReadOnlyList<PlanePoint>> ways)
    {
        ArgumentNullException.ThrowIfNull(ways);
        var (at, length) = (default(PlanePoint), 0.0);
        foreach (var way in ways)
        {
            length += at.To(way[0]);
            at = way[^1];
        }

        return length + at.To(default);
    }

    /// <summary>For every line the smallest closed one that it lies in, or -1.</summary>
    private static int[] Holders(IReadOnlyList<(IReadOnlyList<PlanePoint> Points, bool IsClosed)> lines)
    {
        var rings = lines
            .Select(l => l.IsClosed && l.Points.Count > 3 ? Outlines.Ring([.. l.Points.Take(l.Points.Count - 1)]) : null)
            .ToList();
        var boxes = lines.Select(l => Box.Around(l.Points.Select(p => new Box(p.X, p.Y, p.X, p.Y)))!.Value).ToList();
        var bySize = Enumerable.Range(0, lines.Count).Where(i => rings[i] is not null).OrderBy(i => rings[i]!.Area).ToList();
        var locators = new NetTopologySuite.Algorithm.Locate.IndexedPointInAreaLocator?[lines.Count];
        return
        [
            .. Enumerable
                .Range(0, lines.Count)
                .Select(i =>
                    bySize.FirstOrDefault(
                        j =>
                            j != i
                            && boxes[j].Holds(boxes[i])
                            && (rings[i] is null || rings[j]!.Area > rings[i]!.Area)
                            && (locators[j] ??= new(rings[j]!)).Locate(lines[i].Points[0].ToCoordinate())
                                == NetTopologySuite.Geometries.Location.Interior,
                        -1
                    )
                ),
        ];
    }

    /// <summary>A line with the points at which it may be begun; each is where it ends as well, but for an open one.</summary>
    private sealed class Stop
    {
        public Stop(IReadOnlyList<PlanePoint> points, bool isClosed)
        {
            (Points, IsClosed) = (points, isClosed);
            var count = points.Count - 1;
            Starts = isClosed
                ? [.. Enumerable.Range(0, Math.Min(Beginnings, count)).Select(k => k * count / Math.Min(Beginnings, count))]
                : [0, points.Count - 1];
        }

        public IReadOnlyList<PlanePoint> Points { get; }

        public bool IsClosed { get; }

        public int[] Starts { get; }

        public PlanePoint Start(int k) => Points[Starts[k]];

        public PlanePoint End(int k) => IsClosed ? Start(k) : Points[Starts[1 - k]];
    }

    private sealed class Tour(List<Stop> stops, int[] holders)
    {
        private readonly int[] begun = new int[stops.Count];
        private readonly int[] place = new int[stops.Count];
        private readonly ILookup<int, int> held = Enumerable.Range(0, holders.Length).ToLookup(i => holders[i]);
        private int[] order = [];

        public IReadOnlyList<(int Line, IReadOnlyList<PlanePoint> Points)> Result() =>
            [.. order.Select(i => (i, Turned(stops[i], begun[i])))];

        /// <summary>From the corner always to the nearest line within which none is left.</summary>
        public void BeginNearest()
        {
            var inside = new int[stops.Count];
            foreach (var holder in holders.Where(h => h >= 0))
            {
                inside[holder]++;
            }

            var ready = Enumerable.Range(0, stops.Count).Where(i => inside[i] == 0).ToHashSet();
            var result = new List<int>();
            var at = default(PlanePoint);
            while (ready.Count > 0)
            {
                var (next, k, least) = (-1, 0, double.MaxValue);
                foreach (var i in ready)
                {
                    for (var s = 0; s < stops[i].Starts.Length; s++)
                    {
                        var away = at.To(stops[i].Start(s));
                        if (away < least || (away == least && i < next))
                        {
                            (next, k, least) = (i, s, away);
                        }
                    }
                }

                result.Add(next);
                begun[next] = k;
                at = stops[next].End(k);
                ready.Remove(next);
                if (holders[next] is var h && h >= 0 && --inside[h] == 0)
                {
                    ready.Add(h);
                }
            }

            order = [.. result];
            Place(0, order.Length - 1);
            Begin();
        }

        /// <summary>One round of exchanges; whether any helped.</summary>
        public bool Better()
        {
            var better = Reverse() | Move();
            return Begin() || better;
        }

        private PlanePoint Start(int at) => at >= order.Length ? default : stops[order[at]].Start(begun[order[at]]);

        private PlanePoint End(int at) => at < 0 ? default : stops[order[at]].End(begun[order[at]]);

        /// <summary>
        /// The best beginnings of all lines in their order: the shortest way through layers of points (dynamic programming; Bellman 1957).
        /// </summary>
        private bool Begin()
        {
            var before = Length();
            var from = new int[order.Length][];
            var (costs, ends) = (new double[] { 0 }, new PlanePoint[] { default });
            for (var n = 0; n < order.Length; n++)
            {
                var stop = stops[order[n]];
                var next = new double[stop.Starts.Length];
                from[n] = new int[stop.Starts.Length];
                for (var k = 0; k < next.Length; k++)
                {
                    next[k] = double.MaxValue;
                    for (var p = 0; p < costs.Length; p++)
                    {
                        var cost = costs[p] + ends[p].To(stop.Start(k));
                        if (cost < next[k])
                        {
                            (next[k], from[n][k]) = (cost, p);
                        }
                    }
                }

                (costs, ends) = (next, [.. Enumerable.Range(0, next.Length).Select(stop.End)]);
            }

            var at = Enumerable.Range(0, costs.Length).MinBy(k => costs[k] + ends[k].To(default));
            for (var n = order.Length - 1; n >= 0; n--)
            {
                begun[order[n]] = at;
                at = from[n][at];
            }

            return Length() < before - Nothing;
        }

        private double Length() => Enumerable.Range(0, order.Length + 1).Sum(n => End(n - 1).To(Start(n)));

        /// <summary>2-opt: a stretch the other way round, where nothing in it must come before anything else in it.</summary>
        private bool Reverse()
        {
            var better = false;
            for (var i = 0; i < order.Length - 1; i++)
            {
                for (var j = i + 1; j < Math.Min(order.Length, i + MostSpan); j++)
                {
                    if (held[order[j]].Any(k => place[k] >= i))
                    {
                        break;
                    }

                    // Closed lines end where they begin, so that what lies between keeps its length; open ones are turned round.
                    var now = End(i - 1).To(Start(i)) + End(j).To(Start(j + 1));
                    var then = End(i - 1).To(End(j)) + Start(i).To(Start(j + 1));
                    if (then < now - Nothing)
                    {
                        Array.Reverse(order, i, j - i + 1);
                        foreach (var k in order[i..(j + 1)].Where(k => !stops[k].IsClosed))
                        {
                            begun[k] = 1 - begun[k];
                        }

                        Place(i, j);
                        better = true;
                    }
                }
            }

            return better;
        }

        /// <summary>Notes where the lines from one place to another of the order are.</summary>
        private void Place(int first, int last)
        {
            for (var n = first; n <= last; n++)
            {
                place[order[n]] = n;
            }
        }

        /// <summary>Or-opt: one to three lines elsewhere, and begun where that is best.</summary>
        private bool Move()
        {
            var better = false;
            for (var length = 1; length <= LongestMoved; length++)
            {
                for (var i = 0; i + length <= order.Length; i++)
                {
                    better |= MoveBest(i, length);
                }
            }

            return better;
        }

        private bool MoveBest(int i, int length)
        {
            var last = i + length - 1;
            var gained = End(i - 1).To(Start(i)) + End(last).To(Start(last + 1)) - End(i - 1).To(Start(last + 1));
            var (best, target) = (-Nothing, -1);
            // Forwards, as long as what is passed does not hold any of it; backwards, as long as none of it holds what is passed.
            for (var to = last + 1; to < Math.Min(order.Length, last + MostSpan) && !Holds(order[to], i, last); to++)
            {
                var cost = End(to).To(Start(i)) + End(last).To(Start(to + 1)) - End(to).To(Start(to + 1)) - gained;
                if (cost < best)
                {
                    (best, target) = (cost, to);
                }
            }

            for (var to = i - 1; to >= Math.Max(0, i - MostSpan) && !IsHeld(order[to], i, last); to--)
            {
                var cost = End(to - 1).To(Start(i)) + End(last).To(Start(to)) - End(to - 1).To(Start(to)) - gained;
                if (cost < best)
                {
                    (best, target) = (cost, to);
                }
            }

            if (target < 0)
            {
                return false;
            }

            List<int> moved = [.. order[i..(last + 1)]];
            List<int> rest = [.. order[..i], .. order[(last + 1)..]];
            rest.InsertRange(target > last ? target - length + 1 : target, moved);
            order = [.. rest];
            Place(0, order.Length - 1);
            return true;
        }

        /// <summary>Whether a line holds any of a stretch of the order.</summary>
        private bool Holds(int line, int first, int last) => held[line].Any(k => place[k] >= first && place[k] <= last);

        /// <summary>Whether a line is held by any of a stretch of the order.</summary>
        private bool IsHeld(int line, int first, int last) =>
            holders[line] >= 0 && place[holders[line]] is var p && p >= first && p <= last;

        private static IReadOnlyList<PlanePoint> Turned(Stop stop, int begun)
        {
            var first = stop.Starts[begun];
            return !stop.IsClosed
                ? begun == 0
                    ? stop.Points
                    : [.. stop.Points.Reverse()]
                : first == 0
                    ? stop.Points
                    : [.. stop.Points.Skip(first).Take(stop.Points.Count - 1 - first), .. stop.Points.Take(first + 1)];
        }
    }
}
