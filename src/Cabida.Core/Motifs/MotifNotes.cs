using System.Globalization;
using Cabida.Core.Findings;
using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using Cabida.Core.Type;
using Cabida.Core.Wording;

namespace Cabida.Core.Motifs;

/// <summary>What a composed motif wants looked at: letters, forms, strengthening, stretching, seams, joins to mats.</summary>
public static class MotifNotes
{
    /// <summary>Lettering that is widened or heightened by more than this share is pointed out.</summary>
    private const double MostStretch = 0.15;

    /// <summary>How far is looked for what a strengthened outline would meet; millimetres.</summary>
    private const double MostGrowth = 5;

    /// <summary>All notes, part by part.</summary>
    /// <param name="composition">The motif with its fields filled.</param>
    /// <param name="parts">Its parts as placed.</param>
    /// <param name="motif">The motif.</param>
    /// <param name="ground">What it is composed against.</param>
    public static IReadOnlyList<Finding> Of(Composition composition, IReadOnlyList<PlacedPart> parts, Motif motif, GroundShape ground)
    {
        ArgumentNullException.ThrowIfNull(composition);
        ArgumentNullException.ThrowIfNull(parts);
        ArgumentNullException.ThrowIfNull(motif);
        ArgumentNullException.ThrowIfNull(ground);
        List<Finding> notes =
        [
            .. composition
                .LeftOut.OrderBy(l => l.Key, StringComparer.Ordinal)
                .Select(l => new Finding(
                    Rule.NotWorkedOut,
                    Severity.Stop,
                    Phrase.Say($"This part is left out of the picture, and nothing can be made with it. {l.Value}")
                )
                {
                    Part = l.Key,
                }),
        ];
        foreach (var part in motif.AllParts)
        {
            if (composition.Lines.TryGetValue(part.Key, out var line))
            {
                notes.AddRange(OfLine((LetteringPart)part, line).Select(n => n with { Part = part.Id }));
            }
        }

        foreach (var placed in parts.SelectMany(p => p.WithInner))
        {
            IEnumerable<Finding> found = [.. OfPlaced(placed), .. HeldBack.Of(placed), .. RoundNotes.Of(placed)];
            notes.AddRange(found.Select(n => n with { Part = placed.Part.Id }));
        }

        var drawn = parts
            .SelectMany(p => p.WithInner)
            .Select(p => p.Part.Id)
            .Concat(composition.LeftOut.Keys)
            .ToHashSet(StringComparer.Ordinal);
        var inGroup = GroundShape.None with { Mats = ground.Mats };
        notes.AddRange(
            motif.AllParts.SelectMany(p =>
                (
                    motif.Parts.Contains(p)
                        ? HeldBack.ForWantOfGround(p, ground, drawn.Contains(p.Id), isInGroup: false)
                        : HeldBack.ForWantOfGround(p, inGroup, drawn.Contains(p.Id), isInGroup: true)
                ).Select(n => n with { Part = p.Id })
            )
        );

        notes.AddRange(
            motif
                .AllParts.OfType<MatPart>()
                .Where(m => ground.Mats is not { } mats || m.Index > mats.Openings.Count)
                .Select(m => new Finding(
                    Rule.GroundLacking,
                    Severity.Told,
                    ground.Mats is { } mats
                        ? Phrase.Say($"The frame of the ground holds {mats.Openings.Count} mats, so there is no mat {m.Index}.")
                        : Phrase.Say($"A mat takes its outside and opening from a frame. Choose a framed blank as the ground.")
                )
                {
                    Part = m.Id,
                })
        );
        return notes;
    }

    private static IEnumerable<Finding> OfLine(LetteringPart part, LetteringLine line)
    {
        if (line.Missing.Count > 0)
        {
            var missing = string.Join(", ", line.Missing.Select(line.LetterOf).Distinct(StringComparer.Ordinal));
            yield return new(
                Rule.MissingCharacters,
                Severity.Stop,
                Phrase.Say($"{line.Face.Info.Name} lacks a character of “{line.Text}”: {missing:strong}.")
            );
        }

        if (StandsIn(line) is { } instead)
        {
            yield return new(Rule.OtherFace, Severity.Look, instead);
        }

        if (LineDirection.IsMixed(line.Text))
        {
            yield return new(
                Rule.MixedDirection,
                Severity.Stop,
                Phrase.Say($"“{line.Text}” runs both from left to right and from right to left, which is not supported.")
            );
        }

        foreach (var alternate in line.Unmet)
        {
            yield return new(Rule.FormLacking, Severity.Look, LackingForm.Say(line, alternate));
        }

        foreach (
            var gone in part.Alternates.Where(a => a.Scope == AlternateScope.Place && !Fields.In(part.Text).Any() && !IsThere(a, line.Text))
        )
        {
            yield return new(
                Rule.FormLacking,
                Severity.Look,
                Phrase.Say($"The other form of {gone.Letter:strong} was chosen in “{gone.Words}”, which the line no longer says.")
            );
        }

        if (
            Fields
                .In(part.Text)
                .Where(f => f != Fields.Name && line.Text.Contains($"{{{f}", StringComparison.OrdinalIgnoreCase))
                .Distinct(StringComparer.Ordinal)
                .FirstOrDefault() is
            { } unfilled
        )
        {
            yield return new(
                Rule.FieldUnfilled,
                Severity.Look,
                Phrase.Say($"No list fills the field {unfilled:strong}. Say what stands there when it is empty, as in {{{unfilled}|…}}.")
            );
        }
    }

    /// <summary>Which words are set in another face, since the one chosen lacks letters of them; null where none are.</summary>
    public static Phrase? StandsIn(LetteringLine line)
    {
        ArgumentNullException.ThrowIfNull(line);
        if (line.Face is not FallbackFace fallback)
        {
            return null;
        }

        var used = line.Glyphs.Select(g => (int)(g.Glyph / FallbackFace.Other)).Where(n => n > 0).Distinct().Order();
        return string.Join(" and ", used.Select(n => fallback.Behind[n - 1].Info.Name)) is not { Length: > 0 } names
            ? null
            : Phrase.Say(
                $"“{line.Text}” has letters that {fallback.Info.Name} lacks: "
                    + $"their words are set in {names:strong}, as high and about as heavy."
            );
    }

    private static bool IsThere(Alternate alternate, string text) =>
        alternate.Words == text
        && StringInfo.ParseCombiningCharacters(text).ElementAtOrDefault(alternate.Index) is var at
        && StringInfo.GetNextTextElement(text, at) == alternate.Letter;

    private static IEnumerable<Finding> OfPlaced(PlacedPart placed)
    {
        if (placed.Body.Stretched is var by && Math.Abs(by - 1) > 1e-6)
        {
            var way = placed.Part is LetteringPart { Stretching: Stretching.ToHeight }
                ? by > 1
                    ? "heightened"
                    : "lowered"
                : by > 1
                    ? "widened"
                    : "narrowed";
            var percent = 100 * Math.Abs(by - 1);
            yield return Math.Abs(by - 1) > MostStretch
                ? new(
                    Rule.Stretched,
                    Severity.Look,
                    Phrase.Say(
                        $"“{placed.Line?.Line.Text}” is {way} by {percent:0.0} %; beyond {100 * MostStretch:0} % letters look forced."
                    )
                )
                : new(Rule.Stretched, Severity.Told, Phrase.Say($"“{placed.Line?.Line.Text}” is {way} by {percent:0.0} %, on purpose."));
        }

        if (
            placed.Part is LetteringPart { Strengthen: var strengthen }
            && placed.Line is { } line
            && strengthen.Typed.OrZero(LengthRange.Margin) is var grown
            && grown > Length.Zero
        )
        {
            yield return Strengthened(line, grown.Millimetres);
        }

        if (placed.Body.Repeated is { } repeat)
        {
            yield return Repeated(repeat);
        }
    }

    /// <summary>How far the line may be strengthened before something meets, and what.</summary>
    private static Finding Strengthened(FormedLine line, double by)
    {
        var bare = line.WithoutGrowth();
        var growth = line.GrowthOf(MostGrowth);
        Phrase At(GrowthLimit limit) =>
            bare.LetterAt(limit.At) is { } index ? Phrase.Say($" at {line.Line.LetterOf(index):strong}") : Phrase.Empty;
        // Nobody sees a notch fill; it is told, so that it is not taken for what is.
        var notch = growth.Notch is { } small
            ? Phrase.Say($" A notch{At(small)} fills from {Length.Mm(small.Limit):fine}, which is not seen.")
            : Phrase.Empty;
        if (growth.First is not { } limit)
        {
            return new(
                Rule.Strengthened,
                Severity.Told,
                Phrase.Say($"Strengthened by {Length.Mm(by):fine} a side; nothing meets up to {Length.Mm(MostGrowth)}.{notch}")
            );
        }

        var where = At(limit);
        var what = limit.Stop switch
        {
            GrowthStop.PartsMeet => Phrase.Say($"two parts of the ink meet{where}"),
            GrowthStop.HoleCloses => Phrase.Say($"a counter closes{where}"),
            _ => Phrase.Say($"two sides of a stroke meet{where}"),
        };
        return by > limit.Limit
            ? new(
                Rule.Strengthened,
                Severity.Look,
                Phrase.Say($"Strengthened by {Length.Mm(by):fine} a side; beyond {Length.Mm(limit.Limit):fine} {what}.{notch}")
            )
            : new(
                Rule.Strengthened,
                Severity.Told,
                Phrase.Say($"Strengthened by {Length.Mm(by):fine} a side; up to {Length.Mm(limit.Limit):fine}, where {what}.{notch}")
            );
    }

    private static Finding Repeated(RepeatResult repeat)
    {
        if (repeat.GapAtSeam is { } gap)
        {
            var change = Math.Abs(repeat.Scale - 1);
            return change > RepeatLayout.MostSeamChange
                    ? new(
                        Rule.Repeated,
                        Severity.Look,
                        Phrase.Say(
                            $"{repeat.Copies} copies meet round {Length.Mm(repeat.Round)} at {100 * repeat.Scale:0.0} % of their "
                                + $"size. A gap at the seam would keep their size."
                        )
                    )
                : repeat.Scale == 1 && gap > 1e-6
                    ? new(
                        Rule.Repeated,
                        Severity.Told,
                        Phrase.Say($"{repeat.Copies} copies keep their size and leave {Length.Mm(gap)} more open at the seam.")
                    )
                : new(
                    Rule.Repeated,
                    Severity.Told,
                    Phrase.Say($"{repeat.Copies} copies meet round {Length.Mm(repeat.Round)} at {100 * repeat.Scale:0.00} % of their size.")
                );
        }

        return repeat.Copies < repeat.Asked
            ? new(
                Rule.Repeated,
                Severity.Look,
                Phrase.Say($"{repeat.Copies} of {repeat.Asked} copies found room. Give them less distance, or more area.")
            )
            : new(Rule.Repeated, Severity.Told, Phrase.Say($"{repeat.Copies} copies."));
    }
}
