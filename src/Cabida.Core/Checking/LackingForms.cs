using Cabida.Core.Motifs;

namespace Cabida.Core.Checking;

/// <summary>Letters that have no form of the kind that was chosen, by rule or by hand: they stand as the face draws them.</summary>
public sealed class LackingForms : ICheck
{
    /// <inheritdoc/>
    public IEnumerable<Finding> Look(CheckedPiece piece)
    {
        ArgumentNullException.ThrowIfNull(piece);
        return piece
            .Composition.Lines.OrderBy(l => l.Key, StringComparer.Ordinal)
            .SelectMany(l =>
                l.Value.Unmet.Select(a => new Finding(Rule.FormLacking, Severity.Look, null, null, null, LackingForm.Say(l.Value, a)))
            );
    }
}
