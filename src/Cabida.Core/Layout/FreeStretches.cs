namespace Cabida.Core.Layout;

/// <summary>
/// How wide the widest stretch of each band is in which nothing lies yet. Where a thing takes a wider stretch of a band, it does not lie
/// there whatever else holds, and no-fit polygons need not be asked.
/// </summary>
/// <param name="from">Where the bands begin; millimetres.</param>
/// <param name="to">Where they end.</param>
internal sealed class FreeStretches(double from, double to)
{
    private static readonly Comparison<(double From, double To)> ByBeginning = (a, b) => a.From.CompareTo(b.From);
    private readonly List<double> widest = [];
    private readonly List<(double From, double To)> taken = [];

    /// <summary>Whether no band rules a thing out; its widest bands are looked at first.</summary>
    /// <param name="thing">The thing.</param>
    /// <param name="row">The band in which its lowest lies.</param>
    public bool MayTake(Bands thing, int row)
    {
        foreach (var (k, width) in thing.ByWidth)
        {
            // What fits to the hair fits.
            if (width > WidestOf(row + k) + Bands.Touching)
            {
                return false;
            }
        }

        return true;
    }

    /// <summary>Works some bands out anew.</summary>
    /// <param name="laid">All that lies there, each from which band and how far across.</param>
    /// <param name="first">The first of the bands.</param>
    /// <param name="end">The band after the last; none above what was ever laid is looked at.</param>
    public void Look(IReadOnlyList<(Bands Bands, int Row, double X)> laid, int first, int end)
    {
        var highest = laid.Count > 0 ? laid.Max(l => l.Row + l.Bands.Rows.Length) : 0;
        while (widest.Count < highest)
        {
            widest.Add(to - from);
        }

        for (var row = Math.Max(0, first); row < Math.Min(end, widest.Count); row++)
        {
            widest[row] = WidestOf(laid, row);
        }
    }

    private double WidestOf(int row) => row >= 0 && row < widest.Count ? widest[row] : to - from;

    private double WidestOf(IReadOnlyList<(Bands Bands, int Row, double X)> laid, int row)
    {
        taken.Clear();
        foreach (var (bands, at, x) in laid)
        {
            if (row >= at && row < at + bands.Rows.Length)
            {
                var spans = bands.Rows[row - at];
                for (var s = 0; s < spans.Length; s += 2)
                {
                    taken.Add((spans[s] + x, spans[s + 1] + x));
                }
            }
        }

        taken.Sort(ByBeginning);
        var (free, gap) = (from, 0.0);
        foreach (var (begins, ends) in taken)
        {
            gap = Math.Max(gap, begins - free);
            free = Math.Max(free, ends);
        }

        return Math.Max(gap, to - free);
    }
}
