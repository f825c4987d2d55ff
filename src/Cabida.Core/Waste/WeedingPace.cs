using Cabida.Core.Stock;

namespace Cabida.Core.Waste;

/// <summary>
/// How long weeding takes: so long for a bit, so much more for a small one, so long for a millimetre of cut (calculations 3.10). The
/// product's own until the maker has typed five times what it really took; then fitted to those by least squares, no share of it negative
/// (Lawson and Hanson 1974; with three shares every set of them is tried). Entries too much alike to tell the shares apart set how fast the
/// maker is as a whole.
/// </summary>
/// <param name="Bit">Minutes for a bit.</param>
/// <param name="SmallBit">Minutes more for one under 4 mm².</param>
/// <param name="Millimetre">Minutes for a millimetre of cut.</param>
/// <param name="Entries">How many entries it was fitted to; zero for the product's own.</param>
/// <param name="Spread">
/// The standard deviation of what is left over between the entries and the estimate, in minutes; null for the product's own.
/// </param>
public sealed record WeedingPace(double Bit, double SmallBit, double Millimetre, int Entries, double? Spread)
{
    /// <summary>So many entries are waited for.</summary>
    public const int Enough = 5;

    /// <summary>Shares are told apart where each stands out from the others by more than this, as a share of its own square.</summary>
    private const double Apart = 0.02;

    /// <summary>The product's own: two seconds for a bit, six more for a small one, a minute for 2,500 mm of cut.</summary>
    public static WeedingPace Usual { get; } = new(2 / 60.0, 6 / 60.0, 1 / 2500.0, 0, null);

    /// <summary>How many minutes it takes.</summary>
    public double MinutesOf(Weeding of)
    {
        ArgumentNullException.ThrowIfNull(of);
        return (Bit * of.Bits) + (SmallBit * of.Small) + (Millimetre * of.CutLength);
    }

    /// <summary>The pace of a maker by what weeding films for a purpose really took.</summary>
    /// <param name="took">All that was typed.</param>
    /// <param name="purpose">What the film is for.</param>
    public static WeedingPace Of(IEnumerable<WeedingTook> took, FilmPurpose purpose)
    {
        ArgumentNullException.ThrowIfNull(took);
        var entries = took.Where(t => t.Purpose == purpose).ToList();
        if (entries.Count < Enough)
        {
            return Usual;
        }

        double[][] shares =
        [
            [.. entries.Select(e => (double)e.Bits)],
            [.. entries.Select(e => (double)e.Small)],
            [.. entries.Select(e => e.CutLength)],
        ];
        double[] minutes = [.. entries.Select(e => e.Minutes)];
        var fitted = Least(shares, minutes) ?? AsAWhole(entries, minutes);
        var left = entries.Select((e, i) => minutes[i] - fitted.Pace.MinutesOf(Of(e))).Sum(r => r * r);
        return fitted.Pace with { Entries = entries.Count, Spread = Math.Sqrt(left / (entries.Count - fitted.Shares)) };
    }

    private static Weeding Of(WeedingTook entry) => new(entry.Bits, entry.Small, entry.CutLength, null);

    private static (WeedingPace Pace, int Shares) AsAWhole(List<WeedingTook> entries, double[] minutes)
    {
        var usual = entries.ConvertAll(e => Usual.MinutesOf(Of(e)));
        var by = Dot([.. usual], minutes) / usual.Sum(u => u * u);
        return (new(by * Usual.Bit, by * Usual.SmallBit, by * Usual.Millimetre, 0, null), 1);
    }

    /// <summary>The shares, none negative, that leave the least; null where the entries cannot tell them apart.</summary>
    private static (WeedingPace Pace, int Shares)? Least(double[][] shares, double[] minutes)
    {
        if (Solved(shares, minutes) is not { } all)
        {
            return null;
        }

        var best = (Found: all, Left: all.Min() >= 0 ? double.NegativeInfinity : double.PositiveInfinity);
        for (var set = 1; set < (1 << shares.Length) - 1 && best.Left > double.NegativeInfinity; set++)
        {
            List<int> chosen = [.. Enumerable.Range(0, shares.Length).Where(i => (set & (1 << i)) != 0)];
            if (Solved([.. chosen.Select(i => shares[i])], minutes) is not { } found || found.Min() < 0)
            {
                continue;
            }

            var whole = new double[shares.Length];
            chosen.ForEach(i => whole[i] = found[chosen.IndexOf(i)]);
            var left = minutes.Select((m, e) => m - shares.Select((s, i) => s[e] * whole[i]).Sum()).Sum(r => r * r);
            if (left < best.Left)
            {
                best = (whole, left);
            }
        }

        return double.IsPositiveInfinity(best.Left)
            ? null
            : (new(best.Found[0], best.Found[1], best.Found[2], 0, null), Math.Max(1, best.Found.Count(s => s > 0)));
    }

    /// <summary>
    /// Least squares by orthogonal columns (Gram and Schmidt); null where a column is all but made up of those before it.
    /// </summary>
    private static double[]? Solved(double[][] columns, double[] wanted)
    {
        var n = columns.Length;
        var (across, along) = (new double[n][], new double[n, n]);
        for (var i = 0; i < n; i++)
        {
            across[i] = [.. columns[i]];
            for (var j = 0; j < i; j++)
            {
                along[j, i] = Dot(across[j], across[i]);
                for (var r = 0; r < wanted.Length; r++)
                {
                    across[i][r] -= along[j, i] * across[j][r];
                }
            }

            var (own, whole) = (Dot(across[i], across[i]), Dot(columns[i], columns[i]));
            if (own <= Apart * Apart * whole)
            {
                return null;
            }

            along[i, i] = Math.Sqrt(own);
            across[i] = [.. across[i].Select(v => v / along[i, i])];
        }

        var found = new double[n];
        for (var i = n - 1; i >= 0; i--)
        {
            found[i] = Dot(across[i], wanted);
            for (var j = i + 1; j < n; j++)
            {
                found[i] -= along[i, j] * found[j];
            }

            found[i] /= along[i, i];
        }

        return found;
    }

    private static double Dot(double[] a, double[] b) => a.Zip(b, (x, y) => x * y).Sum();
}
