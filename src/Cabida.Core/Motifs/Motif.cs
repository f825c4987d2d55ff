using System.Text.Json.Serialization;
using Cabida.Core.Measures;

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

/// <summary>Whether a length follows the fit.</summary>
public enum Scaling
{
    /// <summary>It grows and shrinks with the motif.</summary>
    Proportional,

    /// <summary>It is millimetres on the finished piece.</summary>
    Fixed,
}

/// <summary>A length of a motif.</summary>
/// <param name="Typed">What was typed.</param>
/// <param name="Scaling">Whether it follows the fit.</param>
public sealed record MotifLength(TypedLength Typed, Scaling Scaling)
{
    /// <summary>The length in millimetres at a scale; zero when what was typed cannot be read.</summary>
    public double At(double scale, LengthRange range) =>
        Typed.OrZero(range).Millimetres * (Scaling == Scaling.Proportional ? scale : 1);

    /// <summary>A proportional length in millimetres.</summary>
    public static MotifLength Scales(double millimetres) => new(TypedLength.Mm(millimetres), Scaling.Proportional);

    /// <summary>A fixed length in millimetres.</summary>
    public static MotifLength Stays(double millimetres) => new(TypedLength.Mm(millimetres), Scaling.Fixed);
}

/// <summary>Where a part stands to the one before it.</summary>
public enum PartPlace
{
    /// <summary>In a row of its own, below.</summary>
    Below,

    /// <summary>In the same row, to the right.</summary>
    Beside,
}

/// <summary>One element of a motif.</summary>
/// <param name="Id">A name for it that does not change while it is edited.</param>
/// <param name="Place">Where it stands to the part before.</param>
/// <param name="Gap">Ink to ink: below the row before, or right of the part before.</param>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "kind")]
[JsonDerivedType(typeof(LetteringPart), "lettering")]
[JsonDerivedType(typeof(RulePart), "rule")]
public abstract record Part(string Id, PartPlace Place, MotifLength Gap);

/// <summary>By what a line of lettering is sized.</summary>
public enum LetteringSize
{
    /// <summary>The height of its capitals.</summary>
    CapitalHeight,

    /// <summary>The width of its ink.</summary>
    InkWidth,
}

/// <summary>A line of lettering. Stays text: outlines are derived.</summary>
/// <param name="Id">A name for it that does not change while it is edited.</param>
/// <param name="Place">Where it stands to the part before.</param>
/// <param name="Gap">Ink to ink distance from what comes before.</param>
/// <param name="Text">The words; fields stand in braces, as in <c>{name}</c>.</param>
/// <param name="TypefaceId">The face.</param>
/// <param name="SizedBy">What <paramref name="Size"/> measures.</param>
/// <param name="Size">The size.</param>
/// <param name="Spacing">Extra room between letters, in thousandths of an em.</param>
public sealed record LetteringPart(
    string Id, PartPlace Place, MotifLength Gap, string Text, string TypefaceId, LetteringSize SizedBy, MotifLength Size, double Spacing)
    : Part(Id, Place, Gap);

/// <summary>How long a rule is.</summary>
public enum RuleSpan
{
    /// <summary>As long as typed.</summary>
    Given,

    /// <summary>As long as makes its row as wide as the widest other row; rules in one row share what there is.</summary>
    FillsRow,
}

/// <summary>A horizontal rule; beside lettering it stands at half the height of its capitals.</summary>
/// <param name="Id">A name for it that does not change while it is edited.</param>
/// <param name="Place">Where it stands to the part before.</param>
/// <param name="Gap">Ink to ink distance from what comes before.</param>
/// <param name="Span">How its length is found.</param>
/// <param name="Length">Its length, where given; its least length, where it fills.</param>
/// <param name="Thickness">Its thickness.</param>
public sealed record RulePart(string Id, PartPlace Place, MotifLength Gap, RuleSpan Span, MotifLength Length, MotifLength Thickness)
    : Part(Id, Place, Gap);

/// <summary>Reusable artwork: parts in order, with fields in their text. It belongs to no blank.</summary>
/// <param name="Name">What it is called.</param>
/// <param name="Alignment">How its rows line up.</param>
/// <param name="Parts">Its parts, first at the top left.</param>
public sealed record Motif(string Name, RowAlignment Alignment, IReadOnlyList<Part> Parts);
