using System.Text;

namespace Cabida.Formats.Lists;

/// <summary>How the letters of a text are stored.</summary>
public static class TextEncoding
{
    /// <summary>The encodings that can be chosen, the guessed ones among them.</summary>
    public static IReadOnlyList<string> All { get; } = ["utf-8", "utf-16", "utf-16BE", "windows-1252", "windows-1250", "windows-1251", "windows-1253", "windows-1254", "windows-1257", "windows-1258", "iso-8859-2"];

    /// <summary>Old encodings that are guessed between where a text is no Unicode.</summary>
    private static readonly string[] Old = ["windows-1252", "windows-1250", "windows-1253", "windows-1251"];

    /// <summary>The text, and the encoding it was read in.</summary>
    /// <param name="file">The bytes.</param>
    /// <param name="wanted">The encoding to read it in; empty, or one that is not known, to guess.</param>
    internal static (string Text, string Encoding) Decoded(byte[] file, string wanted)
    {
        Encoding.RegisterProvider(CodePagesEncodingProvider.Instance);
        var name = All.Contains(wanted) ? wanted : Guess(file);
        return (Encoding.GetEncoding(name).GetString(file).TrimStart('\ufeff'), name);
    }

    private static string Guess(byte[] file)
    {
        switch (file)
        {
            case [0xef, 0xbb, 0xbf, ..]:
                return "utf-8";
            case [0xff, 0xfe, ..]:
                return "utf-16";
            case [0xfe, 0xff, ..]:
                return "utf-16BE";
        }

        var head = file.AsSpan(0, Math.Min(file.Length, 4000));
        // Only letters stored in two bytes leave bytes empty; the empty one is the first of each two where the large byte comes first.
        if (head.Contains((byte)0))
        {
            var odd = 0;
            for (var i = 0; i < head.Length; i++)
            {
                odd += head[i] == 0 ? i % 2 == 1 ? 1 : -1 : 0;
            }

            return odd < 0 ? "utf-16BE" : "utf-16";
        }

        try
        {
            _ = new UTF8Encoding(false, throwOnInvalidBytes: true).GetString(file);
            return "utf-8";
        }
        catch (DecoderFallbackException)
        {
            return Old.MaxBy(e => Likely(Encoding.GetEncoding(e).GetString(file)))!;
        }
    }

    /// <summary>How much a text looks like words: letters beside letters of their own alphabet, no signs within words, no capitals after small letters.</summary>
    private static int Likely(string text)
    {
        var score = 0;
        for (var i = 1; i + 1 < text.Length; i++)
        {
            var c = text[i];
            if (c < 128)
            {
                continue;
            }

            var (before, after) = (text[i - 1], text[i + 1]);
            score += char.IsLetter(c) ? 1 : char.IsLetter(before) || char.IsLetter(after) ? -4 : 0;
            score -= char.IsUpper(c) && char.IsLower(before) ? 3 : 0;
            // Greek and Cyrillic words are all of their letters; Latin ones have accents here and there.
            score -= char.IsLetter(c) && char.IsLetter(before) && IsEastern(c) != IsEastern(before) ? 4 : 0;
            // These end a Greek word or are hardly used; in Cyrillic their places hold common letters.
            score -= (c == 'ς' && char.IsLetter(after)) || c is 'ΰ' or 'ΐ' ? 4 : 0;
            score -= !IsEastern(c) && char.IsLetter(c) && before >= 128 && after >= 128 ? 2 : 0;
        }

        return score;
    }

    private static bool IsEastern(char c) => c is >= '\u0370' and < '\u0530';
}
