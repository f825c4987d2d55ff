using System.Globalization;
using Cabida.Core.Runs;
using Cabida.Store;
using Cabida.Web.Library;
using Cabida.Web.Runs;
using Cabida.Web.Serving;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;

namespace Cabida.Web.Proofs;

/// <summary>A piece as it was seen when it was approved.</summary>
/// <param name="PieceId">The piece.</param>
/// <param name="Seen">What was seen of it.</param>
internal sealed record SeenPiece(string PieceId, string Seen);

/// <summary>Pieces that the customer approves as they were seen.</summary>
internal sealed record Approval(IReadOnlyList<SeenPiece> Pieces);

/// <summary>
/// What the customer says, and that something was shown to them. Both are of what is there now, which is worked out here: a page
/// that shows something older is told so.
/// </summary>
internal static class VerdictEndpoints
{
    public static void MapVerdicts(this RouteGroupBuilder api)
    {
        var runs = api.MapGroup("/runs/{id}").WithTags("Proofs");
        runs.MapPost(
                "/approval",
                async Task<Results<Ok<RunView>, ProblemHttpResult>> (
                    string id,
                    [FromHeader(Name = "If-Match")] string? ifMatch,
                    Approval approval,
                    HttpContext http,
                    Cabida.Store.Library library,
                    RunReader reader,
                    FittedPieces fitted,
                    IViews<Run, RunView> views,
                    CancellationToken stop
                ) =>
                    await Changed(
                        id,
                        http,
                        library,
                        reader,
                        views,
                        run =>
                        {
                            var (seen, stale) = (
                                approval
                                    .Pieces.DistinctBy(p => p.PieceId)
                                    .ToDictionary(p => p.PieceId, p => p.Seen, StringComparer.Ordinal),
                                new List<string>()
                            );
                            var pieces = new List<Piece>();
                            foreach (var piece in run.Run.Document.Pieces)
                            {
                                if (!seen.TryGetValue(piece.Id, out var was))
                                {
                                    pieces.Add(piece);
                                    continue;
                                }

                                var made = fitted.Of(run, piece);
                                var now = ProofEndpoints.SeenOf(made, run);
                                if (now != was || !made.MayBeCut)
                                {
                                    stale.Add(piece.Name);
                                    pieces.Add(piece);
                                    continue;
                                }

                                pieces.Add(
                                    piece with
                                    {
                                        Verdict = new Verdict(true, "", made.Hash, run.Run.Document.Blank?.Revision ?? 0) { Seen = now },
                                    }
                                );
                            }

                            return stale.Count == 0
                                ? (run.Run.Document with { Pieces = pieces }, null)
                                : (
                                    run.Run.Document,
                                    $"{string.Join(", ", stale.Take(5))}{(stale.Count > 5 ? " and more" : "")} changed since this "
                                        + $"was shown here, or cannot be cut as it is. Nothing was approved; look at it as it is now."
                                );
                        },
                        stop
                    )
            )
            .WithName("Approve");

        runs.MapPost(
                "/shown",
                async Task<Results<Ok<RunView>, ProblemHttpResult>> (
                    string id,
                    [FromHeader(Name = "If-Match")] string? ifMatch,
                    HttpContext http,
                    Cabida.Store.Library library,
                    RunReader reader,
                    FittedPieces fitted,
                    IViews<Run, RunView> views,
                    TimeProvider clock,
                    CancellationToken stop
                ) =>
                    await Changed(
                        id,
                        http,
                        library,
                        reader,
                        views,
                        run =>
                        {
                            var shown = run.Run.Document.Pieces.ToDictionary(
                                p => p.Id,
                                p =>
                                {
                                    stop.ThrowIfCancellationRequested();
                                    return ProofEndpoints.SeenOf(fitted.Of(run, p), run);
                                }
                            );
                            return (
                                run.Run.Document with
                                {
                                    Shown = new ShownProof(
                                        clock.GetLocalNow().ToString("yyyy-MM-dd HH:mm", CultureInfo.InvariantCulture),
                                        shown
                                    ),
                                },
                                null
                            );
                        },
                        stop
                    )
            )
            .WithName("MarkShown");
    }

    /// <summary>A run with a change made here, from the revision that was seen.</summary>
    private static async Task<Results<Ok<RunView>, ProblemHttpResult>> Changed(
        string id,
        HttpContext http,
        Cabida.Store.Library library,
        RunReader reader,
        IViews<Run, RunView> views,
        Func<ReadRun, (Run Run, string? Refused)> change,
        CancellationToken stop
    )
    {
        if (await reader.Find(id, stop) is not { Ground: not null } run)
        {
            return TypedResults.Problem(
                "This run is not here, or not ready to be shown.",
                statusCode: StatusCodes.Status404NotFound,
                title: "Not here"
            );
        }

        if (EntityTag.Read(http.Request)?.MadeFrom(run.Run.Revision) is not { } madeFrom)
        {
            return LibraryEndpoints.Unconditional(DocumentKinds.Run.Kind);
        }

        var (document, refused) = change(run);
        if (refused is not null)
        {
            return TypedResults.Problem(refused, statusCode: StatusCodes.Status409Conflict, title: "Changed since");
        }

        return await LibraryEndpoints.Answer(
            await library.Save(DocumentKinds.Run, id, madeFrom, document, stop: stop),
            DocumentKinds.Run,
            http,
            views,
            http.RequestServices.GetRequiredService<Listings>(),
            stop
        );
    }
}
