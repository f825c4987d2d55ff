using Cabida.Core.Geometry;

namespace Cabida.Core.Layout;

/// <summary>
/// Discs within an outline, the largest first, each as large as the ones before leave room for: where it is deepest (poles of
/// inaccessibility; Garcia-Castellanos and Lombardo 2007). What is deep tells soon whether two outlines collide, and by how much.
/// Found by branch and bound over squares, since a depth changes no faster than its point moves.
/// </summary>
internal static class Poles
{
    private const int Most = 8;
    private const double EnoughOfArea = 0.9;

    /// <summary>Depths are found to this share of the largest.</summary>
    private const double Share = 0.04;

    /// <summary>The discs.</summary>
    /// <param name="rings">Closed rings, without the first point repeated; by the even-odd rule.</param>
    /// <param name="area">The area that they enclose.</param>
    public static List<Circle> Of(IReadOnlyList<PlanePoint[]> rings, double area)
    {
        var poles = new List<Circle>();
        var covered = 0.0;
        while (poles.Count < Most && covered < EnoughOfArea * area)
        {
            var next = Deepest(rings, poles, poles.Count == 0 ? 0 : Share * poles[0].Radius);
            if (next.Radius <= 0 || (poles.Count > 0 && next.Radius < Share * poles[0].Radius))
            {
                break;
            }

            poles.Add(next);
            covered += Math.PI * next.Radius * next.Radius;
        }

        return poles;
    }

    private static Circle Deepest(IReadOnlyList<PlanePoint[]> rings, List<Circle> poles, double exact)
    {
        var (minX, minY) = (rings[0].Min(p => p.X), rings[0].Min(p => p.Y));
        var (maxX, maxY) = (rings[0].Max(p => p.X), rings[0].Max(p => p.Y));
        var half = Math.Max(Math.Min(maxX - minX, maxY - minY) / 4, Math.Max(maxX - minX, maxY - minY) / 32);
        var cells = new PriorityQueue<(PlanePoint Middle, double Half, double Depth), double>();
        var best = new Circle(default, 0);
        void Add(PlanePoint middle, double size)
        {
            var depth = Depth(rings, poles, middle);
            if (depth > best.Radius)
            {
                best = new Circle(middle, depth);
            }

            var most = depth + (size * Math.Sqrt(2));
            if (most > best.Radius + Math.Max(exact, Share * best.Radius))
            {
                cells.Enqueue((middle, size, depth), -most);
            }
        }

        for (var y = minY + half; y < maxY + half; y += 2 * half)
        {
            for (var x = minX + half; x < maxX + half; x += 2 * half)
            {
                Add(new PlanePoint(x, y), half);
            }
        }

        while (cells.TryDequeue(out var cell, out var most))
        {
            if (-most <= best.Radius + Math.Max(exact, Share * best.Radius))
            {
                break;
            }

            var h = cell.Half / 2;
            foreach (var (dx, dy) in ((double, double)[])[(-h, -h), (h, -h), (-h, h), (h, h)])
            {
                Add(new PlanePoint(cell.Middle.X + dx, cell.Middle.Y + dy), h);
            }
        }

        return best;
    }

    /// <summary>How deep a point lies within the rings and outside of the discs; negative beyond.</summary>
    private static double Depth(IReadOnlyList<PlanePoint[]> rings, List<Circle> poles, PlanePoint at)
    {
        var depth = Rings.Depth(rings, at);
        foreach (var pole in poles)
        {
            depth = Math.Min(depth, at.To(pole.Middle) - pole.Radius);
        }

        return depth;
    }
}
