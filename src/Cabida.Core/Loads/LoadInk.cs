using Cabida.Core.Geometry;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Loads;

/// <summary>Ink moved from its zone to its place on a load.</summary>
public static class LoadInk
{
    /// <summary>The ink of a placement as it is cut: turned, moved, and mirrored across the reach where the film asks for it.</summary>
    /// <param name="ink">The piece's ink in its zone's coordinates.</param>
    /// <param name="placement">Its place.</param>
    /// <param name="mirroredAcross">The reach's width when the load is mirrored, else null.</param>
    public static Area Placed(Area ink, Placement placement, double? mirroredAcross) =>
        Outlines.Moved(ink, MotionOf(ink, placement, mirroredAcross));

    /// <summary>How ink comes to its place on a load, and with it what is drawn around it.</summary>
    /// <param name="ink">The piece's ink in its zone's coordinates.</param>
    /// <param name="placement">Its place.</param>
    /// <param name="mirroredAcross">The reach's width when the load is mirrored, else null.</param>
    public static Motion MotionOf(Area ink, Placement placement, double? mirroredAcross)
    {
        ArgumentNullException.ThrowIfNull(ink);
        ArgumentNullException.ThrowIfNull(placement);
        var turn = placement.Turned ? Motion.TurnLeft(90) : Motion.None;
        var box = turn.Of(Box.Of(ink) ?? throw new ArgumentException("There is no ink.", nameof(ink)));
        var there = turn.Moved(placement.Box.MinX - box.MinX, placement.Box.MinY - box.MinY);
        return mirroredAcross is { } width ? there.Then(Mirrored(width)) : there;
    }

    /// <summary>Left and right of a reach exchanged.</summary>
    public static Motion Mirrored(double width) => Motion.Flip.Moved(width, 0);
}
