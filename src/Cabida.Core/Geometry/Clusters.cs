using Cabida.Core.Wording;
using NetTopologySuite.Geometries;

namespace Cabida.Core.Geometry;

/// <summary>Things sorted into groups that hang together: each touches another of its group and none of any other.</summary>
internal static class Clusters
{
    private const int PairsPerStep = 8;

    /// <summary>The groups, each in order, in the order of their first.</summary>
    /// <param name="boxes">The box of each thing.</param>
    /// <param name="touch">Whether two whose boxes meet touch; not asked of two that are known to hang together.</param>
    public static List<List<int>> Of(IReadOnlyList<Envelope> boxes, Func<int, int, bool> touch)
    {
        var groups = new Groups(boxes.Count);
        foreach (var (i, j) in Meeting(boxes))
        {
            if (!groups.AreOne(i, j) && touch(i, j))
            {
                groups.Join(i, j);
            }
        }

        return groups.All();
    }

    /// <summary>The groups of so many things of which these pairs hang together.</summary>
    public static List<List<int>> Of(int count, IEnumerable<(int I, int J)> pairs)
    {
        var groups = new Groups(count);
        foreach (var (i, j) in pairs)
        {
            groups.Join(i, j);
        }

        return groups.All();
    }

    /// <summary>The pairs whose boxes meet, found by a sweep along the longer side of all; each has the earlier first.</summary>
    public static IEnumerable<(int I, int J)> Meeting(IReadOnlyList<Envelope> boxes)
    {
        var all = new Envelope();
        foreach (var box in boxes)
        {
            all.ExpandToInclude(box);
        }

        var across = all.Width >= all.Height;
        var order = Enumerable
            .Range(0, boxes.Count)
            .Where(i => !boxes[i].IsNull)
            .OrderBy(i => across ? boxes[i].MinX : boxes[i].MinY)
            .ToArray();
        for (var a = 0; a < order.Length; a++)
        {
            var box = boxes[order[a]];
            var end = across ? box.MaxX : box.MaxY;
            var b = a + 1;
            for (; b < order.Length && boxes[order[b]] is var other && (across ? other.MinX : other.MinY) <= end; b++)
            {
                if (box.Intersects(other))
                {
                    yield return (Math.Min(order[a], order[b]), Math.Max(order[a], order[b]));
                }
            }

            Effort.Spend((b - a) / PairsPerStep);
        }
    }

    /// <summary>Things that are joined one after another; each knows an earlier one of its group, the first of a group itself.</summary>
    private sealed class Groups(int count)
    {
        private readonly int[] first = [.. Enumerable.Range(0, count)];

        public bool AreOne(int i, int j) => Root(i) == Root(j);

        public void Join(int i, int j)
        {
            var (a, b) = (Root(i), Root(j));
            first[Math.Max(a, b)] = Math.Min(a, b);
        }

        public List<List<int>> All() => [.. Enumerable.Range(0, first.Length).GroupBy(Root).Select(g => g.ToList())];

        private int Root(int i)
        {
            while (first[i] != i)
            {
                i = first[i] = first[first[i]];
            }

            return i;
        }
    }
}
