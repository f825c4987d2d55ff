using System.ComponentModel.DataAnnotations;
using Cabida.Core.Documents;

namespace Cabida.Core.Runs;

/// <summary>What a step really took once.</summary>
/// <param name="Of">Tells apart what it was: typed again for the same, it replaces what was typed.</param>
/// <param name="Said">What it was, in words.</param>
/// <param name="Kind">The kind of step.</param>
/// <param name="Usual">What it takes by the product's own figures; minutes with hands on.</param>
/// <param name="Minutes">What it took.</param>
public sealed record StepTook(
    [property: MaxLength(DocumentGate.LongestName)] string Of,
    [property: MaxLength(DocumentGate.LongestName)] string Said,
    StepKind Kind,
    [property: Range(0, 1e6)] double Usual,
    [property: Range(0, 1e6)] double Minutes
);

/// <summary>What the workshop remembers of its pace at the bench.</summary>
public sealed record BenchBook
{
    /// <summary>The id of the only one there is.</summary>
    public const string Only = "bench";

    /// <summary>It remembers so many entries; the oldest go first.</summary>
    public const int Most = 500;

    /// <summary>Before anything was typed.</summary>
    public static BenchBook Empty { get; } = new();

    /// <summary>What steps really took, the latest last.</summary>
    [MaxLength(Most)]
    public IReadOnlyList<StepTook> Took { get; init; } = [];

    /// <summary>How large things became, the latest last.</summary>
    [MaxLength(Most)]
    public IReadOnlyList<SizeMade> Sizes { get; init; } = [];

    /// <summary>It with how large something became; null takes the entry out.</summary>
    public BenchBook NotingSize(string of, SizeMade? made) =>
        this with
        {
            Sizes = [.. Sizes.Where(s => s.Of != of).TakeLast(Most - 1), .. made is null ? Array.Empty<SizeMade>() : [made]],
        };

    /// <summary>It with what something took; null takes the entry out.</summary>
    public BenchBook Noting(string of, StepTook? took) =>
        this with
        {
            Took = [.. Took.Where(t => t.Of != of).TakeLast(Most - 1), .. took is null ? Array.Empty<StepTook>() : [took]],
        };
}
