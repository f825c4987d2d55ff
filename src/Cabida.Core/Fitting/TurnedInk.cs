using Cabida.Core.Geometry;
using Cabida.Core.Motifs;

namespace Cabida.Core.Fitting;

/// <summary>Ink turned to the left about its origin.</summary>
/// <param name="upright">The ink as it is drawn.</param>
/// <param name="degrees">How far it is turned.</param>
internal sealed class TurnedInk(IScaledInk upright, double degrees) : IScaledInk
{
    private readonly Motion turn = Motion.TurnLeft(degrees);

    /// <summary>The same ink where it is not turned at all.</summary>
    public static IScaledInk Of(IScaledInk upright, double degrees) => degrees == 0 ? upright : new TurnedInk(upright, degrees);

    /// <inheritdoc/>
    public Box? BoxAt(double scale) =>
        turn.KeepsBoxes
            ? upright.BoxAt(scale) is { } b
                ? turn.Of(b)
                : null
            : Box.Of(InkAt(scale));

    /// <inheritdoc/>
    public NetTopologySuite.Geometries.Geometry InkAt(double scale) => Outlines.Moved(upright.InkAt(scale), turn);
}
