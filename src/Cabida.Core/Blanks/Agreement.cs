using Cabida.Core.Findings;
using Cabida.Core.Measures;
using Cabida.Core.Wording;

namespace Cabida.Core.Blanks;

/// <summary>Readings that must agree: a finding explains with figures where they do not, and the likeliest mistake.</summary>
internal static class Agreement
{
    /// <summary>Two ways to the same dimension; a finding is worded when they lie further apart than both allow.</summary>
    /// <param name="expected">What follows from the others.</param>
    /// <param name="read">What was read.</param>
    /// <param name="kind">What it is about.</param>
    /// <param name="how">How it was read.</param>
    /// <param name="findings">Where the finding goes.</param>
    /// <param name="words">The finding, given how far they differ and how far they may.</param>
    public static void Same(
        Dimension expected,
        Dimension read,
        DimensionKind kind,
        ReadHow how,
        List<Finding> findings,
        Func<Length, Length, Phrase> words
    )
    {
        var differ = Length.Mm(Math.Abs((expected.Value - read.Value).Millimetres));
        var allowed = Dimension.Combined(expected.Uncertainty, read.Uncertainty);
        if (differ <= allowed)
        {
            return;
        }

        var told = words(differ, allowed);
        findings.Add(
            BlankFindings.LookAt(
                [kind],
                LikelyMistake.Of(expected.Value, new Suspect("the reading", SuspectIs.Distance, read.Value, how)) is { } mistake
                    ? told.Then(mistake)
                    : told
            )
        );
    }

    /// <summary>What cannot be larger than something else.</summary>
    public static bool Smaller(Dimension? inner, Dimension? outer, DimensionKind kind, List<Finding> findings, Func<Length, Phrase> words)
    {
        if (inner is null || outer is null || (inner.Value - outer.Value) <= Dimension.Combined(inner.Uncertainty, outer.Uncertainty))
        {
            return true;
        }

        findings.Add(BlankFindings.Cannot([kind], words(inner.Value - outer.Value)));
        return false;
    }
}
