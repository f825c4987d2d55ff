namespace Cabida.Core.Runs;

/// <summary>How artwork takes to a tapered wall.</summary>
public enum TaperWay
{
    /// <summary>It stays straight; its bow is stated.</summary>
    Ignored,

    /// <summary>It is bent along the rings of the wall.</summary>
    Followed,

    /// <summary>Letters stand upright on the ring and are not bent; everything else follows.</summary>
    RigidLetters,
}
