using Cabida.Core.Geometry;

namespace Cabida.Formats.Graphics.Dxf;

/// <summary>
/// The smooth curve through points: a cubic spline whose parameter runs as the chords are long, twice continuously differentiable
/// (de Boor, A Practical Guide to Splines, chapter 4). Without directions at its ends it ends unbent.
/// </summary>
internal static class FitSpline
{
    private const double Near = 1e-9;

    /// <summary>The curve as cubics; null for fewer than two different points.</summary>
    /// <param name="points">The points it goes through.</param>
    /// <param name="start">Its direction at the first; null where it is free.</param>
    /// <param name="end">Its direction at the last; null where it is free.</param>
    /// <param name="closed">Whether it comes round to the first again.</param>
    public static LineChain? Through(IReadOnlyList<PlanePoint> points, PlanePoint? start, PlanePoint? end, bool closed)
    {
        var p = points.Where((q, i) => i == 0 || q.To(points[i - 1]) > Near).ToList();
        if (closed && p.Count > 2 && p[^1].To(p[0]) > Near)
        {
            p.Add(p[0]);
        }

        closed &= p.Count > 3;
        if (p.Count < 2)
        {
            return null;
        }

        var h = Enumerable.Range(0, p.Count - 1).Select(i => p[i].To(p[i + 1])).ToArray();
        var (x, y) = (
            Slopes([.. p.Select(q => q.X)], h, Along(start)?.X, Along(end)?.X, closed),
            Slopes([.. p.Select(q => q.Y)], h, Along(start)?.Y, Along(end)?.Y, closed)
        );
        return new LineChain(
            p[0],
            [
                .. h.Select(
                    (step, i) =>
                        new CubicTo(
                            new(p[i].X + (x[i] * step / 3), p[i].Y + (y[i] * step / 3)),
                            new(p[i + 1].X - (x[i + 1] * step / 3), p[i + 1].Y - (y[i + 1] * step / 3)),
                            p[i + 1]
                        )
                ),
            ],
            closed
        );

        // Chords are as long as the parameter runs, so a direction has the length 1.
        static PlanePoint? Along(PlanePoint? d) =>
            d is { } v && new PlanePoint(0, 0).To(v) is > Near and var l ? new PlanePoint(v.X / l, v.Y / l) : null;
    }

    /// <summary>The slopes at the points: a system of three diagonals, with two corners more for a closed curve.</summary>
    private static double[] Slopes(double[] f, double[] h, double? start, double? end, bool closed)
    {
        var n = f.Length;
        var (below, on, above, right) = (new double[n], new double[n], new double[n], new double[n]);
        double Rise(int i) => (f[i + 1] - f[i]) / h[i];
        for (var i = 1; i + 1 < n; i++)
        {
            (below[i], on[i], above[i]) = (h[i], 2 * (h[i - 1] + h[i]), h[i - 1]);
            right[i] = 3 * ((h[i] * Rise(i - 1)) + (h[i - 1] * Rise(i)));
        }

        if (closed)
        {
            // The first slope is also the last; it is found by superposing a solution with it zero and one with it one.
            var free = Solve(below, on, above, right, 0, 0, n);
            var one = Solve(below, on, above, new double[n], 1, 1, n);
            double last = h[^1],
                first = h[0];
            double Fault(double[] s) => (last * ((2 * s[0]) + s[1])) + (first * ((2 * s[0]) + s[n - 2]));
            var wanted = 3 * ((last * Rise(0)) + (first * Rise(n - 2)));
            var slope = (wanted - Fault(free)) / Fault(one);
            return [.. free.Zip(one, (a, b) => a + (slope * b))];
        }

        (on[0], above[0], right[0]) = start is { } s0 ? (1, 0, s0) : (2, 1, 3 * Rise(0));
        (below[n - 1], on[n - 1], right[n - 1]) = end is { } s1 ? (0, 1, s1) : (1, 2, 3 * Rise(n - 2));
        return Solve(below, on, above, right, null, null, n);
    }

    /// <summary>Solves three diagonals by elimination (Thomas); ends that are given stay.</summary>
    private static double[] Solve(double[] below, double[] on, double[] above, double[] right, double? first, double? last, int n)
    {
        var (a, b, c, d) = ((double[])below.Clone(), (double[])on.Clone(), (double[])above.Clone(), (double[])right.Clone());
        if (first is { } f)
        {
            (b[0], c[0], d[0]) = (1, 0, f);
        }

        if (last is { } l)
        {
            (a[n - 1], b[n - 1], d[n - 1]) = (0, 1, l);
        }

        for (var i = 1; i < n; i++)
        {
            var by = a[i] / b[i - 1];
            b[i] -= by * c[i - 1];
            d[i] -= by * d[i - 1];
        }

        var x = new double[n];
        x[n - 1] = d[n - 1] / b[n - 1];
        for (var i = n - 2; i >= 0; i--)
        {
            x[i] = (d[i] - (c[i] * x[i + 1])) / b[i];
        }

        return x;
    }
}
