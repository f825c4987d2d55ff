using System.Globalization;
using Cabida.Core.Wording;

namespace Cabida.Core.Checking;

/// <summary>Characters that a line's typeface has no drawing for: they would be left out of the cut.</summary>
public sealed class MissingCharacters : ICheck
{
    /// <inheritdoc/>
    public IEnumerable<Finding> Look(CheckedPiece piece)
    {
        ArgumentNullException.ThrowIfNull(piece);
        foreach (var (_, line) in piece.Composition.Lacking)
        {
            var missing = line.Missing.Select(i => StringInfo.GetNextTextElement(line.Text, i)).Distinct(StringComparer.Ordinal).ToList();
            yield return new Finding(
                Rule.MissingCharacters,
                Severity.Stop,
                null,
                null,
                null,
                Phrase.Say(
                    $"{line.Face.Info.Name} has no {string.Join(", ", missing.Select(m => $"“{m}”")):strong}. Choose a typeface "
                        + $"that has {(missing.Count == 1 ? "it" : "them")}, or spell the name another way."
                )
            );
        }
    }
}
