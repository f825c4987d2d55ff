using Cabida.Core.Findings;
using Cabida.Core.Pieces;
using Cabida.Core.Runs;

namespace Cabida.Core.Remedies;

/// <summary>What would mend the findings of a piece, each worked out before it is offered (K8; calculations 6.2).</summary>
public static class PieceRemedies
{
    /// <summary>All ways to mend, in the order in which they are offered.</summary>
    internal static IReadOnlyList<IMending> All { get; } =
    [
        new Enlarging(),
        new Strengthening(),
        new OtherFaces(),
        new Opening(),
        new DroppingDots(),
        new FillingCounters(),
        new RoundingTips(),
        new Tying(),
        new SingleOutlines(),
        new JoiningCorners(),
        new OpenLines(),
        new TwoLines(),
    ];

    /// <summary>The findings of a piece, each with what would mend it.</summary>
    /// <param name="run">A run that lacks nothing.</param>
    /// <param name="piece">One of its pieces, checked.</param>
    /// <param name="set">The set that it belongs to.</param>
    /// <param name="terms">What it is worked out with.</param>
    public static IReadOnlyList<Finding> Of(ReadRun run, CheckedPiece piece, RunSet set, MendTerms terms)
    {
        ArgumentNullException.ThrowIfNull(run);
        ArgumentNullException.ThrowIfNull(piece);
        ArgumentNullException.ThrowIfNull(set);
        var outside = new HashSet<string>(StringComparer.Ordinal);
        IEnumerable<Remedy> Of(Finding finding) =>
            finding.Rule switch
            {
                // Too wide and too high are mended by the same; it is offered once a side.
                Rule.OutsideZone => outside.Add(finding.Side)
                    ? [.. SizeRemedies.Smaller(run, piece.Piece, finding.Side, set), .. Mended(run, piece.Piece, finding, set, terms)]
                    : [],
                Rule.StandsOnClear => run.Run.SetUp.Placing != Placing.Free ? [SizeRemedies.Freely()] : [],
                _ => Mended(run, piece.Piece, finding, set, terms),
            };
        return [.. piece.Findings.Select(f => f.Kept.Length > 0 ? f : f with { Remedies = [.. Of(f)] })];
    }

    /// <summary>Rules of which something can be mended by changing the motif or the piece.</summary>
    private static readonly HashSet<Rule> Mendable =
    [
        Rule.ThinStrokes,
        Rule.NarrowGaps,
        Rule.Specks,
        Rule.Counters,
        Rule.LooseParts,
        Rule.DoubledCuts,
        Rule.CrossedCuts,
        Rule.OutsideZone,
    ];

    private static IEnumerable<Remedy> Mended(ReadRun run, FittedPiece piece, Finding finding, RunSet set, MendTerms terms)
    {
        if (!Mendable.Contains(finding.Rule))
        {
            return [];
        }

        var @case = MendCase.InRun(run, piece, finding, terms, set.Groups is [var all] ? all.LargestForAll : null);
        return All.SelectMany(m => m.Of(@case));
    }
}
