using Cabida.Core.Blanks;
using Cabida.Core.Checking;
using Cabida.Core.Fitting;
using Cabida.Core.Geometry;

namespace Cabida.Web.Runs;

/// <summary>The room at one side, with what it is measured against.</summary>
/// <param name="Side">Where.</param>
/// <param name="Distance">How far the ink could move that way; negative when over.</param>
/// <param name="Limit">What it touches first.</param>
/// <param name="Touches">Whether that is what limits it.</param>
/// <param name="Beyond">Whether the ink stands outside there.</param>
/// <param name="Used">How much of the zone's width or height the ink takes.</param>
/// <param name="Of">That width or height.</param>
internal sealed record RoomView(string Side, double Distance, LimitKind Limit, bool Touches, bool Beyond, double Used, double Of);

/// <summary>The thinnest stroke.</summary>
internal sealed record ThinnestView(double Width, PlanePoint At);

/// <summary>A fitted piece as the Fit view shows it; millimetres, y up, developed coordinates.</summary>
internal sealed record PieceView(
    string Id,
    string Name,
    FitState State,
    bool MayBeCut,
    string InkPath,
    string Colour,
    Box? InkBox,
    IReadOnlyList<RoomView> Rooms,
    double LetterHeight,
    double? LargestLetterHeight,
    double? GoesRound,
    double? AppearsWide,
    ThinnestView? Thinnest,
    double? ThinnestAllowed,
    double? Bow,
    double? Gathers,
    IReadOnlyList<Finding> Findings)
{
    public static PieceView Of(FittedPiece piece, ReadRun run)
    {
        var fit = piece.Fit;
        var film = run.Film!;
        var box = Box.Of(fit.Ink);
        var allowed = film.ThinnestStroke.Read(Core.Measures.LengthRange.Artwork).ValueOrDefault?.Value.Millimetres;
        return new PieceView(
            fit.Piece.Id, fit.Piece.Name, fit.State, fit.MayBeCut, piece.InkPath, film.Colour, box,
            box is { } b && fit.Cautious is { } rooms ? RoomsOf(b, rooms, run.Ground!.Zone.Cautious.Bounds) : [],
            fit.LetterHeight, fit.LargestLetterHeight, fit.Covers?.Goes.Degrees, fit.Covers?.AppearsWide?.Millimetres,
            fit.Thinnest is var (width, at) ? new ThinnestView(width, at) : null, allowed,
            fit.Bow?.By.Millimetres, fit.Bow?.Gathers.Millimetres, fit.Findings);
    }

    private static List<RoomView> RoomsOf(Box ink, Rooms rooms, Box zone)
    {
        RoomView View(string side, Room room, double used, double of) =>
            new(side, room.Distance, room.Limit, room.Distance < Core.Fitting.Rooms.Touching, room.Distance < -Tolerances.Fit, used, of);
        return
        [
            View("above", rooms.Above, ink.Height, zone.Height),
            View("below", rooms.Below, ink.Height, zone.Height),
            View("left", rooms.Left, ink.Width, zone.Width),
            View("right", rooms.Right, ink.Width, zone.Width),
        ];
    }
}
