using Cabida.Core.Findings;
using Cabida.Core.Measures;
using Cabida.Core.Wording;

namespace Cabida.Core.Blanks;

/// <summary>
/// Girths that lie far from those beside them, which are more often misread than real. A wall may well be so; read a second time by a
/// tool that goes round, or in two ways that agree, it is believed.
/// </summary>
internal static class FarGirth
{
    /// <summary>A girth between two others, further from the line through them than this share of it, is pointed out.</summary>
    private const double OffLine = 0.2;

    /// <summary>A girth less than this share of the one beside it is pointed out.</summary>
    private const double OffNeighbour = 0.55;

    /// <summary>The two girths of a taper: a diameter typed where a girth belongs makes a wall that might be, and is not.</summary>
    public static void Taper(Estimates rows, Dimension upper, Dimension lower, List<Finding> findings) =>
        Ends(rows, (WallReadings.Upper, upper), (WallReadings.Lower, lower), findings);

    /// <summary>The girths of a bellied wall, lowest first.</summary>
    public static void Belly(Estimates rows, List<(string Of, GirthRing Ring)> sorted, List<Finding> findings)
    {
        var far = new HashSet<string>();
        for (var i = 1; i + 1 < sorted.Count; i++)
        {
            var (below, at, above) = (sorted[i - 1].Ring, sorted[i].Ring, sorted[i + 1].Ring);
            var ring = BellyReadings.At(sorted[i].Of);
            var share = (at.V - below.V) / (above.V - below.V);
            var line = Length.Mm(((1 - share) * below.Girth.Value.Millimetres) + (share * above.Girth.Value.Millimetres));
            // Beside an end that is off, it is the end that pulls the line away.
            var besideOff =
                (i == 1 && IsOff(sorted[0], sorted[1]) && !IsOff(sorted[1], sorted[2]))
                || (i == sorted.Count - 2 && IsOff(sorted[^1], sorted[^2]) && !IsOff(sorted[^2], sorted[^3]));
            if (besideOff || Math.Abs((at.Girth.Value / line) - 1) <= OffLine || IsBelieved(rows, ring))
            {
                continue;
            }

            far.Add(sorted[i].Of);
            var why = LikelyMistake.About(line, SuspectOf(rows, ring, at.Girth.Value))
                ?? Phrase.Say($"Read it once more; when both readings agree they are believed.");
            findings.Add(
                BlankFindings.LookAt(
                    [ring.Girth],
                    Phrase
                        .Say(
                            $"{"Girth " + sorted[i].Of:strong} is {at.Girth.Value}, but the girths below and above it, "
                                + $"{below.Girth.Value} and {above.Girth.Value}, would make it about {line}."
                        )
                        .Then(why)
                )
            );
        }

        // What is told of one in the middle is not told once more of the outer one beside it.
        foreach (var (end, beside) in new[] { (0, 1), (sorted.Count - 1, sorted.Count - 2) }.Where(e => !far.Contains(sorted[e.Item2].Of)))
        {
            Ends(
                rows,
                (BellyReadings.At(sorted[end].Of), sorted[end].Ring.Girth),
                (BellyReadings.At(sorted[beside].Of), sorted[beside].Ring.Girth),
                findings
            );
        }
    }

    private static bool IsOff((string Of, GirthRing Ring) a, (string Of, GirthRing Ring) b) =>
        Math.Exp(-Math.Abs(Math.Log(a.Ring.Girth.Value / b.Ring.Girth.Value))) < OffNeighbour;

    private static void Ends(
        Estimates rows,
        (RoundRows Rows, Dimension Girth) a,
        (RoundRows Rows, Dimension Girth) b,
        List<Finding> findings
    )
    {
        var (less, more) = a.Girth.Value < b.Girth.Value ? (a, b) : (b, a);
        if (less.Girth.Value / more.Girth.Value >= OffNeighbour || (IsBelieved(rows, less.Rows) && IsBelieved(rows, more.Rows)))
        {
            return;
        }

        var why = (IsBelieved(rows, less.Rows) ? null : LikelyMistake.About(more.Girth.Value, SuspectOf(rows, less.Rows, less.Girth.Value)))
            ?? (IsBelieved(rows, more.Rows) ? null : LikelyMistake.About(less.Girth.Value, SuspectOf(rows, more.Rows, more.Girth.Value)))
            ?? Phrase.Say($"Read both once more; when the readings agree they are believed.");
        findings.Add(
            BlankFindings.LookAt(
                [a.Rows.Girth, b.Rows.Girth],
                Phrase
                    .Say(
                        $"{$"{rows.Title(Row(rows, less.Rows), less.Rows.Of)}":strong} makes {less.Girth.Value} round the wall, and "
                            + $"{rows.Title(Row(rows, more.Rows), more.Rows.Of)} makes {more.Girth.Value}: few walls narrow so much."
                    )
                    .Then(why)
            )
        );
    }

    private static DimensionKind Row(Estimates rows, RoundRows ring) => rows.Is(ring.Girth, ring.Of) is null ? ring.Across : ring.Girth;

    private static bool IsBelieved(Estimates rows, RoundRows ring) =>
        RoundReadings.ReadInTwoWays(rows, ring)
        || (
            Row(rows, ring) == ring.Girth
                ? rows.How(ring.Girth, ring.Of) is { Count: > 1, CouldGoRound: true }
                : rows.How(ring.Across, ring.Of).Count > 1
        );

    private static Suspect SuspectOf(Estimates rows, RoundRows ring, Length girth) =>
        Row(rows, ring) == ring.Girth
            ? new Suspect("it", SuspectIs.Girth, girth, rows.How(ring.Girth, ring.Of))
            : new Suspect("the girth from across", SuspectIs.Diameter, girth, rows.How(ring.Across, ring.Of));
}
