using System.ComponentModel.DataAnnotations;
using Cabida.Core.Measures;

namespace Cabida.Core.Runs;

/// <summary>What may be done for a name that does not fit at the size of its set.</summary>
public enum ConcessionKind
{
    /// <summary>Its letters are closed up.</summary>
    CloseUp,

    /// <summary>The margins of its zone shrink.</summary>
    Margin,

    /// <summary>It is broken into two lines at the best place.</summary>
    TwoLines,

    /// <summary>It is set in a narrower typeface.</summary>
    Face,

    /// <summary>It becomes smaller than the set.</summary>
    Smaller,
}

/// <summary>One of an ordered list of concessions, with its limit.</summary>
/// <param name="Kind">What may be done.</param>
public sealed record Concession(ConcessionKind Kind)
{
    /// <summary>How far: letters closed up by so many hundredths of an em, or made smaller by so many hundredths.</summary>
    [Range(-10_000.0, 10_000.0)]
    public double Percent { get; init; } = 5;

    /// <summary>The least margin that is left.</summary>
    public TypedLength LeastMargin { get; init; } = TypedLength.Mm(4);

    /// <summary>The narrower typeface.</summary>
    public string TypefaceId { get; init; } = "";

    /// <summary>The most that letters may be closed up, in hundredths of an em.</summary>
    public const double MostCloseUp = 30;

    /// <summary>The most that a name may be made smaller, in hundredths.</summary>
    public const double MostSmaller = 90;
}
