using System.Text;

namespace Cabida.Formats.Lists;

/// <summary>How the letters of a text are stored.</summary>
public static class TextEncoding
{
    /// <summary>The encodings that can be chosen, the guessed ones among them.</summary>
    public static IReadOnlyList<string> All { get; } =
    [
        "utf-8",
        "utf-16",
        "utf-16BE",
        "windows-1252",
        "windows-1250",
        "windows-1251",
        "windows-1253",
        "windows-1254",
        "windows-1257",
        "windows-1258",
        "iso-8859-2",
    ];

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
                odd +=
                    head[i] == 0
                        ? i % 2 == 1
                            ? 1
                            : -1
                        : 0;
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
            return OldEncodings.Guess(file);
        }
    }
}
