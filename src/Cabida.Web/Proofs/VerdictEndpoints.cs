using System.ComponentModel.DataAnnotations;
using Cabida.Core.Checking;
using Cabida.Core.Pieces;
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

/// <summary>What the customer asks for instead of a piece as it was shown.</summary>
/// <param name="PieceId">The piece.</param>
/// <param name="Words">In their words; null takes back what was said of it.</param>
internal sealed record Correction(string PieceId, [property: MaxLength(Correction.MostLetters)] string? Words)
{
    public const int MostLetters = 2000;
}

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
                    InkFactsCache facts,
                    IViews<Run, RunView> views,
                    CancellationToken stop
                ) => await Changed(id, http, library, reader, views, run => Approved(run, approval, fitted, facts), stop)
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
                        run => (Showing.Shown(run, fitted, clock.GetLocalNow(), stop), null),
                        stop
                    )
            )
            .WithName("MarkShown");

        runs.MapPost(
                "/correction",
                async Task<Results<Ok<RunView>, ProblemHttpResult>> (
                    string id,
                    [FromHeader(Name = "If-Match")] string? ifMatch,
                    Correction correction,
                    HttpContext http,
                    Cabida.Store.Library library,
                    RunReader reader,
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
                            (
                                run.Run.Verdicts.With(
                                    correction.PieceId,
                                    correction.Words is { } words ? new Verdict(false, words, "", 0) : null
                                ),
                                run.Run.Pieces.Any(p => p.Id == correction.PieceId) ? null : "This piece is not in the list any more."
                            ),
                        stop
                    )
            )
            .WithName("Correct");
    }

    /// <summary>Approves pieces as they were seen; none of them where one is not so any more.</summary>
    private static (RunVerdicts, string?) Approved(ReadRun run, Approval wanted, FittedPieces fitted, InkFactsCache facts)
    {
        var seen = wanted.Pieces.DistinctBy(p => p.PieceId).ToDictionary(p => p.PieceId, p => p.Seen, StringComparer.Ordinal);
        var (verdicts, stale) = (new List<(string, Verdict?)>(), new List<string>());
        foreach (var piece in run.Run.Pieces.Where(p => seen.ContainsKey(p.Id)))
        {
            if (Showing.ApprovalOf(run, piece, seen[piece.Id], fitted, facts) is { } approval)
            {
                verdicts.Add((piece.Id, approval));
            }
            else
            {
                stale.Add(piece.Name);
            }
        }

        var refused =
            stale.Count == 0
                ? null
                : $"{string.Join(", ", stale.Take(5))}{(stale.Count > 5 ? " and more" : "")} changed since this "
                    + $"was shown here, or cannot be cut as it is. Nothing was approved; look at it as it is now.";
        return (run.Run.Verdicts.With(verdicts), refused);
    }

    /// <summary>A run with a change made here, from the revision that was seen.</summary>
    internal static async Task<Results<Ok<RunView>, ProblemHttpResult>> Changed(
        string id,
        HttpContext http,
        Cabida.Store.Library library,
        RunReader reader,
        IViews<Run, RunView> views,
        Func<ReadRun, (RunVerdicts Verdicts, string? Refused)> change,
        CancellationToken stop
    )
    {
        if (await reader.Find(id, stop) is not { Basis: not null } run)
        {
            return TypedResults.Problem(
                "This run is not here, or not ready to be shown.",
                statusCode: StatusCodes.Status404NotFound,
                title: "Not here"
            );
        }

        if (EntityTag.Read(http.Request)?.MadeFrom(run.Revision) is not { } madeFrom)
        {
            return LibraryEndpoints.Unconditional(DocumentKinds.Run.Kind);
        }

        var (verdicts, refused) = change(run);
        if (refused is not null)
        {
            return TypedResults.Problem(refused, statusCode: StatusCodes.Status409Conflict, title: "Changed since");
        }

        return await LibraryEndpoints.Answer(
            await library.Save(DocumentKinds.Run, id, madeFrom, run.Run with { Verdicts = verdicts }, stop: stop),
            DocumentKinds.Run,
            http,
            views,
            http.RequestServices.GetRequiredService<Listings>(),
            stop
        );
    }
}
