using System.ComponentModel.DataAnnotations;
using Cabida.Core.Documents;
using Cabida.Core.Measures;

namespace Cabida.Core.Runs;

/// <summary>Something that goes with each piece: a box, a ribbon.</summary>
/// <param name="Name">What it is.</param>
/// <param name="Each">What one costs, as typed.</param>
public sealed record Extra(
    [property: MaxLength(DocumentGate.LongestName)] string Name,
    [property: MaxLength(TypedAmount.MostLetters)] string Each
);

/// <summary>What of a run's price is typed.</summary>
public sealed record RunPrice
{
    /// <summary>A run has so many extras at most.</summary>
    public const int MostExtras = 20;

    /// <summary>Nothing is typed.</summary>
    public static RunPrice None { get; } = new();

    /// <summary>What one plain blank costs; empty for what its blank says.</summary>
    [MaxLength(TypedAmount.MostLetters)]
    public string Blank { get; init; } = "";

    /// <summary>What goes with each piece.</summary>
    [MaxLength(MostExtras)]
    public IReadOnlyList<Extra> Extras { get; init; } = [];

    /// <summary>The price of a piece that was agreed; empty for what it comes to.</summary>
    [MaxLength(TypedAmount.MostLetters)]
    public string Agreed { get; init; } = "";
}
