using System.Diagnostics;
using Cabida.Core.Blanks;
using Cabida.Core.Fitting;
using Cabida.Core.Geometry;
using Cabida.Core.Motifs;
using Cabida.Core.Runs;
using Cabida.Core.Type;

namespace Cabida.Benchmarks;

/// <summary>
/// Lists: a hundred, a thousand and five thousand names, medians of interleaved runs, each with a cache of its own; the largest fit
/// in a box, a disc and an outline of 200 corners with two holes; one changed name in a run of 500; peak memory. All in one run.
/// </summary>
internal static class Lists
{
    private const int Rounds = 3;
    private const int FitRounds = 9;
    private static readonly int[] Sizes = [100, 1000, 5000];

    public static void Report()
    {
        Fit(100);
        var perName = Sizes.ToDictionary(n => n, _ => new List<double>());
        for (var round = 0; round < Rounds; round++)
        {
            foreach (var n in Sizes)
            {
                perName[n].Add(Fit(n) / n);
                Console.WriteLine($"round {round + 1}: {n} names, {perName[n][^1]:0.00} ms a name");
            }
        }

        var hundred = Medians.Of(perName[100]);
        foreach (var n in Sizes)
        {
            Console.WriteLine(
                $"median of {Rounds}: {n} names, {Medians.Of(perName[n]):0.00} ms a name, {Medians.Of(perName[n]) / hundred:0.00} "
                    + $"of that at 100"
            );
        }

        using (var process = Process.GetCurrentProcess())
        {
            Console.WriteLine($"peak memory of the process so far: {process.PeakWorkingSet64 / 1048576} MB");
        }

        OneOfFiveHundred();
        LargestFits();
    }

    private static double Fit(int names)
    {
        var basis = MugRun.Of(new InkCache());
        var clock = Stopwatch.StartNew();
        for (var n = 0; n < names; n++)
        {
            _ = PieceFit.Of(new Piece("p", MugRun.Name(n)), basis);
        }

        return clock.Elapsed.TotalMilliseconds;
    }

    private static void OneOfFiveHundred()
    {
        const int Names = 500;
        var ratios = new List<double>();
        for (var round = 0; round < Rounds; round++)
        {
            var basis = MugRun.Of(new InkCache());
            var clock = Stopwatch.StartNew();
            var fits = Enumerable.Range(0, Names).Select(n => PieceFit.Of(new Piece($"{n}", MugRun.Name(n)), basis)).ToList();
            var whole = clock.Elapsed.TotalMilliseconds;
            clock.Restart();
            fits[Names / 2] = PieceFit.Of(new Piece($"{Names / 2}", MugRun.Name(900_000 + round)), basis);
            ratios.Add(clock.Elapsed.TotalMilliseconds / whole);
            GC.KeepAlive(fits);
        }

        Console.WriteLine(
            $"one changed name in a run of {Names}: {Medians.Of(ratios):0.0000} of the whole (a {Names}th is {1.0 / Names:0.0000})"
        );
    }

    private static void LargestFits()
    {
        var zones = new (string Name, ZoneShape Zone)[]
        {
            ("box", ZoneShape.Rectangle(new Box(0, 0, 160, 90))),
            ("disc", Round(_ => 60, 360, [])),
            ("200 corners, two holes", Round(i => 52 + (8 * Math.Cos(7 * Math.PI * i / 100)) + (i % 2), 200, [(-30, 18, 6), (34, -12, 8)])),
        };
        var times = zones
            .SelectMany(z => new[] { Placing.Anchored, Placing.Free }.Select(p => (z.Name, z.Zone, Placing: p, Times: new List<double>())))
            .ToList();
        for (var round = 0; round < FitRounds; round++)
        {
            foreach (var (_, zone, placing, list) in times)
            {
                var ink = Composition.Of(
                    MugRun.Motif,
                    new Dictionary<string, string> { [Fields.Name] = MugRun.Name(700_000 + round) },
                    new Composing(MugRun.Faces, NoGraphics.Instance, GroundShape.None, new InkCache())
                );
                _ = ink.InkAt(1);
                var clock = Stopwatch.StartNew();
                _ = BestFit.Find(ink, ink.AllScales, zone, FitRules.OnDatum with { Placing = placing });
                list.Add(clock.Elapsed.TotalMilliseconds);
            }
        }

        var box = Medians.Of(times[0].Times);
        foreach (var (name, _, placing, list) in times)
        {
            Console.WriteLine(
                $"largest fit in the {name}, {placing}: {Medians.Of(list):0.0} ms, {Medians.Of(list) / box:0} times the box, anchored"
            );
        }
    }

    private static ZoneShape Round(Func<int, double> radius, int corners, (double X, double Y, double R)[] holes)
    {
        List<PlanePoint> Ring(double x, double y, Func<int, double> r, int n) =>
            [
                .. Enumerable
                    .Range(0, n)
                    .Select(i => new PlanePoint(x + (r(i) * Math.Cos(2 * Math.PI * i / n)), y + (r(i) * Math.Sin(2 * Math.PI * i / n)))),
            ];
        NetTopologySuite.Geometries.Geometry area = Outlines.Ring(Ring(0, 0, radius, corners));
        foreach (var (x, y, r) in holes)
        {
            area = area.Difference(Outlines.Ring(Ring(x, y, _ => r, 24)));
        }

        return ZoneShape.Of((NetTopologySuite.Geometries.Polygon)area, new PlanePoint(0, 0));
    }
}
