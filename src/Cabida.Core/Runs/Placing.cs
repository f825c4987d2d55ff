namespace Cabida.Core.Runs;

/// <summary>Where artwork may stand in its zone.</summary>
public enum Placing
{
    /// <summary>Its centre stays on the zone's datum centre, or where it was nudged to.</summary>
    Anchored,

    /// <summary>Wherever it can be largest; of several such places the one nearest to the datum centre.</summary>
    Free,
}
