using Cabida.Core.Geometry;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Loads;

/// <summary>Ink moved to its place in plain rows.</summary>
public static class LoadInk
{
    /// <summary>The ink of a placement as it is cut: turned and moved.</summary>
    /// <param name="ink">The piece's ink.</param>
    /// <param name="placement">Its place.</param>
    public static Area Placed(Area ink, Placement placement) => Outlines.Moved(ink, MotionOf(ink, placement));

    /// <summary>How ink comes to its place on a load, and with it what is drawn around it.</summary>
    /// <param name="ink">The piece's ink.</param>
    /// <param name="placement">Its place.</param>
    public static Motion MotionOf(Area ink, Placement placement)
    {
        ArgumentNullException.ThrowIfNull(ink);
        ArgumentNullException.ThrowIfNull(placement);
        var turn = placement.Turned ? Motion.TurnLeft(90) : Motion.None;
        var box = turn.Of(Box.Of(ink) ?? throw new ArgumentException("There is no ink.", nameof(ink)));
        return turn.Moved(placement.Box.MinX - box.MinX, placement.Box.MinY - box.MinY);
    }
}
