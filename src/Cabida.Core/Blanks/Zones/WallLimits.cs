namespace Cabida.Core.Blanks;

/// <summary>What ends a zone of a wall on each side: a margin, or the size that was typed for it.</summary>
internal readonly record struct WallLimits(LimitKind Foot, LimitKind Right, LimitKind Top, LimitKind Left)
{
    /// <summary>Margins all round: at the base, the rim, and the handle or the seam.</summary>
    public static WallLimits Margins { get; } = new(LimitKind.Base, LimitKind.RightSide, LimitKind.Rim, LimitKind.LeftSide);
}
