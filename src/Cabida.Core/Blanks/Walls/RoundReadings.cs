using Cabida.Core.Findings;
using Cabida.Core.Measures;
using Cabida.Core.Wording;

namespace Cabida.Core.Blanks;

/// <summary>The rows by which one ring of something round is read.</summary>
/// <param name="Place">Where it is, for sentences: “the wall”.</param>
/// <param name="Girth">Once round it.</param>
/// <param name="Across">Across it.</param>
/// <param name="Half">Half-way round it; null where no row asks for that.</param>
internal sealed record RoundRows(string Place, DimensionKind Girth, DimensionKind Across, DimensionKind? Half = null)
{
    /// <summary>Which one, where there are several of the kind; null for the size at hand.</summary>
    public string? Of { get; init; }

    /// <summary>What explains a girth and a diameter that differ, when no mistake does.</summary>
    public string Otherwise { get; init; } = "A bead at the rim or a loose tape would explain it.";
}

/// <summary>
/// Whatever was read of a ring (round it, across it, half-way round) → its girth. What agrees is joined by weight, as readings by different
/// tools are (3.1); of what does not, the girth stands and a finding says with figures how far they are apart.
/// </summary>
internal static class RoundReadings
{
    /// <summary>The girth; null while nothing was read.</summary>
    public static Dimension? Of(Estimates rows, RoundRows ring, List<Finding> findings)
    {
        var girth = rows.Is(ring.Girth, ring.Of);
        var across = rows.Is(ring.Across, ring.Of);
        var half = ring.Half is { } kind ? rows.Is(kind, ring.Of) : null;
        List<(Dimension Girth, Phrase Told)> used = girth is null
            ? []
            : [(girth, Phrase.Say($"{rows.Letter(ring.Girth, ring.Of)} {girth.Value}"))];
        if (across is not null && (girth is null || AcrossAgrees(rows, ring, girth, across, findings)))
        {
            used.Add((across.Times(Math.PI), Phrase.Say($"π × {rows.Letter(ring.Across, ring.Of)} {across.Value}")));
        }

        if (half is not null && (used.Count == 0 || HalfAgrees(rows, ring, Joined(used), half, findings)))
        {
            used.Add((half.Times(2), Phrase.Say($"2 × {rows.Letter(ring.Half!.Value, ring.Of)} {half.Value}")));
        }

        if (used.Count == 0)
        {
            return null;
        }

        var joined = Joined(used);
        var name = ring.Of is null ? $"Round {ring.Place}" : $"Girth {ring.Of}";
        if (used.Count > 1 && rows.Joined.All(j => j.Name != name))
        {
            rows.Joined.Add(
                new WorkedOut(
                    name,
                    Phrase.Say($"{joined.Value} ± {joined.Uncertainty}"),
                    Phrase.Say($"{used.Select(u => u.Told).Aggregate((a, b) => Phrase.Say($"{a} and {b}"))}, by weight")
                )
            );
        }

        return joined;
    }

    /// <summary>Whether something was read in two ways that agree, so that neither can be a slip.</summary>
    public static bool ReadInTwoWays(Estimates rows, RoundRows ring) =>
        rows.Is(ring.Girth, ring.Of) is { } girth && rows.Is(ring.Across, ring.Of) is { } across && GirthAgreement.Of(girth, across).Agrees;

    private static Dimension Joined(List<(Dimension Girth, Phrase Told)> used) => used.Select(u => u.Girth).Aggregate(Dimension.Joined);

    private static bool AcrossAgrees(Estimates rows, RoundRows ring, Dimension girth, Dimension across, List<Finding> findings)
    {
        var agreement = GirthAgreement.Of(girth, across);
        if (agreement.Agrees)
        {
            return true;
        }

        var (a, b) = (rows.Letter(ring.Girth, ring.Of), rows.Letter(ring.Across, ring.Of));
        var apart = Length.Mm(Math.Abs(agreement.Difference.Millimetres));
        var why = LikelyMistake.Between(
            new Suspect("the girth", SuspectIs.Girth, girth.Value, rows.How(ring.Girth, ring.Of)),
            across.Value * Math.PI,
            new Suspect("the distance across", SuspectIs.Diameter, across.Value, rows.How(ring.Across, ring.Of)),
            agreement.AcrossFromGirth
        ) ?? Phrase.Say($"{ring.Otherwise}");
        findings.Add(
            BlankFindings.LookAt(
                [ring.Girth, ring.Across],
                Phrase.Say(
                    $"{$"{First(a, b)} and {Second(a, b)} do not agree.":strong} A girth of {girth.Value} means "
                        + $"{agreement.AcrossFromGirth} across; you measured {across.Value}. Round {ring.Place} that is {apart} apart, "
                        + $"and their uncertainties allow {agreement.Allowed}. {why} Read both again; until then the girth is used."
                )
            )
        );
        return false;
    }

    private static bool HalfAgrees(Estimates rows, RoundRows ring, Dimension girth, Dimension half, List<Finding> findings)
    {
        var twice = half.Times(2);
        var (differ, allowed) = (
            Length.Mm(Math.Abs((girth.Value - twice.Value).Millimetres)),
            Dimension.Combined(girth.Uncertainty, twice.Uncertainty)
        );
        if (differ <= allowed)
        {
            return true;
        }

        var kind = ring.Half!.Value;
        var told = Phrase.Say(
            $"{$"{rows.Letter(kind, ring.Of)} does not agree with the girth.":strong} Twice half-way round is {twice.Value}, the "
                + $"girth {girth.Value}. They differ by {differ}, and may by {allowed}."
        );
        var read = rows.Is(ring.Girth, ring.Of) is not null
            ? new Suspect("the girth", SuspectIs.Girth, girth.Value, rows.How(ring.Girth, ring.Of))
            : new Suspect("the distance across", SuspectIs.Diameter, girth.Value / Math.PI, rows.How(ring.Across, ring.Of));
        var why = LikelyMistake.Between(
            read,
            read.Is == SuspectIs.Girth ? twice.Value : twice.Value / Math.PI,
            new Suspect("half-way round", SuspectIs.HalfGirth, half.Value, rows.How(kind, ring.Of)),
            girth.Value / 2
        );
        findings.Add(BlankFindings.LookAt([kind], why is null ? told : told.Then(why)));
        return false;
    }

    private static string First(string a, string b) => string.CompareOrdinal(a, b) < 0 ? a : b;

    private static string Second(string a, string b) => string.CompareOrdinal(a, b) < 0 ? b : a;
}
