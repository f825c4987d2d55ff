using Cabida.Core.Geometry;
using Cabida.Core.Pieces;
using Cabida.Formats.Svg;

namespace Cabida.Web.Inks;

/// <summary>The ink of fitted pieces as path data, drawn when it is first looked at and kept by what tells it apart. Bounded.</summary>
internal sealed class DrawnInks
{
    private const long Budget = 64L << 20;
    private readonly Kept<string, IReadOnlyList<string>> kept = new(Budget, all => 200 + all.Sum(p => 2L * p.Length));

    /// <summary>The ink of all sides of a piece by film, the lowest first.</summary>
    public IReadOnlyList<InkView> Of(FittedPiece piece, ReadRun run)
    {
        var (basis, films) = (run.SurfaceOf(piece.Fit.Piece).Basis, piece.Films.ToList());
        var paths = kept.Get(piece.Hash, () => [.. films.Select(f => SvgPath.Of(f.Ink, Tolerances.File))]);
        return [.. films.Select((f, i) => InkView.Of(f.Film, basis.FilmOf(f.Film.FilmId), paths[i]))];
    }
}
