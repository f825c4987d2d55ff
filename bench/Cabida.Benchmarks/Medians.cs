using System.Diagnostics;

namespace Cabida.Benchmarks;

/// <summary>Times and their medians.</summary>
internal static class Medians
{
    public static double Of(List<double> values)
    {
        var sorted = values.Order().ToList();
        return (sorted[sorted.Count / 2] + sorted[(sorted.Count - 1) / 2]) / 2;
    }

    /// <summary>How long something takes, in milliseconds.</summary>
    public static double Time(Action work)
    {
        var clock = Stopwatch.StartNew();
        work();
        return clock.Elapsed.TotalMilliseconds;
    }
}
