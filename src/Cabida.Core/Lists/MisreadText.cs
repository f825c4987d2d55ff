using System.Text;

namespace Cabida.Core.Lists;

/// <summary>
/// Text that was stored as UTF-8 and read as Western (Windows-1252), so that <c>ü</c> became <c>Ã¼</c>: the signs are put back to
/// the bytes they were and read again.
/// </summary>
internal static class MisreadText
{
    /// <summary>What Windows-1252 has from 0x80 on; a zero where it has nothing and the byte stands for itself.</summary>
    private const string High = "€\0‚ƒ„…†‡ˆ‰Š‹Œ\0Ž\0\0‘’“”•–—˜™š›œ\0žŸ";

    private static readonly UTF8Encoding Strict = new(false, throwOnInvalidBytes: true);

    /// <summary>The text as it was meant; null where it was read as it was stored.</summary>
    public static string? Of(string text)
    {
        if (text.All(c => c < 0x80))
        {
            return null;
        }

        var bytes = new byte[text.Length];
        for (var i = 0; i < text.Length; i++)
        {
            var at = High.IndexOf(text[i], StringComparison.Ordinal);
            if (text[i] > 0xff && (at < 0 || text[i] == '\0'))
            {
                return null;
            }

            bytes[i] = text[i] > 0xff ? (byte)(0x80 + at) : (byte)text[i];
        }

        try
        {
            var meant = Strict.GetString(bytes);
            return
                meant.Length < text.Length
                && meant.EnumerateRunes().All(r => r.Value < 0x80 || Rune.IsLetter(r) || r.Value is '’' or '‘' or '–')
                ? meant
                : null;
        }
        catch (DecoderFallbackException)
        {
            return null;
        }
    }
}
