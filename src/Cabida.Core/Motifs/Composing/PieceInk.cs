using Cabida.Core.Geometry;
using Cabida.Core.Type;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Motifs;

/// <summary>The pieces of a graphic, each filled once and kept in the file's own millimetres.</summary>
public static class PieceInk
{
    /// <summary>The filled outlines of a piece, as they look at a size.</summary>
    /// <param name="graphic">The graphic.</param>
    /// <param name="index">Which piece.</param>
    /// <param name="factor">What the file's millimetres are multiplied by.</param>
    /// <param name="cache">Where they are kept.</param>
    public static PlacedInk Of(GraphicOutlines graphic, int index, double factor, InkCache cache)
    {
        ArgumentNullException.ThrowIfNull(graphic);
        ArgumentNullException.ThrowIfNull(cache);
        var key = FormattableString.Invariant($"piece {graphic.Id} {index} {InkCache.LevelFor(factor)}");
        return new PlacedInk(
            key,
            cache.Derived(key, () => Filled(graphic.Pieces[index], graphic.Pieces[index].Closed, factor)),
            Motion.Scale(factor, factor)
        );
    }

    /// <summary>Closed outlines filled as a piece is, in the file's millimetres.</summary>
    internal static Area Filled(GraphicPiece piece, IReadOnlyList<Contour> closed, double factor) =>
        Outlines.FromContours(closed, ErrorAt(factor), Tolerances.InkTurn, piece.Rule == FillRule.EvenOdd);

    /// <summary>The lines of a piece that do not close, flattened as they look at a size; in the file's millimetres.</summary>
    public static IEnumerable<IReadOnlyList<PlanePoint>> LinesOf(GraphicPiece piece, double factor)
    {
        ArgumentNullException.ThrowIfNull(piece);
        return piece.Open.Select(c => CurveFlattening.Flatten(c, ErrorAt(factor), Tolerances.InkTurn)).Where(l => l.Count > 1);
    }

    /// <summary>How far flattened outlines may lie from their curves, in the file's millimetres.</summary>
    internal static double ErrorAt(double factor) => InkCache.ChordError(InkCache.LevelFor(factor));
}
