using Cabida.Core.Blanks;

namespace Cabida.Core.Fitting;

/// <summary>
/// How far places lie outside a zone: bounded quickly by a raster of distances, exactly where it matters. Each cell of the raster
/// knows the edges that can be the nearest to a place in it.
/// </summary>
internal sealed class ZoneDistance
{
    /// <summary>Cells along the longer side of the zone.</summary>
    private const int Cells = 160;

    private readonly double[] ax,
        ay,
        dx,
        dy,
        square;
    private readonly double[] raster;
    private readonly int[][] nearest;
    private readonly double minX,
        minY,
        cell;
    private readonly int columns,
        rows;

    public ZoneDistance(ZoneShape zone)
    {
        var edges = zone.Edges.Where(e => e.From != e.To).ToList();
        ax = [.. edges.Select(e => e.From.X)];
        ay = [.. edges.Select(e => e.From.Y)];
        dx = [.. edges.Select(e => e.To.X - e.From.X)];
        dy = [.. edges.Select(e => e.To.Y - e.From.Y)];
        square = [.. dx.Zip(dy, (x, y) => (x * x) + (y * y))];
        var box = zone.Bounds;
        cell = Math.Max(box.Width, box.Height) / Cells;
        (minX, minY) = (box.MinX, box.MinY);
        columns = (int)Math.Ceiling(box.Width / cell);
        rows = (int)Math.Ceiling(box.Height / cell);
        raster = new double[columns * rows];
        nearest = new int[columns * rows][];
        var squares = new double[ax.Length];
        for (var r = 0; r < rows; r++)
        {
            for (var c = 0; c < columns; c++)
            {
                var at = (r * columns) + c;
                double x = minX + ((c + 0.5) * cell),
                    y = minY + ((r + 0.5) * cell),
                    least = double.MaxValue;
                for (var i = 0; i < ax.Length; i++)
                {
                    squares[i] = SquareTo(i, x, y);
                    least = Math.Min(least, squares[i]);
                }

                var reach = Math.Sqrt(least) + (2 * Doubt);
                nearest[at] = [.. Enumerable.Range(0, ax.Length).Where(i => squares[i] <= reach * reach)];
                raster[at] = Inside(x, y) ? -Math.Sqrt(least) : Math.Sqrt(least);
            }
        }
    }

    /// <summary>The figure of the raster is right to within this.</summary>
    public double Doubt => cell * Math.Sqrt(0.5);

    /// <summary>About how far a place lies outside, negative inside; beyond the zone's box how far beyond that.</summary>
    public double About(double x, double y)
    {
        if (CellOf(x, y) is >= 0 and var at)
        {
            return raster[at];
        }

        double ox = Math.Max(Math.Max(minX - x, x - minX - (columns * cell)), 0),
            oy = Math.Max(Math.Max(minY - y, y - minY - (rows * cell)), 0);
        return Math.Sqrt((ox * ox) + (oy * oy)) + Doubt;
    }

    /// <summary>How far a place lies outside, negative inside.</summary>
    public double Signed(double x, double y)
    {
        var least = double.MaxValue;
        var at = CellOf(x, y);
        if (at < 0)
        {
            for (var i = 0; i < ax.Length; i++)
            {
                least = Math.Min(least, SquareTo(i, x, y));
            }

            return Inside(x, y) ? -Math.Sqrt(least) : Math.Sqrt(least);
        }

        foreach (var i in nearest[at])
        {
            least = Math.Min(least, SquareTo(i, x, y));
        }

        // No edge lies within a cell whose middle is farther from all of them than its corners.
        var inside = Math.Abs(raster[at]) > Doubt ? raster[at] < 0 : Inside(x, y);
        return inside ? -Math.Sqrt(least) : Math.Sqrt(least);
    }

    private int CellOf(double x, double y)
    {
        var (c, r) = ((int)Math.Floor((x - minX) / cell), (int)Math.Floor((y - minY) / cell));
        return c >= 0 && r >= 0 && c < columns && r < rows ? (r * columns) + c : -1;
    }

    private double SquareTo(int i, double x, double y)
    {
        double px = x - ax[i],
            py = y - ay[i];
        var share = Math.Clamp(((px * dx[i]) + (py * dy[i])) / square[i], 0, 1);
        double ex = px - (share * dx[i]),
            ey = py - (share * dy[i]);
        return (ex * ex) + (ey * ey);
    }

    private bool Inside(double x, double y)
    {
        var inside = false;
        for (var i = 0; i < ax.Length; i++)
        {
            double px = x - ax[i],
                py = y - ay[i];
            inside ^= (py < 0) != (py < dy[i]) && px < dx[i] * py / dy[i];
        }

        return inside;
    }
}
