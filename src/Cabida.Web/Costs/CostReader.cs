using Cabida.Core.Costs;
using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using Cabida.Core.Plans;
using Cabida.Core.Steps;
using Cabida.Core.Stock;
using Cabida.Store;
using Cabida.Web.Bench;
using Cabida.Web.Making;
using Cabida.Web.Plans;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Web.Costs;

/// <summary>What a run costs, and how many of its pieces lie on no load.</summary>
internal sealed record ReckonedRun(RunCost Cost, int OffLoads);

/// <summary>Reckons what runs cost, from how their loads lie, what stock and blank cost now, and what their steps take.</summary>
internal sealed class CostReader(Cabida.Store.Library library, BenchReader bench, RunMakings makings, MakingMemory memory)
{
    /// <summary>What a run costs; null where there is none, or it lacks something.</summary>
    /// <param name="runId">The run.</param>
    /// <param name="more">For how many more it is told.</param>
    /// <param name="stop">Ends it.</param>
    public async Task<ReckonedRun?> Of(string runId, int more, CancellationToken stop)
    {
        if (await bench.Find(runId, stop) is not { } run || run.Run.Surface is null)
        {
            return null;
        }

        var making = await makings.Of(run.Run, stop);
        if (making.Facts is not { } facts)
        {
            return null;
        }

        var setUp = run.Run.Run.SetUp;
        var blank = setUp.Blank is { } pin ? (await library.Find(DocumentKinds.Blank, pin.Id, stop))?.Document : null;
        var workshop = (await library.Find(DocumentKinds.Workshop, Workshop.Only, stop))?.Document ?? Workshop.Unnamed;
        var steps = ReadSteps.Of(setUp.Steps, facts, await memory.Book(stop));
        var onLoads = run
            .Loads.SelectMany(l => l.Load.Pieces.Select(p => p.Thing.Id))
            .Concat(run.Released.SelectMany(l => l.Items.Select(i => i.Id)))
            .Where(i => i.Run == runId)
            .Select(i => i.Piece)
            .ToHashSet(StringComparer.Ordinal);
        var cost = RunCosting.Of(
            new CostFacts(
                facts.Pieces,
                await FilmsOf(run, stop),
                TypedAmount.Read(blank?.Price ?? "").ValueOrDefault,
                steps.Steps,
                facts.CutMinutes,
                facts.WeedMinutes
            ),
            workshop.Rates,
            setUp.Price,
            more
        );
        return new ReckonedRun(cost, run.Run.Run.Pieces.Count(p => !onLoads.Contains(p.Id)));
    }

    /// <summary>What a run uses of its films: planned loads by their plans, released ones as they were.</summary>
    private async Task<IReadOnlyList<FilmUse>> FilmsOf(BenchRun run, CancellationToken stop)
    {
        var uses = new Dictionary<string, (Film Film, double Charged, double Taped)>(StringComparer.Ordinal);
        void Add(string filmId, Film film, double charged, double taped)
        {
            var known = uses.GetValueOrDefault(filmId);
            uses[filmId] = (film, known.Charged + charged, known.Taped + taped);
        }

        foreach (var (plan, load, _) in run.Loads)
        {
            var half = plan.Problem!.Terms.ScissorsRoom / 2;
            var own = load.Pieces.Where(p => p.Thing.Id.Run == run.Run.Id).ToList();
            var share = Grown(own, half) / Grown(load.Pieces, half);
            var film = plan.Read.Film!;
            Add(plan.Read.Plan.FilmId, film, share * UsedOf(plan, load), TakesTape(film) ? share * TapedOf(load) : 0);
        }

        foreach (var load in run.Released)
        {
            // How much of it each piece takes is not kept; they share by number.
            var share = (double)load.Items.Count(i => i.Id.Run == run.Run.Id) / load.Items.Count;
            var whole = load.Stock.Shape().ValueOrDefault?.Area ?? 0;
            var used = load.Stock.Form == StockForm.Roll ? load.CutOff * load.Stock.Width.OrZero(LengthRange.Object).Millimetres : whole;
            Add(
                load.FilmId,
                load.Film,
                share * used,
                TakesTape(load.Film) ? share * Math.Min(used, load.Reach.Width * load.Reach.Height) : 0
            );
        }

        var films = new List<FilmUse>();
        foreach (var (filmId, use) in uses.OrderBy(u => u.Value.Film.Name, StringComparer.Ordinal))
        {
            var stock = (await library.Find(DocumentKinds.FilmStock, filmId, stop))?.Document;
            films.Add(new FilmUse(use.Film.Name, use.Charged, stock?.SquareMetre(), use.Taped));
        }

        return films;
    }

    /// <summary>Self-adhesive film goes over by tape; what is pressed on has a carrier of its own.</summary>
    private static bool TakesTape(Film film) =>
        film is { Material: FilmMaterial.Vinyl, IsPressed: false } and not { Purpose: FilmPurpose.Loose };

    private static double Grown(IReadOnlyList<CutPlacement> pieces, double half) =>
        pieces
            .GroupBy(p => p.Thing.InkKey, StringComparer.Ordinal)
            .Sum(g =>
                g.Count() * (half > 0 ? Outlines.Grown(g.First().Thing.InkAndMarks, half, Tolerances.Check).Area : g.First().Thing.Ink.Area)
            );

    /// <summary>What a load uses: of a roll its length, of a sheet or off-cut all but what is kept of it.</summary>
    private static double UsedOf(LaidPlan plan, CutLoad load)
    {
        Area stock = load.Place.Ground.Stock;
        return load.CutOff > 0
            ? load.CutOff * Box.Of(stock)!.Value.Width
            : stock.Area - StockAfter.OffCuts(Releasing.StockOf(plan, load)).Sum(b => b.Width * b.Height);
    }

    /// <summary>Tape lies on the weed boxes, or where there are none on each piece's box.</summary>
    private static double TapedOf(CutLoad load) =>
        load.Weeds.Plans.Count > 0
            ? load.Weeds.Plans.Sum(p => p.Box.Width * p.Box.Height)
            : load.Pieces.Sum(p => p.Box.Width * p.Box.Height);
}
