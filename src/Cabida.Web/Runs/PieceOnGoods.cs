using Cabida.Core.Drawings;
using Cabida.Core.Geometry;
using Cabida.Core.Motifs;
using Cabida.Core.Pieces;

namespace Cabida.Web.Runs;

/// <summary>
/// A piece on its goods as they are seen: a wall turned, a flat thing front on, and beside either the faces with an outline of their own
/// that artwork is on.
/// </summary>
/// <param name="Goods">The goods without artwork.</param>
/// <param name="Films">The ink that is seen, by film.</param>
/// <param name="CanTurn">Whether there is anything round to turn.</param>
internal sealed record PieceOnGoods(Drawing Goods, IReadOnlyList<FilmInk> Films, bool CanTurn)
{
    /// <summary>The gap before a face that stands beside the goods, as a share of the wider of the two.</summary>
    private const double Between = 0.12;

    /// <summary>A piece as it is seen.</summary>
    /// <param name="piece">The piece.</param>
    /// <param name="on">What it stands on.</param>
    /// <param name="turn">How far a wall is turned; degrees.</param>
    public static PieceOnGoods Of(FittedPiece piece, ReadSurface on, double turn)
    {
        var sides = on.All.Zip(piece.Sides.Select(s => s.Films).Prepend(piece.Fit.Films), (s, films) => (s.Laid, Films: films)).ToList();
        PieceOnGoods? seen = null;
        // The thing itself stands first, whichever side the run names first.
        foreach (var face in sides.GroupBy(s => s.Laid.Face.Own).OrderBy(f => f.Key.Length > 0))
        {
            var (laid, films) = (face.Select(s => s.Laid).ToList(), face.SelectMany(s => s.Films).ToList());
            var next =
                face.Key.Length == 0 && on.Wall is { } wall
                    ? new PieceOnGoods(
                        SeenDrawing.Blank(wall, laid.First(l => l.Wall is not null).Zone!, turn),
                        [.. films.Select(f => new FilmInk(f.Film, SeenDrawing.Seen(wall, f.Ink, turn)))],
                        CanTurn: true
                    )
                    : new PieceOnGoods(FlatDrawing.Whole(laid[0], on.Sheet, laid[1..]), films, CanTurn: false);
            seen = seen?.With(next) ?? next;
        }

        return seen!;
    }

    private PieceOnGoods With(PieceOnGoods other)
    {
        var (box, next) = (Goods.Box, other.Goods.Box);
        var by = Motion.Move(box.MaxX + (Between * Math.Max(box.Width, next.Width)) - next.MinX, box.CentreY - next.CentreY);
        var moved = next with { MinX = next.MinX + by.C, MaxX = next.MaxX + by.C, MinY = next.MinY + by.F, MaxY = next.MaxY + by.F };
        var beside = other.Goods.Strokes.Select(s => s with { Points = [.. s.Points.Select(by.Of)] });
        return this with
        {
            Goods = new Drawing(Box.Around([box, moved])!.Value, [.. Goods.Strokes, .. beside], [], []),
            Films = [.. Films, .. other.Films.Select(f => f.Moved(by))],
        };
    }
}
