using System.Globalization;
using Cabida.Core.Checking;
using Cabida.Core.Pieces;
using Cabida.Core.Runs;
using Cabida.Web.Runs;

namespace Cabida.Web.Proofs;

/// <summary>What is said of the pieces of a run as they are now: that they were shown, that they are approved.</summary>
internal static class Showing
{
    /// <summary>The verdicts of a run once all its pieces were shown as they are.</summary>
    /// <param name="run">A run that lacks nothing.</param>
    /// <param name="fitted">Fits its pieces.</param>
    /// <param name="on">When they were shown.</param>
    /// <param name="stop">Ends it.</param>
    public static RunVerdicts Shown(ReadRun run, FittedPieces fitted, DateTimeOffset on, CancellationToken stop) =>
        run.Run.Verdicts with
        {
            Shown = new ShownProof(
                on.ToString("yyyy-MM-dd HH:mm", CultureInfo.InvariantCulture),
                run.Run.Pieces.ToDictionary(
                    p => p.Id,
                    p =>
                    {
                        stop.ThrowIfCancellationRequested();
                        return SeenNow.HashOf(fitted.Of(run, p), run);
                    }
                )
            ),
        };

    /// <summary>The approval of a piece as it is; null where it is not what was seen, or cannot be cut.</summary>
    /// <param name="run">A run that lacks nothing.</param>
    /// <param name="piece">The piece.</param>
    /// <param name="seen">What was seen of it; null for what it is now.</param>
    /// <param name="fitted">Fits it.</param>
    /// <param name="facts">What is known of inks.</param>
    public static Verdict? ApprovalOf(ReadRun run, Piece piece, string? seen, FittedPieces fitted, InkFactsCache facts)
    {
        var made = fitted.Of(run, piece);
        var now = SeenNow.HashOf(made, run);
        return (seen is null || now == seen) && CheckedPiece.MayBeCut(run, made, facts)
            ? new Verdict(true, "", made.Hash, run.Run.SetUp.Blank?.Revision ?? 0) { Seen = now }
            : null;
    }
}
