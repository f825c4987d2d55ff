using Cabida.Core.Checking;
using Cabida.Core.Findings;
using Cabida.Core.Geometry;
using Cabida.Core.Pieces;
using Cabida.Core.Remedies;

namespace Cabida.Web.Runs;

/// <summary>
/// Remedies of pieces and sets, worked out once for a run as it is: pointing at one, and making it, take what was offered. Bounded.
/// </summary>
internal sealed class OfferedRemedies(FittedPieces fitted, InkFactsCache facts)
{
    private const int MostKept = 400;
    private readonly Kept<string, IReadOnlyList<Finding>> kept = new(MostKept, _ => 1);

    /// <summary>The findings of a piece with what would mend them; null when it is not there.</summary>
    public IReadOnlyList<Finding>? OfPiece(ReadRun run, string pieceId, CancellationToken stop)
    {
        if (run.Basis is null || run.Run.Pieces.FirstOrDefault(p => p.Id == pieceId) is not { } piece)
        {
            return null;
        }

        var set = RunSet.Of(run, Checked(run, stop));
        return kept.Get($"{KeyOf(run)} {set.Done} {pieceId}", () =>
            PieceRemedies.Of(run, CheckedPiece.Of(run, fitted.Of(run, piece), facts), set, ScaleOf(run, pieceId), facts)
        );
    }

    /// <summary>What several pieces have in common, each with what would mend it in all of them.</summary>
    public IReadOnlyList<Finding> OfSet(ReadRun run, Rule rule, string side, string part, CancellationToken stop)
    {
        if (run.Basis is null)
        {
            return [];
        }

        var pieces = Checked(run, stop);
        return kept.Get($"{KeyOf(run)} {pieces.Count} set {rule} {side} {part}", () =>
            [
                .. SetFindings
                    .Of(pieces)
                    .Where(f => f.Finding.Rule == rule && f.Finding.Side == side && f.Finding.Part == part)
                    .Select(f => SetRemedies.Of(run, f, pieces, ScaleOf(run, f.Pieces[0]), facts, stop)),
            ]
        );
    }

    /// <summary>Pieces that are fitted so far, checked.</summary>
    public List<CheckedPiece> Checked(ReadRun run, CancellationToken stop) =>
        [
            .. fitted
                .SoFar(run, stop)
                .Select(p =>
                {
                    stop.ThrowIfCancellationRequested();
                    return CheckedPiece.Of(run, p, facts);
                }),
        ];

    private double? ScaleOf(ReadRun run, string pieceId) => fitted.BasisOf(run, run.Run.Pieces.First(p => p.Id == pieceId)).EqualScale;

    private static string KeyOf(ReadRun run) => $"{run.Id} {run.Revision} {run.TermsKey} {run.ChecksKey}";
}
