using Cabida.Core.Lists;
using Cabida.Core.Motifs;
using Cabida.Core.Runs;
using Cabida.Core.Type;
using Cabida.Core.Wording;
using Cabida.Store;
using Cabida.Web.Library;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Cabida.Web.Runs;

internal static class RunEndpoints
{
    public static void MapRuns(this RouteGroupBuilder api)
    {
        var runs = api.MapGroup("/runs").WithTags("Runs");
        runs.MapLibrary<Run, RunView, RunDraft>(DocumentKinds.Run, (sent, stored) => sent.Onto(stored));

        runs.MapGet(
                "/{id}/able-typefaces",
                async Task<Results<Ok<List<Phrase>>, NotFound>> (
                    string id,
                    Cabida.Store.Library library,
                    RunReader reader,
                    ITypefaces faces,
                    CancellationToken stop
                ) =>
                {
                    if (await library.Find(DocumentKinds.Run, id, stop) is not { Document: var run })
                    {
                        return TypedResults.NotFound();
                    }

                    var pinned = await reader.Pinned(run.SetUp, stop);
                    var motifs = pinned.SideMotifs.Prepend(pinned.Motif).OfType<Motif>();
                    return TypedResults.Ok(
                        motifs.SelectMany(m => MissingLetters.Instead(m, run.Pieces, faces)).DistinctBy(m => m.ToString()).ToList()
                    );
                }
            )
            .WithName("GetAbleTypefaces");
    }
}
