using System.ComponentModel.DataAnnotations;
using Cabida.Core.Measures;
using Cabida.Core.Type;

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

    /// <summary>What the customer said of it; null before it was shown.</summary>
    public Verdict? Verdict { get; init; }

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

    /// <summary>Everything that was set by hand for it, on whichever side.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public IEnumerable<Overrides> AllOwn => OwnOnSides.Values.Prepend(Own);

    /// <summary>All fields with the name.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public IReadOnlyDictionary<string, string> Fields =>
        new Dictionary<string, string>(Values, StringComparer.Ordinal) { [Motifs.Fields.Name] = Name };
}

/// <summary>Another form of a letter in one piece.</summary>
/// <param name="PartId">The line.</param>
/// <param name="Form">The letter as it was expected there, and its form.</param>
public sealed record PieceLetter(string PartId, Alternate Form);

/// <summary>
/// What was set by hand for one piece. It stays when the list, the blank or the motif changes; what no longer applies becomes
/// a finding.
/// </summary>
public sealed record Overrides
{
    /// <summary>Nothing by hand.</summary>
    public static Overrides None { get; } = new();

    /// <summary>How far it is moved to the right.</summary>
    public TypedLength Right { get; init; } = TypedLength.Empty;

    /// <summary>How far it is moved up.</summary>
    public TypedLength Up { get; init; } = TypedLength.Empty;

    /// <summary>Its own letter height, an exception from the set; empty for the set's.</summary>
    public TypedLength LetterHeight { get; init; } = TypedLength.Empty;

    /// <summary>
    /// Room between the letters of its name beside what the motif says, in thousandths of an em; negative closes them up.
    /// </summary>
    [Range(-Motifs.LetteringPart.MostSpacing, Motifs.LetteringPart.MostSpacing)]
    public double Spacing { get; init; }

    /// <summary>The typeface of its name; empty for the motif's.</summary>
    public string TypefaceId { get; init; } = "";

    /// <summary>The name on two lines, parted by a line break; empty for one line.</summary>
    [MaxLength(Motifs.LetteringPart.MostLetters)]
    public string TwoLines { get; init; } = "";

    /// <summary>Letters in other forms.</summary>
    public IReadOnlyList<PieceLetter> Letters { get; init; } = [];

    /// <summary>Whether no concession is made for it.</summary>
    public bool NoConcessions { get; init; }

    /// <summary>Whether nothing was set by hand.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public bool IsNone =>
        Right.IsEmpty
        && Up.IsEmpty
        && LetterHeight.IsEmpty
        && Spacing == 0
        && TypefaceId.Length == 0
        && TwoLines.Length == 0
        && Letters.Count == 0
        && !NoConcessions;

    /// <summary>Tells apart overrides that could differ.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public string Key =>
        IsNone
            ? ""
            : FormattableString.Invariant(
                $"{Right} {Up} {LetterHeight} {Spacing:R} {TypefaceId} {TwoLines} {string.Join(' ', Letters)} {NoConcessions}"
            );
}

/// <summary>What the customer said of a piece.</summary>
/// <param name="Approved">Whether it may be made as it was shown.</param>
/// <param name="Words">The correction in the customer's words; empty when approved.</param>
/// <param name="InkHash">The ink that was shown.</param>
/// <param name="BlankRevision">The revision of the blank it was shown on.</param>
public sealed record Verdict(bool Approved, string Words, string InkHash, [property: Range(0, int.MaxValue)] int BlankRevision)
{
    /// <summary>All that was shown and will be made (<see cref="Proofs.SeenHash"/>); empty for verdicts from before it was taken.</summary>
    public string Seen { get; init; } = "";
}
