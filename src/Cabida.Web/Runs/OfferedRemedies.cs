using Cabida.Core.Checking;
using Cabida.Core.Findings;
using Cabida.Core.Geometry;
using Cabida.Core.Pieces;
using Cabida.Core.Remedies;
using Cabida.Core.Waste;
using Cabida.Web.Weeding;

namespace Cabida.Web.Runs;

/// <summary>Keeps remedies by all that they follow from: pointing at one, and making it, take what was offered. Bounded.</summary>
internal sealed class KeptRemedies
{
    private const int MostKept = 400;
    private readonly Kept<string, IReadOnlyList<Finding>> kept = new(MostKept, _ => 1);

    /// <summary>Findings with their remedies, worked out if they are not there.</summary>
    public IReadOnlyList<Finding> Of(string key, Func<IReadOnlyList<Finding>> make) => kept.Get(key, make);
}

/// <summary>Remedies of pieces and sets, worked out once for a run as it is.</summary>
internal sealed class OfferedRemedies(
    FittedPieces fitted,
    InkFactsCache facts,
    FilmWasteCache waste,
    WeedingMemory memory,
    KeptRemedies kept
)
{
    /// <summary>The findings of a piece with what would mend them; null when it is not there.</summary>
    public async Task<IReadOnlyList<Finding>?> OfPiece(ReadRun run, string pieceId, CancellationToken stop)
    {
        if (run.Basis is null || run.Run.Pieces.FirstOrDefault(p => p.Id == pieceId) is not { } piece)
        {
            return null;
        }

        var weeding = await WeedingOf(run, stop);
        var set = RunSet.Of(run, Checked(run, stop));
        return kept.Of($"{KeyOf(run, weeding)} {set.Done} {pieceId}", () =>
            PieceRemedies.Of(run, CheckedPiece.Of(run, fitted.Of(run, piece), facts), set, TermsOf(run, pieceId, weeding))
        );
    }

    /// <summary>What several pieces have in common, each with what would mend it in all of them.</summary>
    public async Task<IReadOnlyList<Finding>> OfSet(ReadRun run, Rule rule, string side, string part, CancellationToken stop)
    {
        if (run.Basis is null)
        {
            return [];
        }

        var weeding = await WeedingOf(run, stop);
        var pieces = Checked(run, stop);
        return kept.Of($"{KeyOf(run, weeding)} {pieces.Count} set {rule} {side} {part}", () =>
            [
                .. SetFindings
                    .Of(pieces)
                    .Where(f => f.Finding.Rule == rule && f.Finding.Side == side && f.Finding.Part == part)
                    .Select(f => SetRemedies.Of(run, f, pieces, TermsOf(run, f.Pieces[0], weeding), stop)),
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

    private async Task<WeedingEstimate> WeedingOf(ReadRun run, CancellationToken stop) =>
        new(await memory.Read(stop), run.Run.SetUp.WaysOf, waste);

    private MendTerms TermsOf(ReadRun run, string pieceId, WeedingEstimate weeding) =>
        new(fitted.BasisOf(run, run.Run.Pieces.First(p => p.Id == pieceId)).EqualScale, facts, weeding);

    private static string KeyOf(ReadRun run, WeedingEstimate weeding) =>
        $"{run.Id} {run.Revision} {run.TermsKey} {run.ChecksKey} {weeding.Key}";
}
