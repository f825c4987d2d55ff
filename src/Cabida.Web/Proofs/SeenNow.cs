using Cabida.Core.Pieces;
using Cabida.Core.Proofs;

namespace Cabida.Web.Proofs;

/// <summary>What a customer sees and gets of a piece, and how it stands with them.</summary>
internal static class SeenNow
{
    /// <summary>Tells apart all that the customer sees and gets of a piece.</summary>
    public static string HashOf(FittedPiece piece, ReadRun run)
    {
        var on = run.SurfaceOf(piece.Fit.Piece);
        return SeenHash.Of(
            piece.Hash,
            piece.Films.Select(f => on.Basis.FilmOf(f.Film.FilmId)),
            run.Run.SetUp.Blank!.Id,
            run.Blank!,
            on.Sheet
        );
    }

    /// <summary>How a piece stands.</summary>
    public static ProofState StateOf(ReadRun run, FittedPiece piece) => StateOf(run, piece, HashOf(piece, run));

    /// <summary>How a piece stands by what is seen of it.</summary>
    public static ProofState StateOf(ReadRun run, FittedPiece piece, string seen) =>
        Proofing.StateOf(run.Run.Verdicts.Of(piece.Fit.Piece), seen, piece.Hash, run.Run.SetUp.Blank?.Revision ?? 0);
}
