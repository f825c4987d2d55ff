using System.Globalization;

namespace Cabida.Core.Type;

/// <summary>
/// Forms of letters in plain words: registered OpenType tags (OpenType 1.9, feature registry) and what faces call their own.
/// </summary>
public static class FormWords
{
    private static readonly Dictionary<string, string> Words = new(StringComparer.OrdinalIgnoreCase)
    {
        ["salt"] = "alternate",
        ["aalt"] = "alternate",
        ["alt"] = "alternate",
        ["calt"] = "contextual form",
        ["jalt"] = "wide form",
        ["swsh"] = "swash",
        ["cswh"] = "swash",
        ["swash"] = "swash",
        ["swashes"] = "swash",
        ["sw"] = "swash",
        ["flourish"] = "flourish",
        ["fina"] = "with tail",
        ["falt"] = "with tail",
        ["end"] = "with tail",
        ["ending"] = "with tail",
        ["term"] = "with tail",
        ["tail"] = "with tail",
        ["fin"] = "with tail",
        ["final"] = "with tail",
        ["init"] = "first letter’s form",
        ["begin"] = "first letter’s form",
        ["beg"] = "first letter’s form",
        ["start"] = "first letter’s form",
        ["ini"] = "first letter’s form",
        ["medi"] = "middle form",
        ["isol"] = "form standing alone",
        ["titl"] = "titling form",
        ["hist"] = "historical form",
        ["dlig"] = "rarer ligature",
        ["hlig"] = "historical ligature",
        ["liga"] = "ligature",
        ["clig"] = "ligature",
        ["smcp"] = "small capital",
        ["c2sc"] = "small capital",
        ["sc"] = "small capital",
        ["pcap"] = "petite capital",
        ["c2pc"] = "petite capital",
        ["unic"] = "capital of the height of small letters",
        ["ornm"] = "ornament",
        ["orn"] = "ornament",
        ["onum"] = "old-style figure",
        ["lnum"] = "lining figure",
        ["pnum"] = "figure of its own width",
        ["tnum"] = "figure of one width",
        ["sinf"] = "small figure below the line",
        ["subs"] = "small and lowered",
        ["sups"] = "small and raised",
        ["ordn"] = "raised, as in 1st",
        ["dnom"] = "lower figure of a fraction",
        ["numr"] = "upper figure of a fraction",
        ["frac"] = "fraction",
        ["afrc"] = "fraction",
        ["zero"] = "crossed zero",
        ["case"] = "for capitals",
        ["cpsp"] = "for capitals",
        ["rand"] = "at random",
        ["fwid"] = "full width",
        ["hwid"] = "half width",
        ["pwid"] = "its own width",
        ["twid"] = "third width",
        ["qwid"] = "quarter width",
        ["ruby"] = "small for ruby",
        ["vkna"] = "kana for columns",
        ["hkna"] = "kana for lines",
        ["trad"] = "traditional form",
        ["smpl"] = "simplified form",
        ["expt"] = "expert form",
        ["nlck"] = "kanji of the later list",
        ["hojo"] = "form of the added list",
        ["jp78"] = "form of 1978",
        ["jp83"] = "form of 1983",
        ["jp90"] = "form of 1990",
        ["jp04"] = "form of 2004",
        ["mgrk"] = "mathematical Greek",
        ["ital"] = "slanted",
        ["stch"] = "stretched",
    };

    /// <summary>A feature in words.</summary>
    /// <param name="tag">Its tag; empty for the letter as the face draws it.</param>
    /// <param name="value">Which of several under it, from 1; 0 for what it usually does switched off.</param>
    public static string Of(string tag, int value)
    {
        ArgumentNullException.ThrowIfNull(tag);
        if (tag.Length == 0)
        {
            return "as the face draws it";
        }

        if (value == 0)
        {
            return tag == "calt" ? "without its contextual form" : "without the ligature";
        }

        var words = tag switch
        {
            ['s', 's', .. var n] when int.TryParse(n, NumberStyles.None, CultureInfo.InvariantCulture, out var number) =>
                $"style set {number}",
            ['c', 'v', .. var n] when int.TryParse(n, NumberStyles.None, CultureInfo.InvariantCulture, out var number) =>
                $"variant {number}",
            _ => Words.GetValueOrDefault(tag, "another form"),
        };
        return value > 1 ? $"{words}, {value}" : words;
    }

    /// <summary>What a face calls a kind of form, in words: <c>end2</c> is “with tail, 2”.</summary>
    /// <param name="family">The family of glyphs.</param>
    public static string OfFamily(string family) =>
        Parted(family) is var (kind, number) && number > 1 ? string.Create(CultureInfo.InvariantCulture, $"{kind}, {number}") : kind;

    /// <summary>Whether two families are of one kind, so that a letter may take its form from either: <c>end</c> and <c>end2</c>.</summary>
    public static bool AreOfOneKind(string family, string other) => Parted(family).Kind == Parted(other).Kind;

    /// <summary>Which of its kind a family is, from 1.</summary>
    internal static int NumberOf(string family) => Parted(family).Number;

    private static (string Kind, int Number) Parted(string family)
    {
        ArgumentNullException.ThrowIfNull(family);
        if (family.StartsWith("set-", StringComparison.Ordinal))
        {
            // Nothing says that two such rows are alike.
            return ($"extra row {family[4..]}", 1);
        }

        if (family.Length == 4 && Of(family, 1) is var known && known != "another form")
        {
            return (known, 1);
        }

        var name = family.TrimEnd("0123456789".ToCharArray());
        var words = name.Length == 0 ? "alternate" : Words.GetValueOrDefault(name.TrimEnd('.', '_', '-'), $"“{name}”");
        _ = int.TryParse(family[name.Length..], NumberStyles.None, CultureInfo.InvariantCulture, out var number);
        return (words, Math.Max(1, number));
    }

    /// <summary>Whether a family or tag is a letter that ends in a tail.</summary>
    public static bool IsTail(string family) => OfFamily(family).StartsWith("with tail", StringComparison.Ordinal);

    /// <summary>Whether a family or tag is a swash or flourish.</summary>
    public static bool IsSwash(string family) =>
        OfFamily(family) is var words
        && (
            words.StartsWith("swash", StringComparison.Ordinal)
            || words.StartsWith("flourish", StringComparison.Ordinal)
            || words.StartsWith("first letter", StringComparison.Ordinal)
        );
}
