using System.ComponentModel.DataAnnotations;

namespace Cabida.Core.Type;

/// <summary>A pair of letters that is opened or closed wherever it comes in the line.</summary>
/// <param name="Left">The letter before.</param>
/// <param name="Right">The letter after.</param>
/// <param name="By">How far it is opened, in thousandths of an em; negative closes it.</param>
public sealed record PairNudge(string Left, string Right, [property: Range(-10_000.0, 10_000.0)] double By);

/// <summary>Where a letter's other form is used.</summary>
public enum AlternateScope
{
    /// <summary>At one place in one text.</summary>
    Place,

    /// <summary>For this letter everywhere in the line.</summary>
    Letter,

    /// <summary>For all letters of the line.</summary>
    Face,

    /// <summary>For the first letter of every name, whichever it is.</summary>
    First,

    /// <summary>For the last letter of every name, whichever it is.</summary>
    Last,
}

/// <summary>A letter's other form, chosen by eye.</summary>
/// <param name="Scope">Where it is used.</param>
/// <param name="Letter">The letter it was chosen for.</param>
/// <param name="Words">The words it was chosen in, where it is for one place.</param>
/// <param name="Index">Which letter of them, from 0.</param>
/// <param name="Feature">The typeface's own tag for it, as in <c>swsh</c> or <c>ss01</c>.</param>
/// <param name="Value">Which of several under that tag, from 1.</param>
public sealed record Alternate(
    AlternateScope Scope,
    string Letter,
    string Words,
    int Index,
    [property: MaxLength(8)] string Feature,
    [property: Range(-1000, 1000)] int Value
)
{
    /// <summary>The glyph that was chosen from the face's table, where there is no feature for it; 0 for none.</summary>
    [Range(0, 65_535)]
    public int Glyph { get; init; }

    /// <summary>The row of the face that the glyph is in, where other letters have theirs (<see cref="GlyphForm.Family"/>).</summary>
    [MaxLength(60)]
    public string Family { get; init; } = "";

    /// <summary>The face whose glyph it is: in another face the number means something else.</summary>
    [MaxLength(200)]
    public string FaceId { get; init; } = "";

    /// <summary>Whether the face has no such form of this letter.</summary>
    internal bool IsLacking { get; init; }

    /// <summary>It in words.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public string InWords =>
        Feature.Length > 0 ? FormWords.Of(Feature, Value)
        : Family.Length > 0 ? FormWords.OfFamily(Family)
        : "from the table";
}

/// <summary>How a line is set before its size is known; lengths in em.</summary>
/// <param name="Spacing">Extra room between letters.</param>
/// <param name="WordSpacing">Extra room between words.</param>
/// <param name="Pairs">Pairs that are opened or closed.</param>
/// <param name="Alternates">Letters in another form.</param>
public sealed record LineSetting(double Spacing, double WordSpacing, IReadOnlyList<PairNudge> Pairs, IReadOnlyList<Alternate> Alternates)
{
    /// <summary>As the typeface sets it.</summary>
    public static LineSetting Plain { get; } = new(0, 0, [], []);

    /// <summary>Tells apart settings that could differ.</summary>
    internal string Key =>
        Pairs.Count + Alternates.Count == 0
            ? FormattableString.Invariant($"{Spacing:R} {WordSpacing:R}")
            : FormattableString.Invariant($"{Spacing:R} {WordSpacing:R} {string.Join(' ', Pairs)} {string.Join(' ', Alternates)}");
}
