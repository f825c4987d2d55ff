using Cabida.Core.Findings;

namespace Cabida.Core.Pieces;

/// <summary>What the pieces of a run still need before they can be cut, as far as they were looked at.</summary>
/// <param name="ToMend">Pieces that may not be cut as they stand, by their ids, in the order of the list.</param>
/// <param name="ToDecide">Pieces that can be made, with something that wants a decision: mended, or kept as it is.</param>
/// <param name="Ready">How many pieces are ready.</param>
public sealed record Readiness(IReadOnlyList<string> ToMend, IReadOnlyList<string> ToDecide, int Ready)
{
    /// <summary>The readiness of checked pieces.</summary>
    public static Readiness Of(IReadOnlyList<CheckedPiece> pieces)
    {
        ArgumentNullException.ThrowIfNull(pieces);
        List<string> Of(Func<CheckedPiece, bool> which) => [.. pieces.Where(which).Select(p => p.Piece.Fit.Piece.Id)];
        var (mend, decide) = (Of(Mends), Of(p => !Mends(p) && p.Findings.Any(f => f.Severity == Severity.Look)));
        return new Readiness(mend, decide, pieces.Count - mend.Count - decide.Count);
    }

    private static bool Mends(CheckedPiece piece) => piece.Stopping is not null || !piece.Piece.MayBeCut;
}
