using Cabida.Core.Findings;
using Cabida.Core.Fitting;
using Cabida.Core.Geometry;
using Cabida.Core.Pieces;
using Cabida.Core.Plans;
using Cabida.Core.Stock;
using Cabida.Core.Waste;
using Cabida.Formats.Svg;

namespace Cabida.Web.Weeding;

/// <summary>A bit of waste.</summary>
/// <param name="Number">From 1, the smallest.</param>
/// <param name="Kind">What it is.</param>
/// <param name="Area">It, in square millimetres.</param>
/// <param name="At">A place on it, as far from its outline as any.</param>
/// <param name="Path">It; millimetres, y up.</param>
internal sealed record BitView(int Number, WasteKind Kind, double Area, PlanePoint At, string Path);

/// <summary>A film of a side of a piece as waste; millimetres, y up, the coordinates of its side.</summary>
/// <param name="FilmId">The film that its switches belong to.</param>
/// <param name="Film">Its name.</param>
/// <param name="Colour">Its colour.</param>
/// <param name="Purpose">What it is for.</param>
/// <param name="Zone">The zone of its side; empty where there is only one.</param>
/// <param name="Ink">Its ink.</param>
/// <param name="Box">The box of that.</param>
/// <param name="Bits">Its bits from the smallest, as many as are numbered.</param>
/// <param name="Weeds">How it is weeded.</param>
/// <param name="Clearance">How far breaks are asked to keep from the ink; millimetres.</param>
/// <param name="Ways">The switches as they are.</param>
/// <param name="Problems">What cannot be used of them.</param>
internal sealed record WasteView(
    string FilmId,
    string Film,
    string Colour,
    FilmPurpose Purpose,
    string Zone,
    string Ink,
    Box Box,
    IReadOnlyList<BitView> Bits,
    WeedsView Weeds,
    double Clearance,
    WeedWays Ways,
    IReadOnlyList<Finding> Problems
)
{
    /// <summary>More bits than this are counted, and not numbered.</summary>
    private const int MostNumbered = 400;

    /// <summary>A piece as waste, film by film and side by side; films without ink are left out.</summary>
    public static IReadOnlyList<WasteView> Of(ReadRun run, FittedPiece piece, FilmWasteCache kept, LayeredInks inks, WeedingBook book)
    {
        var on = run.SurfaceOf(piece.Fit.Piece);
        var sides = piece
            .Sides.Select(s => (s.Fit, Zone: s.Side.Laid.Spec.Name, s.Side.Side.Id))
            .Prepend((piece.Fit, Zone: on.Laid.Spec.Name, Id: ""))
            .ToList();
        string ZoneOf(string zone) => sides.Count > 1 ? zone : "";
        return
        [
            .. sides.SelectMany(s =>
                s.Fit.Films.Select((_, number) => Of(run, s.Fit, number, ZoneOf(s.Zone), s.Id, kept, inks, book)).OfType<WasteView>()
            ),
        ];
    }

    private static WasteView? Of(
        ReadRun run,
        PieceFit fit,
        int number,
        string zone,
        string side,
        FilmWasteCache kept,
        LayeredInks inks,
        WeedingBook book
    )
    {
        var (cut, ply) = (inks.Of(run, fit, number), fit.Films[number].Film);
        var ink = cut.Ink;
        var (film, ways) = (run.Basis!.FilmOf(ply.FilmId), run.Run.SetUp.WaysOf(ply.FilmId));
        if (kept.Of(cut.Key, ink, ply, fit.Parts, FilmLimits.Of(film), ways) is not { } waste)
        {
            return null;
        }

        return new WasteView(
            ply.FilmId.Length > 0 ? ply.FilmId : run.Run.SetUp.Film!.Id,
            film.Name,
            film.Colour,
            film.Purpose,
            zone,
            SvgPath.Of(ink, Tolerances.File),
            Core.Geometry.Box.Of(ink)!.Value,
            [
                .. waste
                    .BitsOf(ink, film.Purpose)
                    .Take(MostNumbered)
                    .Select(b => new BitView(b.Number, b.Kind, b.Area, b.At, SvgPath.Of(b.Outline, Tolerances.File))),
            ],
            WeedsView.Of(waste, ways.Box, film.Purpose, book, WeedingKey.OfPiece(run.Id, fit.Piece.Id, side, ply)),
            ways.ClearanceOr,
            ways,
            ways.Problems
        );
    }
}
