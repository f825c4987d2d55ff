using Cabida.Core.Fitting;
using Cabida.Core.Geometry;
using Cabida.Core.Motifs;
using Cabida.Core.Runs;
using Cabida.Core.Wording;

namespace Cabida.Core.Pieces;

/// <summary>A side of a fitted piece, with its ink as it lies in the coordinates of the first side's zone.</summary>
/// <param name="Side">The side.</param>
/// <param name="Fit">The piece on it.</param>
/// <param name="Films">Its ink by film, seen from the first side.</param>
public sealed record FittedSide(ReadSide Side, PieceFit Fit, IReadOnlyList<FilmInk> Films);

/// <summary>A piece fitted on all its sides; millimetres, y up, the coordinates of the first side's zone.</summary>
/// <param name="Fit">The piece.</param>
/// <param name="Sides">Its other sides.</param>
public sealed record FittedPiece(PieceFit Fit, IReadOnlyList<FittedSide> Sides)
{
    /// <summary>A piece of a run fitted on all its sides.</summary>
    /// <param name="run">A run that lacks nothing.</param>
    /// <param name="piece">One of its pieces.</param>
    /// <param name="setScale">The scale of what is equal across its set; null where nothing is.</param>
    public static FittedPiece Of(ReadRun run, Piece piece, double? setScale)
    {
        ArgumentNullException.ThrowIfNull(run);
        ArgumentNullException.ThrowIfNull(piece);
        var on = run.SurfaceOf(piece);
        var fit = PieceFit.Of(piece, on.Basis with { EqualScale = setScale });
        return new FittedPiece(fit, [.. on.Sides.Select(s => SideOf(s, piece, on.MotionOf(s)))]);
    }

    /// <summary>A piece that could not be fitted, and why.</summary>
    public static FittedPiece NotWorkedOut(ReadRun run, Piece piece, Phrase why)
    {
        ArgumentNullException.ThrowIfNull(run);
        return new FittedPiece(PieceFit.NotWorkedOut(piece, run.SurfaceOf(piece).Basis, why), []);
    }

    /// <summary>It as its row has it now: how many are made and what was said of it do not change its ink.</summary>
    public FittedPiece As(Piece piece) => ReferenceEquals(Fit.Piece, piece) ? this : this with { Fit = Fit with { Piece = piece } };

    /// <summary>All its fits, the first side first.</summary>
    public IEnumerable<PieceFit> Fits => Sides.Select(s => s.Fit).Prepend(Fit);

    /// <summary>The worst state of its sides.</summary>
    public FitState State { get; } = Sides.Select(s => s.Fit.State).Prepend(Fit.State).Max();

    /// <summary>Whether all its sides may be cut.</summary>
    public bool MayBeCut => Fits.All(f => f.MayBeCut);

    /// <summary>The ink of all sides as one, by film and side.</summary>
    public IEnumerable<FilmInk> Films => Fit.Films.Concat(Sides.SelectMany(s => s.Films));

    /// <summary>The ink of the sides that lie on a wall.</summary>
    /// <param name="first">What the first side stands on.</param>
    public IEnumerable<FilmInk> OnWall(FitBasis first) =>
        (first?.Wall is null ? [] : Fit.Films).Concat(Sides.Where(s => s.Side.Basis.Wall is not null).SelectMany(s => s.Films));

    /// <summary>Tells its ink apart from any other.</summary>
    public string Hash { get; } = Sides.Count == 0 ? Fit.Hash : string.Join('-', Sides.Select(s => s.Fit.Hash).Prepend(Fit.Hash));

    private static FittedSide SideOf(ReadSide side, Piece piece, Motion motion)
    {
        var fit = PieceFit.Of(piece with { Own = piece.OwnOn(side.Side.Id) }, side.Basis);
        return new FittedSide(side, fit, [.. fit.Films.Select(f => f.Moved(motion))]);
    }
}
