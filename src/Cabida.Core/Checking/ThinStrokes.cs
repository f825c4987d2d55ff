using Cabida.Core.Findings;
using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using Cabida.Core.Wording;

namespace Cabida.Core.Checking;

/// <summary>Strokes thinner than the film weeds cleanly: necks always, tips when longer than twice the limit.</summary>
public sealed class ThinStrokes : ICheck
{
    /// <summary>More of them than this say nothing new; the thinnest are shown.</summary>
    private const int MostShown = 6;

    /// <inheritdoc/>
    public IEnumerable<Finding> Look(CheckedFit piece)
    {
        ArgumentNullException.ThrowIfNull(piece);
        return piece
            .Films.SelectMany(f => f.Facts.Thin.Select(t => (Thin: t, Limit: f.Film.ThinnestStroke.OrZero(LengthRange.Artwork))))
            .OrderBy(t => t.Thin.LeastWidth)
            .Take(MostShown)
            .Select(t => new Finding(Rule.ThinStrokes, Severity.Look, Say(piece, t.Thin, t.Limit))
            {
                Places = [t.Thin.At],
                Figure = t.Thin.LeastWidth,
                Limit = t.Limit.Millimetres,
            });
    }

    private static Phrase Say(CheckedFit piece, ThinPart thin, Length limit)
    {
        var what = thin.Kind == ThinKind.Tip ? "A tip" : "A stroke";
        var letter = piece.Fit.Parts.Select(p => p.LetterAt(thin.At)).FirstOrDefault(l => l is not null);
        var where = letter is null ? Phrase.Empty : Phrase.Say($" in {letter:strong}");
        return Phrase.Say(
            $"{what} of {Length.Mm(thin.LeastWidth):strong fine}{where}, {Length.Mm(thin.Length)} long; this film weeds cleanly "
                + $"from {limit:fine}."
        );
    }
}
