using Cabida.Core.Measures;

namespace Cabida.Core.Blanks;

/// <summary>The dimensions a blank can be measured by.</summary>
public enum DimensionKind
{
    /// <summary>Once round the outside.</summary>
    Girth,

    /// <summary>The outside diameter.</summary>
    Across,

    /// <summary>Half-way round: from the middle of the handle to the point opposite.</summary>
    HalfGirth,

    /// <summary>The wall, base to rim.</summary>
    Height,

    /// <summary>What the handle blocks of the girth.</summary>
    Handle,

    /// <summary>Girth at the upper mark.</summary>
    GirthUpper,

    /// <summary>Girth at the lower mark.</summary>
    GirthLower,

    /// <summary>Along the wall between the marks.</summary>
    WallBetween,

    /// <summary>Upright between the marks, where the wall itself was not measured.</summary>
    UprightBetween,

    /// <summary>Diameter at the upper mark.</summary>
    AcrossUpper,

    /// <summary>Along the wall from the rim down to the upper mark.</summary>
    RimToUpper,

    /// <summary>Along the wall from the lower mark down to the base.</summary>
    BaseToLower,
}

/// <summary>How a dimension appears among a surface's readings.</summary>
/// <param name="Kind">The dimension.</param>
/// <param name="Letter">Its letter on the drawing.</param>
/// <param name="Name">Its name in the schedule.</param>
/// <param name="Along">How a tool lies when it is read.</param>
/// <param name="UsualTool">The tool that is offered first.</param>
/// <param name="Needed">Whether the blank cannot be worked out without it (or one that stands in for it).</param>
public sealed record DimensionRow(
    DimensionKind Kind, string Letter, string Name, MeasuredAlong Along, MeasuringTool UsualTool, bool Needed);

/// <summary>Which dimensions each surface is measured by, in the order of the letters on its drawing.</summary>
public static class DimensionRows
{
    private static readonly IReadOnlyList<DimensionRow> Straight =
    [
        new(DimensionKind.Girth, "A", "Girth", MeasuredAlong.Round, MeasuringTool.SoftTape, true),
        new(DimensionKind.Across, "B", "Across", MeasuredAlong.Straight, MeasuringTool.Calliper, false),
        new(DimensionKind.HalfGirth, "C", "Half-way round", MeasuredAlong.HalfRound, MeasuringTool.SoftTape, false),
        new(DimensionKind.Height, "D", "Height of wall", MeasuredAlong.Straight, MeasuringTool.SteelRule, true),
        new(DimensionKind.Handle, "E", "Handle blocks", MeasuredAlong.Straight, MeasuringTool.SteelRule, false),
    ];

    private static readonly IReadOnlyList<DimensionRow> Tapered =
    [
        new(DimensionKind.GirthUpper, "A", "Girth, upper", MeasuredAlong.Round, MeasuringTool.SoftTape, true),
        new(DimensionKind.GirthLower, "B", "Girth, lower", MeasuredAlong.Round, MeasuringTool.SoftTape, true),
        new(DimensionKind.WallBetween, "C", "Wall, A to B", MeasuredAlong.Straight, MeasuringTool.SteelRule, true),
        new(DimensionKind.UprightBetween, "D", "Upright, A to B", MeasuredAlong.Straight, MeasuringTool.SteelRule, false),
        new(DimensionKind.AcrossUpper, "E", "Across at A", MeasuredAlong.Straight, MeasuringTool.Calliper, false),
        new(DimensionKind.RimToUpper, "F", "Rim to A", MeasuredAlong.Straight, MeasuringTool.SteelRule, false),
        new(DimensionKind.BaseToLower, "G", "Base to B", MeasuredAlong.Straight, MeasuringTool.SteelRule, false),
        new(DimensionKind.Handle, "H", "Handle blocks", MeasuredAlong.Straight, MeasuringTool.SteelRule, false),
    ];

    /// <summary>The rows of a surface.</summary>
    public static IReadOnlyList<DimensionRow> Of(SurfaceKind surface) => surface switch
    {
        SurfaceKind.Straight => Straight,
        SurfaceKind.Tapered => Tapered,
        _ => throw new ArgumentOutOfRangeException(nameof(surface)),
    };
}
