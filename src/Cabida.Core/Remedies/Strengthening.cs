using Cabida.Core.Checking;
using Cabida.Core.Findings;
using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using Cabida.Core.Motifs;
using Cabida.Core.Wording;

namespace Cabida.Core.Remedies;

/// <summary>
/// Outlines grown by half of what is lacking, and again after the piece is fitted anew, as long as no parts meet and no counter closes
/// (calculations 3.8). Of a stencil, whose ink is the hole, it mends openings that are too narrow.
/// </summary>
internal sealed class Strengthening : IMending
{
    private const int MostTries = 5;

    /// <summary>Beyond this lettering is another face; millimetres.</summary>
    private const double Most = 5;

    /// <inheritdoc/>
    public IEnumerable<Remedy> Of(MendCase @case)
    {
        if (@case is { Finding: { Rule: Rule.ThinStrokes, Limit: { } least }, Placed.Part: RulePart, IsStencil: false })
        {
            var thick = TypedLength.Mm(Up(least));
            return PartRemedies.Tried(
                @case,
                "thick",
                new PartMend(@case.Finding.Part) { Thick = thick },
                Phrase.Say($"Make it {thick.OrZero(LengthRange.Artwork):fine} thick")
            );
        }

        if (
            @case.Finding.Rule != (@case.IsStencil ? Rule.NarrowGaps : Rule.ThinStrokes)
            || @case is not { Film: { } film, Finding: { Figure: { } figure, Limit: { } limit } }
            || Has(@case) is not { } has
        )
        {
            return [];
        }

        var by = has;
        for (var (tries, lacking) = (0, limit - figure); tries < MostTries && lacking > 0 && by < Most; tries++)
        {
            by = Up(by + (lacking / 2));
            var mend = new PartMend(@case.Finding.Part) { Strengthen = TypedLength.Mm(by) };
            var tried = @case.Tried(own => own.With(mend));
            if (Meets(film, tried))
            {
                break;
            }

            if (@case.IsMended(tried))
            {
                var words = Said(by - has, by, has);
                return PartRemedies.WhyNot(@case, tried) is { } why
                    ? [PartRemedies.Refused(@case, "strengthen", words, why)]
                    : PartRemedies.Offered(@case, "strengthen", mend, words, tried);
            }

            lacking = limit - (@case.FigureIn(tried) ?? limit);
        }

        return [PartRemedies.Refused(@case, "strengthen", Said(by - has, by, has), WhatMeets(@case))];
    }

    private static Phrase Said(double more, double by, double has) =>
        has > 0
            ? Phrase.Say($"Strengthen by {Length.Mm(more):fine} more, {Length.Mm(by):fine} in all")
            : Phrase.Say($"Strengthen by {Length.Mm(by):fine}");

    /// <summary>How far it is strengthened already, on the finished piece; null for what cannot be.</summary>
    private static double? Has(MendCase @case) =>
        @case.Placed?.Part switch
        {
            LetteringPart line => line.Strengthen.At(Scales.Both(@case.Fit.Scale), LengthRange.Margin),
            GraphicPart graphic => graphic.Strengthen.At(Scales.Both(@case.Fit.Scale), LengthRange.Margin),
            _ => null,
        };

    /// <summary>A length as it is typed, to a hundredth.</summary>
    private static double Up(double by) => Math.Ceiling((by * 100) - 1e-6) / 100;

    /// <summary>Whether another number of parts or of holes than before is left of a layer.</summary>
    private static bool Meets(CheckedFilm before, CheckedFit tried)
    {
        static (int Parts, int Holes) Of(NetTopologySuite.Geometries.Geometry ink)
        {
            var parts = Outlines.PolygonsOf(ink).ToList();
            return (parts.Count, parts.Sum(p => p.NumInteriorRings));
        }

        var after = tried.Films.FirstOrDefault(f => f.Layer == before.Layer);
        return after is not null && Of(after.Facts.Ink) != Of(before.Facts.Ink);
    }

    private static Phrase WhatMeets(MendCase @case) =>
        @case.Placed?.Line is { } line && line.GrowthOf(Most).First is { } first
            ? Phrase.Say($"beyond {Length.Mm(first.Limit):fine} parts of it meet or a counter closes.")
            : Phrase.Say($"parts of it would meet or a counter would close.");
}
