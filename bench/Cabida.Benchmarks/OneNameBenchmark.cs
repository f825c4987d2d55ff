using BenchmarkDotNet.Attributes;
using Cabida.Core.Checking;
using Cabida.Core.Fitting;
using Cabida.Core.Runs;
using Cabida.Core.Type;

namespace Cabida.Benchmarks;

/// <summary>
/// One twelve-letter script name: the floor is shaping, outlining and joining it; the whole is composing, fitting and checking it.
/// </summary>
public class OneNameBenchmark
{
    private readonly InkCache cache = new();
    private readonly InkFactsCache facts = new();
    private FitBasis basis = null!;
    private int next;
    private double size;

    /// <summary>Warms the glyph caches, at the level that the fit uses too.</summary>
    [GlobalSetup]
    public void Setup()
    {
        basis = MugRun.Of(cache);
        for (var n = 0; n < 60; n++)
        {
            var fit = PieceFit.Of(new Piece("warm", MugRun.Name(n)), basis);
            size = fit.Parts[0].Line!.SizeMm;
        }

        next = 60;
    }

    /// <summary>Shaping, outlining and joining, nothing else.</summary>
    [Benchmark(Baseline = true)]
    public int Floor() =>
        new LetteringLine(MugRun.Name(next++), MugRun.Faces.Find("kaushan-script")!, LineSetting.Plain, cache).InkAt(size).NumPoints;

    /// <summary>Composing, fitting and checking it whole.</summary>
    [Benchmark]
    public int Whole() => Checks.Of(PieceFit.Of(new Piece("p", MugRun.Name(next++)), basis), basis, facts).Findings.Count;
}
