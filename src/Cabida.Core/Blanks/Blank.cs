using System.ComponentModel.DataAnnotations;
using Cabida.Core.Documents;
using Cabida.Core.Measures;

namespace Cabida.Core.Blanks;

/// <summary>Readings of one dimension by one tool, as typed.</summary>
/// <param name="Tool">The tool.</param>
/// <param name="Readings">What was read, in the order typed; unreadable ones are kept too.</param>
public sealed record ReadingLine(MeasuringTool Tool, [property: MaxLength(60)] IReadOnlyList<TypedLength> Readings);

/// <summary>All that was read of one dimension.</summary>
/// <param name="Dimension">Which dimension.</param>
/// <param name="Lines">Its readings, a line per tool.</param>
public sealed record MeasuredDimension(DimensionKind Dimension, [property: MaxLength(20)] IReadOnlyList<ReadingLine> Lines)
{
    /// <summary>Which one, where a blank has several of the kind: the number of a girth, the name of a size; else empty.</summary>
    public string Of { get; init; } = "";

    /// <summary>The face of its own that it is of; empty for the thing itself.</summary>
    public string Face { get; init; } = "";
}

/// <summary>
/// A plain object as bought, measured once and kept on the shelf. What a maker leaves out keeps the value that a new blank
/// has, so that a file written by hand needs to say only what was measured.
/// </summary>
/// <param name="Name">What it is called.</param>
/// <param name="Surface">How its surface is shaped.</param>
/// <param name="Measured">What was read.</param>
public sealed record Blank(
    [property: MaxLength(DocumentGate.LongestName)] string Name,
    SurfaceKind Surface,
    [property: MaxLength(400)] IReadOnlyList<MeasuredDimension> Measured
)
{
    /// <summary>Where artwork may go; the first is what a run takes unless told otherwise.</summary>
    [MaxLength(40)]
    public IReadOnlyList<ZoneSpec> Zones { get; init; } = [];

    /// <summary>What must stay clear in every zone: holes, lids, seams, bands, pockets.</summary>
    [MaxLength(60)]
    public IReadOnlyList<KeptClear> KeptClear { get; init; } = [];

    /// <summary>Its further faces, each with an outline of its own: lid, sleeves.</summary>
    [MaxLength(FaceSpec.Most)]
    public IReadOnlyList<FaceSpec> Faces { get; init; } = [];

    /// <summary>The outline of a flat panel.</summary>
    public PanelOutline Outline { get; init; } = new();

    /// <summary>How many girths a bellied wall was read at.</summary>
    public int Girths { get; init; } = 3;

    /// <summary>The sizes of a garment in the order of its chart.</summary>
    public GarmentSpec Garment { get; init; } = new();

    /// <summary>What goes into a frame.</summary>
    public FrameSpec Frame { get; init; } = new();

    /// <summary>What it is made of.</summary>
    public Material Material { get; init; } = new();

    /// <summary>What the check line of the printed strip used here measures; empty when none was used.</summary>
    public TypedLength StripCheck { get; init; } = TypedLength.Empty;

    /// <summary>Words to find it by.</summary>
    [MaxLength(60)]
    public IReadOnlyList<string> Tags { get; init; } = [];

    /// <summary>A picture of it; null without one.</summary>
    public string? PictureId { get; init; }

    /// <summary>Whether it is no longer bought: kept for the runs that used it, out of the way of new ones.</summary>
    public bool Retired { get; init; }

    /// <summary>The job it was made for, when it is for one order only; null on the shelf.</summary>
    public string? JobId { get; init; }

    /// <summary>Anything the maker wants to remember about it.</summary>
    public string Note { get; init; } = "";

    /// <summary>What one of it costs, as typed; empty where it is not noted.</summary>
    [MaxLength(Measures.TypedAmount.MostLetters)]
    public string Price { get; init; } = "";

    /// <summary>The readings of a dimension; none when it was not measured.</summary>
    public IReadOnlyList<ReadingLine> LinesOf(DimensionKind dimension, string of = "", string face = "") =>
        Measured.FirstOrDefault(m => m.Dimension == dimension && m.Of == of && m.Face == face)?.Lines ?? [];
}
