using Cabida.Core.Geometry;
using Cabida.Core.Stock;
using Cabida.Core.Waste;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Loads;

/// <summary>A piece on a load with its ink in rows, in its zone's coordinates.</summary>
/// <param name="At">Its place.</param>
/// <param name="Ink">Its ink.</param>
/// <param name="Rows">That in rows and words.</param>
public sealed record WeededPiece(Placement At, Area Ink, IReadOnlyList<InkRow> Rows);

/// <summary>
/// Weed boxes that several pieces of a load share (calculations 6.5), round a row of them or round all. Millimetres from the reach's lower
/// left, before any mirroring.
/// </summary>
public static class LoadWaste
{
    /// <summary>A weed box each for what shares one, from the top down.</summary>
    /// <param name="pieces">What is on the load.</param>
    /// <param name="box">What a box is cut round: a row, or the load.</param>
    /// <param name="terms">How.</param>
    public static IReadOnlyList<WastePlan> Of(IReadOnlyList<WeededPiece> pieces, WeedBox box, WasteTerms terms)
    {
        ArgumentNullException.ThrowIfNull(pieces);
        var rows = pieces.GroupBy(p => p.At.Row).OrderBy(r => r.Key).Select(RowOf).ToList();
        var boxed = box switch
        {
            WeedBox.Row => rows.ConvertAll(r => (IReadOnlyList<InkRow>)[r]),
            WeedBox.Load => [rows],
            _ => [],
        };
        return [.. boxed.Select(b => WastePlan.Of(b, terms)).OfType<WastePlan>()];
    }

    /// <summary>A row of pieces as a row of words.</summary>
    private static InkRow RowOf(IEnumerable<WeededPiece> pieces) => new([.. pieces.OrderBy(p => p.At.Box.MinX).Select(WordOf)]);

    private static InkWord WordOf(WeededPiece piece)
    {
        var there = LoadInk.MotionOf(piece.Ink, piece.At);
        InkUnit Moved(InkUnit unit) => new(Outlines.Moved(unit.Ink, there));
        // What is turned has its rows side by side: it stays in one.
        if (piece.At.Turned)
        {
            return new InkWord([new InkUnit(Outlines.Moved(piece.Ink, there))]);
        }

        List<InkRow> rows = [.. piece.Rows.Select(r => new InkRow([.. r.Words.Select(w => new InkWord([.. w.Units.Select(Moved)]))]))];
        return new InkWord([.. rows.SelectMany(r => r.Units)]) { Inner = rows };
    }
}
