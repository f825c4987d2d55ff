namespace Cabida.Core.Motifs;

/// <summary>Which part is meant: one of a motif, or of a name that a piece sets on two lines, one of these.</summary>
/// <param name="Part">The part's id in the motif.</param>
/// <param name="Line">Which line of a broken name, from 1; 0 for the part as the motif has it.</param>
public readonly record struct PartKey(string Part, int Line = 0)
{
    /// <summary>Whether it is a line of a part's name that was broken.</summary>
    public bool IsLineOf(string part) => Line > 0 && Part == part;

    /// <summary>Whether it is the part itself, or the first line where it was broken.</summary>
    public bool Begins(string part) => Line <= 1 && Part == part;
}
