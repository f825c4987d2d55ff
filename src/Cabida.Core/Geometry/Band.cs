using NetTopologySuite.Geometries;

namespace Cabida.Core.Geometry;

/// <summary>What of outlines lies between two heights.</summary>
internal static class Band
{
    /// <summary>The box round the stretches of a ring that lie between two heights; null when none does.</summary>
    public static Box? Extent(LineString ring, double low, double high)
    {
        ArgumentNullException.ThrowIfNull(ring);
        Box? box = null;
        var line = ring.CoordinateSequence;
        for (var i = 0; i + 1 < line.Count; i++)
        {
            var (a, b) = (new PlanePoint(line.GetX(i), line.GetY(i)), new PlanePoint(line.GetX(i + 1), line.GetY(i + 1)));
            if (Math.Max(a.Y, b.Y) < low || Math.Min(a.Y, b.Y) > high)
            {
                continue;
            }

            var (from, to) = (Cut(a, b, low, high), Cut(b, a, low, high));
            var part = new Box(Math.Min(from.X, to.X), Math.Min(from.Y, to.Y), Math.Max(from.X, to.X), Math.Max(from.Y, to.Y));
            box = box?.With(part) ?? part;
        }

        return box;
    }

    /// <summary>An end of a stretch brought to the nearer limit along it.</summary>
    private static PlanePoint Cut(PlanePoint end, PlanePoint other, double low, double high)
    {
        var y = Math.Clamp(end.Y, low, high);
        return y == end.Y ? end : end.Towards(other, (y - end.Y) / (other.Y - end.Y));
    }
}
