namespace Cabida.Core.Tracing;

/// <summary>
/// A picture in shades of grey: a byte a pixel, row after row from the top; the middle of the first pixel lies at (½, ½).
/// </summary>
/// <param name="Width">Pixels across.</param>
/// <param name="Height">Pixels down.</param>
/// <param name="Pixels">Brightness, 0 black to 255 white.</param>
public sealed record GreyPicture(int Width, int Height, byte[] Pixels)
{
    /// <summary>Half the width of the smoothing kernel.</summary>
    private const int Reach = 2;

    /// <summary>Binomial weights of a Gaussian with a deviation of one pixel.</summary>
    private static readonly int[] Weights = [1, 4, 6, 4, 1];

    /// <summary>
    /// Takes pixel noise out, in place and with a few rows of extra memory: a Gaussian with a deviation of one pixel, which
    /// leaves straight edges where they are.
    /// </summary>
    public void Smooth()
    {
        var rows = new int[(2 * Reach) + 1][];
        for (var i = 0; i < rows.Length; i++)
        {
            rows[i] = Across(i - Reach);
        }

        for (var y = 0; y < Height; y++)
        {
            var row = Pixels.AsSpan(y * Width, Width);
            int[] a = rows[0],
                b = rows[1],
                c = rows[2],
                d = rows[3],
                e = rows[4];
            for (var x = 0; x < Width; x++)
            {
                row[x] = (byte)((a[x] + (4 * b[x]) + (6 * c[x]) + (4 * d[x]) + e[x] + 128) >> 8);
            }

            // Rows below are still as they were; those above are kept in the ring.
            var next = y + Reach + 1;
            var spent = rows[0];
            Array.Copy(rows, 1, rows, 0, rows.Length - 1);
            rows[^1] = next < Height ? Across(next, spent) : rows[^2];
        }
    }

    /// <summary>Brightness between pixels, by the four around it.</summary>
    public double At(double x, double y)
    {
        x = Math.Clamp(x - 0.5, 0, Width - 1.001);
        y = Math.Clamp(y - 0.5, 0, Height - 1.001);
        int i = (int)x,
            j = (int)y;
        double fx = x - i,
            fy = y - j;
        var at = (j * Width) + i;
        double top = Pixels[at] + (fx * (Pixels[at + 1] - Pixels[at]));
        double low = Pixels[at + Width] + (fx * (Pixels[at + Width + 1] - Pixels[at + Width]));
        return top + (fy * (low - top));
    }

    private int[] Across(int y, int[]? into = null)
    {
        var sums = into ?? new int[Width];
        var row = Pixels.AsSpan(Math.Clamp(y, 0, Height - 1) * Width, Width);
        for (var x = 0; x < Width; x++)
        {
            if (x >= Reach && x < Width - Reach)
            {
                sums[x] = row[x - 2] + (4 * row[x - 1]) + (6 * row[x]) + (4 * row[x + 1]) + row[x + 2];
                continue;
            }

            var sum = 0;
            for (var k = -Reach; k <= Reach; k++)
            {
                sum += Weights[k + Reach] * row[Math.Clamp(x + k, 0, Width - 1)];
            }

            sums[x] = sum;
        }

        return sums;
    }
}
