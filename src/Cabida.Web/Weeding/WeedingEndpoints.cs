using Cabida.Core.Measures;
using Cabida.Core.Plans;
using Cabida.Core.Stock;
using Cabida.Core.Waste;
using Cabida.Core.Wording;
using Cabida.Web.Runs;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Cabida.Web.Weeding;

/// <summary>What weeding something took, as typed; nothing typed takes it back.</summary>
/// <param name="Key">What was weeded.</param>
/// <param name="PieceId">The piece.</param>
/// <param name="Minutes">The minutes.</param>
internal sealed record TookTyped(string Key, string PieceId, string Minutes);

/// <summary>Pieces as waste, and what weeding them took.</summary>
internal static class WeedingEndpoints
{
    public static void MapWeeding(this RouteGroupBuilder api)
    {
        var runs = api.MapGroup("/runs/{id}").WithTags("Weeding");
        runs.MapGet(
                "/pieces/{pieceId}/waste",
                async Task<Results<Ok<IReadOnlyList<WasteView>>, NotFound>> (
                    string id,
                    string pieceId,
                    RunReader reader,
                    FittedPieces fitted,
                    FilmWasteCache kept,
                    LayeredInks inks,
                    WeedingMemory memory,
                    CancellationToken stop
                ) =>
                    await reader.Find(id, stop) is { Basis: not null } run
                    && run.Run.Pieces.FirstOrDefault(p => p.Id == pieceId) is { } piece
                        ? TypedResults.Ok(WasteView.Of(run, fitted.Of(run, piece), kept, inks, await memory.Read(stop)))
                        : TypedResults.NotFound()
            )
            .WithName("GetWaste");

        runs.MapPut(
                "/weeding/took",
                async Task<Results<NoContent, NotFound>> (
                    string id,
                    TookTyped typed,
                    RunReader reader,
                    FittedPieces fitted,
                    FilmWasteCache kept,
                    LayeredInks inks,
                    WeedingMemory memory,
                    CancellationToken stop
                ) =>
                {
                    var minutes = TypedMinutes.Read(typed.Minutes);
                    if (minutes.Problem is { } unread)
                    {
                        throw new NotWorkableException(unread);
                    }

                    if (await OfPiece(id, typed.PieceId, typed.Key, reader, fitted, kept, inks, stop) is not { } of)
                    {
                        return TypedResults.NotFound();
                    }

                    var took = minutes.Value is { } m ? of with { Minutes = m } : null;
                    await memory.Change(book => book.Noting(typed.Key, took), stop);
                    return TypedResults.NoContent();
                }
            )
            .WithName("TypeWeedingTook");
    }

    /// <summary>What there is to weed of a film of a piece; its minutes are not known yet.</summary>
    private static async Task<WeedingTook?> OfPiece(
        string id,
        string pieceId,
        string key,
        RunReader reader,
        FittedPieces fitted,
        FilmWasteCache kept,
        LayeredInks inks,
        CancellationToken stop
    )
    {
        if (
            await reader.Find(id, stop) is not { Basis: not null } run
            || run.Run.Pieces.FirstOrDefault(p => p.Id == pieceId) is not { } piece
        )
        {
            return null;
        }

        var waste = WasteView.Of(run, fitted.Of(run, piece), kept, inks, WeedingBook.Empty).FirstOrDefault(w => w.Weeds.Key == key);
        return waste is null
            ? null
            : new(
                key,
                WeedingTook.Shortened($"{run.Run.Name}: {piece.Name}"),
                waste.Purpose,
                waste.Weeds.Bits,
                waste.Weeds.Small,
                waste.Weeds.CutLength,
                0
            );
    }
}
