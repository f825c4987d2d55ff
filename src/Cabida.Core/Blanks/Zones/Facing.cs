namespace Cabida.Core.Blanks;

/// <summary>Which way a part of a cloth thing faces when it is worn or carried.</summary>
public enum Facing
{
    /// <summary>Forwards.</summary>
    Front,

    /// <summary>Backwards; left and right are as one looks at the back.</summary>
    Back,
}
