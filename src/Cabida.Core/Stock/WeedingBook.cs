using System.ComponentModel.DataAnnotations;
using Cabida.Core.Documents;

namespace Cabida.Core.Stock;

/// <summary>How the waste of a film was cut last.</summary>
/// <param name="FilmId">The film.</param>
/// <param name="Ways">How.</param>
public sealed record FilmWays(string FilmId, WeedWays Ways);

/// <summary>What weeding really took once, with what there was to weed.</summary>
/// <param name="Of">Tells apart what was weeded: typed again for the same, it replaces what was typed.</param>
/// <param name="Said">What it was, in words.</param>
/// <param name="Purpose">What the film is for.</param>
/// <param name="Bits">How many bits there were.</param>
/// <param name="Small">Of these, how many under 4 mm².</param>
/// <param name="CutLength">The length of all cuts, in millimetres.</param>
/// <param name="Minutes">How many minutes it took.</param>
public sealed record WeedingTook(
    [property: MaxLength(DocumentGate.LongestName)] string Of,
    [property: MaxLength(DocumentGate.LongestName)] string Said,
    FilmPurpose Purpose,
    [property: Range(0, 1_000_000)] int Bits,
    [property: Range(0, 1_000_000)] int Small,
    [property: Range(0, 1e9)] double CutLength,
    [property: Range(0.01, 10_000)] double Minutes
)
{
    /// <summary>Words as long as may be noted.</summary>
    public static string Shortened(string words)
    {
        ArgumentNullException.ThrowIfNull(words);
        return words.Length <= DocumentGate.LongestName ? words : words[..DocumentGate.LongestName];
    }
}

/// <summary>What the workshop remembers of weeding: how each film was last cut for it, and how long it really took.</summary>
public sealed record WeedingBook
{
    /// <summary>The id of the only one there is.</summary>
    public const string Only = "weeding";

    /// <summary>It remembers so many films and entries; the oldest go first.</summary>
    public const int Most = 500;

    /// <summary>Before anything was typed.</summary>
    public static WeedingBook Empty { get; } = new();

    /// <summary>How each film was last cut, the latest last.</summary>
    [MaxLength(Most)]
    public IReadOnlyList<FilmWays> Films { get; init; } = [];

    /// <summary>What weeding really took, the latest last.</summary>
    [MaxLength(Most)]
    public IReadOnlyList<WeedingTook> Took { get; init; } = [];

    /// <summary>How a film was last cut; null for one that never was chosen for.</summary>
    public WeedWays? WaysOf(string filmId) => Films.FirstOrDefault(f => f.FilmId == filmId)?.Ways;

    /// <summary>It with how a film is cut from now on.</summary>
    public WeedingBook Remembering(string filmId, WeedWays ways) =>
        this with
        {
            Films = [.. Films.Where(f => f.FilmId != filmId).TakeLast(Most - 1), new FilmWays(filmId, ways)],
        };

    /// <summary>It with what something took; null minutes take the entry out.</summary>
    public WeedingBook Noting(string of, WeedingTook? took) =>
        this with
        {
            Took = [.. Took.Where(t => t.Of != of).TakeLast(Most - 1), .. took is null ? Array.Empty<WeedingTook>() : [took]],
        };
}
