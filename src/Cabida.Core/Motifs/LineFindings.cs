using System.Globalization;
using Cabida.Core.Findings;
using Cabida.Core.Wording;

namespace Cabida.Core.Motifs;

/// <summary>
/// What is noticed on the lines of a piece while it is composed: what their faces lack, and what does not go where it is set.
/// </summary>
public static class LineFindings
{
    /// <summary>All of it, by line.</summary>
    /// <param name="composition">The lines.</param>
    /// <param name="parts">Where they stand.</param>
    public static IEnumerable<Finding> Of(Composition composition, IReadOnlyList<PlacedPart> parts)
    {
        ArgumentNullException.ThrowIfNull(composition);
        var lines = composition.Lines.OrderBy(l => l.Key.Part, StringComparer.Ordinal).ThenBy(l => l.Key.Line).ToList();
        return [.. MissingLetters(composition), .. StandIns(lines), .. LackingForms(lines), .. CrowdedRound(parts)];
    }

    /// <summary>Characters that a line's typeface has no drawing for: they would be left out of the cut.</summary>
    private static IEnumerable<Finding> MissingLetters(Composition composition) =>
        composition.Lacking.Select(lacking =>
        {
            var line = lacking.Line;
            var missing = line.Missing.Select(i => StringInfo.GetNextTextElement(line.Text, i)).Distinct(StringComparer.Ordinal).ToList();
            return Noticed(
                lacking.PartId,
                Rule.MissingCharacters,
                Severity.Stop,
                Phrase.Say(
                    $"{line.Face.Info.Name} has no {string.Join(", ", missing.Select(m => $"“{m}”")):strong}. Choose a typeface "
                        + $"that has {(missing.Count == 1 ? "it" : "them")}, or spell the name another way."
                )
            );
        });

    /// <summary>Words that are set in another face than the one chosen, since it lacks letters of them.</summary>
    private static IEnumerable<Finding> StandIns(IEnumerable<KeyValuePair<PartKey, Type.LetteringLine>> lines) =>
        lines
            .Select(l => MotifNotes.StandsIn(l.Value) is { } instead ? Noticed(l.Key.Part, Rule.OtherFace, Severity.Look, instead) : null)
            .OfType<Finding>();

    /// <summary>Letters that have no form of the kind that was chosen, by rule or by hand: they stand as the face draws them.</summary>
    private static IEnumerable<Finding> LackingForms(IEnumerable<KeyValuePair<PartKey, Type.LetteringLine>> lines) =>
        lines.SelectMany(l => l.Value.Unmet.Select(a => Noticed(l.Key.Part, Rule.FormLacking, Severity.Look, LackingForm.Say(l.Value, a))));

    /// <summary>Lines that are longer than their circle, or whose letters stand on one another there.</summary>
    private static IEnumerable<Finding> CrowdedRound(IReadOnlyList<PlacedPart> parts)
    {
        foreach (var placed in parts.SelectMany(p => p.WithInner))
        {
            if (placed.Line is { Round: not null } line && RoundNotes.Fault(line) is { } fault)
            {
                var at = line.Crowded is [var (first, _), ..] ? line.BoxOfLetter(first)?.Centre : null;
                yield return Noticed(placed.Part.Id, Rule.CrowdedRound, Severity.Look, fault) with
                {
                    Places = at is { } p ? [placed.Motion.Of(p)] : [],
                };
            }
        }
    }

    private static Finding Noticed(string part, Rule rule, Severity severity, Phrase message) =>
        new(rule, severity, message) { Part = part };
}
