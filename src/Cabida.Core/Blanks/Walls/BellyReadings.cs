using Cabida.Core.Findings;
using Cabida.Core.Measures;
using Cabida.Core.Wording;

namespace Cabida.Core.Blanks;

/// <summary>Girths at heights → a bellied wall; gaps, disorder and girths that stand out become findings.</summary>
internal static class BellyReadings
{
    private const int Fewest = 3;

    public static BelliedWall? Of(int girths, Estimates rows, List<Finding> findings)
    {
        var height = rows.Ask(
            DimensionKind.Height,
            Phrase.Say($"Read the height along the wall: lay a strip of paper against it from base to rim."),
            findings
        );
        var rings = new List<(string Of, GirthRing Ring)>();
        for (var i = 1; i <= girths; i++)
        {
            var nth = DimensionRows.Nth(i);
            var (girth, up) = (RoundReadings.Of(rows, At(nth), findings), rows.Is(DimensionKind.UpTo, nth));
            if (girth is not null && up is not null)
            {
                rings.Add((nth, new GirthRing(up.Value.Millimetres, girth)));
            }
            else if (girth is not null || up is not null)
            {
                findings.Add(
                    BlankFindings.LookAt(
                        [girth is null ? DimensionKind.GirthAt : DimensionKind.UpTo],
                        girth is null
                            ? Phrase.Say($"Girth {nth} has a height but was not read; it is left out.")
                            : Phrase.Say($"Girth {nth} was read, but not how far up; it is left out.")
                    )
                );
            }
        }

        if (rings.Count < Fewest)
        {
            findings.Add(
                BlankFindings.Ask(
                    DimensionKind.GirthAt,
                    Phrase.Say(
                        $"Read the girth, or across, at {Fewest} heights or more, each with how far up from the base it was taken; "
                            + $"{rings.Count} can be used so far. The widest place and both ends of where artwork may go are the best."
                    )
                )
            );
            return null;
        }

        var sorted = rings.OrderBy(r => r.Ring.V).ToList();
        if (sorted.Zip(sorted.Skip(1)).FirstOrDefault(p => p.Second.Ring.V - p.First.Ring.V < 1) is { First.Of: { } one } twice)
        {
            findings.Add(
                BlankFindings.Cannot(
                    [DimensionKind.UpTo],
                    Phrase.Say(
                        $"Girths {one} and {twice.Second.Of} were taken at the same height, {Length.Mm(twice.First.Ring.V)}. Read "
                            + $"one of them elsewhere, or type its readings beside the other's."
                    )
                )
            );
            return null;
        }

        if (height is null)
        {
            return null;
        }

        if (sorted[^1].Ring.V > (height.Value + height.Uncertainty).Millimetres)
        {
            findings.Add(
                BlankFindings.Cannot(
                    [DimensionKind.UpTo, DimensionKind.Height],
                    Phrase.Say(
                        $"Girth {sorted[^1].Of} was taken {Length.Mm(sorted[^1].Ring.V)} up, which is above the rim at {height.Value}."
                    )
                )
            );
            return null;
        }

        FarGirth.Belly(rows, sorted, findings);
        var narrowest = sorted.MinBy(r => r.Ring.Girth.Value).Ring.Girth;
        if (!WallReadings.Handle(rows, narrowest, findings, out var handle))
        {
            return null;
        }

        if (TooSteep(sorted, findings))
        {
            return null;
        }

        // Beyond the outermost girths the wall goes on as it went there, which a height that was misread carries to a point.
        var wall = new BelliedWall(new Belly([.. sorted.Select(r => r.Ring)]), height, handle);
        var (rim, whole) = (height.Value.Millimetres, wall.Whole);
        if (new[] { 0, rim }.Any(v => !(wall.Belly.GirthAt(v) > LeastGirth && whole.GirthAt(v).Value.Millimetres > LeastGirth)))
        {
            var (lowest, highest) = (Length.Mm(sorted[0].Ring.V), Length.Mm(sorted[^1].Ring.V));
            findings.Add(
                BlankFindings.Cannot(
                    [DimensionKind.Height, DimensionKind.UpTo],
                    Phrase.Say(
                        $"Carried on to the rim at {height.Value} and to the base, this wall would come to a point: girths were "
                            + $"read from {lowest} to {highest} only. Read {rows.Letter(DimensionKind.Height)} again, or a girth nearer "
                            + $"to that end."
                    )
                )
            );
            return null;
        }

        return wall;
    }

    /// <summary>Nothing that is held in a hand is less round at its rim or base; millimetres.</summary>
    private const double LeastGirth = 5;

    /// <summary>The rows of one girth.</summary>
    internal static RoundRows At(string nth) => new($"the wall at girth {nth}", DimensionKind.GirthAt, DimensionKind.AcrossAt) { Of = nth };

    /// <summary>Between two girths no wall is shorter than the step between their radii.</summary>
    private static bool TooSteep(List<(string Of, GirthRing Ring)> sorted, List<Finding> findings)
    {
        foreach (var (a, b) in sorted.Zip(sorted.Skip(1)))
        {
            var step = Math.Abs((a.Ring.Girth.Value - b.Ring.Girth.Value).Millimetres) / (2 * Math.PI);
            if (step >= b.Ring.V - a.Ring.V)
            {
                findings.Add(
                    BlankFindings.Cannot(
                        [DimensionKind.GirthAt, DimensionKind.UpTo],
                        Phrase.Say(
                            $"From girth {a.Of} to girth {b.Of} the radius changes by {Length.Mm(step)}, but the wall between them "
                                + $"is only {Length.Mm(b.Ring.V - a.Ring.V)} long. Read both, and their heights, again."
                        )
                    )
                );
                return true;
            }
        }

        return false;
    }
}
