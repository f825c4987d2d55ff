using Cabida.Core.Wording;

namespace Cabida.Core.Measures;

/// <summary>
/// The mistake that most likely explains a reading which should have been another: a diameter for a girth, half for the
/// whole, inches for centimetres, a misplaced decimal point, digits changed over, or a calliper held inside the rim.
/// </summary>
public static class LikelyMistake
{
    /// <summary>How near a ratio must be to a mistake's own to be taken for it.</summary>
    private const double Near = 0.025;

    /// <summary>No wall of such goods is thicker.</summary>
    private static readonly Length ThickestWall = Length.Mm(8);

    private static readonly Length ThinnestWall = Length.Mm(0.4);

    private static readonly IReadOnlyList<(double Ratio, string Words)> Ratios =
    [
        (1 / Math.PI, "It looks like a diameter where a girth belongs."),
        (Math.PI, "It looks like a girth where a diameter belongs."),
        (1 / 2.54, "It looks like inches read as centimetres."),
        (2.54, "It looks like centimetres read as inches."),
        (1 / 25.4, "It looks like inches read as millimetres."),
        (25.4, "It looks like millimetres read as inches."),
        (0.1, "It looks like centimetres read as millimetres."),
        (10, "It looks like millimetres read as centimetres."),
        (0.5, "It looks like half of it: half-way round, or a radius."),
        (2, "It looks like twice of it."),
    ];

    /// <summary>The likeliest mistake in words, or null when none comes near.</summary>
    /// <param name="expected">What the other readings make it.</param>
    /// <param name="read">What was read.</param>
    /// <param name="isAcross">Whether it is a diameter of a hollow thing, which may have been taken inside.</param>
    public static Phrase? Of(Length expected, Length read, bool isAcross = false)
    {
        if (expected <= Length.Zero || read <= Length.Zero)
        {
            return null;
        }

        var ratio = read / expected;
        foreach (var (mistake, words) in Ratios)
        {
            if (Math.Abs((ratio / mistake) - 1) <= Near)
            {
                return Phrase.Say($"{words}");
            }
        }

        var wall = (expected - read) / 2;
        if (isAcross && wall >= ThinnestWall && wall <= ThickestWall)
        {
            return Phrase.Say($"Measured inside the rim, a wall {wall} thick would explain it.");
        }

        return DigitsChangedOver(expected, read) ? Phrase.Say($"Two digits may have been changed over.") : null;
    }

    /// <summary>Whether swapping two neighbouring digits of the reading brings it to what was expected.</summary>
    private static bool DigitsChangedOver(Length expected, Length read)
    {
        var digits = Math.Round(read.Millimetres).ToString(System.Globalization.CultureInfo.InvariantCulture).ToCharArray();
        for (var i = 0; i + 1 < digits.Length; i++)
        {
            if (digits[i] == digits[i + 1])
            {
                continue;
            }

            var swapped = (char[])digits.Clone();
            (swapped[i], swapped[i + 1]) = (swapped[i + 1], swapped[i]);
            if (Math.Abs(double.Parse(swapped, System.Globalization.CultureInfo.InvariantCulture) - expected.Millimetres) <= 1.5)
            {
                return true;
            }
        }

        return false;
    }
}
