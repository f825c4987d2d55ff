using Cabida.Core.Blanks;
using Cabida.Core.Geometry;
using Cabida.Core.Motifs;
using Cabida.Core.Runs;
using NetTopologySuite.Geometries;

namespace Cabida.Core.Fitting;

/// <summary>A zone of a blank as what a motif is composed against.</summary>
public static class ZoneGround
{
    /// <summary>The ground about the zone's datum centre.</summary>
    /// <param name="zone">The zone.</param>
    /// <param name="wall">The wall it lies on; null for flat things.</param>
    /// <param name="mats">What goes into the frame; null for what is none.</param>
    /// <param name="taper">How artwork takes to a tapered wall: what follows it is composed straight.</param>
    public static GroundShape Of(Zone zone, Wall? wall, FrameMats? mats, TaperWay taper = TaperWay.Ignored)
    {
        ArgumentNullException.ThrowIfNull(zone);
        var seen = Laying.Of(zone, wall, taper).Straight.Cautious;
        var datum = seen.Datum;
        Box Here(Box b) => b.Moved(-datum.X, -datum.Y);
        var ring = taper != TaperWay.Ignored ? double.PositiveInfinity : wall?.RingAt(zone.MiddleHeight) ?? double.PositiveInfinity;
        return new GroundShape(
            Here(seen.Bounds),
            wall?.GirthAt(zone.MiddleHeight).Value.Millimetres,
            wall?.Cone is { WideUp: false } ? -ring : ring,
            mats is null ? null : new GroundMats(Here(OutsideOf(mats)), [.. mats.Openings.Select(Here)])
        )
        {
            Outline = new((Polygon)Outlines.Moved(seen.Outline, Motion.Move(-datum.X, -datum.Y))),
        };
    }

    /// <summary>The outside in the coordinates of the sight panel: as far beyond it above as below.</summary>
    private static Box OutsideOf(FrameMats mats)
    {
        var (w, h, sight) = (mats.Outside.Width.Millimetres, mats.Outside.Height.Millimetres, mats.Sight.Height.Millimetres);
        return new Box(-w / 2, (sight - h) / 2, w / 2, (sight + h) / 2);
    }
}
