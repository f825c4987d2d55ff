using Cabida.Core.Checking;
using Cabida.Core.Cutting;
using Cabida.Core.Fitting;
using Cabida.Core.Geometry;
using Cabida.Core.Loads;
using Cabida.Core.Runs;
using Cabida.Core.Stock;
using Cabida.Core.Type;
using Cabida.Core.Waste;
using Cabida.Formats.Cutting;
using Cabida.Formats.Svg;

namespace Cabida.Benchmarks;

/// <summary>All checks of names against their fit alone; weed boxes and breaks of a load against the rest of its way into a file.</summary>
internal static class BeforeCutting
{
    private const int Names = 60;
    private const int Many = 500;
    private const int OnLoad = 30;

    /// <summary>Letters are set once for all names, as in a run; no name is there twice.</summary>
    private static readonly FitBasis Basis = MugRun.Of(new InkCache());

    public static void Report()
    {
        // Names before those that are measured, so that every letter is set and all code compiled.
        for (var n = 5000; n < 5300; n++)
        {
            One(n);
        }

        var each = Enumerable.Range(1, Names).Select(One).ToList();
        var (fit, checks) = (Medians.Of(each.ConvertAll(e => e.Fit)), Medians.Of(each.ConvertAll(e => e.Checks)));
        Say($"a name of twelve letters: fit {fit:0.00} ms, all its checks {checks:0.00} ms, ratio {checks / fit:0.00}");

        var (drawn, cut) = (Medians.Of(each.ConvertAll(e => e.Drawn)), Medians.Of(each.ConvertAll(e => e.Cut)));
        Say($"its drawing {drawn:0.00} ms, ratio {drawn / fit:0.00}; its curves in a cut file {cut:0.00} ms, ratio {cut / fit:0.00}");

        var many = Enumerable.Range(1000, Many).Select(One).ToList();
        var (fits, all) = (many.Sum(e => e.Fit), many.Sum(e => e.Checks));
        Say($"{Many} names: fits {fits / 1000:0.00} s, all their checks {all / 1000:0.00} s, ratio {all / fits:0.00}");

        foreach (var box in new[] { WeedBox.Piece, WeedBox.Row, WeedBox.Load })
        {
            Load(box);
            List<(double Breaks, double File, int Count)> rounds = [.. Enumerable.Range(0, 5).Select(_ => Load(box))];
            var (breaks, file) = (Medians.Of(rounds.ConvertAll(r => r.Breaks)), Medians.Of(rounds.ConvertAll(r => r.File)));
            Say(
                $"a load of {OnLoad} names, a box round each {box}: {rounds[0].Count} breaks in {breaks:0} ms; its file written and read "
                    + $"back in {file:0} ms, ratio {breaks / file:0.0}"
            );
        }
    }

    private static (double Fit, double Checks, double Drawn, double Cut) One(int n)
    {
        PieceFit fit = null!;
        return (
            Medians.Time(() => fit = PieceFit.Of(new Piece("p", MugRun.Name(n)), Basis)),
            Medians.Time(() => _ = Checks.Of(fit, Basis, new InkFactsCache()).Findings.Count),
            Medians.Time(() => _ = SvgPath.Of(fit.Ink, Tolerances.File).Length),
            Medians.Time(() => _ = SvgPath.OfCut(fit.Ink, Tolerances.File, 0).Length)
        );
    }

    private static (double Breaks, double File, int Count) Load(WeedBox box)
    {
        var basis = MugRun.Of(new InkCache());
        var ways = WeedWays.Usual with { Box = box };
        var terms = WasteTerms.Of(ways, FilmPurpose.Stays);
        var fits = Enumerable.Range(0, OnLoad).Select(n => PieceFit.Of(new Piece($"{n}", MugRun.Name(n)), basis)).ToList();
        var plan = LoadPlan.Of(
            [.. fits.Select(f => new LoadItem(f.Piece.Id, Box.Of(f.Ink)!.Value.Width, Box.Of(f.Ink)!.Value.Height))],
            600,
            1800,
            5,
            new WeedRoom(box, ways.MarginOr)
        );
        var load = plan.Loads[0];
        var pieces = load
            .Placements.Select(at => (At: at, Fit: fits.First(f => f.Piece.Id == at.PieceId)))
            .Select(p => (p.At, p.Fit, Layer: p.Fit.Films[0].Film))
            .ToList();
        IReadOnlyList<WastePlan> plans = [];
        var breaks = Medians.Time(() =>
        {
            var rows = pieces.ConvertAll(p => new WeededPiece(p.At, p.Fit.Ink, InkRows.Of(p.Fit.Ink, p.Layer, p.Fit.Parts)));
            plans =
                box == WeedBox.Piece
                    ? [.. rows.Select(r => WastePlan.Of(r.Rows, terms)!.Moved(LoadInk.MotionOf(r.Ink, r.At)))]
                    : LoadWaste.Of(rows, box, terms);
        });
        var file = Medians.Time(() =>
        {
            CutGroup[] groups =
            [
                .. pieces.Select(p => CutGroups.OfInk(p.Fit.Piece.Name, LoadInk.Placed(p.Fit.Ink, p.At))),
                .. plans.Select(p =>
                    CutGroups.OfWaste(
                        p.Box,
                        [.. p.Breaks.Select(b => (IReadOnlyList<PlanePoint>)[.. b.Line.Coordinates.Select(c => new PlanePoint(c.X, c.Y))])]
                    )
                ),
            ];
            var svg = CutSvg.Write(new CutDrawing("load", 600, 1800, [new CutLayer("Film", "#000000", groups)]));
            _ = CutSvgMeasure.Of(svg).NearestWaste;
        });
        return (breaks, file, plans.Sum(p => p.Breaks.Count));
    }

    private static void Say(string line) => Console.WriteLine(line);
}
