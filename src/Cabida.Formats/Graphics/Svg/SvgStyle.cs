using System.Text.RegularExpressions;

namespace Cabida.Formats.Graphics.Svg;

/// <summary>The style of an element as far as drawing needs it; property names as in CSS.</summary>
internal sealed partial class SvgStyle(IReadOnlyDictionary<string, string> values)
{
    /// <summary>Custom properties that name one another deeper lead nowhere.</summary>
    private const int DeepestReferences = 16;

    private const int LongestValue = 20_000;

    /// <summary>All of it, as it was declared.</summary>
    public IReadOnlyDictionary<string, string> Values => values;

    /// <summary>A property, or nothing; custom properties that it names are put in.</summary>
    public string Of(string property) => values.TryGetValue(property, out var value) ? Resolved(value, 0) ?? "" : "";

    /// <summary>A property, or what it is without.</summary>
    public string Of(string property, string otherwise) => Of(property) is { Length: > 0 } value ? value : otherwise;

    /// <summary>
    /// A value with the custom properties that it names put in; null when one leads nowhere, which leaves the property unset.
    /// </summary>
    private string? Resolved(string value, int depth)
    {
        for (var at = Variable().Match(value); at.Success; at = Variable().Match(value))
        {
            if (depth >= DeepestReferences || value.Length > LongestValue || End(value, at.Index + at.Length) is not (>= 0 and var end))
            {
                return null;
            }

            var otherwise = value[(at.Index + at.Length)..end].TrimStart();
            var named = values.TryGetValue(at.Groups["name"].Value, out var own) ? Resolved(own, depth + 1) : null;
            if ((named ?? (otherwise.StartsWith(',') ? Resolved(otherwise[1..].Trim(), depth + 1) : null)) is not { } found)
            {
                return null;
            }

            value = value[..at.Index] + found + value[(end + 1)..];
        }

        return value;
    }

    /// <summary>Where the bracket that is open at a place closes; negative when it does not.</summary>
    private static int End(string text, int from)
    {
        for (var (i, open) = (from, 1); i < text.Length; i++)
        {
            open +=
                text[i] == '(' ? 1
                : text[i] == ')' ? -1
                : 0;
            if (open == 0)
            {
                return i;
            }
        }

        return -1;
    }

    [GeneratedRegex(@"var\(\s*(?<name>--[^\s,)]+)")]
    private static partial Regex Variable();
}
