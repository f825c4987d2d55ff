using Cabida.Core.Geometry;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Layout;

/// <summary>
/// The largest upright rectangles of an area, one after another: what is worth keeping of a sheet once the pieces are cut from it. Exact
/// across; up, to the height of a band.
/// </summary>
public static class FreeRectangles
{
    private const int MostBands = 400;
    private const double LeastBand = 0.5;
    private const int Most = 12;

    /// <summary>Rectangles that lie in an area and do not overlap, the largest first.</summary>
    /// <param name="area">The area; millimetres.</param>
    /// <param name="least">How wide and high one must be at least.</param>
    public static IReadOnlyList<Box> Of(Area area, double least)
    {
        ArgumentNullException.ThrowIfNull(area);
        var found = new List<Box>();
        if (Box.Of(area) is not { } box)
        {
            return found;
        }

        var height = Math.Max(LeastBand, box.Height / MostBands);
        var count = (int)Math.Floor((box.Height / height) + 1e-9);
        var rings = Outlines.RingsOf(area).Select(r => r.Coordinates.Skip(1).Select(c => new PlanePoint(c.X, c.Y)).ToArray()).ToList();
        if (count == 0)
        {
            return found;
        }

        var taken = Bands.Outside(rings, height, box.MinY, count);
        while (found.Count < Most && Largest(taken.Rows, height, box.MinY, least) is { } next)
        {
            found.Add(next);
            for (var row = 0; row < count; row++)
            {
                var foot = box.MinY + (row * height);
                if (foot < next.MaxY - 1e-9 && foot + height > next.MinY + 1e-9)
                {
                    taken.Rows[row] = Bands.Merged([.. Pairs(taken.Rows[row]), (next.MinX, next.MaxX)]);
                }
            }
        }

        return found;
    }

    private static IEnumerable<(double From, double To)> Pairs(double[] stretches) => stretches.Chunk(2).Select(s => (s[0], s[1]));

    /// <summary>The largest rectangle between bands, by the free stretches that all bands from one to another have in common.</summary>
    private static Box? Largest(double[][] taken, double height, double foot, double least)
    {
        (double Area, Box Box)? best = null;
        for (var first = 0; first < taken.Length; first++)
        {
            var free = Free(taken[first]);
            for (var last = first; last < taken.Length && free.Count > 0; last++)
            {
                free = last == first ? free : Common(free, Free(taken[last]));
                free.RemoveAll(s => s.To - s.From < least);
                var high = (last - first + 1) * height;
                if (high < least - 1e-9)
                {
                    continue;
                }

                foreach (var (from, to) in free)
                {
                    if (best is null || (to - from) * high > best.Value.Area * (1 + 1e-12))
                    {
                        best = ((to - from) * high, new Box(from, foot + (first * height), to, foot + ((last + 1) * height)));
                    }
                }
            }
        }

        return best?.Box;
    }

    /// <summary>What is between the stretches; bands begin and end with what lies outside.</summary>
    private static List<(double From, double To)> Free(double[] taken)
    {
        var free = new List<(double, double)>();
        for (var i = 1; i + 1 < taken.Length; i += 2)
        {
            free.Add((taken[i], taken[i + 1]));
        }

        return free;
    }

    private static List<(double From, double To)> Common(List<(double From, double To)> a, List<(double From, double To)> b)
    {
        var common = new List<(double, double)>();
        for (int i = 0, j = 0; i < a.Count && j < b.Count; )
        {
            var (from, to) = (Math.Max(a[i].From, b[j].From), Math.Min(a[i].To, b[j].To));
            if (to > from)
            {
                common.Add((from, to));
            }

            if (a[i].To < b[j].To)
            {
                i++;
            }
            else
            {
                j++;
            }
        }

        return common;
    }
}
