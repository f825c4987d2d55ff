using Cabida.Core.Measures;
using Cabida.Core.Wording;

namespace Cabida.Core.Blanks;

/// <summary>Estimated dimensions → a wall; contradictions and gaps become findings.</summary>
internal static class WallReadings
{
    public static Wall? Straight(IReadOnlyList<DimensionResult> rows, List<BlankFinding> findings)
    {
        var girth = Girth(rows, findings);
        var height = Is(rows, DimensionKind.Height);
        if (girth is null)
        {
            findings.Add(new BlankFinding(true, [DimensionKind.Girth], Phrase.Say(
                $"Read the girth: lay a strip of paper round the wall and measure it. Across, or half-way round, does as well.")));
        }

        if (height is null)
        {
            findings.Add(new BlankFinding(true, [DimensionKind.Height], Phrase.Say($"Read the height of the wall, from the base to the rim.")));
        }

        if (girth is null || height is null)
        {
            return null;
        }

        var handle = Is(rows, DimensionKind.Handle);
        if (handle is not null && handle.Value >= girth.Value)
        {
            findings.Add(new BlankFinding(true, [DimensionKind.Handle], Phrase.Say(
                $"The handle cannot block {handle.Value} of a girth of {girth.Value}.")));
            return null;
        }

        return new Wall(null, girth, height, Length.Zero, handle);
    }

    public static Wall? Tapered(IReadOnlyList<DimensionResult> rows, List<BlankFinding> findings)
    {
        var upper = Is(rows, DimensionKind.GirthUpper);
        var lower = Is(rows, DimensionKind.GirthLower);
        var upright = Is(rows, DimensionKind.UprightBetween);
        var wall = Is(rows, DimensionKind.WallBetween);
        if (upper is null || lower is null || (wall is null && upright is null))
        {
            Ask(upper is null, DimensionKind.GirthUpper, Phrase.Say($"Read the girth near the top, where the wall begins to be plain."));
            Ask(lower is null, DimensionKind.GirthLower, Phrase.Say($"Read the girth near the base, on the same wall."));
            Ask(wall is null && upright is null, DimensionKind.WallBetween, Phrase.Say($"Read the wall between A and B: lay the rule along it. The upright height does as well."));
            return null;
        }

        if (upright is not null)
        {
            var along = Cone.WallFromUpright(upper, lower, upright);
            if (wall is not null && Apart(wall, along, out var differ, out var allowed))
            {
                findings.Add(new BlankFinding(false, [DimensionKind.WallBetween, DimensionKind.UprightBetween], Phrase.Say(
                    $"{"C and D do not agree.":strong} An upright {upright.Value} with these girths means {along.Value} along the wall; you read {wall.Value}. They differ by {differ}, and may by {allowed}. C is used.")));
            }

            wall ??= along;
        }

        if (Is(rows, DimensionKind.AcrossUpper) is { } across)
        {
            Compare(upper, across, "A and E do not agree.", "A rolled rim would explain it.", DimensionKind.GirthUpper, DimensionKind.AcrossUpper, findings);
        }

        var up = Is(rows, DimensionKind.RimToUpper);
        var down = Is(rows, DimensionKind.BaseToLower);
        var height = new Dimension(
            wall!.Value + (up?.Value ?? Length.Zero) + (down?.Value ?? Length.Zero),
            Dimension.Combined(wall.Uncertainty, up?.Uncertainty ?? Length.Zero, down?.Uncertainty ?? Length.Zero));
        var mark = down?.Value ?? Length.Zero;
        var handle = Is(rows, DimensionKind.Handle);

        if (Math.Abs((upper.Value - lower.Value).Millimetres) <= Dimension.Combined(upper.Uncertainty, lower.Uncertainty).Millimetres)
        {
            findings.Add(new BlankFinding(false, [DimensionKind.GirthUpper, DimensionKind.GirthLower], Phrase.Say(
                $"A and B are equal as far as they are known ({upper.Value} and {lower.Value}): the wall is worked out as straight.")));
            var mean = new Dimension((upper.Value + lower.Value) / 2, Dimension.Combined(upper.Uncertainty, lower.Uncertainty) / 2);
            return new Wall(null, mean, height, mark, handle);
        }

        var cone = Cone.Of(upper, lower, wall);
        if (cone.Problem is { } impossible)
        {
            findings.Add(new BlankFinding(true, [DimensionKind.GirthUpper, DimensionKind.GirthLower, DimensionKind.WallBetween], impossible));
            return null;
        }

        var built = new Wall(cone.Value, lower, height, mark, handle);
        if (built.GirthAt(0).Value <= Length.Zero || built.GirthAt(height.Value.Millimetres).Value <= Length.Zero)
        {
            findings.Add(new BlankFinding(true, [DimensionKind.RimToUpper, DimensionKind.BaseToLower], Phrase.Say(
                $"Carried on to the rim and the base, this wall would come to a point. Read F and G again.")));
            return null;
        }

        return built;

        void Ask(bool missing, DimensionKind what, Phrase words)
        {
            if (missing)
            {
                findings.Add(new BlankFinding(true, [what], words));
            }
        }
    }

    /// <summary>The girth as read; else from the diameter; else from half-way round. What else was read must agree with it.</summary>
    private static Dimension? Girth(IReadOnlyList<DimensionResult> rows, List<BlankFinding> findings)
    {
        var read = Is(rows, DimensionKind.Girth);
        var across = Is(rows, DimensionKind.Across);
        var half = Is(rows, DimensionKind.HalfGirth)?.Times(2);
        var girth = read ?? across?.Times(Math.PI) ?? half;
        if (read is not null && across is not null)
        {
            Compare(read, across, "A and B do not agree.", "Read both again; a bead at the rim or a loose tape would explain it. A is used.", DimensionKind.Girth, DimensionKind.Across, findings);
        }

        if (girth is not null && half is not null && girth != half && Apart(girth, half, out var differ, out var allowed))
        {
            findings.Add(new BlankFinding(false, [DimensionKind.HalfGirth], Phrase.Say(
                $"{"C does not agree with the girth.":strong} Twice half-way round is {half.Value}, the girth {girth.Value}. They differ by {differ}, and may by {allowed}.")));
        }

        return girth;
    }

    private static void Compare(
        Dimension girth, Dimension across, string title, string advice, DimensionKind a, DimensionKind b, List<BlankFinding> findings)
    {
        var agreement = GirthAgreement.Of(girth, across);
        if (!agreement.Agrees)
        {
            var apart = Length.Mm(Math.Abs(agreement.Difference.Millimetres));
            findings.Add(new BlankFinding(false, [a, b], Phrase.Say(
                $"{title:strong} A girth of {girth.Value} means {agreement.AcrossFromGirth} across; you measured {across.Value}. Round the wall that is {apart} apart, and their uncertainties allow {agreement.Allowed}. {advice}")));
        }
    }

    private static bool Apart(Dimension a, Dimension b, out Length differ, out Length allowed)
    {
        differ = Length.Mm(Math.Abs((a.Value - b.Value).Millimetres));
        allowed = Dimension.Combined(a.Uncertainty, b.Uncertainty);
        return differ > allowed;
    }

    private static Dimension? Is(IReadOnlyList<DimensionResult> rows, DimensionKind kind) =>
        rows.First(r => r.Row.Kind == kind).Is;
}
