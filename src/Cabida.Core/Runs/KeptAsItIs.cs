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

    /// <summary>
    /// What can be kept as it is: what the film bears is the maker's to judge. What would be cut wrong, or not at all, is not.
    /// </summary>
    public static bool MayBe(Rule rule) =>
        rule
            is Rule.ThinStrokes
                or Rule.NarrowGaps
                or Rule.Specks
                or Rule.Counters
                or Rule.LooseParts
                or Rule.WideTies
                or Rule.DoubledCuts
                or Rule.FilmStrain
                or Rule.SidesOverlap;

    /// <summary>Whether it is of a finding of a piece.</summary>
    public bool IsOf(Finding finding, string piece)
    {
        ArgumentNullException.ThrowIfNull(finding);
        return finding.Rule == Rule
            && finding.Side == Side
            && finding.Part == Part
            && (Piece.Length == 0 || Piece == piece)
            && MayBe(Rule)
            && !string.IsNullOrWhiteSpace(Reason);
    }
}
