using Cabida.Core.Motifs;

namespace Cabida.Core.Checking;

/// <summary>Words that are set in another face than the one chosen, since it lacks letters of them.</summary>
public sealed class OtherFace : ICheck
{
    /// <inheritdoc/>
    public IEnumerable<Finding> Look(CheckedPiece piece)
    {
        ArgumentNullException.ThrowIfNull(piece);
        foreach (var (_, line) in piece.Composition.Lines.OrderBy(l => l.Key, StringComparer.Ordinal))
        {
            if (MotifNotes.StandsIn(line) is { } instead)
            {
                yield return new Finding(Rule.OtherFace, Severity.Look, null, null, null, instead);
            }
        }
    }
}
