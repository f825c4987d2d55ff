namespace Cabida.Core.Layout;

/// <summary>
/// Where one area cannot lie because of another: the no-fit polygon (Art 1966; Adamowicz and Albano 1976), here in bands: exact across,
/// and never too small in height. In it the areas overlap; on its edge they touch.
/// </summary>
internal sealed class NoFit(Bands fixedOne, Bands moved)
{
    private readonly double[]?[] rows = new double[]?[fixedOne.Rows.Length + moved.Rows.Length - 1];

    /// <summary>About how many numbers it may come to hold.</summary>
    public int Size => 4 * rows.Length;

    /// <summary>
    /// The stretches in which the moved one cannot lie, when its lowest band is so many above that of the fixed: where each begins and
    /// ends, in order. Worked out when it is first asked for.
    /// </summary>
    public ReadOnlySpan<double> At(int row)
    {
        var k = row + moved.Rows.Length - 1;
        return k >= 0 && k < rows.Length ? rows[k] ??= Of(row) : [];
    }

    private double[] Of(int row)
    {
        var (a, b) = (fixedOne.Rows, moved.Rows);
        var merged = new List<double>();
        for (var i = Math.Max(0, row); i < Math.Min(a.Length, row + b.Length); i++)
        {
            var (p, q) = (a[i], b[i - row]);
            for (var s = 0; s < p.Length; s += 2)
            {
                for (var t = 0; t < q.Length; t += 2)
                {
                    Merge(merged, p[s] - q[t + 1], p[s + 1] - q[t]);
                }
            }
        }

        return [.. merged];
    }

    /// <summary>Takes a stretch in. What only touches stays apart: a place between the two is a place.</summary>
    private static void Merge(List<double> merged, double from, double to)
    {
        var first = 0;
        while (first < merged.Count && merged[first + 1] <= from)
        {
            first += 2;
        }

        var end = first;
        while (end < merged.Count && merged[end] < to)
        {
            (from, to) = (Math.Min(from, merged[end]), Math.Max(to, merged[end + 1]));
            end += 2;
        }

        if (end == first)
        {
            merged.InsertRange(first, [from, to]);
            return;
        }

        (merged[first], merged[first + 1]) = (from, to);
        merged.RemoveRange(first + 2, end - first - 2);
    }
}
