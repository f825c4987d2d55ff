using Cabida.Core.Drawings;
using Cabida.Core.Geometry;
using Cabida.Formats.Svg;
using Cabida.Web.Blanks;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Cabida.Web.Runs;

/// <summary>A piece on its blank, turned.</summary>
/// <param name="Blank">The blank as it is seen.</param>
/// <param name="InkPath">The ink that faces the reader; empty when none does.</param>
/// <param name="Turn">How far it is turned, in degrees.</param>
/// <param name="CanTurn">Whether there is anything round to turn.</param>
internal sealed record SeenView(DrawingView Blank, string InkPath, double Turn, bool CanTurn);

internal static class SeenEndpoints
{
    public static void MapSeen(this RouteGroupBuilder api) =>
        api.MapGet("/runs/{id}/pieces/{pieceId}/seen", async Task<Results<Ok<SeenView>, NotFound>> (
            string id, string pieceId, double turn, RunReader reader, FittedPieces fitted, CancellationToken stop) =>
            await reader.Find(id, stop) is { Ground: { } ground } run && run.Run.Document.Pieces.FirstOrDefault(p => p.Id == pieceId) is { } piece
                ? TypedResults.Ok(ground.Wall is { } wall
                    ? new SeenView(
                        DrawingView.Of(SeenDrawing.Blank(wall, ground.Zone, turn)),
                        SvgPath.Of(SeenDrawing.Seen(wall, fitted.Of(run, piece).Fit.Ink, turn), Tolerances.File),
                        turn, CanTurn: true)
                    // A flat thing is seen front on, as it lies.
                    : new SeenView(DrawingView.Of(FlatDrawing.Of(run.Laid!, run.Size!)), fitted.Of(run, piece).InkPath, 0, CanTurn: false))
                : TypedResults.NotFound()).WithTags("Runs").WithName("GetSeen");
}
