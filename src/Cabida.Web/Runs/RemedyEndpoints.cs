using Cabida.Core.Checking;
using Cabida.Core.Findings;
using Cabida.Core.Pieces;
using Cabida.Core.Runs;
using Cabida.Store;
using Cabida.Web.Library;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;

namespace Cabida.Web.Runs;

/// <summary>What would mend a piece: asked for when it is looked at, and made by the server.</summary>
internal static class RemedyEndpoints
{
    public static void MapRemedies(this RouteGroupBuilder api)
    {
        var piece = api.MapGroup("/runs/{id}/pieces/{pieceId}").WithTags("Runs");
        piece
            .MapGet(
                "/remedies",
                async Task<Results<Ok<IReadOnlyList<Finding>>, NotFound>> (
                    string id,
                    string pieceId,
                    RunReader reader,
                    FittedPieces fitted,
                    InkFactsCache facts,
                    CancellationToken stop
                ) =>
                    await reader.Find(id, stop) is { } run && Of(run, pieceId, fitted, facts, stop) is { } findings
                        ? TypedResults.Ok(findings)
                        : TypedResults.NotFound()
            )
            .WithName("GetRemedies");

        piece
            .MapPost(
                "/remedies",
                async Task<Results<Ok<RunView>, ProblemHttpResult>> (
                    string id,
                    string pieceId,
                    [FromHeader(Name = "If-Match")] string? ifMatch,
                    RemediesChosen chosen,
                    HttpContext http,
                    RunReader reader,
                    FittedPieces fitted,
                    InkFactsCache facts,
                    CancellationToken stop
                ) =>
                    await Remedying.Mend<Run, RunView>(
                        DocumentKinds.Run,
                        id,
                        chosen,
                        http,
                        async s => Of(await reader.Read(s, stop), pieceId, fitted, facts, stop) ?? [],
                        stop
                    )
            )
            .WithName("MendPiece");
    }

    /// <summary>The findings of a piece with what would mend them; null when it is not there.</summary>
    internal static IReadOnlyList<Finding>? Of(
        ReadRun run,
        string pieceId,
        FittedPieces fitted,
        InkFactsCache facts,
        CancellationToken stop
    )
    {
        if (run.Basis is null || run.Run.Pieces.FirstOrDefault(p => p.Id == pieceId) is not { } piece)
        {
            return null;
        }

        var set = RunSet.Of(run, [.. fitted.SoFar(run, stop).Select(p => CheckedPiece.Of(run, p, facts))]);
        return RunRemedies.Of(run, CheckedPiece.Of(run, fitted.Of(run, piece), facts), set);
    }
}
