using Cabida.Core.Drawings;
using Cabida.Core.Motifs;
using Cabida.Web.Blanks;
using Cabida.Web.Inks;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Cabida.Web.Runs;

/// <summary>A piece on its blank, turned.</summary>
/// <param name="Blank">The blank as it is seen.</param>
/// <param name="Inks">The ink that faces the reader, by film.</param>
/// <param name="Turn">How far it is turned, in degrees.</param>
/// <param name="CanTurn">Whether there is anything round to turn.</param>
internal sealed record SeenView(DrawingView Blank, IReadOnlyList<InkView> Inks, double Turn, bool CanTurn);

/// <summary>A piece on its blank as a body to be turned; millimetres.</summary>
/// <param name="Body">The body.</param>
/// <param name="Inks">The ink on its skin, by film.</param>
/// <param name="Goods">What it is seen against.</param>
/// <param name="Facing">How far it is turned for the first side to face the reader; degrees.</param>
internal sealed record ObjectView(RoundObject Body, IReadOnlyList<InkView> Inks, GoodsView Goods, double Facing);

internal static class SeenEndpoints
{
    public static void MapSeen(this RouteGroupBuilder api)
    {
        api.MapGet(
                "/runs/{id}/pieces/{pieceId}/object",
                async Task<Results<Ok<ObjectView>, NotFound>> (
                    string id,
                    string pieceId,
                    RunReader reader,
                    FittedPieces fitted,
                    CancellationToken stop
                ) =>
                {
                    if (
                        await reader.Find(id, stop) is not { Surface: { Wall: { } wall } on } run
                        || run.Run.Pieces.FirstOrDefault(p => p.Id == pieceId) is not { } piece
                    )
                    {
                        return TypedResults.NotFound();
                    }

                    var onSkin = fitted.Of(run, piece).OnWall(on.Basis).Select(f => new FilmInk(f.Film, RoundObject.OnSkin(wall, f.Ink)));
                    return TypedResults.Ok(
                        new ObjectView(
                            RoundObject.Of(wall),
                            [.. onSkin.Select(f => InkView.Of(f, on.Basis.FilmOf(f.Film.FilmId)))],
                            GoodsView.Of(run.Blank?.Material),
                            wall.Turn.Degrees
                        )
                    );
                }
            )
            .WithTags("Runs")
            .WithName("GetObject");

        api.MapGet(
                "/runs/{id}/pieces/{pieceId}/seen",
                async Task<Results<Ok<SeenView>, NotFound>> (
                    string id,
                    string pieceId,
                    double turn,
                    RunReader reader,
                    FittedPieces fitted,
                    CancellationToken stop
                ) =>
                {
                    if (
                        await reader.Find(id, stop) is not { Basis: { } basis } run
                        || run.Run.Pieces.FirstOrDefault(p => p.Id == pieceId) is not { } piece
                    )
                    {
                        return TypedResults.NotFound();
                    }

                    var seen = PieceOnGoods.Of(fitted.Of(run, piece), run.SurfaceOf(piece), turn);
                    return TypedResults.Ok(
                        new SeenView(
                            DrawingView.Of(seen.Goods),
                            [.. seen.Films.Select(f => InkView.Of(f, basis.FilmOf(f.Film.FilmId)))],
                            seen.CanTurn ? turn : 0,
                            seen.CanTurn
                        )
                    );
                }
            )
            .WithTags("Runs")
            .WithName("GetSeen");
    }
}
