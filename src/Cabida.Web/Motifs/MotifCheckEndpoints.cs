using Cabida.Core.Checking;
using Cabida.Core.Findings;
using Cabida.Core.Motifs;
using Cabida.Core.Remedies;
using Cabida.Store;
using Cabida.Web.Library;
using Cabida.Web.Weeding;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;

namespace Cabida.Web.Motifs;

/// <summary>What a motif's graphics bear when they are cut at the size that they get, and what would mend them.</summary>
internal static class MotifCheckEndpoints
{
    public static void MapMotifChecks(this RouteGroupBuilder api)
    {
        var motif = api.MapGroup("/motifs/{id}/checks").WithTags("Motifs");
        motif
            .MapGet(
                "",
                async Task<Results<Ok<IReadOnlyList<Finding>>, NotFound>> (
                    string id,
                    Cabida.Store.Library library,
                    GroundReader grounds,
                    AtHand atHand,
                    InkFactsCache facts,
                    WeedingMemory weeding,
                    CancellationToken stop
                ) =>
                    await library.Find(DocumentKinds.Motif, id, stop) is { } stored
                        ? TypedResults.Ok(await Of(stored.Document, library, grounds, atHand, facts, weeding, stop))
                        : TypedResults.NotFound()
            )
            .WithName("CheckMotif");

        motif
            .MapPost(
                "/remedies",
                async Task<Results<Ok<MotifView>, ProblemHttpResult>> (
                    string id,
                    [FromHeader(Name = "If-Match")] string? ifMatch,
                    RemediesChosen chosen,
                    HttpContext http,
                    Cabida.Store.Library library,
                    GroundReader grounds,
                    AtHand atHand,
                    InkFactsCache facts,
                    WeedingMemory weeding,
                    CancellationToken stop
                ) =>
                    await Remedying.Mend<Motif, MotifView>(
                        DocumentKinds.Motif,
                        id,
                        chosen,
                        http,
                        async s => await Of(s.Document, library, grounds, atHand, facts, weeding, stop),
                        stop
                    )
            )
            .WithName("MendGraphics");
    }

    private static async Task<IReadOnlyList<Finding>> Of(
        Motif motif,
        Cabida.Store.Library library,
        GroundReader grounds,
        AtHand atHand,
        InkFactsCache facts,
        WeedingMemory weeding,
        CancellationToken stop
    )
    {
        // What cannot be used is told in its fields, and nothing is worked out with it.
        if (
            !motif.AllParts.OfType<GraphicPart>().Any()
            || MotifProblems.Of(motif, atHand.Faces, atHand.Graphics).Any(p => p.Part.Length > 0)
        )
        {
            return [];
        }

        var basis = MotifBasis.Of(motif, await grounds.Read(motif.Ground, stop), await MotifBasis.FirstFilm(library, stop), atHand);
        return MotifRemedies.Of(
            basis with
            {
                Films = await MotifBasis.FilmsOf(motif, library, stop),
            },
            MotifViews.SampleOf(motif),
            new MendTerms(null, facts, WeedingEstimate.Bare(await weeding.Read(stop)))
        );
    }
}
