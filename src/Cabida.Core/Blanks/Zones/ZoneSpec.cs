using System.ComponentModel.DataAnnotations;
using Cabida.Core.Measures;

namespace Cabida.Core.Blanks;

/// <summary>Which part of a blank a zone lies on.</summary>
public enum ZonePart
{
    /// <summary>The whole surface; of a frame, what it leaves visible of the pane.</summary>
    Whole,

    /// <summary>The top mat of a frame, round its opening.</summary>
    TopMat,

    /// <summary>What the lowest mat leaves open.</summary>
    Opening,
}

/// <summary>Whether artwork may be turned in a zone.</summary>
public enum Turning
{
    /// <summary>It stands upright.</summary>
    Upright,

    /// <summary>A quarter turn is allowed where it makes the artwork larger.</summary>
    QuarterTurn,

    /// <summary>Any turn up to so far to either side is allowed where it makes the artwork larger.</summary>
    Range,
}

/// <summary>What stays clear at each side of a zone, as typed.</summary>
/// <param name="Top">Below the rim or top edge.</param>
/// <param name="Bottom">Above the base or bottom edge.</param>
/// <param name="Left">At the left: beside the handle or seam, or from the edge.</param>
/// <param name="Right">At the right.</param>
public sealed record ZoneMargins(TypedLength Top, TypedLength Bottom, TypedLength Left, TypedLength Right)
{
    /// <summary>The same at every side.</summary>
    public static ZoneMargins All(TypedLength margin) => new(margin, margin, margin, margin);
}

/// <summary>Where artwork may go on a blank, as typed.</summary>
/// <param name="Id">Tells it apart within its blank.</param>
/// <param name="Name">What it is called: front, back, wrap, lid.</param>
public sealed record ZoneSpec(string Id, string Name)
{
    /// <summary>Which part of the blank it lies on.</summary>
    public ZonePart Part { get; init; }

    /// <summary>Of a flat or cloth thing: on its front or its back.</summary>
    public Facing Facing { get; init; }

    /// <summary>The face of its own that it lies on; empty for the thing itself.</summary>
    public string Face { get; init; } = "";

    /// <summary>The face it lies on.</summary>
    internal FaceKey On => FaceKey.Of(Facing, Face);

    /// <summary>What stays clear at each side.</summary>
    public ZoneMargins Margins { get; init; } = ZoneMargins.All(TypedLength.Mm(10));

    /// <summary>Its width where it is given outright; empty for all that the margins leave.</summary>
    public TypedLength Width { get; init; } = TypedLength.Empty;

    /// <summary>Its height where it is given outright; empty for all that the margins leave.</summary>
    public TypedLength Height { get; init; } = TypedLength.Empty;

    /// <summary>Where it stands when its size is given.</summary>
    public Place Place { get; init; } = new();

    /// <summary>Whether artwork may be turned.</summary>
    public Turning Turning { get; init; }

    /// <summary>How far to either side, in degrees from 0 to <see cref="MostTurn"/>, where a range is allowed.</summary>
    [Range(-3600.0, 3600.0)]
    public double TurnRange { get; init; } = 15;

    /// <summary>The widest range of turning; beyond it lettering would stand on its head.</summary>
    public const double MostTurn = 90;
}

/// <summary>The shape of a place that must stay clear.</summary>
public enum ClearShape
{
    /// <summary>Round, of a diameter.</summary>
    Round,

    /// <summary>Long with round ends.</summary>
    Slot,

    /// <summary>A rectangle.</summary>
    Box,

    /// <summary>A band all across, of a height: a lid, a lip, a ridge.</summary>
    Band,

    /// <summary>A strip all the way up, of a width: a seam.</summary>
    Strip,
}

/// <summary>A length of a place that must stay clear.</summary>
public enum ClearField
{
    /// <summary>Its width, or the diameter of a round one.</summary>
    Width,

    /// <summary>Its height.</summary>
    Height,

    /// <summary>How far its near edge stands from what it is measured from.</summary>
    Away,

    /// <summary>How far its middle stands from the middle line.</summary>
    Across,
}

/// <summary>How a length of a place was read: by what tool the one typed at the place itself, and every further reading.</summary>
/// <param name="Field">Which length.</param>
/// <param name="Tool">The tool of the reading that is typed at the place.</param>
/// <param name="Lines">Further readings, a line per tool.</param>
public sealed record ReadAgain(ClearField Field, MeasuringTool Tool, [property: MaxLength(20)] IReadOnlyList<ReadingLine> Lines);

/// <summary>A place that must stay clear.</summary>
/// <param name="Id">Tells it apart within its blank.</param>
/// <param name="Name">What is there: hole, lid, seam, pocket.</param>
/// <param name="Shape">Its shape.</param>
public sealed record KeptClear(string Id, string Name, ClearShape Shape)
{
    /// <summary>Of a flat or cloth thing: on its front or its back. What goes through is on both.</summary>
    public Facing Facing { get; init; }

    /// <summary>The face of its own that it lies on; empty for the thing itself.</summary>
    public string Face { get; init; } = "";

    /// <summary>Where it stands.</summary>
    public Place Place { get; init; } = new();

    /// <summary>Its width, or the diameter of a round one.</summary>
    public TypedLength Width { get; init; } = TypedLength.Empty;

    /// <summary>Its height.</summary>
    public TypedLength Height { get; init; } = TypedLength.Empty;

    /// <summary>How its lengths were read, where that is more than once by a steel rule.</summary>
    [MaxLength(20)]
    public IReadOnlyList<ReadAgain> Again { get; init; } = [];

    /// <summary>How far artwork keeps away from it.</summary>
    public TypedLength Clearance { get; init; } = TypedLength.Mm(2);

    /// <summary>Whether it goes through: drawn as an edge.</summary>
    public bool IsHole { get; init; }

    /// <summary>Whether a zone on a face has to keep off it: a hole in the thing itself is on its front and its back.</summary>
    internal bool IsOn(FaceKey face) => On == face || (IsHole && !On.IsOwn && !face.IsOwn);

    /// <summary>The face it is measured in on.</summary>
    internal FaceKey On => FaceKey.Of(Facing, Face);
}
