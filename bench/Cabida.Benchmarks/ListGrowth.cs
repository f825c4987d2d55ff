using System.Diagnostics;
using Cabida.Core.Fitting;
using Cabida.Core.Runs;
using Cabida.Core.Type;

namespace Cabida.Benchmarks;

/// <summary>Fitting a thousand names against fitting a hundred: medians of interleaved runs, each with caches of its own.</summary>
internal static class ListGrowth
{
    private const int Rounds = 10;

    public static void Report()
    {
        Fit(100);
        var (hundred, thousand) = (new List<double>(), new List<double>());
        for (var round = 0; round < Rounds; round++)
        {
            hundred.Add(Fit(100));
            thousand.Add(Fit(1000));
            Console.WriteLine($"round {round + 1}: 100 names {hundred[^1]:0} ms, 1,000 names {thousand[^1]:0} ms");
        }

        Console.WriteLine($"medians of {Rounds}: 100 names {Medians.Of(hundred):0} ms, 1,000 names {Medians.Of(thousand):0} ms, ratio {Medians.Of(thousand) / Medians.Of(hundred):0.00}");
    }

    private static double Fit(int names)
    {
        var ground = Ground.Of(new InkCache());
        var clock = Stopwatch.StartNew();
        for (var n = 0; n < names; n++)
        {
            _ = PieceFit.Of(new Piece("p", Ground.Name(n)), ground);
        }

        return clock.Elapsed.TotalMilliseconds;
    }
}
