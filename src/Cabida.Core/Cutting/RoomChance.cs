namespace Cabida.Core.Cutting;

/// <summary>
/// The room at an edge for blank, cutter and hand together (calculations 6.12): how uncertain it is, and how likely the edge is touched.
/// </summary>
/// <param name="Uncertainty">The root of the sum of squares of all three, at two standard deviations; millimetres.</param>
/// <param name="OfTouching">The chance that there is no room, from 0 to 1.</param>
public readonly record struct RoomChance(double Uncertainty, double OfTouching)
{
    /// <summary>From the nominal room and the uncertainties.</summary>
    /// <param name="room">The nominal room; millimetres, negative when over.</param>
    /// <param name="blank">How uncertain the blank is.</param>
    /// <param name="cutter">How uncertain the cutter is.</param>
    /// <param name="hand">How uncertain the hand is.</param>
    public static RoomChance Of(double room, double blank, double cutter, double hand)
    {
        var all = Math.Sqrt((blank * blank) + (cutter * cutter) + (hand * hand));
        return new RoomChance(
            all,
            all > 0 ? Normal(-room / (all / 2))
                : room < 0 ? 1
                : 0
        );
    }

    /// <summary>
    /// The standard normal distribution, by its continued fraction in the tails and its series about zero (Abramowitz and Stegun 26.2.11
    /// and 26.2.14): to 1e-10.
    /// </summary>
    public static double Normal(double x)
    {
        const double middle = 3;
        const int terms = 60;
        var density = Math.Exp(-x * x / 2) / Math.Sqrt(2 * Math.PI);
        if (Math.Abs(x) < middle)
        {
            var (term, sum) = (x, x);
            for (var i = 1; i < terms; i++)
            {
                term *= x * x / ((2 * i) + 1);
                sum += term;
            }

            return 0.5 + (density * sum);
        }

        var fraction = Math.Abs(x);
        for (var i = terms; i >= 1; i--)
        {
            fraction = Math.Abs(x) + (i / fraction);
        }

        var tail = density / fraction;
        return x < 0 ? tail : 1 - tail;
    }
}
