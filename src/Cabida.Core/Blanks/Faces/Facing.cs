namespace Cabida.Core.Blanks;

/// <summary>Which way a side of a flat or cloth thing faces when it is hung, worn or carried.</summary>
public enum Facing
{
    /// <summary>Forwards.</summary>
    Front,

    /// <summary>Backwards; left and right are as one looks at the back.</summary>
    Back,
}
