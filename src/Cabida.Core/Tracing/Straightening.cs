using Cabida.Core.Geometry;

namespace Cabida.Core.Tracing;

/// <summary>
/// Turns an outline that lay crooked on the paper so that the smallest rectangle round it stands upright. Its sides lie along
/// edges of the convex hull (Freeman and Shapira 1975), so only those directions are tried.
/// </summary>
public static class Straightening
{
    /// <summary>Paper is never laid more crooked than this by mistake; what leans more was drawn so. Radians.</summary>
    private const double Most = 12 * Math.PI / 180;

    /// <summary>A rectangle must be smaller than the upright one by this share, or there is nothing to straighten.</summary>
    private const double WorthIt = 0.002;

    /// <summary>The rings turned together about the origin; as they are when they lean too far or not at all.</summary>
    public static List<IReadOnlyList<PlanePoint>> Upright(IReadOnlyList<IReadOnlyList<PlanePoint>> rings)
    {
        ArgumentNullException.ThrowIfNull(rings);
        var hull = Outlines.Ring(rings[0]).ConvexHull().Coordinates.Select(c => new PlanePoint(c.X, c.Y)).ToList();
        var (best, least) = (0.0, Area(hull, 0) * (1 - WorthIt));
        for (var i = 0; i + 1 < hull.Count; i++)
        {
            // An edge may stand along either side of the rectangle.
            var lean = Math.Atan2(hull[i + 1].Y - hull[i].Y, hull[i + 1].X - hull[i].X);
            lean -= Math.Round(lean / (Math.PI / 2)) * Math.PI / 2;
            if (Math.Abs(lean) <= Most && Area(hull, -lean) is var area && area < least)
            {
                (best, least) = (-lean, area);
            }
        }

        return [.. rings.Select(IReadOnlyList<PlanePoint> (r) => [.. r.Select(p => Turned(p, best))])];
    }

    private static double Area(List<PlanePoint> hull, double by)
    {
        var turned = hull.Select(p => Turned(p, by)).ToList();
        return (turned.Max(p => p.X) - turned.Min(p => p.X)) * (turned.Max(p => p.Y) - turned.Min(p => p.Y));
    }

    private static PlanePoint Turned(PlanePoint p, double by) => new((p.X * Math.Cos(by)) - (p.Y * Math.Sin(by)), (p.X * Math.Sin(by)) + (p.Y * Math.Cos(by)));
}
