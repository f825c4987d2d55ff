using Cabida.Core.Findings;
using Cabida.Core.Layout;
using Cabida.Core.Measures;
using Cabida.Core.Pieces;
using Cabida.Core.Plans;
using Cabida.Core.Stock;
using Cabida.Core.Wording;
using Cabida.Store;

namespace Cabida.Web.Plans;

/// <summary>A piece that was changed after a load with it was released.</summary>
/// <param name="Id">What of it was cut.</param>
/// <param name="Name">Its name.</param>
/// <param name="LoadId">The load.</param>
/// <param name="Load">That in words.</param>
internal sealed record ChangedSince(ItemId Id, string Name, string LoadId, string Load);

/// <summary>A plan with all that it is about.</summary>
/// <param name="Id">Which one.</param>
/// <param name="Revision">Its revision.</param>
/// <param name="Plan">What was chosen, with the carrier to begin with where none was.</param>
/// <param name="Film">Its film as it stands; null where it is gone.</param>
/// <param name="Cutter">Its cutter; null where there is none.</param>
/// <param name="CutterId">The id of that.</param>
/// <param name="Stock">What there is of the film.</param>
/// <param name="StockRevision">The revision of that, also where it was taken away; 0 where nothing was ever kept.</param>
/// <param name="Runs">Its runs.</param>
/// <param name="Things">What waits, whole.</param>
/// <param name="Changed">What was changed since it was cut.</param>
/// <param name="Lacks">What is lacking before anything can be laid.</param>
internal sealed record ReadPlan(
    string Id,
    int Revision,
    CutPlan Plan,
    Film? Film,
    Cutter? Cutter,
    string CutterId,
    FilmStock? Stock,
    int StockRevision,
    IReadOnlyList<WaitingRun> Runs,
    IReadOnlyList<CutThing> Things,
    IReadOnlyList<ChangedSince> Changed,
    IReadOnlyList<Finding> Lacks
)
{
    /// <summary>What was chosen, as it is kept.</summary>
    public required CutPlan Kept { get; init; }

    /// <summary>The largest scissors room that its runs ask for; millimetres.</summary>
    public double ScissorsRoom { get; } =
        Runs.Select(r => r.Run.Run.SetUp.ScissorsRoom.Read(LengthRange.Margin).ValueOrDefault?.Value.Millimetres)
            .OfType<double>()
            .DefaultIfEmpty(CutPlan.UsualScissorsRoom)
            .Max();

    /// <summary>What it is called: job and run where it is of one, else its film.</summary>
    public string Name => Plan.IsOfOneRun && Runs.Count == 1 ? $"{Runs[0].Job}, {Runs[0].Run.Run.Name}" : Film?.Name ?? "";
}

/// <summary>Reads plans.</summary>
internal sealed class PlanReader(
    Cabida.Store.Library library,
    LibraryIndex index,
    WaitingRuns waiting,
    ReleasedLoads released,
    LayeredInks inks
)
{
    public async Task<ReadPlan?> Find(string id, CancellationToken stop) =>
        await library.Find(DocumentKinds.Plan, id, stop) is { } stored ? await Read(stored, stop) : null;

    public async Task<ReadPlan> Read(Stored<CutPlan> stored, CancellationToken stop)
    {
        var plan = stored.Document;
        var film = (await library.Find(DocumentKinds.Film, plan.FilmId, stop))?.Document;
        var ids = plan.Runs.Count > 0 ? plan.Runs : await waiting.Naming(plan.FilmId, stop);
        var runs = await waiting.Of(ids, plan.IsOfOneRun, stop);
        var cut = new CutAlready(await released.All(index, library, stop));
        var things = runs.SelectMany(r => Waiting(plan, r, cut)).ToList();
        var (cutterId, cutter) = await CutterOf(plan, runs, stop);
        var stock = await library.Find(DocumentKinds.FilmStock, plan.FilmId, stop);
        return new ReadPlan(
            stored.Id,
            stored.Revision,
            cutter is null || plan.CarrierId.Length > 0 ? plan : plan with { CarrierId = PlanPlaces.FirstCarrier(cutter, things).Id },
            film,
            cutter,
            cutterId,
            stock?.Document,
            stock?.Revision ?? await library.RevisionOf(DocumentKinds.FilmStock, plan.FilmId, stop),
            runs,
            things,
            [.. ChangedOf(plan, runs, cut)],
            [.. LacksOf(plan, film, cutter, runs)]
        )
        {
            Kept = plan,
        };
    }

    /// <summary>What of a run waits to be cut of the film: what was ordered, with spares, less what was released.</summary>
    public IEnumerable<CutThing> Waiting(CutPlan plan, WaitingRun run, CutAlready cut)
    {
        var again = Again(plan);
        IEnumerable<int> Copies(FittedPiece piece) =>
            Enumerable
                .Range(1, piece.Fit.Piece.Copies)
                .Concat(Enumerable.Range(PlanSpare.First, plan.SparesOf(run.Run.Id, piece.Fit.Piece.Id)));
        return CutThing.Of(run.Run, run.Ready, plan.FilmId, Copies, inks).Where(t => !cut.Has(t.Id) || again.Contains(t.Id));
    }

    /// <summary>The things, whole, that are to be cut once more.</summary>
    private static HashSet<ItemId> Again(CutPlan plan) => [.. plan.Again.Select(Whole)];

    private static ItemId Whole(ItemId id) => id with { Section = 0 };

    private IEnumerable<ChangedSince> ChangedOf(CutPlan plan, IReadOnlyList<WaitingRun> runs, CutAlready cut)
    {
        var now = runs.SelectMany(r => CutThing.Of(r.Run, r.Ready, plan.FilmId, p => Enumerable.Range(1, p.Fit.Piece.Copies), inks))
            .ToDictionary(t => t.Id, t => t.InkKey);
        var again = Again(plan);
        return cut
            .All.Where(c => now.TryGetValue(Whole(c.Item.Id), out var key) && key != c.Item.InkHash && !again.Contains(Whole(c.Item.Id)))
            .Select(c => new ChangedSince(
                c.Item.Id,
                c.Item.Name,
                c.LoadId,
                FormattableString.Invariant($"{c.Load.Name}, load {c.Load.Number} of {c.Load.Of}")
            ));
    }

    private async Task<(string Id, Cutter? Cutter)> CutterOf(CutPlan plan, IReadOnlyList<WaitingRun> runs, CancellationToken stop)
    {
        // The plan's own, else that of its runs, else the first there is.
        var wanted = runs.Select(r => r.Run.Run.SetUp.Cutter?.Id)
            .Prepend(plan.CutterId)
            .Where(i => !string.IsNullOrEmpty(i))
            .OfType<string>();
        foreach (var id in wanted.Distinct(StringComparer.Ordinal))
        {
            if (await library.Find(DocumentKinds.Cutter, id, stop) is { } found)
            {
                return (id, found.Document);
            }
        }

        return
            (await index.Headings(DocumentKinds.Cutter, stop)) is [var first, ..]
            && await library.Find(DocumentKinds.Cutter, first.Id, stop) is { } any
            ? (first.Id, any.Document)
            : ("", null);
    }

    private static IEnumerable<Finding> LacksOf(CutPlan plan, Film? film, Cutter? cutter, IReadOnlyList<WaitingRun> runs)
    {
        if (film is null)
        {
            yield return Finding.Lacking(
                "filmId",
                Phrase.Say($"The film is not here any more. Take it back in the stock, or choose another one in the run.")
            );
        }

        if (cutter is null)
        {
            yield return Finding.Lacking(
                "cutter",
                Phrase.Say($"There is no cutter yet. Add yours in the stock, with what it really reaches.")
            );
        }

        if (plan.ScissorsRoom is { IsEmpty: false } room && room.Read(LengthRange.Margin) is { Ok: false } unread)
        {
            yield return Finding.Unusable("scissorsRoom", unread.Problem!);
        }

        foreach (var run in runs.Where(r => plan.IsOfOneRun || r.Run.Basis is not null))
        {
            foreach (var lack in run.Run.Lacks)
            {
                yield return lack;
            }

            if (run.Run.Run.SetUp.ScissorsRoom.Read(LengthRange.Margin) is { Ok: false } own && plan.ScissorsRoom.IsEmpty)
            {
                yield return Finding.Lacking("scissorsRoom", own.Problem!);
            }

            foreach (var problem in run.Run.Run.SetUp.WaysOf(plan.FilmId).Problems)
            {
                yield return Finding.Lacking(
                    "weeding",
                    Phrase.Say($"{run.Run.Run.Name:strong}: how the waste of {film?.Name ?? ""} is cut: {problem.Message}")
                );
            }
        }
    }
}
