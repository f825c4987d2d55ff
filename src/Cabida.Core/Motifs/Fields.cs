using System.Text.RegularExpressions;

namespace Cabida.Core.Motifs;

/// <summary>The fields of a motif's text: words in braces, as in <c>{name}</c>.</summary>
public static partial class Fields
{
    /// <summary>The field that a run's list fills.</summary>
    public const string Name = "name";

    /// <summary>The fields named in a motif, each once, in order of appearance.</summary>
    public static IReadOnlyList<string> In(Motif motif)
    {
        ArgumentNullException.ThrowIfNull(motif);
        return [.. motif.Parts.OfType<LetteringPart>().SelectMany(p => In(p.Text)).Distinct(StringComparer.Ordinal)];
    }

    /// <summary>The fields named in a text.</summary>
    public static IEnumerable<string> In(string text) => Pattern().Matches(text).Select(m => m.Groups[1].Value.ToLowerInvariant());

    /// <summary>The text with its fields filled; a field without a value stays as written.</summary>
    public static string Fill(string text, IReadOnlyDictionary<string, string> values) =>
        Pattern().Replace(text, m => values.TryGetValue(m.Groups[1].Value.ToLowerInvariant(), out var value) ? value : m.Value);

    [GeneratedRegex(@"\{\s*([\p{L}][\p{L}\p{N} _-]{0,30}?)\s*\}")]
    private static partial Regex Pattern();
}
