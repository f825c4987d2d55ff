using Cabida.Core.Pressing;
using Cabida.Core.Steps;
using Cabida.Core.Stock;
using Cabida.Core.Tests.Pressing;
using Cabida.Core.Tests.Steps;

namespace Cabida.Benchmarks;

/// <summary>Plans of the press and of the day against trying everything: whether they are equal, and what each costs.</summary>
internal static class PlanWork
{
    private const int Seed = 20261201;

    public static void Report()
    {
        Presses();
        Steps();
        Largest();
    }

    private static void Presses()
    {
        const double ceiling = 154;
        var random = new Random(Seed);
        Console.WriteLine("press, layers: problems, solvable, equal, median ms searched, median ms all tried, ratio");
        foreach (var count in new[] { 1, 2, 3, 4 })
        {
            var (search, all, solvable, equal) = (new List<double>(), new List<double>(), 0, 0);
            for (var i = 0; i < 250; i++)
            {
                var layers = Enumerable.Range(0, count).Select(l => Layer(random, $"{l}")).ToArray();
                PressPlan? plan = null;
                (int Seconds, int Changes)? every = null;
                search.Add(Medians.Time(() => plan = PressPlanning.Of(layers, new HeatBounds("the goods", ceiling, "", null), []).Plan));
                all.Add(Medians.Time(() => every = EveryPressPlan.Best(layers, ceiling)));
                solvable += every is null ? 0 : 1;
                equal += (plan is null ? null : ((int, int)?)(plan.Seconds, plan.Changes)) == every ? 1 : 0;
            }

            Tell($"{count}: 250, {solvable}, {equal}", search, all);
        }
    }

    private static PressLayer Layer(Random random, string film)
    {
        var (from, wide, seconds) = (random.Next(150, 154), random.Next(0, 3), random.Next(1, 4));
        return new PressLayer(
            film,
            random.Next(2),
            new HeatNeeds(
                from,
                from + wide,
                seconds,
                Math.Min(random.Next(1, 4), seconds),
                random.Next(3, 11),
                from + wide + random.Next(0, 4) - 1,
                Math.Max(0, random.Next(0, 4) - 1)
            )
        );
    }

    private static void Steps()
    {
        var random = new Random(Seed);
        Console.WriteLine("day, steps: problems, solvable, equal, median ms searched, median ms all tried, ratio");
        foreach (var (runs, each) in new[] { (1, 3), (2, 2), (2, 3), (3, 2) })
        {
            var (search, all, equal) = (new List<double>(), new List<double>(), 0);
            for (var i = 0; i < 100; i++)
            {
                BenchChain[] chains =
                [
                    .. Enumerable
                        .Range(0, runs)
                        .Select(r => new BenchChain(
                            $"{r}",
                            [.. Enumerable.Range(0, each).Select(t => new BenchTask($"{r}", $"{t}", random.Next(1, 6), random.Next(0, 7)))],
                            random.Next(30, 61)
                        )),
                ];
                StepPlan? plan = null;
                var start = 60;
                search.Add(Medians.Time(() => plan = StepPlanning.Backwards(chains, EveryStepPlan.Hours, -1000)));
                all.Add(
                    Medians.Time(() =>
                    {
                        while (!EveryStepPlan.IsPossible(chains, start, c => (int)c.Due))
                        {
                            start--;
                        }
                    })
                );
                equal += Math.Abs(plan!.Tasks.Min(t => t.From) - start) < 1e-9 ? 1 : 0;
            }

            Tell($"{runs} × {each}: 100, 100, {equal}", search, all);
        }
    }

    /// <summary>What nobody can try in full: eight layers, and the day of a hundred runs.</summary>
    private static void Largest()
    {
        var random = new Random(Seed);
        var eight = Enumerable
            .Range(0, 8)
            .Select(i => new PressLayer($"{i}", 0, new HeatNeeds(140 + (2 * i), 150 + (2 * i), 12, 4, 600, 180, 0)))
            .ToList();
        var press = Enumerable
            .Range(0, 9)
            .Select(_ => Medians.Time(() => PressPlanning.Of(eight, new HeatBounds("the goods", null, "", null), [])))
            .ToList();
        var chains = Enumerable
            .Range(0, 100)
            .Select(i => new BenchChain(
                $"{i}",
                [.. Enumerable.Range(0, 5).Select(t => new BenchTask($"{i}", $"{t}", random.Next(2, 20), random.Next(0, 60)))],
                5000 + random.Next(900)
            ))
            .ToList();
        var day = Enumerable.Range(0, 9).Select(_ => Medians.Time(() => StepPlanning.Backwards(chains, OpenHours.Always, 0))).ToList();
        Console.WriteLine(
            FormattableString.Invariant($"eight layers: {Medians.Of(press):0.00} ms; 100 runs of 5 steps: {Medians.Of(day):0.0} ms")
        );
    }

    private static void Tell(string what, List<double> search, List<double> all)
    {
        var (one, other) = (Medians.Of(search), Medians.Of(all));
        Console.WriteLine(FormattableString.Invariant($"{what}, {one:0.000}, {other:0.000}, {other / one:0}"));
    }
}
