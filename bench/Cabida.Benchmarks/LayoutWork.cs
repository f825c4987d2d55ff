using Cabida.Core.Geometry;
using Cabida.Core.Layout;
using Cabida.Core.Loads;
using Cabida.Core.Motifs;
using Cabida.Core.Tests.Layout;
using Cabida.Core.Type;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Benchmarks;

/// <summary>How densely things are laid: jigsaws of which all could be covered, and names against plain rows.</summary>
internal static class LayoutWork
{
    private const double ScissorsRoom = 3;
    private static readonly int[] Sizes = [10, 20, 40, 60];

    private static readonly string[] Names = (
        "Ada Ignacy Bo Wilhelmina Oluwaseun Agnieszka Cy Jean-Baptiste Þórdís Marguerite Ike Konstantinos Nguyễn Rosalind Ottoline "
        + "Pip Theodora Sven Maximilian Una Bartholomew Ewa Clementine Dag Evangeline Finn Guinevere Hal Isadora Jo Katarzyna Lev "
        + "Magdalena Ned Ophelia Quy Radegund Søren Tatiana Ulrich"
    ).Split(' ');

    public static void Report(double seconds)
    {
        // Once before what is measured, so that all code is compiled.
        var compiled = Jigsaw.Of(30, false, 1).Items(true, 1);
        Search(compiled, [new LayPlace(Outlines.Rectangle(new Box(0, 0, 300, 900)), IsRoll: true)], new LayTerms(ScissorsRoom), 5);
        var densities = new List<double>();
        foreach (var turned in new[] { false, true })
        {
            foreach (var convex in new[] { true, false })
            {
                densities.AddRange(Sizes.Select(count => OfJigsaw(count, convex, turned, seconds)));
            }
        }

        Say($"jigsaws after {seconds:0} s: mean {densities.Average():p1}, best {densities.Max():p1}, worst {densities.Min():p1}");
        OfNames("40 names, capitals of 20, on 300 × 300", [.. Names.Select(n => Lettering(n, 20))], 300, 300, seconds);
        OfNames(
            "24 of two lines on 380 × 640",
            [.. Names.Take(24).Select((n, i) => Lettering(n, 26, i % 3 == 0 ? "workshop" : "platform crew"))],
            380,
            640,
            seconds
        );
    }

    private static double OfJigsaw(int count, bool convex, bool turned, double seconds)
    {
        var jigsaw = Jigsaw.Of(count, convex, 7 * count);
        var items = jigsaw.Items(turned, 3);
        var place = new LayPlace(Outlines.Rectangle(new Box(0, 0, jigsaw.Width, 4 * jigsaw.Height)), IsRoll: true);
        var terms = new LayTerms(0, turned ? LayTurning.Quarter : LayTurning.None);
        var (plan, first, firstAfter) = Search(items, [place], terms, seconds);
        var density = jigsaw.Height / plan.Length;
        Say(
            $"{count} {(convex ? "convex" : "other")} pieces{(turned ? ", turned by quarters" : "")}: first "
                + $"{jigsaw.Height / first.Length:p1} after {firstAfter:0} ms, then {density:p1}"
        );
        return density;
    }

    private static void OfNames(string what, List<Area> inks, double width, double height, double seconds)
    {
        List<LayItem> items = [];
        var shaping = Medians.Time(() =>
            items = [.. inks.Select((ink, i) => new LayItem(ItemId.Of($"{i}"), Silhouette.Of(ink, false, ScissorsRoom)))]
        );
        var place = new LayPlace(Outlines.Rectangle(new Box(0, 0, width, height)));
        var terms = new LayTerms(ScissorsRoom);
        var (plan, first, firstAfter) = Search(items, [place], terms, seconds);
        var rows = LoadPlan.Of(
            [.. inks.Select((ink, i) => new LoadItem($"{i}", Box.Of(ink)!.Value.Width, Box.Of(ink)!.Value.Height))],
            width,
            height,
            ScissorsRoom
        );
        var last = rows.Loads[^1].Placements;
        var byRows = new LayPlan(
            [.. rows.Loads.Select(l => new LaidLoad(0, [.. l.Placements.Select(p => new LaidItem(ItemId.Of(p.PieceId), default))]))],
            [],
            height - last.Min(p => p.Box.MinY)
        );
        var (tight, plain) = (LayFigures.Of(items, [place], terms, plan), LayFigures.Of(items, [place], terms, byRows));
        Say(
            $"{what}: silhouettes {shaping:0} ms, first plan after {firstAfter:0} ms ({first.Loads.Count} loads), at last "
                + $"{plan.Loads.Count} loads and {plan.Length:0} mm of the last, density {tight.Density:p1}; plain rows {rows.Loads.Count} "
                + $"loads and {byRows.Length:0} mm, {plain.Density:p1}; ratio {tight.Density / plain.Density:0.00}; faults "
                + $"{PlanCheck.Of(items, [place], terms, plan).Count}"
        );
    }

    /// <summary>Two searches at once, from two seeds; the better of their plans.</summary>
    private static (LayPlan Best, LayPlan First, double After) Search(
        IReadOnlyList<LayItem> items,
        IReadOnlyList<LayPlace> places,
        LayTerms terms,
        double seconds
    )
    {
        var clock = System.Diagnostics.Stopwatch.StartNew();
        (LayPlan Plan, double After)? first = null;
        LayPlan? best = null;
        var telling = new Lock();
        using var stop = new CancellationTokenSource(TimeSpan.FromSeconds(seconds));
        Parallel.For(0, 2, n => LayoutSearch.Run(
                items,
                places,
                terms with
                {
                    Seed = n + 1,
                },
                plan =>
                {
                    lock (telling)
                    {
                        first ??= (plan, clock.Elapsed.TotalMilliseconds);
                        best = best is null || plan.BetterThan(best) ? plan : best;
                    }
                },
                stop.Token
            ));
        return (best!, first!.Value.Plan, first.Value.After);
    }

    private static Area Lettering(string name, double capitals, string? below = null)
    {
        static LetteringPart Line(string id, string text, double height) =>
            new(
                id,
                PartPlace.Below,
                MotifLength.Scales(3),
                text,
                "kaushan-script",
                LetteringSize.CapitalHeight,
                MotifLength.Scales(height),
                0
            );
        List<Part> parts = [Line("a", name, capitals)];
        if (below is not null)
        {
            parts.Add(Line("b", below, capitals / 3));
        }

        var composed = Composition.Of(
            new Motif("m", RowAlignment.Centre, parts),
            new Dictionary<string, string>(),
            new Composing(MugRun.Faces, NoGraphics.Instance, GroundShape.None, new InkCache())
        );
        return Outlines.Join([.. composed.FilmsOf(composed.PartsAt(1), 1).Select(f => f.Ink)]);
    }

    private static void Say(string said) => Console.WriteLine(said);
}
