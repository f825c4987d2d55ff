using System.ComponentModel.DataAnnotations;
using Cabida.Core.Documents;

namespace Cabida.Core.Motifs;

/// <summary>How the rows of a motif line up, by their ink.</summary>
public enum RowAlignment
{
    /// <summary>Left edges of the ink line up.</summary>
    Left,

    /// <summary>Middles of the ink line up.</summary>
    Centre,

    /// <summary>Right edges of the ink line up.</summary>
    Right,
}

/// <summary>Reusable artwork: parts in order, with fields in their text. It belongs to no blank.</summary>
/// <param name="Name">What it is called.</param>
/// <param name="Alignment">How its rows line up.</param>
/// <param name="Parts">Its parts, first at the top left.</param>
public sealed record Motif([property: MaxLength(DocumentGate.LongestName)] string Name, RowAlignment Alignment, IReadOnlyList<Part> Parts)
{
    /// <summary>What it is composed against; a run brings its own.</summary>
    public Ground Ground { get; init; } = new();

    /// <summary>The name that fills the name field while no list does; empty for one of the application's own.</summary>
    [MaxLength(LetteringPart.MostLetters)]
    public string Sample { get; init; } = "";

    /// <summary>What of it stands on the datum centre of its ground, unless a run says otherwise.</summary>
    public Centring Centring { get; init; }

    /// <summary>Its parts and those inside its groups, in order.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public IEnumerable<Part> AllParts => Within(Parts);

    /// <summary>The line that holds the name field, when there is one.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public LetteringPart? NameLine =>
        AllParts.OfType<LetteringPart>().FirstOrDefault(p => Fields.In(p.Text).Contains(Fields.Name, StringComparer.Ordinal));

    /// <summary>The films that its parts name, each once, in order of appearance.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public IReadOnlyList<string> FilmIds =>
        [
            .. AllParts
                .SelectMany(p => p is GraphicPart g ? g.Films.Select(f => f.FilmId).Prepend(p.FilmId) : [p.FilmId])
                .Where(f => f.Length > 0)
                .Distinct(StringComparer.Ordinal),
        ];

    private static IEnumerable<Part> Within(IEnumerable<Part> parts) =>
        parts.SelectMany(p => p is GroupPart group ? Within(group.Parts).Prepend(p) : [p]);
}
