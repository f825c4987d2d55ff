namespace Cabida.Core.Lists;

/// <summary>Alphabets whose letters look alike, and which letter of one looks like which of another.</summary>
internal static class Scripts
{
    private const string Latin = "AaBCcDEeHIijKMNOoPpSsTXxYyvu";
    private const string Cyrillic = "АаВСс\0ЕеНІіјКМ\0ОоРрЅѕТХхУу\0\0";
    private const string Greek = "Α\0Β\0\0\0Ε\0ΗΙ\0\0ΚΜΝΟοΡ\0\0\0ΤΧ\0Υ\0νυ";

    /// <summary>Which of the three alphabets a letter belongs to; 0 for none of them.</summary>
    public static int Of(char c) =>
        c switch
        {
            (>= 'A' and <= 'Z')
            or (>= 'a' and <= 'z')
            or (>= '\u00c0' and <= '\u024f' and not ('\u00d7' or '\u00f7'))
            or (>= '\u1e00' and <= '\u1eff') => 1,
            (>= '\u0370' and <= '\u03ff') or (>= '\u1f00' and <= '\u1fff') => 2,
            >= '\u0400' and <= '\u052f' => 3,
            _ => 0,
        };

    /// <summary>
    /// A word with letters of other alphabets exchanged for those that look like them in its own; null where one has no double.
    /// </summary>
    public static string? InOne(string word)
    {
        var own = word.Select(Of).Where(s => s > 0).GroupBy(s => s).OrderByDescending(g => g.Count()).ThenBy(g => g.Key).First().Key;
        var letters = new char[word.Length];
        for (var i = 0; i < word.Length; i++)
        {
            letters[i] = Of(word[i]) == 0 || Of(word[i]) == own ? word[i] : Double(word[i], own);
            if (letters[i] == '\0')
            {
                return null;
            }
        }

        return new string(letters);
    }

    private static char Double(char c, int script)
    {
        var at = Table(Of(c)).IndexOf(c, StringComparison.Ordinal);
        return at < 0 ? '\0' : Table(script)[at];
    }

    private static string Table(int script) =>
        script switch
        {
            2 => Greek,
            3 => Cyrillic,
            _ => Latin,
        };
}
