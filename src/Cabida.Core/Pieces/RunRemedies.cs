using Cabida.Core.Findings;
using Cabida.Core.Measures;
using Cabida.Core.Runs;
using Cabida.Core.Wording;

namespace Cabida.Core.Pieces;

/// <summary>What would mend the findings of a piece: changes of its run's set-up, or of the piece alone.</summary>
public static class RunRemedies
{
    /// <summary>What makers do first when a name resists.</summary>
    private static readonly IReadOnlyList<Concession> Usual =
    [
        new(ConcessionKind.CloseUp),
        new(ConcessionKind.TwoLines),
        new(ConcessionKind.Smaller) { Percent = 20 },
    ];

    /// <summary>The findings of a piece, each with what would mend it.</summary>
    /// <param name="run">A run that lacks nothing.</param>
    /// <param name="piece">One of its pieces, checked.</param>
    /// <param name="set">The set that it belongs to.</param>
    public static IReadOnlyList<Finding> Of(ReadRun run, CheckedPiece piece, RunSet set)
    {
        ArgumentNullException.ThrowIfNull(run);
        ArgumentNullException.ThrowIfNull(piece);
        ArgumentNullException.ThrowIfNull(set);
        var outside = new HashSet<string>(StringComparer.Ordinal);
        return
        [
            .. piece.Findings.Select(f =>
                f.Rule switch
                {
                    // Too wide and too high are mended by the same; it is offered once a side.
                    Rule.OutsideZone when outside.Add(f.Side) => f with { Remedies = [.. Smaller(run, piece.Piece, f.Side, set)] },
                    Rule.StandsOnClear when run.Run.SetUp.Placing != Placing.Free => f with { Remedies = [Freely()] },
                    _ => f,
                }
            ),
        ];
    }

    private static IEnumerable<Remedy> Smaller(ReadRun run, FittedPiece piece, string side, RunSet set)
    {
        var fit = side.Length == 0 ? piece.Fit : piece.Sides.First(s => s.Side.Side.Id == side).Fit;
        if (fit.LargestLetterHeight is not { } largest)
        {
            yield break;
        }

        var (setUp, id) = (run.Run.SetUp, piece.Fit.Piece.Id);
        if (side.Length == 0 && set.Groups is [{ LargestForAll: { } all }])
        {
            yield return SetUp(
                FormattableString.Invariant($"all {all}"),
                Phrase.Say($"All at {Length.Mm(all)}, so that every name fits"),
                s => s with { LetterHeight = TypedLength.Mm(all) }
            );
        }

        var concedes = setUp.Concessions.Count > 0;
        var motif = side.Length == 0 ? run.Motif : piece.Sides.First(s => s.Side.Side.Id == side).Side.Motif;
        if (!concedes && motif?.NameLine is not null)
        {
            yield return SetUp("concede", Phrase.Say($"Concede what it needs"), s => s with { Concessions = Usual });
        }

        if (concedes || side.Length > 0)
        {
            var alone = LettersDown(largest);
            yield return new Remedy(
                FormattableString.Invariant($"alone {id} {side} {alone}"),
                Phrase.Say($"This one alone at {Length.Mm(alone)}")
            )
            {
                Change = new PieceHeight(id, side, alone),
            };
        }

        if (side.Length == 0)
        {
            yield return SetUp("each", Phrase.Say($"Each as large as fits"), s => s with { Sizing = Sizing.EachLargest });
        }
    }

    private static Remedy Freely() => SetUp("free", Phrase.Say($"Let it find its place"), s => s with { Placing = Placing.Free });

    /// <summary>A letter height as it is offered, rounded down to a tenth, so that what is accepted fits.</summary>
    internal static double LettersDown(double height) => Math.Floor((height * 10) + 1e-9) / 10;

    private static Remedy SetUp(string id, Phrase words, Func<RunSetUp, RunSetUp> change) =>
        new(id, words) { Change = new SetUpChange(change) };

    private sealed record SetUpChange(Func<RunSetUp, RunSetUp> To) : Change<Run>
    {
        public override Run Of(Run document) => document with { SetUp = To(document.SetUp) };
    }

    private sealed record PieceHeight(string PieceId, string Side, double Millimetres) : Change<Run>
    {
        public override Run Of(Run document) =>
            document with
            {
                List = document.List with
                {
                    Pieces =
                    [
                        .. document.List.Pieces.Select(p =>
                            p.Id == PieceId ? p.WithOwn(Side, p.OwnOn(Side) with { LetterHeight = TypedLength.Mm(Millimetres) }) : p
                        ),
                    ],
                },
            };
    }
}
