using Cabida.Core.Geometry;
using NetTopologySuite.Geometries;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Tracing;

/// <summary>
/// Where a pencil ran on past a corner, the line's edges carry spurs. They are as wide as the line: an opening by a disc that the line's
/// width
/// does not hold takes them off, and with them the sharp tips of corners, which are given back.
/// </summary>
internal static class Overruns
{
    /// <summary>The disc's radius as a share of the line's width: its diameter just more than the line.</summary>
    private const double Disc = 0.65;

    /// <summary>
    /// The radius of the disc that shaves what is left of a spur, in widths of the line; and how far beside the spur it does.
    /// </summary>
    private const double Larger = 1.3;

    private const double Beside = 0.8;

    /// <summary>What is taken off and is longer than this, in widths of the line, is an overrun; shorter is the tip of a corner.</summary>
    private const double Longer = 1.6;

    /// <summary>A spur encloses at least this share of its length times the line's width.</summary>
    private const double Full = 0.7;

    /// <summary>An edge without its overruns.</summary>
    /// <param name="edge">The edge; pixels.</param>
    /// <param name="width">How wide the line is.</param>
    /// <param name="outer">Whether it is the line's outer edge, whose spurs stick out; of the inner one they stick in.</param>
    /// <returns>The edge and how many overruns were cut off it.</returns>
    public static (IReadOnlyList<PlanePoint> Edge, int Cut) Off(IReadOnlyList<PlanePoint> edge, double width, bool outer)
    {
        var area = Overlay.Sound(Outlines.Ring(edge));
        var spurs = Outlines.PolygonsOf(Sticking(area, Disc * width, outer)).Where(p => IsOverrun(p, width)).ToList();
        if (spurs.Count == 0)
        {
            return (edge, 0);
        }

        // The disc looked a little way into each spur; what that left standing is shaved off by a larger one, only there.
        var joined = Overlay.Union([.. spurs]);
        var left = Without(area, joined, outer);
        var bumps = Overlay.Intersection(Sticking(left, Larger * width, outer), Overlay.Grown(joined, Beside * width, new(8)));
        return Outlines.PolygonsOf(Without(left, bumps, outer)).Select(Spikes.Without).OfType<Polygon>().MaxBy(p => p.Area) is { } clean
            ? ([.. clean.ExteriorRing.Coordinates.SkipLast(1).Select(c => new PlanePoint(c.X, c.Y))], spurs.Count)
            : (edge, 0);
    }

    /// <summary>
    /// What a disc cannot reach: inside an outer edge, where it sticks out; outside an inner one, where the line sticks in.
    /// </summary>
    private static Area Sticking(Area area, double r, bool outer) =>
        outer
            ? Overlay.Difference(area, Overlay.Grown(Overlay.Grown(area, -r, new(16)), r, new(16)))
            : Overlay.Difference(Overlay.Grown(Overlay.Grown(area, r, new(16)), -r, new(16)), area);

    private static Area Without(Area area, Area spurs, bool outer) =>
        outer ? Overlay.Difference(area, spurs) : Overlay.Union([area, spurs]);

    /// <summary>A spur is as wide as the line for all its length; the tip of a corner narrows, and encloses about half as much.</summary>
    private static bool IsOverrun(Polygon piece, double width)
    {
        var length = 2 * new NetTopologySuite.Algorithm.MinimumBoundingCircle(piece).GetRadius();
        return length > Longer * width && piece.Area > Full * length * width;
    }
}
