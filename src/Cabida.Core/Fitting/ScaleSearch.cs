namespace Cabida.Core.Fitting;

/// <summary>
/// Searches the largest scale for which something holds. Where what holds also holds for everything smaller it is found by
/// bisection; otherwise scales are searched downwards by 1 % and the first that holds is refined.
/// </summary>
internal static class ScaleSearch
{
    /// <summary>The smallest scale that is looked at.</summary>
    public const double Least = 0.01;

    /// <summary>The largest scale that is looked at.</summary>
    public const double Most = 1000;

    private const double Step = 0.99;
    private const double Precision = 1e-7;

    /// <summary>A guess is right to within the flattening of curves, which is less than this.</summary>
    private const double GuessBelow = 0.9998;

    /// <summary>The first scale from above that holds, refined; null when none does.</summary>
    /// <param name="bound">The largest that could.</param>
    /// <param name="above">The smallest of interest.</param>
    /// <param name="holds">Whether a scale holds.</param>
    /// <param name="precision">To what share of the scale it is refined.</param>
    public static double? Downwards(double bound, double above, Func<double, bool> holds, double precision = Precision)
    {
        for (var s = bound; s >= above; s *= Step)
        {
            if (holds(s))
            {
                return s == bound ? s : Bisect(s, s / Step, holds, precision: precision);
            }
        }

        return null;
    }

    /// <summary>The largest scale that holds, knowing that it does at the lower and not beyond the upper.</summary>
    /// <param name="holding">A scale that holds.</param>
    /// <param name="tooLarge">A scale beyond which none does.</param>
    /// <param name="holds">Whether a scale holds.</param>
    /// <param name="guess">About where the answer lies; only how soon it is found depends on it.</param>
    /// <param name="precision">To what share of the scale it is refined.</param>
    public static double Bisect(
        double holding,
        double tooLarge,
        Func<double, bool> holds,
        double? guess = null,
        double precision = Precision
    )
    {
        if (guess is { } g && g * GuessBelow > holding && g / GuessBelow < tooLarge && holds(g * GuessBelow) && !holds(g / GuessBelow))
        {
            (holding, tooLarge) = (g * GuessBelow, g / GuessBelow);
        }
        else if (holds(tooLarge))
        {
            return tooLarge;
        }

        while (tooLarge - holding > precision * holding)
        {
            var middle = Math.Sqrt(holding * tooLarge);
            (holding, tooLarge) = holds(middle) ? (middle, tooLarge) : (holding, middle);
        }

        return holding;
    }

    /// <summary>
    /// The same test where what holds also holds for everything smaller: what follows from answers given before is not asked again.
    /// </summary>
    public static Func<double, bool> Remembering(Func<double, bool> holds)
    {
        var (held, failed) = (0.0, double.PositiveInfinity);
        return scale =>
        {
            if (scale <= held || scale >= failed)
            {
                return scale <= held;
            }

            var holdsHere = holds(scale);
            (held, failed) = holdsHere ? (scale, failed) : (held, scale);
            return holdsHere;
        };
    }
}
