using Cabida.Core.Runs;

namespace Cabida.Core.Steps;

/// <summary>How fast a maker is at a kind of step, against what is usual (B8): one factor, from what it really took.</summary>
/// <param name="By">So many times the usual; 1 until there are enough entries.</param>
/// <param name="Entries">How many entries it comes from; zero for the usual.</param>
/// <param name="Spread">The standard deviation of real against estimated with the factor, as a share; null for the usual.</param>
public sealed record BenchPace(double By, int Entries, double? Spread)
{
    /// <summary>So many entries are waited for.</summary>
    public const int Enough = 3;

    /// <summary>The pace by what steps of a kind really took: the factor that leaves the least squares, Σ usual·real / Σ usual².</summary>
    public static BenchPace Of(IEnumerable<StepTook> took, StepKind kind)
    {
        ArgumentNullException.ThrowIfNull(took);
        var entries = took.Where(t => t.Kind == kind && t.Usual > 0).ToList();
        if (entries.Count < Enough)
        {
            return new BenchPace(1, 0, null);
        }

        var by = entries.Sum(t => t.Usual * t.Minutes) / entries.Sum(t => t.Usual * t.Usual);
        var left = entries.Sum(t => Math.Pow((t.Minutes / (by * t.Usual)) - 1, 2));
        return new BenchPace(by, entries.Count, Math.Sqrt(left / (entries.Count - 1)));
    }
}
