using Cabida.Core.Checking;
using Cabida.Formats.Cutting;
using Cabida.Web.Inks;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Cabida.Web.Loads;

internal static class LoadEndpoints
{
    public static void MapLoads(this RouteGroupBuilder api)
    {
        var runs = api.MapGroup("/runs/{id}").WithTags("Loads");
        runs.MapGet("/loads", async Task<Results<Ok<LoadsView>, NotFound>> (string id, LoadPlanner planner, CancellationToken stop) =>
                await planner.Plan(id, stop) is { } plan ? TypedResults.Ok(LoadsView.Of(plan)) : TypedResults.NotFound()
            )
            .WithName("GetLoads");

        runs.MapGet(
                "/loads/{number:int}/file",
                async Task<Results<FileContentHttpResult, NotFound, ProblemHttpResult>> (
                    string id,
                    int number,
                    string? format,
                    string? units,
                    LoadPlanner planner,
                    CancellationToken stop
                ) =>
                {
                    if (WantedFile.Of(format, units) is { Problem: { } unknown })
                    {
                        return TypedResults.Problem(unknown, statusCode: StatusCodes.Status422UnprocessableEntity);
                    }

                    if (
                        await planner.Plan(id, stop) is not { } plan
                        || plan.Loads.FirstOrDefault(l => l.Load.Number == number) is not { } load
                    )
                    {
                        return TypedResults.NotFound();
                    }

                    var cut = CutFile.Of(plan, load);
                    var wanted = WantedFile.Of(format, units).Wanted!;
                    var file = WrittenCut.Of(cut.Drawing, wanted.Format, wanted.Units);
                    return (cut.Problem ?? file.Problem) is { } problem
                        ? TypedResults.Problem(
                            problem,
                            statusCode: StatusCodes.Status500InternalServerError,
                            title: "The file was not given out"
                        )
                        : TypedResults.File(file.Bytes, file.MediaType, load.FileName + file.Ending);
                }
            )
            .WithName("GetCutFile");

        runs.MapGet(
                "/bench",
                async Task<Results<Ok<BenchView>, NotFound>> (
                    string id,
                    LoadPlanner planner,
                    DrawnInks inks,
                    InkFactsCache facts,
                    CancellationToken stop
                ) => await planner.Plan(id, stop) is { } plan ? TypedResults.Ok(BenchView.Of(plan, inks, facts)) : TypedResults.NotFound()
            )
            .WithName("GetBench");
    }
}
