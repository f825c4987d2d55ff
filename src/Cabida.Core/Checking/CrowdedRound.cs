using Cabida.Core.Motifs;

namespace Cabida.Core.Checking;

/// <summary>Lines that are longer than their circle, or whose letters stand on one another there.</summary>
public sealed class CrowdedRound : ICheck
{
    /// <inheritdoc/>
    public IEnumerable<Finding> Look(CheckedPiece piece)
    {
        ArgumentNullException.ThrowIfNull(piece);
        foreach (var placed in piece.Parts.SelectMany(p => p.WithInner))
        {
            if (placed.Line is { Round: not null } line && RoundNotes.Fault(line) is { } fault)
            {
                var at = line.Crowded is [var (first, _), ..] ? line.BoxOfLetter(first)?.Centre : null;
                yield return new Finding(Rule.CrowdedRound, Severity.Look, at is { } p ? placed.Motion.Of(p) : null, null, null, fault);
            }
        }
    }
}
