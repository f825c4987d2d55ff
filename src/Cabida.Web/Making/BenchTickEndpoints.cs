using Cabida.Core.Runs;
using Cabida.Core.Wording;
using Cabida.Web.Runs;
using Cabida.Web.Serving;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Cabida.Web.Making;

/// <summary>A load that is ticked as far as a stage.</summary>
/// <param name="Stage">How far.</param>
/// <param name="IsBack">Whether it is set back to it.</param>
internal sealed record TickedLoad(PieceStage Stage, bool IsBack);

/// <summary>What is ticked load by load, and measured piece by piece.</summary>
internal static class BenchTickEndpoints
{
    public static void MapBenchTicks(this RouteGroupBuilder api)
    {
        var loads = api.MapGroup("/loads/{id}").WithTags("Making");
        loads
            .MapGet("/bench", async Task<Results<Ok<LoadBenchView>, NotFound>> (string id, LoadTicker ticker, CancellationToken stop) =>
                await ticker.Of(id, stop) is { } view ? TypedResults.Ok(view) : TypedResults.NotFound()
            )
            .WithName("GetLoadBench");

        loads
            .MapPut(
                "/stages",
                async Task<Results<Ok<LoadBenchView>, NotFound, ProblemHttpResult>> (
                    string id,
                    TickedLoad ticked,
                    LoadTicker ticker,
                    CancellationToken stop
                ) =>
                {
                    if (await ticker.Of(id, stop) is not { } view)
                    {
                        return TypedResults.NotFound();
                    }

                    if (!view.IsCut && !ticked.IsBack)
                    {
                        return Gate.CannotBeWorkedOut(Phrase.Say($"This load was not cut yet: note beside it that it was."));
                    }

                    await ticker.Tick(id, ticked.Stage, ticked.IsBack, stop);
                    return TypedResults.Ok((await ticker.Of(id, stop))!);
                }
            )
            .WithName("TickLoad");

        var sizes = api.MapGroup("/runs/{id}/sizes").WithTags("Making");
        sizes
            .MapGet(
                "",
                async Task<Results<Ok<SizesView>, NotFound>> (string id, RunReader reader, SizesReader sizes, CancellationToken stop) =>
                    await reader.Find(id, stop) is { } run ? TypedResults.Ok(await sizes.Of(run, stop)) : TypedResults.NotFound()
            )
            .WithName("GetSizes");

        sizes
            .MapPut(
                "",
                async Task<Results<Ok<SizesView>, NotFound>> (
                    string id,
                    MeasuredPiece measured,
                    RunReader reader,
                    SizesReader sizes,
                    MakingMemory memory,
                    CancellationToken stop
                ) =>
                {
                    if (await reader.Find(id, stop) is not { } run || run.Run.Pieces.All(p => p.Id != measured.Piece))
                    {
                        return TypedResults.NotFound();
                    }

                    await memory.Change(id, "Note a size", m => m.Measuring(measured), stop);
                    await memory.ChangeBook(b => b.NotingSize(SizesReader.KeyOf(id, measured), sizes.MadeOf(run, measured)), stop);
                    return TypedResults.Ok(await sizes.Of(run, stop));
                }
            )
            .WithName("NoteSize");
    }
}
