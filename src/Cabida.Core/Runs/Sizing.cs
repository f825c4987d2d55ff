using Cabida.Core.Measures;

namespace Cabida.Core.Runs;

/// <summary>How the pieces of a run are sized.</summary>
public enum Sizing
{
    /// <summary>Each at its own largest.</summary>
    EachLargest,

    /// <summary>All at one letter height.</summary>
    OneLetterHeight,

    /// <summary>All at one scale of the motif.</summary>
    OneScale,
}

/// <summary>The letter height of a group of a run, as for one size of a garment.</summary>
/// <param name="Group">What the field that groups them says.</param>
/// <param name="LetterHeight">Their letter height.</param>
public sealed record GroupHeight(string Group, TypedLength LetterHeight);
