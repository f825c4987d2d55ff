namespace Cabida.Core.Blanks;

/// <summary>How a blank's surface is shaped.</summary>
public enum SurfaceKind
{
    /// <summary>A cylinder: one girth all the way up.</summary>
    Straight,

    /// <summary>A cone: two girths and the wall between them.</summary>
    Tapered,

    /// <summary>The girth changes along the height: three girths or more.</summary>
    Bellied,

    /// <summary>A flat panel of any outline.</summary>
    Flat,

    /// <summary>A garment or bag: flat, in sizes, with reference points.</summary>
    Garment,

    /// <summary>A frame: rebate, sight, pane and mats.</summary>
    Framed,
}
