namespace Cabida.Core.Tracing;

/// <summary>Small systems of linear equations, by Gaussian elimination with partial pivoting.</summary>
internal static class LinearSystem
{
    /// <summary>Solves; each row holds its coefficients and then its right-hand side. The rows are used up.</summary>
    public static double[] Solve(double[][] rows)
    {
        var n = rows.Length;
        for (var i = 0; i < n; i++)
        {
            var pivot = Enumerable.Range(i, n - i).MaxBy(r => Math.Abs(rows[r][i]));
            (rows[i], rows[pivot]) = (rows[pivot], rows[i]);
            for (var r = i + 1; r < n; r++)
            {
                var f = rows[r][i] / rows[i][i];
                for (var c = i; c <= n; c++)
                {
                    rows[r][c] -= f * rows[i][c];
                }
            }
        }

        var x = new double[n];
        for (var i = n - 1; i >= 0; i--)
        {
            var sum = rows[i][n];
            for (var c = i + 1; c < n; c++)
            {
                sum -= rows[i][c] * x[c];
            }

            x[i] = sum / rows[i][i];
        }

        return x;
    }
}
