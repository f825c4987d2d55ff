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
/// <param name="Remedy">A remedy of its findings, by its id, that would be made; nothing else is looked at then.</param>
internal sealed record GhostQuery(
    [FromQuery(Name = "centring")] string? Centring,
    [FromQuery(Name = "taper")] string? Taper,
    [FromQuery(Name = "placing")] string? Placing,
    [FromQuery(Name = "side")] string? Side,
    [FromQuery(Name = "movedRight")] double? MovedRight,
    [FromQuery(Name = "movedUp")] double? MovedUp,
    [FromQuery(Name = "remedy")] string? Remedy
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
                    OfferedRemedies offered,
                    CancellationToken stop
                ) =>
                {
                    if (
                        await reader.Find(id, stop) is not { Basis: not null } run
                        || run.Run.Pieces.FirstOrDefault(p => p.Id == pieceId) is not { } piece
                        || SideOf(fitted.Of(run, piece), query.Side) is not { } now
                    )
                    {
                        return TypedResults.NotFound();
                    }

                    if (string.IsNullOrEmpty(query.Remedy))
                    {
                        return TypedResults.Ok(Of(Placed(query, now, run, fitted), now, run));
                    }

                    var findings = await offered.OfPiece(run, pieceId, stop) ?? [];
                    return
                        RunMending.Mended(run.Run, findings, [query.Remedy]) is var (changed, motifs)
                        && await RunMending.Read(run, changed, motifs, reader, stop) is { Basis: not null } then
                        && then.Run.Pieces.FirstOrDefault(p => p.Id == pieceId) is { } same
                        && SideOf(FittedPiece.Of(then, same, fitted.BasisOf(run, piece).EqualScale), query.Side) is { } other
                        ? TypedResults.Ok(Of(other.Fit, now, run))
                        : TypedResults.NotFound();
                }
            )
            .WithTags("Runs")
            .WithName("GetGhost");

    /// <summary>A side of a piece; the first has no side of the run.</summary>
    private sealed record OneSide(PieceFit Fit, ReadSide? Side);

    private static OneSide? SideOf(FittedPiece piece, string? side) =>
        string.IsNullOrEmpty(side) ? new OneSide(piece.Fit, null)
        : piece.Sides.FirstOrDefault(s => s.Side.Side.Id == side) is { } other ? new OneSide(other.Fit, other.Side)
        : null;

    private static Motion MotionOf(OneSide of, ReadRun run) =>
        of.Side is null ? Motion.None : run.SurfaceOf(of.Fit.Piece).MotionOf(of.Side);

    /// <summary>It as another way of placing it would have it.</summary>
    private static PieceFit Placed(GhostQuery query, OneSide now, ReadRun run, FittedPieces fitted)
    {
        // What is set by hand for a side is the piece's own there.
        var piece = now.Fit.Piece;
        var basis = now.Side?.Basis ?? fitted.BasisOf(run, piece);
        return PieceFit.Of(
            piece with
            {
                Own = piece.Own with
                {
                    Right = query.MovedRight is { } right ? TypedLength.Mm(right) : piece.Own.Right,
                    Up = query.MovedUp is { } up ? TypedLength.Mm(up) : piece.Own.Up,
                },
            },
            basis with
            {
                Motif = Named<Centring>(query.Centring) is { } c ? basis.Motif with { Centring = c } : basis.Motif,
                Taper = Named<TaperWay>(query.Taper) ?? basis.Taper,
                Rules = basis.Rules with { Placing = Named<Placing>(query.Placing) ?? basis.Rules.Placing },
            }
        );
    }

    private static GhostView Of(PieceFit other, OneSide now, ReadRun run)
    {
        var motion = MotionOf(now, run);
        return new(
            string.Concat(other.Films.Select(f => SvgPath.Of(Outlines.Moved(f.Ink, motion), Tolerances.File))),
            Box.Of(Outlines.Moved(other.Ink, motion)),
            PieceView.RoomsOf(other, run),
            other.LetterHeight,
            other.LetterHeight - now.Fit.LetterHeight,
            Middle(other).X - Middle(now.Fit).X,
            Middle(other).Y - Middle(now.Fit).Y,
            other.State
        );
    }

    private static PlanePoint Middle(PieceFit fit) => Box.Of(fit.Ink) is { } box ? new PlanePoint(box.CentreX, box.CentreY) : default;

    /// <summary>A word of a query as the documents write it; null for none, or one that is not known.</summary>
    private static T? Named<T>(string? word)
        where T : struct, Enum => Enum.TryParse<T>(word, ignoreCase: true, out var named) && Enum.IsDefined(named) ? named : null;
}
