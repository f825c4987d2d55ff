using Cabida.Core.Findings;
using Cabida.Core.Measures;
using Cabida.Core.Type;
using Cabida.Core.Wording;

namespace Cabida.Core.Motifs;

/// <summary>What is wrong with a line on its circle, judged where it is cut, and what would mend it.</summary>
public static class RoundNotes
{
    /// <summary>Sizes are offered between an eighth and eight times of what is there.</summary>
    private const double MostChange = 8;

    private const int Halvings = 12;

    /// <summary>Offered circles are typed to half millimetres, letters to tenths.</summary>
    private const double CircleStep = 0.5,
        LetterStep = 0.1;

    /// <summary>What is wrong with a line on its circle, or null: it is longer than the circle, or letters stand on one another.</summary>
    public static Phrase? Fault(FormedLine line)
    {
        ArgumentNullException.ThrowIfNull(line);
        var crowded = line.Crowded;
        if (line.Degrees > 360)
        {
            return Phrase.Say(
                $"“{line.Line.Text}” is longer than its circle: it goes {line.Degrees:0}° round one of "
                    + $"{Length.Mm(line.CircleAcross)}, so that its ends lie on one another."
            );
        }

        if (crowded.Count == 0)
        {
            return null;
        }

        var (first, second) = crowded[0];
        var more = crowded.Count > 1 ? Phrase.Say($", and {crowded.Count - 1} more pairs do") : Phrase.Empty;
        return Phrase.Say(
            $"On a circle of {Length.Mm(line.CircleAcross)}, {line.Line.LetterOf(first):strong} and "
                + $"{line.Line.LetterOf(second):strong} of “{line.Line.Text}” come too near to one another{more}."
        );
    }

    /// <summary>The note of a part, with a larger circle and smaller letters that would mend it.</summary>
    internal static IEnumerable<Finding> Of(PlacedPart placed)
    {
        if (placed.Part is LetteringPart part && placed.Line is { Round: not null } line && Fault(line) is { } fault)
        {
            yield return new(Rule.CrowdedRound, Severity.Look, fault) { Part = part.Id, Remedies = [.. Remedies(part, line)] };
        }
    }

    private static IEnumerable<Remedy> Remedies(LetteringPart part, FormedLine line)
    {
        var across = line.CircleAcross;
        if (Least(1, MostChange, by => Works(line.With(line.SizeMm, across * by))) is { } larger)
        {
            var circle = Length.Mm(Math.Ceiling(across * larger / CircleStep) * CircleStep);
            yield return new PartLength(part.Id, LineLength.Circle, circle).Offered(Phrase.Say($"A circle of {circle:strong}"));
        }

        // Only where the size typed is a height is what smaller letters measure known before they are set.
        if (
            part.SizedBy == LetteringSize.CapitalHeight
            && Least(1, MostChange, by => Works(line.With(line.SizeMm / by, across))) is { } smaller
        )
        {
            var height = Length.Mm(Math.Floor(line.CapitalHeight / smaller / LetterStep) * LetterStep);
            if (height.Millimetres > 0)
            {
                yield return new PartLength(part.Id, LineLength.Size, height).Offered(Phrase.Say($"Letters {height:strong} high"));
            }
        }
    }

    private static bool Works(FormedLine line) => line.Degrees <= 360 && line.Crowded.Count == 0;

    /// <summary>About the least factor that works, where the most does.</summary>
    private static double? Least(double none, double most, Func<double, bool> works)
    {
        if (!works(most))
        {
            return null;
        }

        var (low, high) = (none, most);
        for (var i = 0; i < Halvings; i++)
        {
            var middle = Math.Sqrt(low * high);
            (low, high) = works(middle) ? (low, middle) : (middle, high);
        }

        return high;
    }
}
