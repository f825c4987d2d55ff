using System.ComponentModel.DataAnnotations;
using Cabida.Core.Findings;

namespace Cabida.Core.Runs;

/// <summary>A finding that stays as it is, for a stated reason. It changes nothing that is made, so it voids no approval.</summary>
/// <param name="Rule">What was looked for.</param>
/// <param name="Side">On which side; the first has no id.</param>
/// <param name="Part">In which part of the motif; empty for the whole.</param>
/// <param name="Piece">In which piece; empty for all of the run.</param>
/// <param name="Reason">Why.</param>
public sealed record KeptAsItIs(
    Rule Rule,
    string Side,
    string Part,
    string Piece,
    [property: MaxLength(KeptAsItIs.LongestReason)] string Reason
)
{
    /// <summary>The longest reason.</summary>
    public const int LongestReason = 200;

    /// <summary>No more are stated for a run than this.</summary>
    public const int Most = 2000;

    /// <summary>Whether it is of a finding of a piece.</summary>
    public bool IsOf(Finding finding, string piece)
    {
        ArgumentNullException.ThrowIfNull(finding);
        return finding.Rule == Rule
            && finding.Side == Side
            && finding.Part == Part
            && (Piece.Length == 0 || Piece == piece)
            && finding.MayBeKept
            && !string.IsNullOrWhiteSpace(Reason);
    }
}
