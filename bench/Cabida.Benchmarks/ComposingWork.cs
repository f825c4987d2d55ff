using System.Diagnostics;
using System.Xml.Linq;
using Cabida.Core.Checking;
using Cabida.Core.Fitting;
using Cabida.Core.Geometry;
using Cabida.Core.Motifs;
using Cabida.Core.Runs;
using Cabida.Core.Stock;
using Cabida.Core.Type;
using Cabida.Formats.Graphics;
using Cabida.Typography;

namespace Cabida.Benchmarks;

/// <summary>Composing after a change against composing from nothing; bringing icons in; trying typefaces.</summary>
internal static class ComposingWork
{
    private const int Rounds = 15;
    private const int Faces = 20;
    private static readonly string[] Names = ["Konstantinos", "Bram", "Agnieszka"];

    public static void Report()
    {
        Composing();
        Icons();
        Trial();
    }

    private static void Composing()
    {
        // Twelve parts; the part at each of four places is changed in turn, first to last.
        Motif Of(int changed, double by) =>
            new(
                "m",
                RowAlignment.Centre,
                [
                    .. Enumerable
                        .Range(0, 12)
                        .Select(
                            Part (i) =>
                                i % 3 == 0
                                    ? Line($"p{i}", i % 2 == 0 ? "{name}" : "FERNHOLLOW TRAMWAY", 10 + (i == changed ? by : 0))
                                    : new ShapePart(
                                        $"p{i}",
                                        PartPlace.Anchored,
                                        MotifLength.Scales(0),
                                        i % 2 == 0 ? ShapeKind.Star : ShapeKind.Ring,
                                        MotifLength.Scales(14 + (i == changed ? by : 0)),
                                        MotifLength.Scales(14)
                                    )
                                    {
                                        Anchor = new Anchor(
                                            Anchor.Stack,
                                            Stand.Middle,
                                            Stand.Middle,
                                            MotifLength.Scales(11 * (i - 6)),
                                            MotifLength.Scales(5 * (i % 4))
                                        ),
                                        Action =
                                            i % 4 == 1 ? PartAction.ClearsAround
                                            : i % 4 == 2 ? PartAction.CutsThrough
                                            : PartAction.Adds,
                                    }
                        ),
                ]
            );
        var kept = new InkCache();
        Compose(Of(-1, 0), kept);
        foreach (var changed in new[] { 0, 4, 8, 11 })
        {
            var (cold, warm) = (new List<double>(), new List<double>());
            for (var round = 0; round < Rounds; round++)
            {
                var motif = Of(changed, 0.01 * (round + 1));
                warm.Add(Timed(() => Compose(motif, kept)));
                cold.Add(Timed(() => Compose(motif, new InkCache())));
            }

            Console.WriteLine(
                $"12 parts, part {changed + 1} changed: {Medians.Of(warm):0.0} ms, from nothing {Medians.Of(cold):0.0} ms, ratio "
                    + $"{Medians.Of(warm) / Medians.Of(cold):0.00}"
            );
        }
    }

    private static LetteringPart Line(string id, string text, double size) =>
        new(id, PartPlace.Below, MotifLength.Scales(3), text, "kaushan-script", LetteringSize.CapitalHeight, MotifLength.Scales(size), 0);

    private static void Compose(Motif motif, InkCache cache)
    {
        var composition = Composition.Of(
            motif,
            new Dictionary<string, string> { [Fields.Name] = "Agnieszka" },
            new Composing(MugRun.Faces, NoGraphics.Instance, GroundShape.None, cache)
        );
        _ = composition.FilmsOf(composition.PartsAt(1), 1);
    }

    private static void Icons()
    {
        var modules = Path.Combine(Root(), "web", "node_modules");
        var files = new[] { Path.Combine(modules, "feather-icons", "dist", "icons"), Path.Combine(modules, "zondicons") }
            .SelectMany(f => Directory.EnumerateFiles(f, "*.svg"))
            .Order(StringComparer.Ordinal)
            .Select(File.ReadAllBytes)
            .ToList();
        var (read, parsed) = (new List<double>(), new List<double>());
        for (var round = 0; round < Rounds; round++)
        {
            parsed.Add(Timed(() => files.ForEach(f => _ = XDocument.Load(new MemoryStream(f)))));
            read.Add(Timed(() => files.ForEach(f => _ = GraphicFile.Read("icon.svg", f).Value)));
        }

        Console.WriteLine(
            $"{files.Count} icons: brought in {Medians.Of(read):0} ms, parsed as XML alone {Medians.Of(parsed):0} ms, ratio "
                + $"{Medians.Of(read) / Medians.Of(parsed):0.0}"
        );
    }

    private static void Trial()
    {
        // The shipped faces under as many names as it takes, each opened by itself.
        var shipped = MugRun.Faces.All;
        ShippedTypefaces[] opened = [.. Enumerable.Range(0, 1 + (Faces / shipped.Count)).Select(_ => new ShippedTypefaces())];
        var faces = new Many([
            .. Enumerable
                .Range(0, Faces)
                .Select(i => (Id: $"face-{i}", Of: opened[i / shipped.Count].Find(shipped[i % shipped.Count].Id)!)),
        ]);
        var all = new ParallelOptions { MaxDegreeOfParallelism = Environment.ProcessorCount };
        var (trial, shared, alone) = (new List<double>(), new List<double>(), new List<double>());
        var usual = WeedingEstimate.Bare(WeedingBook.Empty);
        for (var round = 0; round < Rounds; round++)
        {
            var ground = Fresh();
            trial.Add(
                Timed(() =>
                    Parallel.ForEach(faces.All, all, f => _ = TypeTrial.Of(ground, "name", f.Id, Names, new InkFactsCache(), usual))
                )
            );
            var singles = Singles(Fresh());
            shared.Add(Timed(() => Parallel.ForEach(singles, all, s => _ = PieceFit.Of(s.Piece, s.Basis))));
            singles = Singles(Fresh());
            alone.Add(Timed(() => singles.ForEach(s => _ = PieceFit.Of(s.Piece, s.Basis))));
        }

        Console.WriteLine(
            $"{Faces} faces on {Names.Length} names: {Medians.Of(trial):0} ms; {Faces * Names.Length} single fits shared by "
                + $"{Environment.ProcessorCount} cores {Medians.Of(shared):0} ms, ratio {Medians.Of(trial) / Medians.Of(shared):0.00}; on "
                + $"one core {Medians.Of(alone):0} ms"
        );

        FitBasis Fresh() => MugRun.Of(new AtHand(faces, new InkCache()));

        List<(Piece Piece, FitBasis Basis)> Singles(FitBasis basis) =>
            [
                .. faces.All.SelectMany(f =>
                {
                    var one = basis with
                    {
                        Motif = basis.Motif with { Parts = [((LetteringPart)basis.Motif.Parts[0]) with { TypefaceId = f.Id }] },
                    };
                    return Names.Select(n => (new Piece(n, n), one));
                }),
            ];
    }

    private static double Timed(Action work)
    {
        var clock = Stopwatch.StartNew();
        work();
        return clock.Elapsed.TotalMilliseconds;
    }

    private static string Root()
    {
        var folder = AppContext.BaseDirectory;
        while (!File.Exists(Path.Combine(folder, "Cabida.slnx")))
        {
            folder = Path.GetDirectoryName(folder) ?? throw new InvalidOperationException("The project's folder was not found.");
        }

        return folder;
    }

    private sealed class Many : ITypefaces
    {
        private readonly Dictionary<string, ITypeface> faces;

        public Many((string Id, ITypeface Of)[] named)
        {
            faces = named.ToDictionary(n => n.Id, ITypeface (n) => new Renamed(n.Id, n.Of), StringComparer.Ordinal);
            All = [.. faces.Values.Select(f => f.Info)];
        }

        public IReadOnlyList<TypefaceInfo> All { get; }

        public ITypeface? Find(string id) => faces.GetValueOrDefault(id);

        /// <summary>A face under another name, so that nothing it draws is found in a cache under the old one.</summary>
        private sealed class Renamed(string id, ITypeface of) : ITypeface
        {
            public TypefaceInfo Info => of.Info with { Id = id };

            public string Revision => of.Revision;

            public double CapitalHeight => of.CapitalHeight;

            public IReadOnlySet<string> Features => of.Features;

            public IReadOnlyList<(string Letter, string Family)> NamedForms => of.NamedForms;

            public IReadOnlyList<GlyphForm> Glyphs => of.Glyphs;

            public ShapedLine Shape(string text, IReadOnlyList<FeatureUse> features, IReadOnlyList<GlyphUse> instead) =>
                of.Shape(text, features, instead);

            public IReadOnlyList<FeatureUse> FormsOf(string text, int index) => of.FormsOf(text, index);

            public IReadOnlyList<Contour> Outline(uint glyph) => of.Outline(glyph);
        }
    }
}
