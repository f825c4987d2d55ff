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
        var first = Enumerable.Range(0, boxes.Count).ToArray();
        foreach (var (i, j) in Meeting(boxes))
        {
            if (Root(i) != Root(j) && touch(i, j))
            {
                first[Math.Max(Root(i), Root(j))] = Math.Min(Root(i), Root(j));
            }
        }

        return [.. Enumerable.Range(0, boxes.Count).GroupBy(Root).Select(g => g.ToList())];

        int Root(int i)
        {
            while (first[i] != i)
            {
                i = first[i] = first[first[i]];
            }

            return i;
        }
    }

    /// <summary>The pairs whose boxes meet, found by a sweep along the longer side of all; each has the earlier first.</summary>
    private static IEnumerable<(int I, int J)> Meeting(IReadOnlyList<Envelope> boxes)
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
}
