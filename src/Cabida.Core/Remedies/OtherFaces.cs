using Cabida.Core.Findings;
using Cabida.Core.Motifs;
using Cabida.Core.Type;
using Cabida.Core.Wording;

namespace Cabida.Core.Remedies;

/// <summary>
/// Another face: of those that have all letters the one nearest in kind and in width that keeps the rule and makes nothing else worse.
/// </summary>
internal sealed class OtherFaces : IMending
{
    /// <summary>No more faces are tried on a piece than this.</summary>
    private const int MostTried = 12;

    /// <summary>A face of another kind counts as if it were wider by so much; the logarithm of a share.</summary>
    private const double OtherKind = 0.4;

    private const double Em = 100;

    /// <inheritdoc/>
    public IEnumerable<Remedy> Of(MendCase @case)
    {
        if (
            @case.Finding.Rule is not (Rule.ThinStrokes or Rule.NarrowGaps or Rule.Specks or Rule.Counters)
            || @case is not { Placed: { Part: LetteringPart part, Line.Line: var line } }
        )
        {
            return [];
        }

        foreach (var (face, _) in Nearest(@case.Basis, line, part).Take(MostTried))
        {
            var mend = new PartMend(part.Id) { TypefaceId = face.Info.Id };
            var tried = @case.Tried(own => own.With(mend));
            if (PartRemedies.WhyNot(@case, tried) is null && @case.EffectOf(tried).But is null)
            {
                return PartRemedies.Offered(@case, "face", mend, Phrase.Say($"Set it in {face.Info.Name}"), tried);
            }
        }

        return
        [
            PartRemedies.Refused(
                @case,
                "face",
                Phrase.Say($"Set it in another face"),
                Phrase.Say($"none of the {MostTried} nearest faces keeps this rule and makes nothing else worse.")
            ),
        ];
    }

    private static IEnumerable<(ITypeface Face, double Far)> Nearest(Fitting.FitBasis basis, LetteringLine line, LetteringPart part)
    {
        double? Wide(LetteringLine of) => of.BoxAt(Em) is { Width: > 0 } box ? Math.Log(box.Width / of.Face.CapitalHeight) : null;
        var (now, own) = (Wide(line), basis.Faces.Find(part.TypefaceId));
        return basis
            .Faces.All.Where(f => f.Id != part.TypefaceId)
            .Select(f => basis.Faces.Find(f.Id))
            .OfType<ITypeface>()
            .Where(f => TypefaceTraits.Lacking(f, line.Text).Count == 0)
            .Select(f =>
                (
                    Face: f,
                    Wide: Wide(new LetteringLine(line.Text, f, new LineSetting(part.Spacing / 1000, part.WordSpacing / 1000, [], []), basis.Cache))
                )
            )
            .Where(f => f.Wide is not null && now is not null)
            .Select(f => (f.Face, Math.Abs(f.Wide!.Value - now!.Value) + (f.Face.Info.Kind == own?.Info.Kind ? 0 : OtherKind)))
            .OrderBy(f => f.Item2)
            .ThenBy(f => f.Face.Info.Id, StringComparer.Ordinal);
    }
}
