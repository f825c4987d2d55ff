using System.Globalization;

namespace Cabida.Core.Type;

/// <summary>Forms that are chosen for the first or last letter of every name, made into forms of the letters that stand there.</summary>
public static class LetterRules
{
    /// <summary>The forms of a line, each for a place, a letter or the face.</summary>
    /// <param name="alternates">As they were chosen.</param>
    /// <param name="text">What the line says, in composed form.</param>
    /// <param name="names">Where in it names stand.</param>
    /// <param name="face">The face it is set in.</param>
    /// <remarks>What was chosen for one place goes before a rule. A letter that has no such form keeps its own, and that is told.</remarks>
    public static IReadOnlyList<Alternate> On(
        IReadOnlyList<Alternate> alternates,
        string text,
        IReadOnlyList<(int Start, int End)> names,
        ITypeface face
    )
    {
        ArgumentNullException.ThrowIfNull(alternates);
        ArgumentNullException.ThrowIfNull(text);
        ArgumentNullException.ThrowIfNull(names);
        ArgumentNullException.ThrowIfNull(face);
        if (!alternates.Any(IsRule))
        {
            return alternates;
        }

        var starts = StringInfo.ParseCombiningCharacters(text);
        var forms = alternates.Where(a => !IsRule(a)).ToList();
        foreach (var rule in alternates.Where(IsRule))
        {
            foreach (var (start, end) in names)
            {
                var letters = Enumerable
                    .Range(0, starts.Length)
                    .Where(i => starts[i] >= start && starts[i] < end && char.IsLetterOrDigit(text, starts[i]))
                    .ToList();
                if (letters.Count == 0)
                {
                    continue;
                }

                var index = rule.Scope == AlternateScope.First ? letters[0] : letters[^1];
                var letter = StringInfo.GetNextTextElement(text, starts[index]);
                if (!forms.Exists(f => f.Scope == AlternateScope.Place && f.Words == text && f.Index == index))
                {
                    forms.Add(At(rule, letter, text, index, new(starts[index], starts[index] + letter.Length), face));
                }
            }
        }

        return forms;
    }

    private static bool IsRule(Alternate a) => a.Scope is AlternateScope.First or AlternateScope.Last;

    private static Alternate At(Alternate rule, string letter, string text, int index, (int Start, int End) at, ITypeface face)
    {
        var form = rule with { Scope = AlternateScope.Place, Letter = letter, Words = text, Index = index };
        if (rule.Feature.Length == 0)
        {
            // The glyph that was chosen is one letter's; the others have theirs in the same row of the face, or in another of its kind.
            var own =
                rule.FaceId != face.Info.Id ? 0
                : rule.Letter == letter && rule.Glyph > 0 ? rule.Glyph
                : rule.Family.Length == 0 ? 0
                : (int)(
                    face.Glyphs.Where(g => g.Letter == letter && g.Family.Length > 0 && FormWords.AreOfOneKind(g.Family, rule.Family))
                        .OrderBy(g => g.Family != rule.Family)
                        .ThenBy(g => FormWords.NumberOf(g.Family))
                        .FirstOrDefault()
                        ?.Glyph
                    ?? 0
                );
            return form with { Glyph = own, IsLacking = own == 0 };
        }

        var use = new FeatureUse(rule.Feature, rule.Value, at.Start, at.End);
        bool Changes() =>
            !face.Shape(text, [use]).Glyphs.Select(g => g.Glyph).SequenceEqual(face.Shape(text, []).Glyphs.Select(g => g.Glyph));
        return form with { IsLacking = !face.Features.Contains(rule.Feature) || !Changes() };
    }
}
