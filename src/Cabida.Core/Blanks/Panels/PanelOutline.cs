using System.ComponentModel.DataAnnotations;
using Cabida.Core.Geometry;
using Cabida.Core.Measures;

namespace Cabida.Core.Blanks;

/// <summary>The outline of a flat panel.</summary>
public enum OutlineKind
{
    /// <summary>A rectangle.</summary>
    Rectangle,

    /// <summary>A rectangle with round corners.</summary>
    Rounded,

    /// <summary>A circle.</summary>
    Circle,

    /// <summary>An oval (ellipse).</summary>
    Oval,

    /// <summary>A regular polygon.</summary>
    Polygon,

    /// <summary>An outline followed on a scan or picture, or read from a drawing file.</summary>
    Drawn,
}

/// <summary>An outline that was followed or read, with what is known of how well; millimetres, y up.</summary>
/// <param name="Rings">The outer ring first, then holes; each closed by implication.</param>
/// <param name="Source">Where it comes from, in words.</param>
/// <param name="Uncertainty">How far it may be out at each edge, in millimetres.</param>
public sealed record DrawnOutline(
    [property: MaxLength(DrawnOutline.MostPoints)] IReadOnlyList<IReadOnlyList<PlanePoint>> Rings,
    string Source,
    [property: Range(0.0, 1000.0)] double Uncertainty
)
{
    /// <summary>More points than this, of all rings, are no outline that was followed.</summary>
    public const int MostPoints = 8000;

    /// <summary>The picture it was followed on; null when it was read from a file.</summary>
    public string? PictureId { get; init; }
}

/// <summary>What a flat panel looks like.</summary>
public sealed record PanelOutline
{
    /// <summary>The kind of outline.</summary>
    public OutlineKind Kind { get; init; }

    /// <summary>How many sides a regular polygon has.</summary>
    public int Sides { get; init; } = 6;

    /// <summary>The rim that stays clear all round, and round holes of a drawn outline.</summary>
    public TypedLength Rim { get; init; } = TypedLength.Empty;

    /// <summary>The outline itself, where it is drawn.</summary>
    public DrawnOutline? Drawn { get; init; }
}

/// <summary>What kind of cloth thing it is, which decides its reference points.</summary>
public enum GarmentKind
{
    /// <summary>A shirt: collar seam, shoulder, hem, pocket.</summary>
    Shirt,

    /// <summary>A bag or apron: top edge, bottom edge, pocket.</summary>
    Bag,
}

/// <summary>A garment's sizes and the press that covers it.</summary>
public sealed record GarmentSpec
{
    /// <summary>Shirt or bag.</summary>
    public GarmentKind Kind { get; init; }

    /// <summary>Its sizes, smallest first.</summary>
    [MaxLength(40)]
    public IReadOnlyList<string> Sizes { get; init; } = ["S", "M", "L"];

    /// <summary>How wide the press covers; empty when it is not a limit.</summary>
    public TypedLength PlatenWidth { get; init; } = TypedLength.Empty;

    /// <summary>How high the press covers.</summary>
    public TypedLength PlatenHeight { get; init; } = TypedLength.Empty;
}

/// <summary>What a frame's pane is.</summary>
public enum PaneKind
{
    /// <summary>Glass.</summary>
    Glass,

    /// <summary>Acrylic sheet.</summary>
    Acrylic,

    /// <summary>None: the picture stands open.</summary>
    None,
}

/// <summary>What goes into a frame, as typed.</summary>
public sealed record FrameSpec
{
    /// <summary>What the pane is.</summary>
    public PaneKind Pane { get; init; }

    /// <summary>How many mats.</summary>
    public int Mats { get; init; } = 1;

    /// <summary>Play between mat and rebate, at each side.</summary>
    public TypedLength Play { get; init; } = TypedLength.Mm(1.5);

    /// <summary>The top mat's border above its opening, from the mat's outside.</summary>
    public TypedLength Top { get; init; } = TypedLength.Mm(25);

    /// <summary>The border at each side.</summary>
    public TypedLength Sides { get; init; } = TypedLength.Mm(25);

    /// <summary>The border below: the foot, often heavier.</summary>
    public TypedLength Foot { get; init; } = TypedLength.Mm(35);

    /// <summary>How far each mat steps out from under the one above, at each side.</summary>
    public TypedLength Step { get; init; } = TypedLength.Mm(5);

    /// <summary>How much of the print the lowest mat must hold, at each side.</summary>
    public TypedLength Hold { get; init; } = TypedLength.Mm(3);
}
