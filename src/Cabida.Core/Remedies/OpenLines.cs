using Cabida.Core.Findings;
using Cabida.Core.Motifs;
using Cabida.Core.Wording;

namespace Cabida.Core.Remedies;

/// <summary>What else could become of outlines of a graphic that do not close.</summary>
internal sealed class OpenLines : IMending
{
    private static readonly (OpenOutlines To, string Words)[] Ways =
    [
        (OpenOutlines.Strokes, "Cut them as strokes"),
        (OpenOutlines.Closed, "Close them by straight lines"),
        (OpenOutlines.LeftOut, "Leave them out"),
    ];

    /// <inheritdoc/>
    public IEnumerable<Remedy> Of(MendCase @case)
    {
        if (@case is not { Finding.Rule: Rule.OpenCuts, Placed.Part: GraphicPart graphic })
        {
            yield break;
        }

        foreach (var (to, said) in Ways.Where(w => w.To != graphic.Open))
        {
            var mend = new PartMend(graphic.Id) { Open = to };
            var (words, tried) = (Phrase.Say($"{said}"), @case.Tried(own => own.With(mend)));
            yield return tried.Fit.State == Fitting.FitState.NotSet
                ? PartRemedies.Refused(@case, $"open {to}", words, Phrase.Say($"nothing would be left of it."))
                : PartRemedies.Offered(@case, $"open {to}", mend, words, tried).Last();
        }
    }
}
