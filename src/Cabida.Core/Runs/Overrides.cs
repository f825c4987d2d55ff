using System.ComponentModel.DataAnnotations;
using Cabida.Core.Measures;
using Cabida.Core.Motifs;
using Cabida.Core.Type;

namespace Cabida.Core.Runs;

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

    /// <summary>What is changed of parts of the motif so that it can be cut.</summary>
    [MaxLength(MostMends)]
    public IReadOnlyList<PartMend> Mends { get; init; } = [];

    /// <summary>Ties that were moved along.</summary>
    [MaxLength(MostMends)]
    public IReadOnlyList<TieMove> Ties { get; init; } = [];

    /// <summary>No more parts are changed, and ties moved, than this.</summary>
    public const int MostMends = 400;

    /// <summary>It with a part changed, beside what was changed of that part before.</summary>
    public Overrides With(PartMend mend)
    {
        ArgumentNullException.ThrowIfNull(mend);
        var before = Mends.FirstOrDefault(m => m.PartId == mend.PartId);
        return this with { Mends = before is null ? [.. Mends, mend] : [.. Mends.Select(m => m.PartId == mend.PartId ? m.With(mend) : m)] };
    }

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
        && Mends.Count == 0
        && Ties.Count == 0
        && !NoConcessions;

    /// <summary>Tells apart overrides that could differ.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public string Key =>
        IsNone
            ? ""
            : FormattableString.Invariant(
                $"{Right} {Up} {LetterHeight} {Spacing:R} {TypefaceId} {TwoLines} {string.Join(' ', Letters)} {NoConcessions}"
            ) + string.Concat(Mends.Select(m => $" {m}").Concat(Ties.Select(t => $" {t}")));
}
