using NetTopologySuite.Geometries;

namespace Cabida.Core.Geometry;

/// <summary>
/// Where one area is cut out of another along an edge that both share, rounding leaves spikes: outlines that run out and back along
/// the same line. They hold nothing, yet the least turn of the area makes them cross.
/// </summary>
internal static class Spikes
{
    /// <summary>What lies this near to another point or line lies on it; millimetres.</summary>
    private const double Near = 1e-6;

    /// <summary>A polygon without its spikes; null when it is nothing else.</summary>
    public static Polygon? Without(Polygon polygon)
    {
        var outer = Ring(polygon.ExteriorRing.Coordinates);
        if (outer is null)
        {
            return null;
        }

        var holes = polygon.InteriorRings.Select(h => Ring(h.Coordinates)).ToList();
        var same =
            outer.Count == polygon.ExteriorRing.NumPoints
            && holes.Zip(polygon.InteriorRings, (a, b) => a?.Count == b.NumPoints).All(x => x);
        return same
            ? polygon
            : Outlines.Factory.CreatePolygon(
                Outlines.Factory.CreateLinearRing([.. outer]),
                [.. holes.OfType<List<Coordinate>>().Select(h => Outlines.Factory.CreateLinearRing([.. h]))]
            );
    }

    /// <summary>A closed ring of at least three corners, none of which is run to and back from; null when there is none.</summary>
    private static List<Coordinate>? Ring(Coordinate[] closed)
    {
        var kept = new List<Coordinate>();
        foreach (var next in closed.Take(closed.Length - 1))
        {
            kept.Add(next);
            while (Shortened(kept, kept.Count - 3, kept.Count - 2, kept.Count - 1)) { }
        }

        // The seam of the ring is a corner like any other.
        while (kept.Count >= 3 && (Shortened(kept, kept.Count - 2, kept.Count - 1, 0) || Shortened(kept, kept.Count - 1, 0, 1))) { }

        return kept.Count < 3 ? null : [.. kept, kept[0]];
    }

    /// <summary>
    /// Takes the middle one of three points out where it repeats one of the others, or where the line turns back on itself there.
    /// </summary>
    private static bool Shortened(List<Coordinate> points, int before, int at, int after)
    {
        if (at < 0)
        {
            return false;
        }

        var (b, c) = (points[at], points[after]);
        var repeats = b.Distance(c) <= Near;
        if (before < 0 && !repeats)
        {
            return false;
        }

        var a = points[Math.Max(before, 0)];
        var turnsBack =
            !repeats
            && ((b.X - a.X) * (c.X - b.X)) + ((b.Y - a.Y) * (c.Y - b.Y)) < 0
            && (
                NetTopologySuite.Algorithm.DistanceComputer.PointToSegment(c, a, b) <= Near
                || NetTopologySuite.Algorithm.DistanceComputer.PointToSegment(a, b, c) <= Near
            );
        if (!repeats && !turnsBack)
        {
            return false;
        }

        points.RemoveAt(at);
        return true;
    }
}
