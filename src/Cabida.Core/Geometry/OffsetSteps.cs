using NetTopologySuite.Geometries;
using NetTopologySuite.Operation.Buffer;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Geometry;

/// <summary>
/// In what steps a rough outline is offset. The raw offset of an outline that turns often within twice the distance crosses itself
/// once for every pair of such turns, so that two thousand corners take minutes. Discs add up: an offset by r and then by s is that by
/// r + s, and after a small one most of the roughness is gone.
/// </summary>
internal static class OffsetSteps
{
    /// <summary>Outlines with fewer corners than this are offset at once.</summary>
    private const int FewCorners = 200;

    /// <summary>
    /// An outline that turns by no more than so many radians along the distance is offset at once; a round letter turns by less.
    /// </summary>
    private const double Smooth = 8;

    /// <summary>How far it turns, in radians, along a first step.</summary>
    private const double First = 2;

    /// <summary>
    /// The next step of an offset, all that is left of it where the outline is smooth; and how many corners its arcs add.
    /// </summary>
    /// <param name="area">What is offset.</param>
    /// <param name="left">How far it still has to go, negative inwards.</param>
    /// <param name="before">The step before; nothing at first.</param>
    /// <param name="corners">How it is offset.</param>
    public static (double Step, long Arcs) Next(Area area, double left, double before, BufferParameters corners)
    {
        var (far, adds) = (Math.Abs(left), corners.EndCapStyle == EndCapStyle.Round && (corners.JoinStyle == JoinStyle.Round || left < 0));
        var (turned, length) = TurnsOf(area);
        // At one side of the outline each corner becomes an arc.
        var arcs = corners.JoinStyle == JoinStyle.Round ? (long)(turned / Math.PI * corners.QuadrantSegments) : 0;
        if (!adds || length == 0 || area.NumPoints < FewCorners || far * turned / length is var turns && turns <= Smooth)
        {
            return (left, arcs);
        }

        // Each step is at least twice the one before, so that there are few.
        var step = Math.Max(far * First / turns, 2 * before);
        return (2 * step >= far ? left : Math.CopySign(step, left), arcs);
    }

    /// <summary>How much outlines turn in all, in radians, and how long they are, in millimetres.</summary>
    private static (double Turned, double Length) TurnsOf(Area area)
    {
        double turned = 0,
            length = 0;
        foreach (var line in NetTopologySuite.Geometries.Utilities.LinearComponentExtracter.GetLines(area))
        {
            var points = ((LineString)line).CoordinateSequence;
            var heading = double.NaN;
            for (var i = 1; i < points.Count; i++)
            {
                var (dx, dy) = (points.GetX(i) - points.GetX(i - 1), points.GetY(i) - points.GetY(i - 1));
                if (dx == 0 && dy == 0)
                {
                    continue;
                }

                length += Math.Sqrt((dx * dx) + (dy * dy));
                var way = Math.Atan2(dy, dx);
                turned += double.IsNaN(heading) ? 0 : Math.Abs(Math.IEEERemainder(way - heading, 2 * Math.PI));
                heading = way;
            }
        }

        return (turned, length);
    }
}
