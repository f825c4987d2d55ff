using Cabida.Core.Findings;
using Cabida.Core.Measures;
using Cabida.Core.Wording;

namespace Cabida.Core.Blanks;

/// <summary>Estimated dimensions → a wall; contradictions and gaps become findings.</summary>
internal static class WallReadings
{
    /// <summary>The rows at the upper mark of a taper.</summary>
    internal static readonly RoundRows Upper = new("the wall at the upper mark", DimensionKind.GirthUpper, DimensionKind.AcrossUpper)
    {
        Otherwise = "A rolled rim would explain it.",
    };

    /// <summary>The rows at the lower mark.</summary>
    internal static readonly RoundRows Lower = new("the wall at the lower mark", DimensionKind.GirthLower, DimensionKind.AcrossLower)
    {
        Otherwise = "A rounded base would explain it.",
    };

    public static Wall? Straight(Estimates rows, List<Finding> findings)
    {
        var girth = RoundReadings.Of(
            rows,
            new RoundRows("the wall", DimensionKind.Girth, DimensionKind.Across, DimensionKind.HalfGirth),
            findings
        );
        var height = rows.Is(DimensionKind.Height);
        if (girth is null)
        {
            findings.Add(
                BlankFindings.Ask(
                    DimensionKind.Girth,
                    Phrase.Say(
                        $"Read the girth: lay a strip of paper round the wall and measure it. Across, or half-way round, does as well."
                    )
                )
            );
        }

        if (height is null)
        {
            findings.Add(BlankFindings.Ask(DimensionKind.Height, Phrase.Say($"Read the height of the wall, from the base to the rim.")));
        }

        return girth is not null && height is not null && Handle(rows, girth, findings, out var handle)
            ? new Wall(null, girth, height, Length.Zero, handle)
            : null;
    }

    public static Wall? Tapered(Estimates rows, List<Finding> findings)
    {
        var upper = RoundReadings.Of(rows, Upper, findings);
        var lower = RoundReadings.Of(rows, Lower, findings);
        var upright = rows.Is(DimensionKind.UprightBetween);
        var wall = rows.Is(DimensionKind.WallBetween);
        if (upper is null || lower is null || (wall is null && upright is null))
        {
            Ask(
                upper is null,
                DimensionKind.GirthUpper,
                Phrase.Say($"Read the girth near the top, where the wall begins to be plain. Across it does as well.")
            );
            Ask(
                lower is null,
                DimensionKind.GirthLower,
                Phrase.Say($"Read the girth near the base, on the same wall. Across it does as well.")
            );
            Ask(
                wall is null && upright is null,
                DimensionKind.WallBetween,
                Phrase.Say($"Read the wall between A and B: lay the rule along it. The upright height does as well.")
            );
            return null;
        }

        if (upright is not null)
        {
            var along = Cone.WallFromUpright(upper, lower, upright);
            if (wall is not null)
            {
                Agreement.Same(along, wall, DimensionKind.WallBetween, rows.How(DimensionKind.WallBetween), findings, (differ, allowed) =>
                    Phrase.Say(
                        $"{"C and D do not agree.":strong} An upright {upright.Value} with these girths means {along.Value} along "
                            + $"the wall; you read {wall.Value}. They differ by {differ}, and may by {allowed}. C is used."
                    )
                );
            }

            wall ??= along;
        }

        FarGirth.Taper(rows, upper, lower, findings);
        var up = rows.Is(DimensionKind.RimToUpper);
        var down = rows.Is(DimensionKind.BaseToLower);
        var height = new Dimension(
            wall!.Value + (up?.Value ?? Length.Zero) + (down?.Value ?? Length.Zero),
            Dimension.Combined(wall.Uncertainty, up?.Uncertainty ?? Length.Zero, down?.Uncertainty ?? Length.Zero)
        );
        var mark = down?.Value ?? Length.Zero;
        if (!Handle(rows, upper.Value < lower.Value ? upper : lower, findings, out var handle))
        {
            return null;
        }

        if (Math.Abs((upper.Value - lower.Value).Millimetres) <= Dimension.Combined(upper.Uncertainty, lower.Uncertainty).Millimetres)
        {
            findings.Add(
                BlankFindings.LookAt(
                    [DimensionKind.GirthUpper, DimensionKind.GirthLower],
                    Phrase.Say(
                        $"A and B are equal as far as they are known ({upper.Value} and {lower.Value}): the wall is worked out as straight."
                    )
                )
            );
            var mean = new Dimension((upper.Value + lower.Value) / 2, Dimension.Combined(upper.Uncertainty, lower.Uncertainty) / 2);
            return new Wall(null, mean, height, mark, handle);
        }

        var cone = Cone.Of(upper, lower, wall);
        if (cone.Problem is { } impossible)
        {
            findings.Add(BlankFindings.Cannot([DimensionKind.GirthUpper, DimensionKind.GirthLower, DimensionKind.WallBetween], impossible));
            return null;
        }

        var built = new Wall(cone.Value, lower, height, mark, handle);
        if (built.GirthAt(0).Value <= Length.Zero || built.GirthAt(height.Value.Millimetres).Value <= Length.Zero)
        {
            findings.Add(
                BlankFindings.Cannot(
                    [DimensionKind.RimToUpper, DimensionKind.BaseToLower],
                    Phrase.Say(
                        $"Carried on to the rim and the base, this wall would come to a point. Read "
                            + $"{rows.Letter(DimensionKind.RimToUpper)} and {rows.Letter(DimensionKind.BaseToLower)} again."
                    )
                )
            );
            return null;
        }

        return built;

        void Ask(bool missing, DimensionKind what, Phrase words)
        {
            if (missing)
            {
                findings.Add(BlankFindings.Ask(what, words));
            }
        }
    }

    /// <summary>What a handle blocks; false when it cannot be, or leaves nothing.</summary>
    internal static bool Handle(Estimates rows, Dimension girth, List<Finding> findings, out Dimension? handle)
    {
        handle = rows.Is(DimensionKind.Handle) is { Value: { Millimetres: > 0 } } read ? read : null;
        if (handle is null || handle.Value < girth.Value)
        {
            return true;
        }

        findings.Add(
            BlankFindings.Cannot([DimensionKind.Handle], Phrase.Say($"The handle cannot block {handle.Value} of a girth of {girth.Value}."))
        );
        return false;
    }
}
