using Cabida.Core.Findings;
using Cabida.Core.Measures;
using Cabida.Core.Pieces;
using Cabida.Core.Runs;
using Cabida.Core.Wording;

namespace Cabida.Core.Remedies;

/// <summary>The least size at which the rule is kept, if the room allows it.</summary>
internal sealed class Enlarging : IMending
{
    private const int MostTries = 4;

    /// <inheritdoc/>
    public IEnumerable<Remedy> Of(MendCase @case)
    {
        if (
            @case.Finding.Rule is not (Rule.ThinStrokes or Rule.NarrowGaps or Rule.Specks or Rule.Counters)
            || @case is not { Finding: { Figure: > 0 and { } figure, Limit: { } limit }, Fit.LetterHeight: > 0 and { } now }
        )
        {
            yield break;
        }

        var (side, height) = (@case.Finding.Side, now);
        var most = @case.Fit.LargestLetterHeight;
        if (@case.Own.LetterHeight.IsEmpty && @case.Sizing == Sizing.EachLargest)
        {
            yield return PartRemedies.Refused(
                @case,
                "larger",
                Phrase.Say($"Make it larger"),
                Phrase.Say($"it is as large as its room allows already.")
            );
            yield break;
        }

        for (var tries = 0; tries < MostTries && figure < limit; tries++)
        {
            height = Math.Ceiling((height * limit / figure * 10) - 1e-6) / 10;
            var typed = TypedLength.Mm(height);
            var words = Phrase.Say($"Make it larger, {Length.Mm(height)} high");
            if (height > most + 1e-6)
            {
                yield return PartRemedies.Refused(
                    @case,
                    "larger",
                    words,
                    Phrase.Say($"its room allows {Length.Mm(RunSet.LettersDown(most!.Value))}.")
                );
                yield break;
            }

            var tried = @case.Tried(own => own with { LetterHeight = typed });
            if (PartRemedies.WhyNot(@case, tried) is { } why)
            {
                if (@case.FigureIn(tried) is { } left and > 0 && tries < MostTries - 1)
                {
                    figure = left;
                    continue;
                }

                yield return PartRemedies.Refused(@case, "larger", words, why);
                yield break;
            }

            if (@case is { Sizing: Sizing.OneLetterHeight, LargestForAll: { } all } && side.Length == 0 && @case.Own.LetterHeight.IsEmpty)
            {
                var together = Phrase.Say($"Make all larger, {Length.Mm(height)} high");
                yield return height > all + 1e-6
                    ? PartRemedies.Refused(
                        @case,
                        "larger all",
                        together,
                        Phrase.Say($"not every name has room for more than {Length.Mm(all)}.")
                    )
                    : SizeRemedies.SetUp(FormattableString.Invariant($"larger all {height}"), together, s =>
                        s with
                        {
                            LetterHeight = typed,
                        }
                    ) with
                    {
                        Effect = @case.EffectOf(tried),
                    };
            }

            yield return new Remedy(FormattableString.Invariant($"piece larger {@case.Piece.Id} {side} {height}"), words)
            {
                Scope = RemedyScope.Piece,
                Effect = @case.EffectOf(tried),
                Change = new PiecesChange(@case.Piece.Id, side, own => own with { LetterHeight = typed }),
            };
            yield break;
        }
    }
}
