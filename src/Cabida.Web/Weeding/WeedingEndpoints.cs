using Cabida.Core.Measures;
using Cabida.Core.Stock;
using Cabida.Core.Waste;
using Cabida.Core.Wording;
using Cabida.Web.Loads;
using Cabida.Web.Runs;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Cabida.Web.Weeding;

/// <summary>What weeding something took, as typed; nothing typed takes it back.</summary>
/// <param name="Key">What was weeded.</param>
/// <param name="PieceId">The piece; null for a load.</param>
/// <param name="Minutes">The minutes.</param>
internal sealed record TookTyped(string Key, string? PieceId, string Minutes);

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
                    WeedingMemory memory,
                    CancellationToken stop
                ) =>
                    await reader.Find(id, stop) is { Basis: not null } run
                    && run.Run.Pieces.FirstOrDefault(p => p.Id == pieceId) is { } piece
                        ? TypedResults.Ok(WasteView.Of(run, fitted.Of(run, piece), kept, await memory.Read(stop)))
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
                    LoadPlanner planner,
                    WeedingMemory memory,
                    CancellationToken stop
                ) =>
                {
                    var minutes = TypedMinutes.Read(typed.Minutes);
                    if (minutes.Problem is { } unread)
                    {
                        throw new NotWorkableException(unread);
                    }

                    var found = typed.PieceId is { } pieceId
                        ? await OfPiece(id, pieceId, typed.Key, reader, fitted, kept, stop)
                        : await OfLoad(id, typed.Key, planner, stop);
                    if (found is not { } of)
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

        var waste = WasteView.Of(run, fitted.Of(run, piece), kept, WeedingBook.Empty).FirstOrDefault(w => w.Weeds.Key == key);
        return waste is null
            ? null
            : new(
                key,
                Shortened($"{run.Run.Name}: {piece.Name}"),
                waste.Purpose,
                waste.Weeds.Bits,
                waste.Weeds.Small,
                waste.Weeds.CutLength,
                0
            );
    }

    /// <summary>What there is to weed of a load.</summary>
    private static async Task<WeedingTook?> OfLoad(string id, string key, LoadPlanner planner, CancellationToken stop) =>
        await planner.Plan(id, stop) is { } plan && plan.Loads.FirstOrDefault(l => WeedingKey.OfLoad(id, l.Load.Number) == key) is { } load
            ? new(
                key,
                Shortened($"{plan.Run.Run.Name}: load {load.Load.Number}"),
                load.Film.Purpose,
                load.Weeds.Weeding.Bits,
                load.Weeds.Weeding.Small,
                load.Weeds.Weeding.CutLength,
                0
            )
            : null;

    private static string Shortened(string words) =>
        words.Length <= Core.Documents.DocumentGate.LongestName ? words : words[..Core.Documents.DocumentGate.LongestName];
}
