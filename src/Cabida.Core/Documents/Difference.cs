namespace Cabida.Core.Documents;

/// <summary>Something in which two states of a document differ, in words.</summary>
/// <param name="Where">What it is of: <c>zone Front, margin above</c>.</param>
/// <param name="Before">What was there; empty for nothing.</param>
/// <param name="After">What is there now, likewise.</param>
public sealed record Difference(string Where, string Before, string After);

/// <summary>The differences of two states of a document.</summary>
/// <param name="Told">Those that are told.</param>
/// <param name="Beyond">How many more there are.</param>
public sealed record Differences(IReadOnlyList<Difference> Told, int Beyond)
{
    /// <summary>None.</summary>
    public static Differences None { get; } = new([], 0);
}
