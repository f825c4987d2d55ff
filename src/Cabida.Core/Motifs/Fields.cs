using System.Globalization;
using System.Text;
using System.Text.RegularExpressions;

namespace Cabida.Core.Motifs;

/// <summary>
/// The fields of a motif's text: words in braces, as in <c>{name}</c>, with a form, as in <c>{name:capitals}</c>, and with
/// what stands there when it is empty, as in <c>{name|Friend}</c>.
/// </summary>
public static partial class Fields
{
    /// <summary>The field that a run's list fills.</summary>
    public const string Name = "name";

    /// <summary>The forms a field can take, besides as typed.</summary>
    public static IReadOnlyList<string> Forms { get; } = ["capitals", "first letter", "initials"];

    /// <summary>The fields named in a motif, each once, in order of appearance.</summary>
    public static IReadOnlyList<string> In(Motif motif)
    {
        ArgumentNullException.ThrowIfNull(motif);
        return [.. motif.AllParts.OfType<LetteringPart>().SelectMany(p => In(p.Text)).Distinct(StringComparer.Ordinal)];
    }

    /// <summary>The fields named in a text.</summary>
    public static IEnumerable<string> In(string text) => Pattern().Matches(text).Select(m => m.Groups["field"].Value.ToLowerInvariant());

    /// <summary>Forms named in a text that are none of <see cref="Forms"/>.</summary>
    public static IEnumerable<string> UnknownForms(string text) =>
        Pattern()
            .Matches(text)
            .Select(m => m.Groups["form"].Value.Trim().ToLowerInvariant())
            .Where(f => f.Length > 0 && !Forms.Contains(f));

    /// <summary>
    /// The text with its fields filled; a field that no value fills and that has nothing to stand in for it stays as written.
    /// </summary>
    public static string Fill(string text, IReadOnlyDictionary<string, string> values) =>
        Pattern()
            .Replace(text, m =>
            {
                values.TryGetValue(m.Groups["field"].Value.ToLowerInvariant(), out var value);
                return string.IsNullOrWhiteSpace(value)
                    ? m.Groups["instead"].Success
                        ? m.Groups["instead"].Value
                        : value ?? m.Value
                    : Formed(value, m.Groups["form"].Value.Trim().ToLowerInvariant());
            });

    /// <summary>
    /// The text with its fields filled and white space round it taken away, and where in it names stand: what fills the name field, or all
    /// of it where it has none.
    /// </summary>
    public static (string Text, IReadOnlyList<(int Start, int End)> Names) FillAndFind(
        string text,
        IReadOnlyDictionary<string, string> values
    )
    {
        ArgumentNullException.ThrowIfNull(text);
        var (filled, names, at) = (new StringBuilder(), new List<(int Start, int End)>(), 0);
        foreach (Match m in Pattern().Matches(text))
        {
            filled.Append(text, at, m.Index - at);
            var value = Fill(m.Value, values);
            if (m.Groups["field"].Value.Equals(Name, StringComparison.OrdinalIgnoreCase))
            {
                names.Add((filled.Length, filled.Length + value.Length));
            }

            filled.Append(value);
            at = m.Index + m.Length;
        }

        var all = filled.Append(text, at, text.Length - at).ToString();
        var trimmed = all.Trim();
        var before = all.Length - all.TrimStart().Length;
        // Composing may shorten what comes before a name.
        int Composed(int place) => trimmed[..Math.Clamp(place - before, 0, trimmed.Length)].Normalize(NormalizationForm.FormC).Length;
        return (
            trimmed,
            names.Count > 0
                ? [.. names.Select(n => (Composed(n.Start), Composed(n.End)))]
                : [(0, trimmed.Normalize(NormalizationForm.FormC).Length)]
        );
    }

    private static string Formed(string value, string form) =>
        form switch
        {
            // Capitals of the invariant culture: a Turkish i keeps its dot only where it was typed with one.
            "capitals" => value.ToUpperInvariant(),
            "first letter" => FirstLetter(value.Trim()),
            "initials" => string.Concat(
                value
                    .Split([' ', '-', '\u00a0'], StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries)
                    .Select(FirstLetter)
            ),
            _ => value,
        };

    private static string FirstLetter(string word) => word.Length == 0 ? "" : StringInfo.GetNextTextElement(word).ToUpperInvariant();

    [GeneratedRegex(@"\{\s*(?<field>[\p{L}][\p{L}\p{N} _-]{0,30}?)\s*(?::(?<form>[^{}|]*))?(?:\|(?<instead>[^{}]*))?\}")]
    private static partial Regex Pattern();
}
