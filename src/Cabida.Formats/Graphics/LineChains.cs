using Cabida.Core.Geometry;
using Cabida.Core.Wording;

namespace Cabida.Formats.Graphics;

/// <summary>A line of curves with two ends, or none when it closes.</summary>
/// <param name="Start">Where it begins.</param>
/// <param name="Segments">Its stretches.</param>
/// <param name="Closed">Whether it closes by itself.</param>
internal sealed record LineChain(PlanePoint Start, IReadOnlyList<CurveSegment> Segments, bool Closed)
{
    /// <summary>Where it ends.</summary>
    public PlanePoint End => Segments[^1].End;

    /// <summary>It as an outline.</summary>
    public Contour Contour => new(Start, Segments);

    /// <summary>The same line run through from its end.</summary>
    public LineChain Reversed()
    {
        var back = new List<CurveSegment>(Segments.Count);
        for (var i = Segments.Count - 1; i >= 0; i--)
        {
            var to = i == 0 ? Start : Segments[i - 1].End;
            back.Add(
                Segments[i] switch
                {
                    CubicTo c => new CubicTo(c.Control2, c.Control1, to),
                    QuadraticTo q => new QuadraticTo(q.Control, to),
                    _ => new LineSegmentTo(to),
                }
            );
        }

        return new LineChain(End, back, Closed);
    }

    /// <summary>The same line in other coordinates.</summary>
    public LineChain Moved(Motion by) => new(by.Of(Start), [.. Segments.Select(s => s.Moved(by))], Closed);
}

/// <summary>Joins lines end to end; closed outlines are told from open ones.</summary>
internal static class LineChains
{
    /// <summary>Ends this near belong together; millimetres.</summary>
    private const double Touching = 0.02;

    /// <summary>Lines whose ends meet become one; a line that meets no other stays what it is.</summary>
    public static (List<LineChain> Closed, List<LineChain> Open) Join(IReadOnlyList<LineChain> chains)
    {
        var closed = chains.Where(Closes).ToList();
        var open = new List<LineChain>();
        var ends = new Ends([.. chains.Where(c => !Closes(c))]);
        while (ends.Take() is { } first)
        {
            // From its end on, and then from its start back.
            var forward = new List<LineChain> { first };
            while (!Meets(first.Start, forward) && ends.Next(forward[^1].End) is { } next)
            {
                forward.Add(next);
            }

            var back = new List<LineChain>();
            while (!Meets(first.Start, forward) && ends.Next(back.Count == 0 ? first.Start : back[^1].End) is { } next)
            {
                back.Add(next);
            }

            var all = Enumerable.Reverse(back).Select(b => b.Reversed()).Concat(forward).ToList();
            var chain = all.Count == 1 ? all[0] : new LineChain(all[0].Start, [.. all.SelectMany(c => c.Segments)], false);
            (Closes(chain) ? closed : open).Add(chain);
        }

        return (closed, open);
    }

    private static bool Closes(LineChain c) => c.Closed || (c.Start.To(c.End) <= Touching && c.Segments.Count > 1);

    private static bool Meets(PlanePoint start, List<LineChain> chain) =>
        (chain.Count > 1 || chain[0].Segments.Count > 1) && start.To(chain[^1].End) <= Touching;

    /// <summary>The lines not yet joined, by where they end.</summary>
    private sealed class Ends
    {
        private readonly LineChain[] chains;
        private readonly bool[] used;
        private readonly Dictionary<(long, long), List<int>> cells = [];
        private int first;

        public Ends(LineChain[] chains)
        {
            (this.chains, used) = (chains, new bool[chains.Length]);
            for (var i = chains.Length - 1; i >= 0; i--)
            {
                foreach (var end in new[] { chains[i].Start, chains[i].End })
                {
                    var key = Cell(end);
                    (cells.TryGetValue(key, out var here) ? here : cells[key] = []).Add(i);
                }
            }
        }

        /// <summary>The first line that is left.</summary>
        public LineChain? Take()
        {
            for (; first < chains.Length; first++)
            {
                if (!used[first])
                {
                    used[first] = true;
                    return chains[first];
                }
            }

            return null;
        }

        /// <summary>A line that is left and ends at a place, run through from there.</summary>
        public LineChain? Next(PlanePoint end)
        {
            var (x, y) = Cell(end);
            for (var dx = -1; dx <= 1; dx++)
            {
                for (var dy = -1; dy <= 1; dy++)
                {
                    if (cells.TryGetValue((x + dx, y + dy), out var here) && In(here, end) is { } found)
                    {
                        return found;
                    }
                }
            }

            return null;
        }

        private LineChain? In(List<int> here, PlanePoint end)
        {
            Effort.Spend(here.Count);
            // What was used is forgotten as it is met, so that a place where very many lines end costs no more than they are.
            here.RemoveAll(i => used[i]);
            var at = here.FindLastIndex(i => chains[i].Start.To(end) <= Touching || chains[i].End.To(end) <= Touching);
            if (at < 0)
            {
                return null;
            }

            var found = chains[here[at]];
            used[here[at]] = true;
            return found.Start.To(end) <= Touching ? found : found.Reversed();
        }

        private static (long, long) Cell(PlanePoint p) => ((long)Math.Floor(p.X / Touching), (long)Math.Floor(p.Y / Touching));
    }
}
