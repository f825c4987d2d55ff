using System.ComponentModel.DataAnnotations;

namespace Cabida.Core.Runs;

/// <summary>One made thing of a run.</summary>
/// <param name="Id">Stays with it when the list is typed or pasted again.</param>
/// <param name="Name">What its name field says.</param>
public sealed record Piece(string Id, [property: MaxLength(Motifs.LetteringPart.MostLetters)] string Name)
{
    /// <summary>What its row says for other fields, by field.</summary>
    public IReadOnlyDictionary<string, string> Values { get; init; } = NoValues;

    /// <summary>How many are made of it.</summary>
    [Range(0, 100_000)]
    public int Copies { get; init; } = 1;

    /// <summary>What was set by hand for it alone.</summary>
    public Overrides Own { get; init; } = Overrides.None;

    /// <summary>What was set by hand for it on other sides of its run, by the id of the side.</summary>
    public IReadOnlyDictionary<string, Overrides> OwnOnSides { get; init; } = NothingOnSides;

    private static IReadOnlyDictionary<string, Overrides> NothingOnSides { get; } =
        new Dictionary<string, Overrides>(StringComparer.Ordinal);

    /// <summary>No fields but the name.</summary>
    public static IReadOnlyDictionary<string, string> NoValues { get; } = new Dictionary<string, string>(StringComparer.Ordinal);

    /// <summary>What a field says; empty when its row does not say it.</summary>
    public string ValueOf(string field) => field == Motifs.Fields.Name ? Name : Values.GetValueOrDefault(field, "");

    /// <summary>It without anything set by hand.</summary>
    public Piece WithoutOwn() => this with { Own = Overrides.None, OwnOnSides = NothingOnSides };

    /// <summary>What was set by hand for it on a side; the first side has no id.</summary>
    public Overrides OwnOn(string side) => side.Length == 0 ? Own : OwnOnSides.GetValueOrDefault(side, Overrides.None);

    /// <summary>It with other things set by hand on a side; the first side has no id.</summary>
    public Piece WithOwn(string side, Overrides own)
    {
        ArgumentNullException.ThrowIfNull(side);
        return side.Length == 0
            ? this with
            {
                Own = own,
            }
            : this with
            {
                OwnOnSides = new Dictionary<string, Overrides>(OwnOnSides, StringComparer.Ordinal) { [side] = own },
            };
    }

    /// <summary>Everything that was set by hand for it, on whichever side.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public IEnumerable<Overrides> AllOwn => OwnOnSides.Values.Prepend(Own);

    /// <summary>All fields with the name.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public IReadOnlyDictionary<string, string> Fields =>
        new Dictionary<string, string>(Values, StringComparer.Ordinal) { [Motifs.Fields.Name] = Name };
}
