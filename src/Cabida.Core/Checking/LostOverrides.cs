namespace Cabida.Core.Checking;

/// <summary>What was set by hand for a piece and no longer applies: it is looked at, not guessed at.</summary>
public sealed class LostOverrides : ICheck
{
    /// <inheritdoc/>
    public IEnumerable<Finding> Look(CheckedPiece piece)
    {
        ArgumentNullException.ThrowIfNull(piece);
        return piece.Lost.Select(l => new Finding(Rule.OverrideLost, Severity.Look, null, null, null, l));
    }
}
