using Cabida.Core.Findings;
using Cabida.Core.Fitting;

namespace Cabida.Core.Pieces;

/// <summary>What a set would gain without the names that hold it back most.</summary>
/// <param name="LeftOut">The name that is left out last; empty where none is.</param>
/// <param name="PieceId">Its piece.</param>
/// <param name="Count">How many are left out.</param>
/// <param name="Height">The letter height at which all others fit.</param>
public sealed record SetGain(string LeftOut, string PieceId, int Count, double Height);

/// <summary>A group of pieces that share a letter height.</summary>
/// <param name="Group">What the field says that groups them; empty where they are not grouped.</param>
/// <param name="Pieces">How many there are.</param>
/// <param name="Height">The letter height they are given; null while they are not sized so.</param>
/// <param name="LargestForAll">The letter height at which every one of them fits, rounded down to a tenth; null when there is none.</param>
/// <param name="LargestScale">The scale at which every one of them fits, rounded down to a thousandth.</param>
/// <param name="Tightest">The name that allows the least.</param>
/// <param name="Gains">What leaving out names one after another would gain.</param>
public sealed record SetGroup(
    string Group,
    int Pieces,
    double? Height,
    double? LargestForAll,
    double? LargestScale,
    string? Tightest,
    IReadOnlyList<SetGain> Gains
);

/// <summary>The pieces of a run as one set, as far as they are fitted.</summary>
/// <param name="Done">How many are fitted.</param>
/// <param name="All">Of how many.</param>
/// <param name="Fits">How many fit.</param>
/// <param name="Snug">How many are snug.</param>
/// <param name="Over">How many are over.</param>
/// <param name="NotSet">How many have no ink.</param>
/// <param name="LackLetters">How many would stand well but lack letters.</param>
/// <param name="Conceded">How many fit by a concession.</param>
/// <param name="ToLookAt">The pieces with findings, most serious first.</param>
/// <param name="Groups">The groups that share a letter height; one where they are not grouped.</param>
/// <param name="Readiness">What they still need before they can be cut.</param>
/// <param name="Findings">What several pieces have in common, the most serious first.</param>
public sealed record RunSet(
    int Done,
    int All,
    int Fits,
    int Snug,
    int Over,
    int NotSet,
    int LackLetters,
    int Conceded,
    IReadOnlyList<string> ToLookAt,
    IReadOnlyList<SetGroup> Groups,
    Readiness Readiness,
    IReadOnlyList<SetFinding> Findings
)
{
    /// <summary>No more names than this are left out in the plot.</summary>
    private const int MostLeftOut = 12;

    /// <summary>A letter height as it is offered, rounded down to a tenth, so that what is accepted fits.</summary>
    internal static double LettersDown(double height) => Math.Floor((height * 10) + 1e-9) / 10;

    /// <summary>The set that pieces make.</summary>
    /// <param name="run">A run that lacks nothing.</param>
    /// <param name="pieces">Those of its pieces that are fitted, checked.</param>
    public static RunSet Of(ReadRun run, IReadOnlyList<CheckedPiece> pieces)
    {
        ArgumentNullException.ThrowIfNull(run);
        ArgumentNullException.ThrowIfNull(pieces);
        var fitted = pieces.Select(p => p.Piece).ToList();
        bool LacksLetters(FittedPiece f) => f.State is FitState.Fits or FitState.Snug && !f.MayBeCut;
        int Count(FitState state) => fitted.Count(f => f.State == state && !LacksLetters(f));
        var by = run.Run.SetUp.GroupBy;
        return new RunSet(
            fitted.Count,
            run.Run.Pieces.Count,
            Count(FitState.Fits),
            Count(FitState.Snug),
            Count(FitState.Over),
            Count(FitState.NotSet),
            fitted.Count(LacksLetters),
            fitted.Count(f => f.Fit.Concessions.Count > 0),
            [
                .. pieces
                    .Where(p => p.Findings.Any(f => f.Severity != Severity.Told))
                    .OrderBy(p => p.Findings[0].Severity)
                    .Select(p => p.Piece.Fit.Piece.Id),
            ],
            [
                .. fitted
                    .GroupBy(f => by.Length == 0 ? "" : f.Fit.Piece.ValueOf(by), StringComparer.Ordinal)
                    .Select(g => GroupOf(g.Key, [.. g.Select(f => f.Fit)], run)),
            ],
            Readiness.Of(pieces),
            SetFindings.Of(pieces)
        );
    }

    private static SetGroup GroupOf(string group, List<PieceFit> fits, ReadRun run)
    {
        // A name whose letters are missing says nothing of how large the others may be; one with a height of its own neither.
        var whole = fits.Where(f =>
                f.State != FitState.NotSet && f.Noticed.All(x => x.Rule != Rule.MissingCharacters) && f.Piece.Own.LetterHeight.IsEmpty
            )
            .ToList();
        var sorted = whole
            .Where(f => f.LargestLetterHeight is not null)
            .OrderBy(f => f.LargestLetterHeight)
            .ThenBy(f => f.Piece.Name, StringComparer.Ordinal)
            .ToList();
        var all = whole.Count > 0 && sorted.Count == whole.Count;
        var gains = sorted
            .Take(Math.Min(MostLeftOut, sorted.Count - 1) + 1)
            .Select(
                (f, i) =>
                    new SetGain(
                        i == 0 ? "" : sorted[i - 1].Piece.Name,
                        i == 0 ? "" : sorted[i - 1].Piece.Id,
                        i,
                        LettersDown(f.LargestLetterHeight!.Value)
                    )
            );
        return new SetGroup(
            group,
            fits.Count,
            fits.Count > 0 ? run.SurfaceOf(fits[0].Piece).Basis.LetterHeightOf(fits[0].Piece) : null,
            all ? LettersDown(sorted[0].LargestLetterHeight!.Value) : null,
            all && whole.All(f => f.LargestScale is not null) ? LettersDown(whole.Min(f => f.LargestScale!.Value) * 100) / 100 : null,
            sorted.FirstOrDefault()?.Piece.Name,
            sorted.Count > 0 ? [.. gains] : []
        );
    }
}
