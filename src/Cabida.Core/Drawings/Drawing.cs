using Cabida.Core.Geometry;

namespace Cabida.Core.Drawings;

/// <summary>What a line of a drawing stands for; line kinds after ISO 128.</summary>
public enum StrokeKind
{
    /// <summary>An edge that is seen: thick, continuous.</summary>
    Edge,

    /// <summary>The edge of a hole that goes through.</summary>
    Hole,

    /// <summary>An edge that is hidden: short dashes.</summary>
    Hidden,

    /// <summary>A centre line: long dash and dot.</summary>
    Centre,

    /// <summary>The cautious zone: short dashes.</summary>
    Zone,

    /// <summary>The nominal zone where it differs: dots.</summary>
    NominalZone,

    /// <summary>A place that must stay clear: hatched.</summary>
    KeptClear,

    /// <summary>A ring that a girth was read along.</summary>
    GirthMark,
}

/// <summary>A line of a drawing.</summary>
/// <param name="Kind">What it stands for.</param>
/// <param name="Points">Its points; millimetres, y up.</param>
/// <param name="Closed">Whether it closes.</param>
/// <param name="Label">A word inside it; of a centre line, at its foot.</param>
public sealed record Stroke(StrokeKind Kind, IReadOnlyList<PlanePoint> Points, bool Closed = false, string? Label = null);

/// <summary>Where a dimension line is laid.</summary>
public enum DimensionPlace
{
    /// <summary>Over the drawing.</summary>
    Above,

    /// <summary>Under it.</summary>
    Below,

    /// <summary>To its left.</summary>
    Left,

    /// <summary>To its right.</summary>
    Right,

    /// <summary>Beside the line it measures, on its left as it goes.</summary>
    Along,
}

/// <summary>A dimension line, after ISO 129.</summary>
/// <param name="Letter">The letter of the reading it stands for.</param>
/// <param name="Word">A word before the figure.</param>
/// <param name="Millimetres">The figure; null when it is not known yet.</param>
/// <param name="Uncertainty">What it is uncertain by, when that is to be written.</param>
/// <param name="From">One end of what is measured.</param>
/// <param name="To">The other.</param>
/// <param name="Place">Where the line is laid.</param>
/// <param name="Level">How far out, from 0.</param>
/// <param name="OfZone">Whether it measures the zone.</param>
public sealed record DimensionLine(
    string? Letter,
    string Word,
    double? Millimetres,
    double? Uncertainty,
    PlanePoint From,
    PlanePoint To,
    DimensionPlace Place,
    int Level,
    bool OfZone = false
);

/// <summary>A figure with a leader to the place it belongs to.</summary>
/// <param name="Letter">The letter of the reading it stands for.</param>
/// <param name="Word">A word before the figure.</param>
/// <param name="Millimetres">The figure; null when it is not known yet.</param>
/// <param name="At">The place.</param>
public sealed record Callout(string Letter, string Word, double? Millimetres, PlanePoint At);

/// <summary>A measured drawing as plain data: what is drawn to scale, and what is written around it.</summary>
/// <param name="Box">The box of all that is drawn to scale.</param>
/// <param name="Strokes">The lines.</param>
/// <param name="Dimensions">The dimension lines.</param>
/// <param name="Callouts">Figures with leaders.</param>
/// <param name="Guessed">Whether the shape is only an example, because too little was read.</param>
public sealed record Drawing(
    Box Box,
    IReadOnlyList<Stroke> Strokes,
    IReadOnlyList<DimensionLine> Dimensions,
    IReadOnlyList<Callout> Callouts,
    bool Guessed = false
)
{
    /// <summary>Whether the box shows only part of what is drawn, so that lines end at it.</summary>
    public bool IsWindow { get; init; }
}
