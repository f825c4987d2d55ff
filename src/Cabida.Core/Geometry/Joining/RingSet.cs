using NetTopologySuite.Geometries;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Geometry;

/// <summary>The rings of an area in plain numbers, run round as overlays leave them: ink lies to their right.</summary>
internal sealed class RingSet
{
    /// <summary>The rings of an area.</summary>
    public RingSet(Area area)
    {
        (Area, Box) = (area, Geometry.Box.Of(area));
        var rings = new List<Ring>();
        var polygon = 0;
        foreach (var p in Outlines.PolygonsOf(area))
        {
            rings.Add(Of(p.ExteriorRing, polygon, isHole: false));
            rings.AddRange(p.InteriorRings.Select(h => Of(h, polygon, isHole: true)));
            polygon++;
        }

        (Rings, Polygons) = (rings, polygon);
    }

    /// <summary>The area.</summary>
    public Area Area { get; }

    /// <summary>Its box; null when it is empty.</summary>
    public Box? Box { get; }

    /// <summary>Its rings, each polygon's shell before its holes.</summary>
    public IReadOnlyList<Ring> Rings { get; }

    /// <summary>How many polygons it has.</summary>
    public int Polygons { get; }

    /// <summary>The polygon that holds a place, which lies on no edge; negative where none does.</summary>
    public int PolygonAt(double x, double y)
    {
        if (Box is not { } all || x < all.MinX || x > all.MaxX || y < all.MinY || y > all.MaxY)
        {
            return -1;
        }

        for (int first = 0, next; first < Rings.Count; first = next)
        {
            var inside = Rings[first].WindsRound(x, y);
            for (next = first + 1; next < Rings.Count && Rings[next].IsHole; next++)
            {
                inside = inside && !Rings[next].WindsRound(x, y);
            }

            if (inside)
            {
                return Rings[first].Polygon;
            }
        }

        return -1;
    }

    private static Ring Of(LineString line, int polygon, bool isHole)
    {
        var points = line.Coordinates;
        var leftward = NetTopologySuite.Algorithm.Orientation.IsCCW(line.CoordinateSequence);
        var count = points.Length - 1;
        var (x, y) = (new double[count], new double[count]);
        for (var i = 0; i < count; i++)
        {
            var from = points[leftward == isHole ? i : count - i];
            (x[i], y[i]) = (from.X, from.Y);
        }

        return new Ring(x, y, polygon, isHole, Geometry.Box.Of(line)!.Value);
    }

    /// <summary>A ring; its last corner is followed by its first.</summary>
    /// <param name="X">Its corners across.</param>
    /// <param name="Y">Its corners up.</param>
    /// <param name="Polygon">The polygon it is an edge of.</param>
    /// <param name="IsHole">Whether ink lies outside of it.</param>
    /// <param name="Box">Its box.</param>
    public sealed record Ring(double[] X, double[] Y, int Polygon, bool IsHole, Box Box)
    {
        /// <summary>How many corners it has.</summary>
        public int Count => X.Length;

        /// <summary>Whether it goes round a place, which lies on none of its edges.</summary>
        public bool WindsRound(double x, double y)
        {
            if (x < Box.MinX || x > Box.MaxX || y < Box.MinY || y > Box.MaxY)
            {
                return false;
            }

            var odd = false;
            for (int i = 0, j = Count - 1; i < Count; j = i++)
            {
                odd ^= Y[i] > y != Y[j] > y && x < X[i] + ((X[j] - X[i]) * (y - Y[i]) / (Y[j] - Y[i]));
            }

            return odd;
        }
    }
}
