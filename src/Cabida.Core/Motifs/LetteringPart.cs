using System.ComponentModel.DataAnnotations;
using Cabida.Core.Type;

namespace Cabida.Core.Motifs;

/// <summary>By what a line of lettering is sized.</summary>
public enum LetteringSize
{
    /// <summary>The height of its capitals.</summary>
    CapitalHeight,

    /// <summary>The width of its ink.</summary>
    InkWidth,

    /// <summary>The height of its ink.</summary>
    InkHeight,

    /// <summary>As wide as the opening of the ground's top mat, and so much more at each end.</summary>
    MatOpening,
}

/// <summary>A line that is widened or heightened on purpose.</summary>
public enum Stretching
{
    /// <summary>Letters keep their proportions.</summary>
    None,

    /// <summary>Widened or narrowed to a width of ink.</summary>
    ToWidth,

    /// <summary>Heightened or lowered to a height of ink.</summary>
    ToHeight,

    /// <summary>Widened or narrowed to the width of another part.</summary>
    ToPart,
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
    string Id,
    PartPlace Place,
    MotifLength Gap,
    [property: MaxLength(LetteringPart.MostLetters)] string Text,
    string TypefaceId,
    LetteringSize SizedBy,
    MotifLength Size,
    [property: Range(-LetteringPart.MostSpacing, LetteringPart.MostSpacing)] double Spacing
) : Part(Id, Place, Gap)
{
    /// <summary>A line with more letters is not kept; one with more than <see cref="MotifProblems.LongestText"/> is not made.</summary>
    public const int MostLetters = 1000;

    /// <summary>The most room between letters or words, and the most they close up, in thousandths of an em: ten ems.</summary>
    public const double MostSpacing = 10_000;

    /// <summary>Which line of a broken name it is in one piece, from 1; 0 for a line of a motif.</summary>
    internal int BrokenLine { get; init; }

    /// <inheritdoc/>
    internal override PartKey Key => new(Id, BrokenLine);

    /// <summary>Extra room between words, in thousandths of an em.</summary>
    [Range(-MostSpacing, MostSpacing)]
    public double WordSpacing { get; init; }

    /// <summary>Whether the gap above is measured from baseline to baseline instead of ink to ink.</summary>
    public bool FromBaseline { get; init; }

    /// <summary>Pairs that are opened or closed.</summary>
    public IReadOnlyList<PairNudge> Pairs { get; init; } = [];

    /// <summary>Letters in another form.</summary>
    public IReadOnlyList<Alternate> Alternates { get; init; } = [];

    /// <summary>Whether words with letters that the face lacks are left lacking, rather than set in another face.</summary>
    public bool OwnFaceOnly { get; init; }

    /// <summary>What is guaranteed between neighbouring letters.</summary>
    public LetterJoins Joins { get; init; }

    /// <summary>How much they overlap or stand apart.</summary>
    public MotifLength JoinBy { get; init; } = MotifLength.Stays(0.8);

    /// <summary>Whether it is widened or heightened on purpose.</summary>
    public Stretching Stretching { get; init; }

    /// <summary>The wanted width or height of ink.</summary>
    public MotifLength StretchTo { get; init; } = MotifLength.Scales(0);

    /// <summary>The part whose width is wanted.</summary>
    public string StretchAs { get; init; } = "";

    /// <summary>What it is set along.</summary>
    public LineShape Shape { get; init; }

    /// <summary>How far the middle of its top edge is raised, where arched; negative lowers it.</summary>
    public MotifLength ArchTop { get; init; } = MotifLength.Scales(0);

    /// <summary>How far the middle of its bottom edge is raised, where arched.</summary>
    public MotifLength ArchBottom { get; init; } = MotifLength.Scales(0);

    /// <summary>The circle its letters stand on, across.</summary>
    public MotifLength Circle { get; init; } = MotifLength.Scales(60);

    /// <summary>The gap between the letters of a column, ink to ink.</summary>
    public MotifLength ColumnGap { get; init; } = MotifLength.Scales(2);

    /// <summary>How far its outlines are grown at every side of the finished piece.</summary>
    public MotifLength Strengthen { get; init; } = MotifLength.Stays(0);
}
