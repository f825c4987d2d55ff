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
    public static Area Placed(Area ink, Placement placement, double? mirroredAcross)
    {
        ArgumentNullException.ThrowIfNull(ink);
        ArgumentNullException.ThrowIfNull(placement);
        var way = placement.Turned ? Outlines.QuarterTurned(ink) : ink;
        var box = Box.Of(way) ?? throw new ArgumentException("There is no ink.", nameof(ink));
        var moved = Outlines.Placed(way, 1, placement.Box.MinX - box.MinX, placement.Box.MinY - box.MinY);
        return mirroredAcross is { } width ? Outlines.Mirrored(moved, width / 2) : moved;
    }
}
