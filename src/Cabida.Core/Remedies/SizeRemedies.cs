using Cabida.Core.Findings;
using Cabida.Core.Measures;
using Cabida.Core.Pieces;
using Cabida.Core.Runs;
using Cabida.Core.Wording;

namespace Cabida.Core.Remedies;

/// <summary>What would mend a piece that does not fit: changes of its run's set-up, or of the piece alone.</summary>
internal static class SizeRemedies
{
    /// <summary>What makers do first when a name resists.</summary>
    private static readonly IReadOnlyList<Concession> Usual =
    [
        new(ConcessionKind.CloseUp),
        new(ConcessionKind.TwoLines),
        new(ConcessionKind.Smaller) { Percent = 20 },
    ];

    /// <summary>A letter height that fits, for all or for it alone, concessions, and each as large as fits.</summary>
    /// <param name="run">A run that lacks nothing.</param>
    /// <param name="piece">One of its pieces.</param>
    /// <param name="side">The side that does not fit; the first has no id.</param>
    /// <param name="set">The set that it belongs to.</param>
    public static IEnumerable<Remedy> Smaller(ReadRun run, FittedPiece piece, string side, RunSet set)
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
            var alone = RunSet.LettersDown(largest);
            yield return new Remedy(
                FormattableString.Invariant($"alone {id} {side} {alone}"),
                Phrase.Say($"This one alone at {Length.Mm(alone)}")
            )
            {
                Scope = RemedyScope.Piece,
                Change = new PiecesChange(id, side, own => own with { LetterHeight = TypedLength.Mm(alone) }),
            };
        }

        if (side.Length == 0)
        {
            yield return SetUp("each", Phrase.Say($"Each as large as fits"), s => s with { Sizing = Sizing.EachLargest });
        }
    }

    /// <summary>Another place, where this one is kept clear.</summary>
    public static Remedy Freely() => SetUp("free", Phrase.Say($"Let it find its place"), s => s with { Placing = Placing.Free });

    /// <summary>A change of the set-up.</summary>
    public static Remedy SetUp(string id, Phrase words, Func<RunSetUp, RunSetUp> change) =>
        new(id, words) { Change = new SetUpChange(change) };
}
