namespace Cabida.Core.Type;

/// <summary>Which way a line runs. A line has one direction, from its first strong letter; a line of both is not supported.</summary>
public static class LineDirection
{
    /// <summary>Whether a text holds letters of both directions, or digits among letters that run from right to left.</summary>
    public static bool IsMixed(string text)
    {
        ArgumentNullException.ThrowIfNull(text);
        return text.Any(IsRightToLeft) && text.Any(c => (char.IsLetter(c) && !IsRightToLeft(c)) || char.IsDigit(c));
    }

    /// <summary>Whether a line runs from right to left.</summary>
    public static bool RunsLeft(string text) => text.FirstOrDefault(char.IsLetter) is var first && first != default && IsRightToLeft(first);

    /// <summary>Letters of Hebrew, Arabic, Syriac, Thaana, N'Ko and their presentation forms.</summary>
    private static bool IsRightToLeft(char c) =>
        c is (>= '\u0590' and <= '\u08ff') or (>= '\ufb1d' and <= '\ufdff') or (>= '\ufe70' and <= '\ufeff') && char.IsLetter(c);
}
