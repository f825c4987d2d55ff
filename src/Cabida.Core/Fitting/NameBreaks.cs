using System.Globalization;

namespace Cabida.Core.Fitting;

/// <summary>Where a name may be broken into two lines.</summary>
public static class NameBreaks
{
    /// <summary>The ways to break words into two lines: after a space or a hyphen, with something on either side.</summary>
    public static IEnumerable<(string First, string Second)> Of(string words)
    {
        ArgumentNullException.ThrowIfNull(words);
        return Found(words);
    }

    private static IEnumerable<(string First, string Second)> Found(string words)
    {
        var starts = StringInfo.ParseCombiningCharacters(words);
        foreach (var at in starts)
        {
            if (words[at] is ' ' or '-' or '\u2010' or '\u2013')
            {
                var (first, second) = (words[..(words[at] == ' ' ? at : at + 1)].Trim(), words[(at + 1)..].Trim());
                if (first.Any(char.IsLetterOrDigit) && second.Any(char.IsLetterOrDigit))
                {
                    yield return (first, second);
                }
            }
        }
    }
}
