using System.ComponentModel.DataAnnotations;
using System.Globalization;
using Cabida.Core.Measures;
using Cabida.Core.Runs;
using Cabida.Core.Steps;
using Cabida.Core.Wording;
using Cabida.Store;
using Cabida.Web.Library;
using Cabida.Web.Runs;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Cabida.Web.Making;

/// <summary>Pieces that are ticked as far as a stage.</summary>
/// <param name="Pieces">The pieces.</param>
/// <param name="Stage">How far.</param>
/// <param name="IsBack">Whether they are set back to it.</param>
internal sealed record TickedPieces([property: MaxLength(100_000)] IReadOnlyList<string> Pieces, PieceStage Stage, bool IsBack);

/// <summary>A step that is ticked, or taken back.</summary>
/// <param name="IsDone">Whether it is done.</param>
/// <param name="Took">What it took with hands on, as typed; empty where it is not noted.</param>
internal sealed record TickedStep(bool IsDone, string Took);

/// <summary>What is ticked and timed at the bench.</summary>
internal static class MakingEndpoints
{
    public static void MapMakings(this RouteGroupBuilder api)
    {
        var runs = api.MapGroup("/runs/{id}/making").WithTags("Making");
        runs.MapGet(
                "",
                async Task<Results<Ok<MakingView>, NotFound>> (string id, MakingReader making, RunReader reader, CancellationToken stop) =>
                    await reader.Find(id, stop) is { } run ? TypedResults.Ok(await making.Of(run, stop)) : TypedResults.NotFound()
            )
            .WithName("GetRunMaking");

        runs.MapPut(
                "/stages",
                async Task<Results<Ok<MakingView>, NotFound>> (
                    string id,
                    TickedPieces ticked,
                    MakingReader making,
                    MakingMemory memory,
                    RunReader reader,
                    CancellationToken stop
                ) =>
                {
                    if (await reader.Find(id, stop) is not { } run)
                    {
                        return TypedResults.NotFound();
                    }

                    var there = run.Run.Pieces.Select(p => p.Id).ToHashSet(StringComparer.Ordinal);
                    await memory.Change(
                        id,
                        "Tick pieces",
                        m => m.With(ticked.Pieces.Where(there.Contains), ticked.Stage, ticked.IsBack),
                        stop
                    );
                    return TypedResults.Ok(await making.Of(run, stop));
                }
            )
            .WithName("TickPieces");

        runs.MapPut(
                "/steps/{stepId}",
                async Task<Results<Ok<MakingView>, NotFound>> (
                    string id,
                    string stepId,
                    TickedStep ticked,
                    MakingReader making,
                    MakingMemory memory,
                    RunReader reader,
                    TimeProvider clock,
                    CancellationToken stop
                ) =>
                {
                    var took = TypedDuration.Read(ticked.Took);
                    if (took.Problem is { } unread)
                    {
                        throw new NotWorkableException(unread);
                    }

                    if (await reader.Find(id, stop) is not { } run || await making.StepOf(run, stepId, stop) is not { } step)
                    {
                        return TypedResults.NotFound();
                    }

                    var now = clock.GetLocalNow().ToString("yyyy-MM-dd HH:mm", CultureInfo.InvariantCulture);
                    await memory.Change(
                        id,
                        ticked.IsDone ? "Tick a step" : "Take a tick back",
                        m => Ticked(m, run.Run, step, ticked, now),
                        stop
                    );
                    var entry = ticked.IsDone && took.Value is { } minutes ? await making.TookOf(run, step, minutes, stop) : null;
                    await memory.ChangeBook(b => b.Noting($"{id} {stepId}", entry), stop);
                    return TypedResults.Ok(await making.Of(run, stop));
                }
            )
            .WithName("TickStep");

        api.MapGroup("/makings").WithTags("Making").MapLibrary<Core.Runs.Making, KeptMakingView>(DocumentKinds.Making);
    }

    /// <summary>A making with a step ticked, and the pieces with it; taken back, pieces stay where they were ticked to.</summary>
    private static Core.Runs.Making Ticked(Core.Runs.Making making, Run run, MakingStep step, TickedStep ticked, string now)
    {
        var others = making.Done.Where(d => d.StepId != step.Id);
        var was = making.Done.LastOrDefault(d => d.StepId == step.Id);
        var with = making with
        {
            Done = [.. others, .. ticked.IsDone ? [new StepDone(step.Id, was?.On ?? now) { Took = ticked.Took }] : Array.Empty<StepDone>()],
        };
        if (PieceStages.After(step.Kind) is not { } stage)
        {
            return with;
        }

        return ticked.IsDone
            ? with.With(run.Pieces.Select(p => p.Id), stage, false)
            : with.With(run.Pieces.Where(p => with.Ticked.GetValueOrDefault(p.Id) == stage).Select(p => p.Id), stage - 1, true);
    }
}

/// <summary>What was ticked of a run, as it is kept; for undo.</summary>
internal sealed record KeptMakingView(string Id, int Revision, Core.Runs.Making Making);

internal sealed class MakingViews : IViews<Core.Runs.Making, KeptMakingView>
{
    public Task<KeptMakingView> Of(Stored<Core.Runs.Making> stored, CancellationToken stop) =>
        Task.FromResult(new KeptMakingView(stored.Id, stored.Revision, stored.Document));
}
