using Cabida.Core.Measures;
using Cabida.Core.Runs;
using Cabida.Store;
using Cabida.Web.Library;
using Cabida.Web.Runs;
using Cabida.Web.Serving;
using Cabida.Web.Weeding;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Cabida.Web.Jobs;

/// <summary>A new job.</summary>
internal sealed record NewJob(string Name, string Customer, string Due);

/// <summary>A new run of a job.</summary>
internal sealed record NewRun(string Name);

/// <summary>The job that an old one was taken up as.</summary>
internal sealed record TakenAgain(string JobId);

internal static class JobEndpoints
{
    public static void MapJobs(this RouteGroupBuilder api)
    {
        var jobs = api.MapGroup("/jobs").WithTags("Jobs");
        jobs.MapGet(
                "",
                async Task<Ok<Listing<JobView>>> (Listings listings, IViews<Job, JobView> views, CancellationToken stop) =>
                    // By the day they are due; those without a day come last, in the order they were taken.
                    TypedResults.Ok(
                        await listings.Of(
                            DocumentKinds.Job,
                            j => views.Of(j, stop),
                            stop,
                            all => all.OrderBy(j => j.Document.Due.Length == 0).ThenBy(j => j.Document.Due, StringComparer.Ordinal)
                        )
                    )
            )
            .WithName("ListJobs");

        jobs.MapPost(
                "",
                async Task<Ok<JobView>> (NewJob wanted, Cabida.Store.Library library, IViews<Job, JobView> views, CancellationToken stop) =>
                    TypedResults.Ok(
                        await library.AddShown(DocumentKinds.Job, new Job(wanted.Name, wanted.Customer, wanted.Due), views, stop)
                    )
            )
            .WithName("AddJob");

        jobs.MapPost(
                "/{id}/runs",
                async Task<Results<Ok<RunView>, NotFound>> (
                    string id,
                    NewRun wanted,
                    Cabida.Store.Library library,
                    LibraryIndex index,
                    WeedingMemory memory,
                    IViews<Run, RunView> views,
                    CancellationToken stop
                ) =>
                    await library.Find(DocumentKinds.Job, id, stop) is null
                        ? TypedResults.NotFound()
                        : TypedResults.Ok(
                            await library.AddShown(DocumentKinds.Run, await Fresh(wanted.Name, id, index, memory, stop), views, stop)
                        )
            )
            .WithName("AddRun");

        jobs.MapGet("/{id}/progress", async Task<Results<Ok<JobRow>, NotFound>> (string id, WeekReader week, CancellationToken stop) =>
                await week.Of(id, stop) is { } row ? TypedResults.Ok(row) : TypedResults.NotFound()
            )
            .WithName("GetJobProgress");

        jobs.MapGet("/{id}/again", async Task<Results<Ok<AgainView>, NotFound>> (string id, AgainReader again, CancellationToken stop) =>
                await again.Of(id, stop) is { } view ? TypedResults.Ok(view) : TypedResults.NotFound()
            )
            .WithName("GetJobAgain");

        jobs.MapPost(
                "/{id}/again",
                async Task<Results<Ok<TakenAgain>, ProblemHttpResult>> (
                    string id,
                    JobTakenAgain wanted,
                    AgainTaker again,
                    CancellationToken stop
                ) =>
                {
                    var taken = await again.Take(id, wanted, stop);
                    return taken.Problem is { } problem
                        ? Body.Unusable(problem, "Not taken up")
                        : TypedResults.Ok(new TakenAgain(taken.Value));
                }
            )
            .WithName("TakeJobAgain");

        api.MapGet("/week", async Task<Ok<WeekView>> (WeekReader week, CancellationToken stop) => TypedResults.Ok(await week.All(stop)))
            .WithTags("Jobs")
            .WithName("GetWeek");

        jobs.MapPutAway();
        jobs.MapLibrary<Job, JobView>(DocumentKinds.Job);
    }

    /// <summary>A run with nothing chosen but what there is only one of.</summary>
    private static async Task<Run> Fresh(string name, string jobId, LibraryIndex index, WeedingMemory memory, CancellationToken stop)
    {
        async Task<Pin?> Only<T>(DocumentKind<T> kind)
            where T : class => await index.Headings(kind, stop) is [var one] ? new Pin(one.Id, one.Revision) : null;
        var setUp = new RunSetUp(
            name,
            jobId,
            await Only(DocumentKinds.Blank),
            await Only(DocumentKinds.Motif),
            await Only(DocumentKinds.Film),
            await Only(DocumentKinds.Cutter),
            Sizing.EachLargest,
            TypedLength.Empty,
            TypedLength.Mm(5)
        );
        return new Run(await memory.Recalled(setUp, stop), RunList.Empty, RunVerdicts.None);
    }
}
