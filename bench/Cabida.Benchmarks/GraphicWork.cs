using System.Globalization;
using System.Text;
using Cabida.Core.Geometry;
using Cabida.Core.Motifs;
using Cabida.Core.Type;
using Cabida.Core.Wording;
using Cabida.Formats.Graphics;
using Cabida.Formats.Svg;

namespace Cabida.Benchmarks;

/// <summary>Graphics of many pieces, brought in and edited beside; and files made to take for ever.</summary>
internal static class GraphicWork
{
    private const int Rounds = 5;
    private static readonly InkPaths Paths = new();

    /// <summary>What takes longer than this is told as not ended, and left running.</summary>
    private static readonly TimeSpan Patience = TimeSpan.FromSeconds(60);

    public static void Report()
    {
        Console.WriteLine($"XML of 5,000 circles parsed alone: {Median(() => _ = System.Xml.Linq.XDocument.Parse(Circles(5000))):0} ms");
        foreach (var count in new[] { 250, 1000, 2000, 5000 })
        {
            Many(count);
        }

        foreach (var (what, name, file) in Unkind())
        {
            Console.WriteLine($"{what}: {Ended(() => Answer(name, file))}");
        }
    }

    /// <summary>A graphic of so many circles: brought in to its view's paths; and a word beside it, changed again and again.</summary>
    private static void Many(int count)
    {
        var file = Encoding.UTF8.GetBytes(Circles(count));
        var brought = Ended(() =>
        {
            var read = GraphicFile.Read("dots.svg", file).Value;
            var facts = GraphicFile.Facts("dots.svg", read, "dots");
            return $"{read.Pieces.Sum(p => SvgPath.Of(Outlines.FromContours(p.Closed, Tolerances.Ink, Tolerances.InkTurn), Tolerances.File).Length):#,0} characters of {facts.Width:0} mm";
        });
        Console.WriteLine($"{count} circles brought in: {brought}");
        var graphics = new One(new GraphicOutlines("dots", GraphicFile.Read("dots.svg", file).Value.Pieces));
        var cache = new InkCache();
        Console.WriteLine($"{count} circles, first seen: {Ended(() => Edit(graphics, cache, 0))}");
        var edits = 0;
        Console.WriteLine(
            $"{count} circles, an edit beside them: "
                + $"{Ended(() => $"median of {Rounds}: {Median(() => _ = Edit(graphics, cache, 0.1 * ++edits)):0} ms")}"
        );
    }

    private static string Edit(IGraphics graphics, InkCache cache, double by)
    {
        var dots = new GraphicPart("g", PartPlace.Below, MotifLength.Scales(3), "dots", GraphicSize.Width, MotifLength.Scales(160))
        {
            OutlinesId = "dots",
        };
        var line = new LetteringPart(
            "l",
            PartPlace.Below,
            MotifLength.Scales(3),
            "{name}",
            "kaushan-script",
            LetteringSize.CapitalHeight,
            MotifLength.Scales(10 + by),
            0
        );
        var motif = new Motif("m", RowAlignment.Centre, [dots, line]);
        var composition = Composition.Of(
            motif,
            new Dictionary<string, string> { [Fields.Name] = "Agnieszka" },
            new Composing(MugRun.Faces, graphics, GroundShape.None, cache)
        );
        var parts = composition.PartsAt(1);
        return $"{composition.FilmsOf(parts, 1).Concat(parts.SelectMany(p => p.Ink)).Sum(f => Paths.Of(f).Length):#,0} characters of paths";
    }

    private static string Answer(string name, byte[] file)
    {
        using var bound = Effort.Within(Effort.Small);
        try
        {
            var read = GraphicFile.Read(name, file);
            return read.Problem is { } problem
                ? $"refused: {problem}"
                : $"read, {read.Value.Pieces.Count:#,0} pieces of {read.Value.Pieces.Sum(p => Outlines.FromContours(p.Closed, Tolerances.Ink, Tolerances.InkTurn, p.Rule == FillRule.EvenOdd).Area):0} mm²";
        }
        catch (NotWorkableException e)
        {
            return $"refused: {e.Reason}";
        }
    }

    private static string Circles(int count)
    {
        var side = (int)Math.Ceiling(Math.Sqrt(count));
        var all = string.Concat(
            Enumerable.Range(0, count).Select(i => $"<circle cx='{(3 * (i % side)) + 2}' cy='{(3 * (i / side)) + 2}' r='1.2'/>")
        );
        return $"<svg xmlns='http://www.w3.org/2000/svg' width='{3 * side}mm' height='{3 * side}mm' viewBox='0 0 {3 * side} {3 * side}'>{all}</svg>";
    }

    private static IEnumerable<(string What, string Name, byte[] File)> Unkind()
    {
        var random = new Random(7);
        string Scribble(int points) =>
            "M"
            + string.Join(
                'L',
                Enumerable
                    .Range(0, points)
                    .Select(_ =>
                        string.Create(CultureInfo.InvariantCulture, $"{random.NextDouble() * 100:0.000} {random.NextDouble() * 100:0.000}")
                    )
            )
            + "Z";
        byte[] Svg(string inside) =>
            Encoding.UTF8.GetBytes(
                $"<svg xmlns='http://www.w3.org/2000/svg' width='100mm' height='100mm' viewBox='0 0 100 100'>{inside}</svg>"
            );
        yield return (
            "two scribbles of 3,000 points, one clipping the other",
            "clip.svg",
            Svg($"<clipPath id='c'><path d='{Scribble(3000)}'/></clipPath><path clip-path='url(#c)' d='{Scribble(3000)}'/>")
        );
        yield return ("a scribble of 800 points", "scribble.svg", Svg($"<path d='{Scribble(800)}'/>"));
        yield return (
            "20,000 style rules on 2,000 rectangles",
            "rules.svg",
            Svg(
                $"<style>{string.Concat(Enumerable.Range(0, 20_000).Select(i => $"g .a{i} rect,.b{i}{{fill:#123}}"))}</style>{string.Concat(Enumerable.Range(0, 2000).Select(i => $"<rect class='b{i}' x='{i % 50}' y='{i / 50}' width='.5' height='.5'/>"))}"
            )
        );
        yield return (
            "20,000 rules by attributes on 2,000 rectangles",
            "attributes.svg",
            Svg(
                $"<style>{string.Concat(Enumerable.Range(0, 20_000).Select(i => $"[x='{i}'] ~ *{{fill:#123}}"))}</style>{string.Concat(Enumerable.Range(0, 2000).Select(i => $"<rect x='{i % 50}' y='{i / 50}' width='.5' height='.5'/>"))}"
            )
        );
        yield return (
            "a width of 1e30",
            "wide.svg",
            Svg("<rect width='1e30' height='5'/><path d='M0 0L10 10' stroke='red' stroke-width='1e30'/>")
        );
        yield return (
            "dashes of a millionth",
            "dashes.svg",
            Svg("<path fill='none' stroke='red' stroke-dasharray='0.000001' d='M0 0L100 0L100 100L0 100'/>")
        );
        yield return (
            "copies of copies",
            "copies.svg",
            Svg(
                $"<defs><g id='a0'><rect width='1' "
                    + $"height='1'/></g>{string.Concat(Enumerable.Range(1, 12).Select(i => $"<g id='a{i}'>{string.Concat(Enumerable.Repeat($"<use href='#a{i - 1}'/>", 10))}</g>"))}</defs><use href='#a12'/>"
            )
        );
        byte[] Dxf(string blocks, string entities) =>
            Encoding.UTF8.GetBytes($"0\nSECTION\n2\nBLOCKS\n{blocks}0\nENDSEC\n0\nSECTION\n2\nENTITIES\n{entities}0\nENDSEC\n0\nEOF\n");
        string Insert(string of) => $"0\nINSERT\n2\n{of}\n70\n1000\n71\n1000\n44\n1\n45\n1\n";
        yield return (
            "rows and columns of blocks in one another",
            "blocks.dxf",
            Dxf(
                string.Concat(Enumerable.Range(1, 4).Select(i => $"0\nBLOCK\n2\nb{i}\n{Insert($"b{i - 1}")}0\nENDBLK\n"))
                    + "0\nBLOCK\n2\nb0\n0\nENDBLK\n",
                Insert("b4")
            )
        );
        yield return (
            "60,000 circles",
            "circles.dxf",
            Dxf("", string.Concat(Enumerable.Range(0, 60_000).Select(i => $"0\nCIRCLE\n10\n{3 * (i % 250)}\n20\n{3 * (i / 250)}\n40\n1\n")))
        );
        yield return (
            "150,000 loose lines",
            "lines.dxf",
            Dxf(
                "",
                string.Concat(
                    Enumerable
                        .Range(0, 150_000)
                        .Select(i =>
                            string.Create(
                                CultureInfo.InvariantCulture,
                                $"0\nLINE\n10\n{random.NextDouble() * 500:0.00}\n20\n{random.NextDouble() * 500:0.00}\n11\n{random.NextDouble() * 500:0.00}\n21\n{random.NextDouble() * 500:0.00}\n"
                            )
                        )
                )
            )
        );
        yield return (
            "150,000 lines end to end",
            "chain.dxf",
            Dxf(
                "",
                string.Concat(
                    Enumerable
                        .Range(0, 150_000)
                        .Select(i =>
                            string.Create(
                                CultureInfo.InvariantCulture,
                                $"0\nLINE\n10\n{i * 0.1:0.0}\n20\n{i % 2}\n11\n{(i + 1) * 0.1:0.0}\n21\n{(i + 1) % 2}\n"
                            )
                        )
                )
            )
        );
    }

    /// <summary>What came of some work and how long it took, if it ended.</summary>
    private static string Ended(Func<string> work)
    {
        var result = "";
        var took = 0.0;
        var thread = new Thread(() => took = Medians.Time(() => result = work()), 16 << 20) { IsBackground = true };
        thread.Start();
        return thread.Join(Patience) ? $"{took:0} ms ({result})" : $"not ended in {Patience.TotalSeconds:0} s";
    }

    private static double Median(Action work) => Medians.Of([.. Enumerable.Range(0, Rounds).Select(_ => Medians.Time(work))]);

    private sealed class One(GraphicOutlines outlines) : IGraphics
    {
        public GraphicOutlines? Find(string outlinesId) => outlines;
    }
}
