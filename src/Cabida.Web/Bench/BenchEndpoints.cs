using System.Text.Json;
using Cabida.Core.Checking;
using Cabida.Core.Plans;
using Cabida.Core.Stock;
using Cabida.Core.Waste;
using Cabida.Store;
using Cabida.Web.Inks;
using Cabida.Web.Making;
using Cabida.Web.Plans;
using Cabida.Web.Runs;
using Cabida.Web.Weeding;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Cabida.Web.Bench;

internal static class BenchEndpoints
{
    public static void MapBench(this RouteGroupBuilder api) =>
        api.MapGet(
                "/runs/{id}/bench",
                async Task<Results<Ok<BenchView>, NotFound>> (
                    string id,
                    BenchReader reader,
                    DrawnInks inks,
                    InkFactsCache facts,
                    WeedingMemory memory,
                    PressReader presses,
                    RunMakings makings,
                    BenchExtras extras,
                    HttpRequest request,
                    CancellationToken stop
                ) =>
                {
                    if (await reader.Find(id, stop) is not { } run)
                    {
                        return TypedResults.NotFound();
                    }

                    var book = await memory.Read(stop);
                    var press = run.Run.Surface is null ? null : await presses.Of(run.Run, run.All, stop);
                    await Tell(run, book, press?.Seconds ?? 0, makings, stop);
                    var view = BenchView.Of(run, inks, facts, book) with { Press = press };
                    return TypedResults.Ok(await extras.On(view, run, book, $"{request.Scheme}://{request.Host}", stop));
                }
            )
            .WithTags("Bench")
            .WithName("GetBench");

    /// <summary>Once all loads of a run are planned, its steps are of those; what was released is weeded and cut as it was.</summary>
    private static async Task Tell(BenchRun run, WeedingBook book, int pressSeconds, RunMakings makings, CancellationToken stop)
    {
        if (run.Run.Surface is null || run.Released.Count > 0 || run.Loads.Count == 0)
        {
            return;
        }

        double Weeded((LaidPlan Plan, CutLoad Load, int) of) =>
            WeedingPace.Of(book.Took, of.Plan.Read.Film!.Purpose).MinutesOf(of.Load.Weeds.Weeding);
        await makings.Told(
            run.Run,
            run.Loads.Count,
            run.Loads.Sum(l => l.Load.Weeds.Weeding.CutLength),
            run.Loads.Sum(Weeded),
            pressSeconds,
            stop
        );
    }
}

/// <summary>Reads runs for the bench.</summary>
internal sealed class BenchReader(
    Cabida.Store.Library library,
    LibraryIndex index,
    RunReader runs,
    FittedPieces fitted,
    PlanReader plans,
    PlanLayer layer,
    ReleasedLoads released,
    KeptCutFiles files
)
{
    public async Task<BenchRun?> Find(string id, CancellationToken stop)
    {
        if (await runs.Find(id, stop) is not { } run)
        {
            return null;
        }

        if (run.Basis is null)
        {
            return new BenchRun(run, [], [], [], [], run.Lacks);
        }

        var laid = new List<LaidPlan>();
        foreach (var plan in RunPlans.Of(run))
        {
            // A plan that nobody looked at yet is as it would be begun.
            var stored = await library.Find(DocumentKinds.Plan, plan.Id, stop)
                ?? new Stored<CutPlan>(plan.Id, 0, default, default, new CutPlan(plan.FilmId) { Runs = [id] });
            laid.Add(await layer.Lay(await plans.Read(stored, stop), stop));
        }

        var all = run.Run.Pieces.Select(p =>
        {
            stop.ThrowIfCancellationRequested();
            return fitted.Of(run, p);
        });
        var cut = (await released.All(index, library, stop)).Select(l => l.Load).Where(l => l.RunIds().Contains(id)).ToList();
        var maps = laid.SelectMany(p => p.Loads.SelectMany(l => Releasing.MapsOf(p, l))).ToList();
        foreach (var load in cut.Where(l => l.Items.Any(i => i.Id.Section > 0)))
        {
            if (await files.Find(load.Drawn, stop) is { } drawn)
            {
                maps.AddRange(JsonSerializer.Deserialize<DrawnLoad>(drawn)?.Maps ?? []);
            }
        }

        maps = [.. maps.Where(m => m.Item.Run == id).DistinctBy(m => m.Item)];
        return new BenchRun(run, [.. all], laid, cut, maps, [.. laid.SelectMany(l => l.Read.Lacks).DistinctBy(l => l.Message.ToString())]);
    }
}
