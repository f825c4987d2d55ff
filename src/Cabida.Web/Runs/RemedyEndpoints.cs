using Cabida.Core.Findings;
using Cabida.Web.Library;
using Cabida.Web.Serving;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;

namespace Cabida.Web.Runs;

/// <summary>What several pieces have in common: the rule, the side and the part.</summary>
/// <param name="Rule">The rule, as findings name it.</param>
/// <param name="Side">The side; the first has no id.</param>
/// <param name="Part">The part.</param>
internal sealed record InSet(
    [FromQuery(Name = "rule")] string? Rule,
    [FromQuery(Name = "side")] string? Side,
    [FromQuery(Name = "part")] string? Part
) : IQuery
{
    /// <summary>What is offered for it; nothing where the rule is not known.</summary>
    public async Task<IReadOnlyList<Finding>> In(OfferedRemedies offered, Core.Pieces.ReadRun run, CancellationToken stop) =>
        Enum.TryParse<Rule>(Rule, ignoreCase: true, out var rule) && Enum.IsDefined(rule)
            ? await offered.OfSet(run, rule, Side ?? "", Part ?? "", stop)
            : [];
}

/// <summary>What would mend a piece, or several at once: asked for when it is looked at, and made by the server.</summary>
internal static class RemedyEndpoints
{
    public static void MapRemedies(this RouteGroupBuilder api)
    {
        var run = api.MapGroup("/runs/{id}").WithTags("Runs");
        run.MapGet(
                "/pieces/{pieceId}/remedies",
                async Task<Results<Ok<IReadOnlyList<Finding>>, NotFound>> (
                    string id,
                    string pieceId,
                    RunReader reader,
                    OfferedRemedies offered,
                    CancellationToken stop
                ) =>
                    await reader.Find(id, stop) is { } read && await offered.OfPiece(read, pieceId, stop) is { } findings
                        ? TypedResults.Ok(findings)
                        : TypedResults.NotFound()
            )
            .WithName("GetRemedies");

        run.MapPost(
                "/pieces/{pieceId}/remedies",
                async Task<Results<Ok<RunView>, ProblemHttpResult>> (
                    string id,
                    string pieceId,
                    [FromHeader(Name = "If-Match")] string? ifMatch,
                    RemediesChosen chosen,
                    HttpContext http,
                    OfferedRemedies offered,
                    CancellationToken stop
                ) => await RunMending.Mend(id, chosen, http, async r => await offered.OfPiece(r, pieceId, stop) ?? [], stop)
            )
            .WithName("MendPiece");

        run.MapGet(
                "/set/remedies",
                async Task<Results<Ok<IReadOnlyList<Finding>>, NotFound>> (
                    string id,
                    [AsParameters] InSet of,
                    RunReader reader,
                    OfferedRemedies offered,
                    CancellationToken stop
                ) =>
                    await reader.Find(id, stop) is { Basis: not null } read
                        ? TypedResults.Ok(await of.In(offered, read, stop))
                        : TypedResults.NotFound()
            )
            .WithName("GetSetRemedies");

        run.MapPost(
                "/set/remedies",
                async Task<Results<Ok<RunView>, ProblemHttpResult>> (
                    string id,
                    [AsParameters] InSet of,
                    [FromHeader(Name = "If-Match")] string? ifMatch,
                    RemediesChosen chosen,
                    HttpContext http,
                    OfferedRemedies offered,
                    CancellationToken stop
                ) => await RunMending.Mend(id, chosen, http, r => of.In(offered, r, stop), stop)
            )
            .WithName("MendSet");

        run.MapGet(
                "/readiness",
                async Task<Results<Ok<ReadinessView>, NotFound>> (
                    string id,
                    RunReader reader,
                    OfferedRemedies offered,
                    CancellationToken stop
                ) =>
                    await reader.Find(id, stop) is { } read
                        ? TypedResults.Ok(ReadinessView.Of(read, r => offered.Checked(r, stop)))
                        : TypedResults.NotFound()
            )
            .WithName("GetReadiness");
    }
}
