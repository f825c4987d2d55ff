using System.ComponentModel.DataAnnotations;
using Cabida.Core.Documents;
using Cabida.Core.Runs;

namespace Cabida.Core.Orders;

/// <summary>What the workshop sells (calculations 6.17): how a run of it is made, and what orders call it.</summary>
/// <param name="Name">What it is called.</param>
/// <param name="Code">Its article number; empty where it has none.</param>
/// <param name="SetUp">
/// How it is made: blank, zone, motif, film, cutter, size rule, steps and price. It is of no job, and what it pins tells what it was
/// looked at with; a run that is taken by it takes everything as it is then.
/// </param>
public sealed record Offer(
    [property: MaxLength(DocumentGate.LongestName)] string Name,
    [property: MaxLength(DocumentGate.LongestName)] string Code,
    RunSetUp SetUp
)
{
    /// <summary>An offer has so many other names at most.</summary>
    public const int MostNames = 60;

    /// <summary>What else orders call it: the article of a shop, a name misspelt once.</summary>
    [MaxLength(MostNames)]
    public IReadOnlyList<string> AlsoCalled { get; init; } = [];

    /// <summary>Whether it is sold no more: orders that name it are told so.</summary>
    public bool IsRetired { get; init; }
}
