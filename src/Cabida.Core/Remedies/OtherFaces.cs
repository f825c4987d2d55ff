using Cabida.Core.Findings;
using Cabida.Core.Fitting;
using Cabida.Core.Measures;
using Cabida.Core.Motifs;
using Cabida.Core.Stock;
using Cabida.Core.Type;
using Cabida.Core.Wording;

namespace Cabida.Core.Remedies;

/// <summary>
/// Another face: of those that have all letters the one nearest in kind and in width that keeps the rule and makes nothing else worse.
/// </summary>
internal sealed class OtherFaces : IMending
{
    /// <summary>No more faces are looked at than this, and no more of those that keep the rule are tried on the piece.</summary>
    private const int MostLookedAt = 16;

    private const int MostTried = 3;

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

        // No letter has a stroke, a gap or a dot as large as itself.
        if (@case is { Film.Limits: var limits, Placed.CapitalHeight: > 0 and var high } && Wanted(@case.Finding.Rule, limits) >= high)
        {
            var wanted = Length.Mm(Wanted(@case.Finding.Rule, limits));
            return [Refused(@case, Phrase.Say($"letters of {Length.Mm(high):fine} cannot keep {wanted:fine}."))];
        }

        var nearest = Nearest(@case.Basis, line, part).Take(MostLookedAt).Where(f => Keeps(@case, f.Line));
        foreach (var face in nearest.Take(MostTried).Select(f => f.Line.Face))
        {
            var mend = new PartMend(part.Id) { TypefaceId = face.Info.Id };
            var tried = @case.Tried(own => own.With(mend));
            if (PartRemedies.WhyNot(@case, tried) is null && @case.WorseIn(tried) is null)
            {
                return PartRemedies.Offered(@case, "face", mend, Phrase.Say($"Set it in {face.Info.Name}"), tried);
            }
        }

        return [Refused(@case, Phrase.Say($"none of the {MostLookedAt} nearest faces keeps this rule and makes nothing else worse."))];
    }

    private static Remedy Refused(MendCase @case, Phrase why) =>
        PartRemedies.Refused(@case, "face", Phrase.Say($"Set it in another face"), why);

    private static double Wanted(Rule rule, FilmLimits limits) =>
        rule switch
        {
            Rule.ThinStrokes => limits.Stroke,
            Rule.NarrowGaps => limits.Gap,
            _ => Math.Min(limits.SpeckAcross, limits.SpeckDisc),
        };

    /// <summary>Whether a line as high as the one there is keeps the rule by itself: what does not is not fitted at all.</summary>
    private static bool Keeps(MendCase @case, LetteringLine line)
    {
        if (@case is not { Film: { } film, Placed: { CapitalHeight: > 0 and var height, Part: LetteringPart part } })
        {
            return true;
        }

        var grow = part.Strengthen.At(Scales.Both(@case.Fit.Scale), LengthRange.Margin);
        var formed = new FormedLine(line, height / line.Face.CapitalHeight, LineForm.Plain with { Grow = grow }, @case.Basis.Cache);
        var key = FormattableString.Invariant(
            $"line {line.Face.Info.Id} {height:R} {grow:R} {part.Spacing} {part.WordSpacing} {line.Text}"
        );
        var facts = @case.FactsOf(key, formed.Ink, film.Limits);
        return @case.Finding.Rule switch
        {
            Rule.ThinStrokes => facts.Strokes.Count == 0,
            Rule.NarrowGaps => facts.Gaps.Count == 0,
            Rule.Specks => facts.Specks.Count == 0,
            _ => facts.Counters.Count == 0,
        };
    }

    private static IEnumerable<(LetteringLine Line, double Far)> Nearest(FitBasis basis, LetteringLine line, LetteringPart part)
    {
        double? Wide(LetteringLine of) => of.BoxAt(Em) is { Width: > 0 } box ? Math.Log(box.Width / of.Face.CapitalHeight) : null;
        var (now, own) = (Wide(line), basis.Faces.Find(part.TypefaceId));
        var setting = new LineSetting(part.Spacing / 1000, part.WordSpacing / 1000, [], []);
        return basis
            .Faces.All.Where(f => f.Id != part.TypefaceId)
            .Select(f => basis.Faces.Find(f.Id))
            .OfType<ITypeface>()
            .Where(f => TypefaceTraits.Lacking(f, line.Text).Count == 0)
            .Select(f => new LetteringLine(line.Text, f, setting, basis.Cache))
            .Select(l => (Line: l, Wide: Wide(l)))
            .Where(l => l.Wide is not null && now is not null)
            .Select(l => (l.Line, Far: Math.Abs(l.Wide!.Value - now!.Value) + (l.Line.Face.Info.Kind == own?.Info.Kind ? 0 : OtherKind)))
            .OrderBy(l => l.Far)
            .ThenBy(l => l.Line.Face.Info.Id, StringComparer.Ordinal);
    }
}
