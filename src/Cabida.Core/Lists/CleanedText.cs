using System.Globalization;
using System.Text;

namespace Cabida.Core.Lists;

/// <summary>What cleaning did to a text.</summary>
[Flags]
public enum CleaningDone
{
    /// <summary>Nothing.</summary>
    None = 0,

    /// <summary>Blanks around it taken off, or several within it made one.</summary>
    Spaces = 1,

    /// <summary>Characters that are not seen taken out.</summary>
    Invisible = 2,

    /// <summary>Letters with separate accents put together, and compatibility forms as of wide letters made plain.</summary>
    Composed = 4,
}

/// <summary>A text as typed, cleaned. What is seen of it stays the same.</summary>
/// <param name="Text">Without surrounding blanks and invisible characters, inner blanks single, in composed form (Unicode NFC).</param>
/// <param name="Done">What was done to it.</param>
public readonly record struct CleanedText(string Text, CleaningDone Done)
{
    private const char NonJoiner = '\u200c';
    private const char Joiner = '\u200d';

    /// <summary>Cleans a text.</summary>
    public static CleanedText Of(string raw)
    {
        ArgumentNullException.ThrowIfNull(raw);
        if (IsClean(raw))
        {
            return new(raw, CleaningDone.None);
        }

        var sound = Sound(raw);
        var seen = new StringBuilder(sound.Length);
        for (var i = 0; i < sound.Length; i++)
        {
            if (!IsInvisible(sound, i))
            {
                seen.Append(sound[i]);
            }
        }

        var visible = seen.ToString();
        var spaced = string.Join(' ', visible.Split((char[]?)null, StringSplitOptions.RemoveEmptyEntries));
        var text = Widths(spaced).Normalize(NormalizationForm.FormC);
        return new(
            text,
            (visible.Length != raw.Length ? CleaningDone.Invisible : 0)
                | (spaced != visible ? CleaningDone.Spaces : 0)
                | (text != spaced ? CleaningDone.Composed : 0)
        );
    }

    /// <summary>Most texts need nothing: printable, single inner blanks, composed.</summary>
    private static bool IsClean(string raw)
    {
        var blank = true;
        foreach (var c in raw)
        {
            if (c > '\u024f' || c < ' ' || (c == ' ' && blank) || c is '\u007f' or '\u00a0' or '\u00ad' or (>= '\u0080' and < '\u00a0'))
            {
                return false;
            }

            blank = c == ' ';
        }

        return !blank || raw.Length == 0;
    }

    /// <summary>Halves of characters that stand alone cannot be drawn or normalised.</summary>
    private static string Sound(string raw)
    {
        var sound = new StringBuilder(raw.Length);
        for (var i = 0; i < raw.Length; i++)
        {
            if (char.IsSurrogatePair(raw, i))
            {
                sound.Append(raw, i++, 2);
            }
            else if (!char.IsSurrogate(raw[i]))
            {
                sound.Append(raw[i]);
            }
        }

        return sound.ToString();
    }

    /// <summary>Control and format characters; but joiners mean something between letters of scripts that join.</summary>
    private static bool IsInvisible(string text, int at)
    {
        var c = text[at];
        if (c is NonJoiner or Joiner)
        {
            return at == 0 || at + 1 == text.Length || !Joins(text[at - 1]) || !Joins(text[at + 1]);
        }

        return !char.IsWhiteSpace(c)
                && char.GetUnicodeCategory(c) is UnicodeCategory.Control or UnicodeCategory.Format or UnicodeCategory.PrivateUse
                && !char.IsSurrogate(c)
            || c is '\ufe0e' or '\ufe0f';
    }

    /// <summary>Arabic and Syriac, and the scripts of India and South-East Asia; halves of characters beyond them for emoji.</summary>
    private static bool Joins(char c) =>
        c is (>= '\u0600' and < '\u0860') or (>= '\u0900' and < '\u1000') or (>= '\u1780' and < '\u1800') || char.IsSurrogate(c);

    /// <summary>Wide and ligature forms made for old character sets, as ﬁ and Ａ, are spelt with plain letters.</summary>
    private static string Widths(string text) =>
        text.Any(c => c is (>= '\ufb00' and < '\ufb07') or (>= '\uff01' and < '\uff5f'))
            ? string.Concat(
                text.Select(c =>
                    c is (>= '\ufb00' and < '\ufb07') or (>= '\uff01' and < '\uff5f')
                        ? c.ToString().Normalize(NormalizationForm.FormKC)
                        : c.ToString()
                )
            )
            : text;
}
