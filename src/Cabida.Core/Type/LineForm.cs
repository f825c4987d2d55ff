namespace Cabida.Core.Type;

/// <summary>What a line is set along.</summary>
public enum LineShape
{
    /// <summary>A straight line.</summary>
    Straight,

    /// <summary>A straight line whose top and bottom edges are arched.</summary>
    Arched,

    /// <summary>Round a circle, standing on its outside, its middle at the top.</summary>
    RoundOutside,

    /// <summary>Round a circle, standing on its inside, its middle at the bottom.</summary>
    RoundInside,

    /// <summary>Upright letters under one another, centred by ink.</summary>
    Column,
}

/// <summary>What is guaranteed between neighbouring letters.</summary>
public enum LetterJoins
{
    /// <summary>They stand as the typeface sets them.</summary>
    AsDrawn,

    /// <summary>Each overlaps the next by at least so much along the line, as in a script.</summary>
    Overlap,

    /// <summary>Each is at least so far from the next.</summary>
    KeptApart,
}

/// <summary>What is done to a line once its size is known; lengths in millimetres of the finished piece.</summary>
/// <param name="Joins">What is guaranteed between neighbouring letters.</param>
/// <param name="JoinBy">How much they overlap or stand apart.</param>
/// <param name="Shape">What it is set along.</param>
/// <param name="ArchTop">How far the middle of its top edge is raised.</param>
/// <param name="ArchBottom">How far the middle of its bottom edge is raised.</param>
/// <param name="Circle">Across the circle it stands on.</param>
/// <param name="ColumnGap">Between the letters of a column.</param>
/// <param name="Wider">What its width is multiplied by.</param>
/// <param name="Higher">What its height is multiplied by.</param>
/// <param name="Grow">How far its outlines are grown at every side.</param>
public sealed record LineForm(
    LetterJoins Joins,
    double JoinBy,
    LineShape Shape,
    double ArchTop,
    double ArchBottom,
    double Circle,
    double ColumnGap,
    double Wider,
    double Higher,
    double Grow
)
{
    /// <summary>As the typeface sets it.</summary>
    public static LineForm Plain { get; } = new(LetterJoins.AsDrawn, 0, LineShape.Straight, 0, 0, 0, 0, 1, 1, 0);
}
