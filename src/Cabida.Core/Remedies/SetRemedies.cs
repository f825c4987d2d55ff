using Cabida.Core.Checking;
using Cabida.Core.Findings;
using Cabida.Core.Measures;
using Cabida.Core.Motifs;
using Cabida.Core.Pieces;
using Cabida.Core.Wording;

namespace Cabida.Core.Remedies;

/// <summary>
/// What would mend the same finding in all pieces that have it: one change of the motif, or the same of those pieces alone; tried on each
/// of them before it is offered.
/// </summary>
public static class SetRemedies
{
    /// <summary>No more pieces are tried than this, those in which it is worst.</summary>
    public const int MostTried = 60;

    private const int MostWidenings = 3;

    /// <summary>A finding of a set with what would mend it.</summary>
    /// <param name="run">A run that lacks nothing.</param>
    /// <param name="finding">What several pieces have in common.</param>
    /// <param name="pieces">All pieces of the run that are fitted, checked.</param>
    /// <param name="terms">What it is worked out with.</param>
    /// <param name="stop">Ends it.</param>
    public static Finding Of(ReadRun run, SetFinding finding, IReadOnlyList<CheckedPiece> pieces, MendTerms terms, CancellationToken stop)
    {
        ArgumentNullException.ThrowIfNull(run);
        ArgumentNullException.ThrowIfNull(finding);
        ArgumentNullException.ThrowIfNull(pieces);
        var by = pieces.ToDictionary(p => p.Piece.Fit.Piece.Id, StringComparer.Ordinal);
        List<MendCase> cases =
        [
            .. finding
                .Pieces.Take(MostTried)
                .Where(by.ContainsKey)
                .Select(id => by[id])
                .Select(p =>
                {
                    stop.ThrowIfCancellationRequested();
                    return MendCase.InRun(run, p.Piece, p.Findings.First(f => IsOf(f, finding.Finding)), terms);
                }),
        ];
        return cases.Count == 0
            ? finding.Finding
            : finding.Finding with
            {
                Remedies = [.. PieceRemedies.All.Where(m => m is not (Enlarging or TwoLines)).SelectMany(m => For(m, cases, stop))],
            };
    }

    private static bool IsOf(Finding one, Finding other) => one.Rule == other.Rule && one.Side == other.Side && one.Part == other.Part;

    private static IEnumerable<Remedy> For(IMending way, List<MendCase> cases, CancellationToken stop)
    {
        var (worst, side) = (cases[0], cases[0].Finding.Side);
        var first = way.Of(worst).ToList();
        if (Mend(first) is not { } mend)
        {
            return first.Where(r => r.Refused is not null);
        }

        List<CheckedFit> tried = [];
        List<int> left = [];
        for (var again = 0; again <= MostWidenings; again++)
        {
            tried = cases.ConvertAll(c =>
            {
                stop.ThrowIfCancellationRequested();
                return c.Tried(own => own.With(mend));
            });
            left = [.. Enumerable.Range(0, cases.Count).Where(i => PartRemedies.WhyNot(cases[i], tried[i]) is not null)];
            // One that takes more than the worst did takes all along.
            if (left.Count == 0 || Mend([.. way.Of(cases[left[0]])]) is not { } more || Wider(mend, more) is not { } wider || wider == mend)
            {
                break;
            }

            mend = wider;
        }

        var mended = cases.Count - left.Count;
        var words = SaidOf(mend, first.First(r => r.Change is MotifMend).Words);
        if (mended == 0)
        {
            return [PartRemedies.Refused(worst, "set", words, Phrase.Say($"it mends none of them."))];
        }

        var ids = cases.Where((_, i) => !left.Contains(i)).Select(c => c.Piece.Id).ToHashSet(StringComparer.Ordinal);
        var counted =
            mended == cases.Count && mended == 2 ? Phrase.Say($"{words}: mends both")
            : mended == cases.Count ? Phrase.Say($"{words}: mends all {mended}")
            : Phrase.Say($"{words}: mends {mended} of {cases.Count}");
        var effect = worst.EffectOf(tried[0]) with { But = cases.Select((c, i) => c.WorseIn(tried[i])).FirstOrDefault(b => b is not null) };
        var key = PartRemedies.Key(mend);
        return
        [
            new Remedy($"motif set {side} {key}", counted)
            {
                Scope = RemedyScope.Motif,
                Effect = effect,
                Change = new MotifMend(side, mend),
            },
            new Remedy($"pieces set {side} {key} {ids.Count}", counted)
            {
                Scope = RemedyScope.Piece,
                Effect = effect,
                Change = new PiecesChange(ids, side, own => own.With(mend)),
            },
        ];
    }

    private static PartMend? Mend(IReadOnlyList<Remedy> remedies) =>
        remedies.Select(r => r.Change).OfType<MotifMend>().FirstOrDefault()?.Mend;

    /// <summary>The words of a change whose amount may have grown since they were said.</summary>
    private static Phrase SaidOf(PartMend mend, Phrase words) =>
        mend.Strengthen.IsEmpty ? words : Phrase.Say($"Strengthen by {Read(mend.Strengthen):fine}");

    private static Length Read(TypedLength typed) => typed.OrZero(LengthRange.Margin);

    /// <summary>A change that does what two of the same kind do; null where they differ in more than an amount.</summary>
    private static PartMend? Wider(PartMend one, PartMend other)
    {
        static TypedLength Larger(TypedLength a, TypedLength b) =>
            b.OrZero(LengthRange.Margin).Millimetres > a.OrZero(LengthRange.Margin).Millimetres ? b : a;
        return one.TypefaceId != other.TypefaceId
            ? null
            : one with
            {
                Strengthen = Larger(one.Strengthen, other.Strengthen),
                Thick = Larger(one.Thick, other.Thick),
                Apart = Larger(one.Apart, other.Apart),
                Ink = new InkMending
                {
                    Dots = Larger(one.Ink.Dots, other.Ink.Dots),
                    Counters = Larger(one.Ink.Counters, other.Ink.Counters),
                    Tips = Larger(one.Ink.Tips, other.Ink.Tips),
                },
            };
    }
}
