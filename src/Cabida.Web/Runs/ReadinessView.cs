using Cabida.Core.Findings;
using Cabida.Core.Pieces;

namespace Cabida.Web.Runs;

/// <summary>What a run still needs before it can be cut.</summary>
/// <param name="Lacks">What its set-up lacks; nothing is looked at before that is there.</param>
/// <param name="Done">How many pieces were looked at so far.</param>
/// <param name="All">Of how many.</param>
/// <param name="Pieces">What they need.</param>
internal sealed record ReadinessView(IReadOnlyList<Finding> Lacks, int Done, int All, Readiness Pieces)
{
    public static ReadinessView Of(ReadRun run, Func<ReadRun, List<CheckedPiece>> pieces)
    {
        List<CheckedPiece> looked = run.Basis is null ? [] : pieces(run);
        return new ReadinessView(run.Lacks, looked.Count, run.Run.Pieces.Count, Readiness.Of(looked));
    }
}
