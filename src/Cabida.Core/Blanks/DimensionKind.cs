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

    /// <summary>The wall, base to rim; the height of a panel.</summary>
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

    /// <summary>Diameter at the lower mark.</summary>
    AcrossLower,

    /// <summary>Along the wall from the rim down to the upper mark.</summary>
    RimToUpper,

    /// <summary>Along the wall from the lower mark down to the base.</summary>
    BaseToLower,

    /// <summary>One of the girths of a bellied wall.</summary>
    GirthAt,

    /// <summary>The diameter of a bellied wall where one of its girths belongs.</summary>
    AcrossAt,

    /// <summary>Along the wall from the base up to that girth.</summary>
    UpTo,

    /// <summary>The width of a panel, or of a garment from armpit to armpit.</summary>
    Width,

    /// <summary>The radius of a panel's corners.</summary>
    CornerRadius,

    /// <summary>Across the flats of a regular polygon.</summary>
    AcrossFlats,

    /// <summary>How thick a panel is.</summary>
    Thickness,

    /// <summary>From the collar seam (or a bag's top edge) down to the hem.</summary>
    CollarToHem,

    /// <summary>From the shoulder beside the collar down to the level of the collar seam at the centre.</summary>
    ShoulderToCollar,

    /// <summary>From the collar seam down to the top of the pocket.</summary>
    CollarToPocket,

    /// <summary>From the collar seam at the middle of the back down to the hem.</summary>
    BackCollarToHem,

    /// <summary>The width of a frame's rebate.</summary>
    RebateWidth,

    /// <summary>The height of a frame's rebate.</summary>
    RebateHeight,

    /// <summary>The width that a frame leaves visible.</summary>
    SightWidth,

    /// <summary>The height that a frame leaves visible.</summary>
    SightHeight,

    /// <summary>The width of the pane.</summary>
    PaneWidth,

    /// <summary>The height of the pane.</summary>
    PaneHeight,

    /// <summary>The width of the print.</summary>
    PrintWidth,

    /// <summary>The height of the print.</summary>
    PrintHeight,
}
