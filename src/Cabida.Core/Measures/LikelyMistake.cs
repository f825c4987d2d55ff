using System.Globalization;
using Cabida.Core.Wording;

namespace Cabida.Core.Measures;

/// <summary>What a reading is of, which decides what it may have been mistaken for.</summary>
public enum SuspectIs
{
    /// <summary>Straight, from mark to mark.</summary>
    Distance,

    /// <summary>Once round.</summary>
    Girth,

    /// <summary>Half-way round.</summary>
    HalfGirth,

    /// <summary>Across something round and hollow, which may have been taken inside.</summary>
    Diameter,
}

/// <summary>A reading that may be mistaken.</summary>
/// <param name="Name">What it is called, with its article and in small letters: “the girth”.</param>
/// <param name="Is">What it is of.</param>
/// <param name="Read">What was read.</param>
/// <param name="How">How it was read.</param>
public sealed record Suspect(string Name, SuspectIs Is, Length Read, ReadHow How);

/// <summary>
/// The mistake that most likely explains a reading which should have been another: a diameter for a girth, half for the
/// whole, a number taken in another unit than it was read in, a misplaced decimal point, digits changed over, a calliper held inside the
/// rim.
/// Only what the reading's own kind, tools and units allow is named: a calliper reads no girth, and what was taken in inches
/// was never a number of inches taken for centimetres.
/// </summary>
public static class LikelyMistake
{
    /// <summary>How near a ratio must be to a mistake's own to be taken for it.</summary>
    private const double Near = 0.025;

    /// <summary>No wall of such goods is thicker.</summary>
    private static readonly Length ThickestWall = Length.Mm(8);

    private static readonly Length ThinnestWall = Length.Mm(0.4);

    /// <summary>
    /// A diameter typed for a girth is the commonest slip; another must come nearer by this (as a logarithm) to be named instead.
    /// </summary>
    private const double Rarer = 0.1;

    private static readonly IReadOnlyList<(double Ratio, Func<Suspect, bool> Can, string Like)> Mistakes =
    [
        (1 / Math.PI, s => s.Is == SuspectIs.Girth, "a diameter"),
        (Math.PI, s => s.Is == SuspectIs.Diameter && s.How.CouldGoRound, "a girth"),
        (1 / 2.54, s => s.How.Units.Contains(LengthUnit.Centimetre), "inches taken as centimetres"),
        (2.54, s => s.How.Units.Contains(LengthUnit.Inch), "centimetres taken as inches"),
        (1 / 25.4, s => s.How.Units.Contains(LengthUnit.Millimetre), "inches taken as millimetres"),
        (25.4, s => s.How.Units.Contains(LengthUnit.Inch), "millimetres taken as inches"),
        (0.1, s => s.How.Units.Contains(LengthUnit.Millimetre), "centimetres taken as millimetres"),
        (10, s => s.How.Units.Contains(LengthUnit.Centimetre), "millimetres taken as centimetres"),
        (0.1, _ => true, "a decimal point set one place too far left"),
        (10, _ => true, "a decimal point set one place too far right"),
        (0.5, s => s.Is == SuspectIs.Girth, "half-way round"),
        (0.5, s => s.Is == SuspectIs.Diameter, "a radius"),
        (0.5, _ => true, "half of it"),
        (2, s => s.Is == SuspectIs.HalfGirth, "the whole way round"),
        (2, _ => true, "twice of it"),
    ];

    /// <summary>The likeliest mistake as a sentence, or null when none comes near.</summary>
    /// <param name="expected">What the other readings make it.</param>
    /// <param name="suspect">What was read.</param>
    public static Phrase? Of(Length expected, Suspect suspect)
    {
        ArgumentNullException.ThrowIfNull(suspect);
        return Like(expected, suspect, Near) is { } like ? Phrase.Say($"{Sentence(suspect.Name)} looks like {like}.") : null;
    }

    /// <summary>
    /// What explains that two readings contradict each other: a mistake in the one, or in the other where both could be.
    /// </summary>
    /// <param name="a">The one.</param>
    /// <param name="aExpected">What the other makes it.</param>
    /// <param name="b">The other.</param>
    /// <param name="bExpected">What the one makes it.</param>
    public static Phrase? Between(Suspect a, Length aExpected, Suspect b, Length bExpected)
    {
        ArgumentNullException.ThrowIfNull(a);
        ArgumentNullException.ThrowIfNull(b);
        var inA = Like(aExpected, a, Near);
        // Where no tool of the girth could go round, it is the girth that was read across, whatever the other could be.
        var inB = inA is not null && a.Is == SuspectIs.Girth && !a.How.CouldGoRound ? null : Like(bExpected, b, Near);
        return inA is { } one && inB is { } two ? Phrase.Say($"{Sentence(a.Name)} looks like {one}, or else {b.Name} like {two}.")
            : inA is not null ? Phrase.Say($"{Sentence(a.Name)} looks like {inA}.")
            : inB is not null ? Phrase.Say($"{Sentence(b.Name)} looks like {inB}.")
            : null;
    }

    /// <summary>
    /// The mistake that brings a reading nearest to about what it should be, where that is known to a third only (the girth at the other
    /// end of
    /// a taper); null when none does.
    /// </summary>
    public static Phrase? About(Length expected, Suspect suspect)
    {
        ArgumentNullException.ThrowIfNull(suspect);
        var ratio = suspect.Read / expected;
        var nearest = Mistakes
            .Where(m => m.Can(suspect))
            .Select(m => (m.Like, m.Ratio, Off: Math.Abs(Math.Log(ratio / m.Ratio))))
            .MinBy(m => m.Off + (m.Ratio is 1 / Math.PI ? 0 : Rarer));
        return nearest.Off <= Math.Log(1.4) && nearest.Off < Math.Abs(Math.Log(ratio))
            ? Phrase.Say($"{Sentence(suspect.Name)} looks like {nearest.Like}: it would be {suspect.Read / nearest.Ratio}.")
            : null;
    }

    /// <summary>What a reading looks like instead, as words behind “looks like”.</summary>
    private static Phrase? Like(Length expected, Suspect suspect, double near)
    {
        if (expected <= Length.Zero || suspect.Read <= Length.Zero)
        {
            return null;
        }

        var ratio = suspect.Read / expected;
        if (Mistakes.Where(m => m.Can(suspect)).FirstOrDefault(m => Math.Abs((ratio / m.Ratio) - 1) <= near) is { Like: { } like })
        {
            return Phrase.Say($"{like}");
        }

        var wall = (expected - suspect.Read) / 2;
        return suspect.Is == SuspectIs.Diameter && wall >= ThinnestWall && wall <= ThickestWall
                ? Phrase.Say($"one measured inside the rim: a wall {wall} thick would explain it")
            : DigitsChangedOver(expected, suspect) ? Phrase.Say($"one with two digits changed over")
            : null;
    }

    private static string Sentence(string name) => char.ToUpperInvariant(name[0]) + name[1..];

    /// <summary>
    /// Whether swapping two neighbouring digits of the reading, as it was typed in its unit, brings it to what was expected.
    /// </summary>
    private static bool DigitsChangedOver(Length expected, Suspect suspect) =>
        suspect.How.Units.Any(unit =>
        {
            var step = Length.Mm(unit == LengthUnit.Inch ? Length.MillimetresPerInch / 10 : 1);
            var digits = Math.Round(suspect.Read / step).ToString(CultureInfo.InvariantCulture).ToCharArray();
            for (var i = 0; i + 1 < digits.Length; i++)
            {
                if (digits[i] == digits[i + 1])
                {
                    continue;
                }

                var swapped = (char[])digits.Clone();
                (swapped[i], swapped[i + 1]) = (swapped[i + 1], swapped[i]);
                if (Math.Abs(double.Parse(swapped, CultureInfo.InvariantCulture) - (expected / step)) <= 1.5)
                {
                    return true;
                }
            }

            return false;
        });
}
