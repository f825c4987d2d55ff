using Cabida.Core.Measures;
using Cabida.Core.Wording;

namespace Cabida.Core.Blanks;

/// <summary>What the readings of one size of a blank amount to.</summary>
/// <param name="Rows">All rows, worked out.</param>
/// <param name="Of">The size; empty where there are none.</param>
internal sealed record Estimates(IReadOnlyList<DimensionResult> Rows, string Of)
{
    /// <summary>A dimension; null when it was not read.</summary>
    public Dimension? Is(DimensionKind kind, string? of = null) => Row(kind, of)?.Is;

    /// <summary>Its letter and name.</summary>
    public string Title(DimensionKind kind, string? of = null) => Row(kind, of)?.Row.Title ?? "";

    /// <summary>A dimension that is needed; a finding asks for it when it was not read.</summary>
    public Dimension? Ask(DimensionKind kind, Phrase asking, List<BlankFinding> findings)
    {
        var found = Is(kind);
        if (found is null)
        {
            findings.Add(BlankFinding.Ask(kind, Of.Length > 0 ? Phrase.Say($"{Of:strong}: {asking}") : asking));
        }

        return found;
    }

    private DimensionResult? Row(DimensionKind kind, string? of) => Rows.FirstOrDefault(r => r.Row.Kind == kind && r.Row.Of == (of ?? Of));
}

/// <summary>Readings that must agree: a finding explains with figures where they do not, and the likeliest mistake.</summary>
internal static class Agreement
{
    /// <summary>A girth and a diameter of the same wall.</summary>
    public static void GirthAndAcross(
        Dimension girth, Dimension across, string title, DimensionKind a, DimensionKind b, List<BlankFinding> findings, string otherwise = "A bead at the rim or a loose tape would explain it.")
    {
        var agreement = GirthAgreement.Of(girth, across);
        if (agreement.Agrees)
        {
            return;
        }

        var apart = Length.Mm(Math.Abs(agreement.Difference.Millimetres));
        var why = LikelyMistake.Of(agreement.AcrossFromGirth, across.Value, isAcross: true)
            ?? LikelyMistake.Of(across.Value * Math.PI, girth.Value)
            ?? Phrase.Say($"{otherwise}");
        findings.Add(new BlankFinding(false, [a, b], Phrase.Say(
            $"{title:strong} A girth of {girth.Value} means {agreement.AcrossFromGirth} across; you measured {across.Value}. Round the wall that is {apart} apart, and their uncertainties allow {agreement.Allowed}. {why} Read both again; until then the girth is used.")));
    }

    /// <summary>Two ways to the same dimension; a finding is worded when they lie further apart than both allow.</summary>
    /// <param name="expected">What follows from the others.</param>
    /// <param name="read">What was read.</param>
    /// <param name="kind">What it is about.</param>
    /// <param name="findings">Where the finding goes.</param>
    /// <param name="words">The finding, given how far they differ and how far they may.</param>
    public static void Same(
        Dimension expected, Dimension read, DimensionKind kind, List<BlankFinding> findings, Func<Length, Length, Phrase> words)
    {
        var differ = Length.Mm(Math.Abs((expected.Value - read.Value).Millimetres));
        var allowed = Dimension.Combined(expected.Uncertainty, read.Uncertainty);
        if (differ <= allowed)
        {
            return;
        }

        var told = words(differ, allowed);
        findings.Add(new BlankFinding(false, [kind], LikelyMistake.Of(expected.Value, read.Value) is { } mistake ? told.Then(mistake) : told));
    }

    /// <summary>What cannot be larger than something else.</summary>
    public static bool Smaller(
        Dimension? inner, Dimension? outer, DimensionKind kind, List<BlankFinding> findings, Func<Length, Phrase> words)
    {
        if (inner is null || outer is null || (inner.Value - outer.Value) <= Dimension.Combined(inner.Uncertainty, outer.Uncertainty))
        {
            return true;
        }

        findings.Add(new BlankFinding(true, [kind], words(inner.Value - outer.Value)));
        return false;
    }
}
