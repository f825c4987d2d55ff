using System.Globalization;
using System.Text;
using System.Text.RegularExpressions;
using Cabida.Core.Wording;

namespace Cabida.Core.Lists;

/// <summary>What of a name looks like a mistake, with how it might be meant.</summary>
/// <param name="Message">What it is.</param>
/// <param name="Instead">The name as it might be meant; null where there is nothing to propose.</param>
internal sealed record Suspicion(Phrase Message, string? Instead)
{
    /// <summary>The names it may be, where several stand in one line.</summary>
    public IReadOnlyList<string>? Several { get; init; }

    /// <summary>Whether it stands for a name that is still to come.</summary>
    public bool IsNoName { get; init; }
}

/// <summary>Looks over the names of a list for mistakes that lists have; each is judged beside the others.</summary>
internal sealed partial class Suspicions
{
    /// <summary>Fewer names than this say nothing of what is usual.</summary>
    private const int Few = 4;

    /// <summary>A name in capitals of fewer letters may be initials.</summary>
    private const int Initials = 4;

    /// <summary>Much longer: more than twice as long as the middle one of the list and at least so many letters.</summary>
    private const int Long = 14;

    private const string TrailingMarks = ",;:!?/\\|_*#+=<>&%@\"“”„»«([{-–—";

    private readonly bool mostlyMixed;
    private readonly bool mostlyCapital;
    private readonly double median;
    private readonly int count;

    /// <summary>Learns what is usual from all names.</summary>
    public Suspicions(IReadOnlyList<string> names)
    {
        count = names.Count;
        mostlyMixed = names.Count(AllCapitals) * 2 < names.Count;
        mostlyCapital = names.Count(n => n.Any(char.IsUpper)) * 2 > names.Count;
        var lengths = names.Select(Letters).Order().ToList();
        median = lengths.Count == 0 ? 0 : lengths[lengths.Count / 2];
    }

    /// <summary>What is suspicious of a name.</summary>
    public IEnumerable<Suspicion> Of(string name)
    {
        if (!name.Any(char.IsLetter) && !name.EnumerateRunes().Any(r => Rune.IsLetter(r)))
        {
            yield return new(Phrase.Say($"{name:strong} has no letter in it."), null);
            yield break;
        }

        if (Placeholder().IsMatch(name))
        {
            yield return new(Phrase.Say($"{name:strong} looks like the place of a name that is still to come."), null) { IsNoName = true };
            yield break;
        }

        if (SplitUp(name) is { } several)
        {
            yield return new(Phrase.Say($"{name:strong} looks like {several.Count} names in one line."), null) { Several = several };
            yield break;
        }

        if (MisreadText.Of(name) is { } meant)
        {
            yield return new(
                Phrase.Say($"{name:strong} was stored in one way and read in another: some of its letters became two signs."),
                meant
            );
            yield break;
        }

        if (Pictures(name) is { } plain)
        {
            yield return new(Phrase.Say($"{name:strong} has a picture character, which no typeface here draws."), plain);
        }

        if (Numbered().Match(name) is { Success: true } number)
        {
            yield return new(Phrase.Say($"{name:strong} starts with a number or mark of a list."), name[number.Length..]);
        }
        else if (name.Any(char.IsDigit))
        {
            yield return new(Phrase.Say($"{name:strong} has a digit in it."), Undigited(name));
        }

        if (count >= Few && mostlyMixed && AllCapitals(name))
        {
            yield return new(Phrase.Say($"{name:strong} is all in capitals; the others are not."), Capitalised(name));
        }
        else if (count >= Few && mostlyCapital && name.Any(HasCapital) && !name.Any(char.IsUpper))
        {
            yield return new(Phrase.Say($"{name:strong} has no capital; the others have."), Capitalised(name));
        }

        if (CapitalWithin(name) is { } levelled)
        {
            yield return new(Phrase.Say($"{name:strong} has a capital within a word."), levelled);
        }

        if (Twice(name) is { } once)
        {
            yield return new(Phrase.Say($"{name:strong} says the same twice."), once);
        }

        if (Mixed(name))
        {
            var words = name.Split(' ').Select(w => Mixed(w) ? Scripts.InOne(w) : w).ToList();
            yield return new(
                Phrase.Say($"{name:strong} mixes letters of two alphabets that look alike. They are drawn differently, or are missing."),
                words.Contains(null) ? null : string.Join(' ', words)
            );
        }

        if (name.Count(c => c == ',') == 1 && name.Split(',') is [var last, var first] && first.Trim().Length > 0)
        {
            yield return new(
                Phrase.Say($"{name:strong} has a comma in it: perhaps the family name stands first."),
                $"{first.Trim()} {last.Trim()}"
            );
        }
        else if (Untrailed(name) is var cut && cut != name && cut.Length > 0)
        {
            yield return new(Phrase.Say($"{name:strong} ends in a mark, not a letter."), cut);
        }

        if (count >= Few && Letters(name) > 2 * median && Letters(name) >= Long)
        {
            yield return new(
                Phrase.Say($"{name:strong} is much longer than the rest: {Letters(name)} letters, most have about {median:0}."),
                null
            );
        }
    }

    /// <summary>
    /// A small letter that has a capital which is written at the start of names; letters of Georgian have one that is not.
    /// </summary>
    private static bool HasCapital(char c) => char.IsLower(c) && c is not (>= '\u10d0' and <= '\u10ff');

    /// <summary>Three names or more between commas, or two or more between signs that stand in no name.</summary>
    private static List<string>? SplitUp(string name)
    {
        foreach (var (sign, least) in new[] { (';', 2), ('|', 2), ('/', 2), (',', 3) })
        {
            var parts = name.Split(sign, StringSplitOptions.TrimEntries | StringSplitOptions.RemoveEmptyEntries);
            if (parts.Length >= least && parts.All(p => p.Any(char.IsLetter) && Letters(p) >= 2))
            {
                return [.. parts];
            }
        }

        return null;
    }

    /// <summary>What comes before a capital within a word in real names.</summary>
    private static readonly string[] Prefixes =
    [
        "mc",
        "mac",
        "de",
        "di",
        "du",
        "da",
        "del",
        "la",
        "le",
        "lo",
        "fitz",
        "van",
        "von",
        "ver",
        "st",
        "jo",
        "ro",
        "mo",
        "ja",
        "ke",
        "ta",
        "sha",
        "al",
        "el",
        "ap",
        "ben",
        "bel",
        "mary",
        "anna",
        "anne",
        "ann",
        "jean",
        "lou",
        "rose",
        "nga",
        "ni",
    ];

    /// <summary>
    /// A word with a capital among its small letters, levelled: a capital I there is a small L, any other a slip of the key. Null
    /// where there is none, or where names have it.
    /// </summary>
    private static string? CapitalWithin(string name)
    {
        var changed = false;
        var levelled = string.Join(
            ' ',
            name.Split(' ')
                .Select(word =>
                    Inner()
                        .Replace(word, m =>
                        {
                            var before = word[..m.Index].Split('-', '\'', '’')[^1].ToLowerInvariant();
                            if (Prefixes.Contains(before) || before.Length == 0)
                            {
                                return m.Value;
                            }

                            changed = true;
                            return m.Value == "I" ? "l" : m.Value.ToLowerInvariant();
                        })
                )
        );
        return changed ? levelled : null;
    }

    /// <summary>The name once, where it is written twice; syllables that are doubled in real names are left alone.</summary>
    private static string? Twice(string name)
    {
        var words = name.Split(' ');
        var half = words.Length / 2;
        return
            words.Length % 2 == 0
            && words.Take(half).SequenceEqual(words.Skip(half), StringComparer.OrdinalIgnoreCase)
            && words.Take(half).Any(w => Letters(w) >= 4 && !Syllable().IsMatch(w))
            ? string.Join(' ', words.Take(half))
            : null;
    }

    private static int Letters(string name) => new StringInfo(name).LengthInTextElements;

    private static bool AllCapitals(string name) => name.Count(char.IsUpper) >= Initials && !name.Any(char.IsLower);

    private static bool Mixed(string text) => text.Split(' ', '-').Any(w => w.Select(Scripts.Of).Where(s => s > 0).Distinct().Count() > 1);

    /// <summary>Each word with a capital, as also after a hyphen or an apostrophe.</summary>
    private static string Capitalised(string name)
    {
        var letters = name.ToLowerInvariant().ToCharArray();
        for (var i = 0; i < letters.Length; i++)
        {
            if (i == 0 || name[i - 1] is ' ' or '-' or '\'' or '’' or '\u2010')
            {
                letters[i] = char.ToUpperInvariant(letters[i]);
            }
        }

        return new string(letters);
    }

    /// <summary>Digits that look like letters, between letters, read as those.</summary>
    private static string? Undigited(string name)
    {
        const string Digits = "01358";
        const string AreLike = "oiesB";
        var letters = name.Select(c => Digits.IndexOf(c, StringComparison.Ordinal) is >= 0 and var at ? AreLike[at] : c).ToArray();
        var read = new string(letters);
        return read.Any(char.IsDigit) || name.Count(char.IsDigit) * 3 > name.Length ? null : char.ToUpperInvariant(read[0]) + read[1..];
    }

    private static string Untrailed(string name)
    {
        var cut = name.TrimEnd([.. TrailingMarks, ' ']);
        // A full stop belongs to an initial or an abbreviation, as in “K.” and “Jr.”.
        return cut.EndsWith('.') && !Abbreviated().IsMatch(cut) ? cut.TrimEnd('.', ' ') : cut;
    }

    /// <summary>The name without characters that are pictures; null when it has none.</summary>
    private static string? Pictures(string name)
    {
        var kept = string.Concat(
            name.EnumerateRunes()
                .Where(r =>
                    Rune.GetUnicodeCategory(r)
                        is not (UnicodeCategory.OtherSymbol or UnicodeCategory.ModifierSymbol or UnicodeCategory.Format)
                    || r.Value < 0x2000
                )
        );
        return kept == name ? null : kept.Trim();
    }

    [GeneratedRegex(
        @"^(?:t\.?\s?b\.?\s?[acd]\.?|n\.?/?a\.?|n\.n\.|to be (?:confirmed|announced|decided|advised)|(?:no|not) (?:name|known)(?: yet)?|unknown|none|blank|empty|test|dummy|placeholder|sample|name(?: here)?|x{2,}|\(?(?:same|see above|as above|dito|ditto)\)?)$",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex Placeholder();

    /// <summary>A capital after a letter and before a small one, or at the end of a word that begins otherwise.</summary>
    [GeneratedRegex(@"(?<=\p{L}*\p{Ll})\p{Lu}(?=\p{Ll}|$)|(?<=\p{Lu})I(?=\p{Ll})")]
    private static partial Regex Inner();

    /// <summary>A syllable of Mandarin as it is written in Latin letters; it is doubled in names that are said with affection.</summary>
    [GeneratedRegex(
        "^(?:[bpmfdtnlgkhjqxrzcsyw]|[zcs]h)?(?:a|ai|an|ang|ao|e|ei|en|eng|er|i|ia|ian|iang|iao|ie|in|ing|iong|iu|o|ong|ou|u|ua|uai|uan|uang|ue|ui|un|uo|ü)$",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex Syllable();

    [GeneratedRegex(@"^(?:\d{1,4}\s*[.):\-]\s*|[-•*·–]\s+|\d{1,4}\s+(?=\p{L}))")]
    private static partial Regex Numbered();

    [GeneratedRegex(@"(?:^|[\s.\-])\p{L}{1,3}\.$")]
    private static partial Regex Abbreviated();
}
