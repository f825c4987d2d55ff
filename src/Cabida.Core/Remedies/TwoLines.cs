using Cabida.Core.Checking;
using Cabida.Core.Findings;
using Cabida.Core.Fitting;
using Cabida.Core.Motifs;
using Cabida.Core.Wording;

namespace Cabida.Core.Remedies;

/// <summary>The name on two lines, where it may be broken: broken where its letters become the largest.</summary>
internal sealed class TwoLines : IMending
{
    /// <inheritdoc/>
    public IEnumerable<Remedy> Of(MendCase @case)
    {
        if (
            @case.Finding.Rule is not (Rule.ThinStrokes or Rule.NarrowGaps or Rule.Specks or Rule.Counters or Rule.OutsideZone)
            || @case.Basis.Motif.NameLine is not { } name
            || (@case.Finding.Part.Length > 0 && @case.Finding.Part != name.Id)
            || @case.Own.TwoLines.Length > 0
            || !PieceVariant.CanBreak(name)
            || NameBreaks.Of(Fields.Fill(name.Text, @case.Piece.Fields).Trim()).ToList() is not { Count: > 0 } breaks
        )
        {
            return [];
        }

        var best = breaks
            .Select(b => (Lines: $"{b.First}\n{b.Second}", b))
            .Select(b => (b.Lines, b.b, Tried: @case.Tried(own => own with { TwoLines = b.Lines })))
            .Where(b => PartRemedies.WhyNot(@case, b.Tried) is null && b.Tried.Fit.State != FitState.Over)
            .OrderByDescending(b => b.Tried.Fit.LetterHeight)
            .FirstOrDefault();
        return best.Lines is null
            ?
            [
                PartRemedies.Refused(
                    @case,
                    "lines",
                    Phrase.Say($"Put it on two lines"),
                    Phrase.Say($"it would be there all the same, however it is broken.")
                ),
            ]
            : [Offered(@case, best.Lines, best.b, best.Tried)];
    }

    private static Remedy Offered(MendCase @case, string lines, (string First, string Second) at, CheckedFit tried) =>
        new($"piece lines {@case.Piece.Id} {@case.Finding.Side} {lines}", Phrase.Say($"On two lines, {at.First} / {at.Second}"))
        {
            Scope = RemedyScope.Piece,
            Effect = @case.EffectOf(tried),
            Change = new PiecesChange(@case.Piece.Id, @case.Finding.Side, own => own with { TwoLines = lines }),
        };
}
