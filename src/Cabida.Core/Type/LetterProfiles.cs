using Cabida.Core.Geometry;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Type;

/// <summary>How near two letters stand to one another along the line.</summary>
internal static class LetterProfiles
{
    /// <summary>
    /// The least distance along the line from the right side of one area to the left side of another, over all heights that
    /// both have ink at: negative where they overlap, null when they share no height. Exact for polygons: a side is
    /// piecewise straight, so the least lies at the height of a corner.
    /// </summary>
    public static double? Between(Area left, Area right)
    {
        var (a, b) = (Edges(left), Edges(right));
        double? least = null;
        foreach (var y in a.Concat(b).Select(e => e.From.Y).Distinct())
        {
            if (Side(a, y, Math.Max) is { } outer && Side(b, y, Math.Min) is { } inner && (least is null || inner - outer < least))
            {
                least = inner - outer;
            }
        }

        return least;
    }

    private static double? Side(List<(PlanePoint From, PlanePoint To)> edges, double y, Func<double, double, double> further)
    {
        double? side = null;
        foreach (var (from, to) in edges)
        {
            if (y < Math.Min(from.Y, to.Y) || y > Math.Max(from.Y, to.Y))
            {
                continue;
            }

            var x = from.Y == to.Y ? further(from.X, to.X) : from.X + ((to.X - from.X) * (y - from.Y) / (to.Y - from.Y));
            side = side is { } s ? further(s, x) : x;
        }

        return side;
    }

    private static List<(PlanePoint From, PlanePoint To)> Edges(Area area) =>
        [.. Outlines.RingsOf(area).SelectMany(r => r.Coordinates.Zip(r.Coordinates.Skip(1), (p, q) => (new PlanePoint(p.X, p.Y), new PlanePoint(q.X, q.Y))))];
}
