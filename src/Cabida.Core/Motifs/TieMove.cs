using System.ComponentModel.DataAnnotations;

namespace Cabida.Core.Motifs;

/// <summary>A tie that was moved along the part it holds.</summary>
/// <param name="Tie">Which, by what it holds: the motif's part, the letter with its place in the line, and its number there.</param>
/// <param name="Angle">Where it leaves that part, seen from the middle of it: degrees to the left of the right.</param>
public sealed record TieMove([property: MaxLength(TieMove.LongestName)] string Tie, [property: Range(-36_000.0, 36_000.0)] double Angle)
{
    /// <summary>No tie is named by more than this.</summary>
    public const int LongestName = 1200;
}
