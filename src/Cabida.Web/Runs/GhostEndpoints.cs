using Cabida.Core.Fitting;
using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using Cabida.Core.Motifs;
using Cabida.Core.Pieces;
using Cabida.Core.Runs;
using Cabida.Formats.Svg;
using Cabida.Web.Serving;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;

namespace Cabida.Web.Runs;

/// <summary>A piece as another way of placing it would have it; nothing of it is kept.</summary>
/// <param name="Path">Its ink; millimetres, y up, as seen from the first side.</param>
/// <param name="InkBox">The box of it.</param>
/// <param name="Rooms">The room it would have.</param>
/// <param name="LetterHeight">Its letter height.</param>
/// <param name="Taller">How much larger its letters would be.</param>
/// <param name="Right">How far to the right it would move.</param>
/// <param name="Up">How far up.</param>
/// <param name="State">How it would stand to the zone.</param>
internal sealed record GhostView(
    string Path,
    Box? InkBox,
    IReadOnlyList<RoomView> Rooms,
    double LetterHeight,
    double Taller,
    double Right,
    double Up,
    FitState State
);

/// <summary>What is asked of a piece before it is chosen; what is left out stays as it is.</summary>
/// <param name="Centring">Another way of centring it.</param>
/// <param name="Taper">Another way with a taper.</param>
/// <param name="Placing">Another way of finding its place.</param>
/// <param name="Side">The side that is asked for; the first when none is.</param>
/// <param name="MovedRight">How far right it would be moved by hand; millimetres.</param>
/// <param name="MovedUp">How far up.</param>
internal sealed record GhostQuery(
    [FromQuery(Name = "centring")] string? Centring,
    [FromQuery(Name = "taper")] string? Taper,
    [FromQuery(Name = "placing")] string? Placing,
    [FromQuery(Name = "side")] string? Side,
    [FromQuery(Name = "movedRight")] double? MovedRight,
    [FromQuery(Name = "movedUp")] double? MovedUp
) : IQuery;

internal static class GhostEndpoints
{
    public static void MapGhosts(this RouteGroupBuilder api) =>
        api.MapGet(
                "/runs/{id}/pieces/{pieceId}/ghost",
                async Task<Results<Ok<GhostView>, NotFound>> (
                    string id,
                    string pieceId,
                    [AsParameters] GhostQuery query,
                    RunReader reader,
                    FittedPieces fitted,
                    CancellationToken stop
                ) =>
                    await reader.Find(id, stop) is { Ground: not null } run
                    && run.Run.Pieces.FirstOrDefault(p => p.Id == pieceId) is { } piece
                    && fitted.Of(run, piece) is var now
                    && (string.IsNullOrEmpty(query.Side) || now.Sides.Any(s => s.Side.Side.Id == query.Side))
                        ? TypedResults.Ok(Of(query, now, run, fitted))
                        : TypedResults.NotFound()
            )
            .WithTags("Runs")
            .WithName("GetGhost");

    private static GhostView Of(GhostQuery query, FittedPiece now, ReadRun run, FittedPieces fitted)
    {
        var (piece, on) = (now.Fit.Piece, run.SurfaceOf(now.Fit.Piece));
        var side = now.Sides.FirstOrDefault(s => s.Side.Side.Id == query.Side);
        var motion = side is null ? Motion.None : on.MotionOf(side.Side);
        var (ground, before) = side is null ? (fitted.GroundOf(run, piece), now.Fit) : (side.Side.Ground, side.Fit);
        var own = piece.OwnOn(query.Side ?? "");
        var other = PieceFit.Of(
            piece with
            {
                Own = own with
                {
                    Right = query.MovedRight is { } right ? TypedLength.Mm(right) : own.Right,
                    Up = query.MovedUp is { } up ? TypedLength.Mm(up) : own.Up,
                },
            },
            ground with
            {
                Motif = Named<Centring>(query.Centring) is { } c ? ground.Motif with { Centring = c } : ground.Motif,
                Taper = Named<TaperWay>(query.Taper) ?? ground.Taper,
                Rules = ground.Rules with { Placing = Named<Placing>(query.Placing) ?? ground.Rules.Placing },
            }
        );
        return new GhostView(
            string.Concat(other.Films.Select(f => SvgPath.Of(Outlines.Moved(f.Ink, motion), Tolerances.File))),
            Box.Of(Outlines.Moved(other.Ink, motion)),
            PieceView.RoomsOf(other),
            other.LetterHeight,
            other.LetterHeight - before.LetterHeight,
            Middle(other).X - Middle(before).X,
            Middle(other).Y - Middle(before).Y,
            other.State
        );
    }

    private static PlanePoint Middle(PieceFit fit) => Box.Of(fit.Ink) is { } box ? new PlanePoint(box.CentreX, box.CentreY) : default;

    /// <summary>A word of a query as the documents write it; null for none, or one that is not known.</summary>
    private static T? Named<T>(string? word)
        where T : struct, Enum => Enum.TryParse<T>(word, ignoreCase: true, out var named) && Enum.IsDefined(named) ? named : null;
}
