using Cabida.Core.Measures;

namespace Cabida.Core.Blanks;

/// <summary>A girth read at a height along the wall.</summary>
/// <param name="V">Along the wall from the base; millimetres.</param>
/// <param name="Girth">The girth there.</param>
public sealed record GirthRing(double V, Dimension Girth);

/// <summary>
/// The profile of a bellied wall: of three girths the parabola through them; of more the monotone cubic of Fritsch and
/// Carlson (SIAM J. Numer. Anal. 17, 1980) with three-point end slopes. Heights run along the wall, so that the Gaussian
/// curvature of the surface of revolution is exactly −r″/r.
/// </summary>
public sealed class Belly
{
    private readonly double[] v;
    private readonly double[] g;
    private readonly double[] slope;

    /// <summary>A profile through girths.</summary>
    /// <param name="rings">At least three, at different heights, lowest first.</param>
    public Belly(IReadOnlyList<GirthRing> rings)
    {
        ArgumentNullException.ThrowIfNull(rings);
        if (rings.Count < 3 || rings.Zip(rings.Skip(1), (a, b) => b.V <= a.V).Any(x => x))
        {
            throw new ArgumentException("A profile needs three girths at rising heights.", nameof(rings));
        }

        Rings = rings;
        v = [.. rings.Select(r => r.V)];
        g = [.. rings.Select(r => r.Girth.Value.Millimetres)];
        slope = v.Length == 3 ? ParabolaSlopes() : MonotoneSlopes();
    }

    /// <summary>What was read.</summary>
    public IReadOnlyList<GirthRing> Rings { get; }

    /// <summary>The lowest height a girth was read at.</summary>
    public double Lowest => v[0];

    /// <summary>The highest height a girth was read at.</summary>
    public double Highest => v[^1];

    /// <summary>The girth at a height; beyond the outermost readings the profile goes on along its end slope.</summary>
    public double GirthAt(double at) =>
        at < v[0] ? g[0] + (slope[0] * (at - v[0]))
        : at > v[^1] ? g[^1] + (slope[^1] * (at - v[^1]))
        : Hermite(at).Value;

    /// <summary>The girth at a height with its uncertainty, which between readings lies between theirs.</summary>
    public Dimension GirthWithin(double at)
    {
        var i = Interval(Math.Clamp(at, v[0], v[^1]));
        var share = Math.Clamp((at - v[i]) / (v[i + 1] - v[i]), 0, 1);
        var (a, b) = (Rings[i].Girth.Uncertainty.Millimetres, Rings[i + 1].Girth.Uncertainty.Millimetres);
        return new Dimension(Length.Mm(GirthAt(at)), Length.Mm(((1 - share) * a) + (share * b)));
    }

    /// <summary>The Gaussian curvature at a height, −r″/r, per square millimetre; positive where it bulges both ways.</summary>
    public double CurvatureAt(double at) => at < v[0] || at > v[^1] ? 0 : -Hermite(at).Second / GirthAt(at);

    /// <summary>
    /// The upright height of a place along the wall: the integral of √(1 − r′²), by the trapezoid rule on a millimetre grid.
    /// </summary>
    public double UprightAt(double at)
    {
        if (at == 0)
        {
            return 0;
        }

        var steps = Math.Max(1, (int)Math.Ceiling(Math.Abs(at)));
        var h = at / steps;
        var sum = 0.0;
        for (var i = 0; i < steps; i++)
        {
            var step = (GirthAt((i + 1) * h) - GirthAt(i * h)) / (2 * Math.PI * h);
            sum += h * Math.Sqrt(Math.Max(0, 1 - (step * step)));
        }

        return sum;
    }

    private int Interval(double at)
    {
        var i = Array.FindLastIndex(v, x => x <= at);
        return Math.Clamp(i, 0, v.Length - 2);
    }

    /// <summary>The cubic through two readings with their slopes; for three readings the parabola through all.</summary>
    private (double Value, double Second) Hermite(double at)
    {
        var i = Interval(at);
        double h = v[i + 1] - v[i],
            t = (at - v[i]) / h,
            d = (g[i + 1] - g[i]) / h;
        double c2 = ((3 * d) - (2 * slope[i]) - slope[i + 1]) / h,
            c3 = (slope[i] + slope[i + 1] - (2 * d)) / (h * h),
            x = t * h;
        return (g[i] + (x * (slope[i] + (x * (c2 + (x * c3))))), (2 * c2) + (6 * c3 * x));
    }

    private double Secant(int i) => (g[i + 1] - g[i]) / (v[i + 1] - v[i]);

    /// <summary>The slopes of the parabola through three points, at each of them.</summary>
    private double[] ParabolaSlopes()
    {
        double d0 = Secant(0),
            d1 = Secant(1),
            second = (d1 - d0) / (v[2] - v[0]);
        return [d0 - (second * (v[1] - v[0])), d0 + (second * (v[1] - v[0])), d1 + (second * (v[2] - v[1]))];
    }

    private double[] MonotoneSlopes()
    {
        var n = v.Length;
        var m = new double[n];
        m[0] = ThreePoint(v[1] - v[0], v[2] - v[1], Secant(0), Secant(1));
        m[n - 1] = ThreePoint(v[n - 1] - v[n - 2], v[n - 2] - v[n - 3], Secant(n - 2), Secant(n - 3));
        for (var i = 1; i < n - 1; i++)
        {
            double a = Secant(i - 1),
                b = Secant(i);
            m[i] = a * b <= 0 ? 0 : (a + b) / 2;
        }

        for (var i = 0; i < n - 1; i++)
        {
            var d = Secant(i);
            if (d == 0)
            {
                (m[i], m[i + 1]) = (0, 0);
                continue;
            }

            double a = m[i] / d,
                b = m[i + 1] / d,
                r = Math.Sqrt((a * a) + (b * b));
            if (r > 3)
            {
                (m[i], m[i + 1]) = (3 * a / r * d, 3 * b / r * d);
            }
        }

        return m;
    }

    /// <summary>The end slope of the parabola through the three outermost points, kept from turning the wrong way.</summary>
    private static double ThreePoint(double h0, double h1, double d0, double d1)
    {
        var m = ((((2 * h0) + h1) * d0) - (h0 * d1)) / (h0 + h1);
        return Math.Sign(m) != Math.Sign(d0) ? 0
            : Math.Sign(d0) != Math.Sign(d1) && Math.Abs(m) > Math.Abs(3 * d0) ? 3 * d0
            : m;
    }
}
