using Cabida.Core.Motifs;
using Cabida.Core.Type;
using Cabida.Store;
using Cabida.Web.Library;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Cabida.Web.Motifs;

/// <summary>A new motif.</summary>
internal sealed record NewMotif(string Name);

internal static class MotifEndpoints
{
    public static void MapMotifs(this RouteGroupBuilder api)
    {
        var motifs = api.MapGroup("/motifs").WithTags("Motifs");
        motifs
            .MapGet("", async Task<Ok<Listing<MotifCard>>> (Cards cards, MotifViews views, CancellationToken stop) =>
                TypedResults.Ok(
                    await cards.Of(
                        DocumentKinds.Motif,
                        m => views.CardOf(m, stop),
                        (card, used) => card with { UsedBy = used },
                        follows: true,
                        stop
                    )
                )
            )
            .WithName("ListMotifs");

        motifs
            .MapPost(
                "",
                async Task<Ok<MotifView>> (
                    NewMotif wanted,
                    Cabida.Store.Library library,
                    ITypefaces faces,
                    IViews<Motif, MotifView> views,
                    CancellationToken stop
                ) => TypedResults.Ok(await library.AddShown(DocumentKinds.Motif, Fresh(wanted.Name, faces), views, stop))
            )
            .WithName("AddMotif");

        motifs.MapLibrary<Motif, MotifView>(DocumentKinds.Motif);

        motifs
            .MapPost(
                "/{id}/ghost",
                async Task<Results<Ok<MotifGhost>, NotFound>> (
                    string id,
                    Motif other,
                    Cabida.Store.Library library,
                    MotifViews views,
                    CancellationToken stop
                ) =>
                    await library.Find(DocumentKinds.Motif, id, stop) is { Document: var motif }
                        ? TypedResults.Ok(await views.GhostOf(motif, other, stop))
                        : TypedResults.NotFound()
            )
            .WithName("GetMotifGhost");

        motifs
            .MapPost(
                "/{id}/copy",
                async Task<Results<Ok<MotifView>, NotFound>> (
                    string id,
                    Cabida.Store.Library library,
                    IViews<Motif, MotifView> views,
                    CancellationToken stop
                ) =>
                    await library.Find(DocumentKinds.Motif, id, stop) is { Document: var motif }
                        ? TypedResults.Ok(
                            await library.AddShown(DocumentKinds.Motif, motif with { Name = $"{motif.Name}, copy" }, views, stop)
                        )
                        : TypedResults.NotFound()
            )
            .WithName("CopyMotif");
    }

    /// <summary>One line with the name field, so that there is something to see and to change.</summary>
    private static Motif Fresh(string name, ITypefaces faces) =>
        new(
            name,
            RowAlignment.Centre,
            [
                new LetteringPart(
                    "part-1",
                    PartPlace.Below,
                    MotifLength.Scales(4),
                    "{name}",
                    faces.All[0].Id,
                    LetteringSize.CapitalHeight,
                    MotifLength.Scales(20),
                    0
                ),
            ]
        );
}
