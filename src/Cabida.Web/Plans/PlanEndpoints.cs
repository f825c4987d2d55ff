using Cabida.Core.Findings;
using Cabida.Core.Measures;
using Cabida.Core.Plans;
using Cabida.Core.Stock;
using Cabida.Core.Wording;
using Cabida.Store;
using Cabida.Web.Library;
using Cabida.Web.Runs;
using Cabida.Web.Weeding;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Cabida.Web.Plans;

/// <summary>A plan of a run, one for each of its films.</summary>
/// <param name="Id">The plan.</param>
/// <param name="FilmId">The film.</param>
/// <param name="Film">Its name.</param>
/// <param name="Colour">Its colour.</param>
internal sealed record RunPlan(string Id, string FilmId, string Film, string Colour);

/// <summary>The plans of a run.</summary>
/// <param name="Plans">One for each of its films.</param>
/// <param name="Lacks">What it lacks before anything of it can be cut.</param>
internal sealed record RunPlansView(IReadOnlyList<RunPlan> Plans, IReadOnlyList<Finding> Lacks);

/// <summary>How many more of a piece would go on the loads of a plan, each by itself.</summary>
/// <param name="Run">Its run.</param>
/// <param name="Piece">The piece.</param>
/// <param name="Name">Its name.</param>
/// <param name="More">How many more.</param>
internal sealed record SpareView(string Run, string Piece, string Name, int More);

/// <summary>How long is searched.</summary>
/// <param name="Seconds">Seconds.</param>
internal sealed record SearchWanted(int Seconds);

/// <summary>What weeding a load took, as typed.</summary>
internal sealed record LoadTookTyped(string Key, string Minutes);

internal static class PlanEndpoints
{
    /// <summary>Of more kinds than this it is not worked out how many more would fit: those on the last load, the first of them.</summary>
    private const int MostSpareKinds = 24;

    public static void MapPlans(this RouteGroupBuilder api)
    {
        MapBeginning(api);
        var plans = api.MapGroup("/plans").WithTags("Plans");
        plans.MapLibrary<CutPlan, PlanView>(DocumentKinds.Plan);
        MapSearch(plans);

        plans
            .MapGet(
                "/{id}/spares",
                async Task<Results<Ok<IReadOnlyList<SpareView>>, NotFound>> (
                    string id,
                    PlanReader reader,
                    PlanLayer layer,
                    CancellationToken stop
                ) =>
                    await reader.Find(id, stop) is { } read
                        ? TypedResults.Ok(SparesOf(await layer.Lay(read, stop), stop))
                        : TypedResults.NotFound()
            )
            .WithName("GetSpares");

        plans
            .MapPost(
                "/{id}/release",
                async Task<Results<Ok<IReadOnlyList<string>>, NotFound, ProblemHttpResult>> (
                    string id,
                    ReleaseWanted wanted,
                    Releasing releasing,
                    CancellationToken stop
                ) =>
                    await releasing.Release(id, wanted, stop) switch
                    {
                        null => TypedResults.NotFound(),
                        { Refused: { } refused } => TypedResults.Problem(
                            refused.Why.ToString(),
                            statusCode: refused.WasOvertaken
                                ? StatusCodes.Status412PreconditionFailed
                                : StatusCodes.Status422UnprocessableEntity,
                            title: "Nothing was released"
                        ),
                        var (ids, _) => TypedResults.Ok(ids),
                    }
            )
            .WithName("ReleaseLoads");

        plans
            .MapPut(
                "/{id}/weeding/took",
                async Task<Results<NoContent, NotFound>> (
                    string id,
                    LoadTookTyped typed,
                    PlanReader reader,
                    PlanLayer layer,
                    WeedingMemory memory,
                    CancellationToken stop
                ) =>
                {
                    var minutes = TypedMinutes.Read(typed.Minutes);
                    if (minutes.Problem is { } unread)
                    {
                        throw new NotWorkableException(unread);
                    }

                    if (await reader.Find(id, stop) is not { } read)
                    {
                        return TypedResults.NotFound();
                    }

                    var laid = await layer.Lay(read, stop);
                    if (laid.Loads.FirstOrDefault(l => WeedingKey.OfLoad(id, l.Number) == typed.Key) is not { } load)
                    {
                        return TypedResults.NotFound();
                    }

                    var of = new WeedingTook(
                        typed.Key,
                        WeedingTook.Shortened($"{read.Name}: load {load.Number}"),
                        read.Film!.Purpose,
                        load.Weeds.Weeding.Bits,
                        load.Weeds.Weeding.Small,
                        load.Weeds.Weeding.CutLength,
                        0
                    );
                    var took = minutes.Value is { } m ? of with { Minutes = m } : null;
                    await memory.Change(book => book.Noting(typed.Key, took), stop);
                    return TypedResults.NoContent();
                }
            )
            .WithName("TypeLoadTook");
    }

    /// <summary>Plans are begun when they are first looked at.</summary>
    private static void MapBeginning(RouteGroupBuilder api)
    {
        api.MapPost(
                "/runs/{id}/plans",
                async Task<Results<Ok<RunPlansView>, NotFound>> (
                    string id,
                    RunReader reader,
                    Cabida.Store.Library library,
                    CancellationToken stop
                ) =>
                {
                    if (await reader.Find(id, stop) is not { } run)
                    {
                        return TypedResults.NotFound();
                    }

                    var plans = RunPlans.Of(run);
                    foreach (var plan in plans)
                    {
                        await Begin(library, plan.Id, new CutPlan(plan.FilmId) { Runs = [id] }, stop);
                    }

                    return TypedResults.Ok(new RunPlansView(plans, run.Lacks));
                }
            )
            .WithTags("Plans")
            .WithName("BeginRunPlans");

        api.MapPost(
                "/cutting/{filmId}",
                async Task<Results<Ok<RunPlan>, NotFound>> (string filmId, Cabida.Store.Library library, CancellationToken stop) =>
                {
                    if (await library.Find(DocumentKinds.Film, filmId, stop) is not { } film)
                    {
                        return TypedResults.NotFound();
                    }

                    await Begin(library, filmId, new CutPlan(filmId), stop);
                    return TypedResults.Ok(new RunPlan(filmId, filmId, film.Document.Name, film.Document.Colour));
                }
            )
            .WithTags("Plans")
            .WithName("BeginFilmPlan");
    }

    private static async Task Begin(Cabida.Store.Library library, string id, CutPlan plan, CancellationToken stop)
    {
        if (await library.Find(DocumentKinds.Plan, id, stop) is null)
        {
            // Where another begins it at the same time, theirs stands; one that was taken away is begun again.
            var at = await library.RevisionOf(DocumentKinds.Plan, id, stop);
            await library.Make(new UnitOfWork("Begin a plan").Put(DocumentKinds.Plan, id, plan, at), stop);
        }
    }

    private static void MapSearch(RouteGroupBuilder plans)
    {
        plans
            .MapPost(
                "/{id}/search",
                async Task<Results<Ok<LayProgress>, NotFound>> (
                    string id,
                    SearchWanted wanted,
                    PlanReader reader,
                    LayWork work,
                    Works works,
                    CancellationToken stop
                ) =>
                    await reader.Find(id, stop) is { } read
                        ? TypedResults.Ok(await work.Ask(read, wanted.Seconds, works, stop))
                        : TypedResults.NotFound()
            )
            .WithName("SearchPlan");

        plans
            .MapDelete("/{id}/search/{workId:long}", async (string id, long workId, LayWork work, Works works, CancellationToken stop) =>
            {
                await work.Stop(workId, works, stop);
                return TypedResults.NoContent();
            })
            .WithName("StopSearch");

        // Progress as it comes, for as long as the search goes on.
        plans
            .MapGet("/{id}/search/{workId:long}", (string id, long workId, LayWork work, Works works, CancellationToken stop) =>
                TypedResults.ServerSentEvents(work.Follow(workId, works, stop), "progress")
            )
            .ExcludeFromDescription();

        plans
            .MapPost("/{id}/afresh", async Task<NoContent> (string id, KeptLayouts layouts, CancellationToken stop) =>
            {
                await layouts.Forget(id, stop);
                return TypedResults.NoContent();
            })
            .WithName("LayAfresh");
    }

    private static IReadOnlyList<SpareView> SparesOf(LaidPlan laid, CancellationToken stop)
    {
        if (laid is not { Problem: { } problem, Layout: { } layout })
        {
            return [];
        }

        var whole = laid.Parted.Things.Where(t => !t.IsSpare).DistinctBy(t => (t.Id.Run, t.Id.Piece));
        return
        [
            .. whole
                .Take(MostSpareKinds)
                .Select(t => new SpareView(t.Id.Run, t.Id.Piece, t.Name, PlanSpares.HowMany(problem, layout, t.Id.Run, t.Id.Piece, stop))),
        ];
    }
}
