namespace Cabida.Core.Motifs;

/// <summary>What of ink is taken for its middle. Advance widths and side bearings play no part.</summary>
public enum Centring
{
    /// <summary>The middle of the box round it.</summary>
    InkBox,

    /// <summary>Its centre of gravity.</summary>
    Weight,

    /// <summary>
    /// The middle of the box round what stands between the base line and the height of the capitals: without descenders and flourishes.
    /// </summary>
    WithoutTails,

    /// <summary>
    /// The middle of its circle: of round lettering, a ring of copies, a round shape; of the largest where there are several. The box
    /// where nothing is round.
    /// </summary>
    Circle,
}
