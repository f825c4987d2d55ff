using Cabida.Core.Blanks;
using Cabida.Core.Geometry;
using Cabida.Core.Motifs;
using NetTopologySuite.Geometries.Prepared;

namespace Cabida.Core.Fitting;

/// <summary>
/// The largest scale at which ink, its box centred on the zone's datum, lies inside the zone. Where what fits must
/// also fit smaller (all of it scales, and the datum sees the whole zone) the scale is found by bisection. Otherwise
/// scales are searched downwards from the box bound by 1 % and the first that fits is refined.
/// </summary>
public static class LargestFit
{
    /// <summary>The smallest scale that is looked at.</summary>
    public const double LeastScale = 0.01;

    private const double MostScale = 1000;
    private const double SearchStep = 0.99;
    private const double Precision = 1e-7;

    /// <summary>A guess is right to within the flattening of curves, which is less than this.</summary>
    private const double GuessBelow = 0.9998;

    /// <summary>The largest scale that fits, or null when none does.</summary>
    /// <param name="ink">The ink as a function of scale.</param>
    /// <param name="allScales">Whether every length of it follows the scale.</param>
    /// <param name="zone">The zone; the cautious one, where nothing may stand outside.</param>
    public static double? Find(IScaledInk ink, bool allScales, ZoneShape zone)
    {
        ArgumentNullException.ThrowIfNull(ink);
        ArgumentNullException.ThrowIfNull(zone);
        var half = new Box(-zone.Bounds.Width, -zone.Bounds.Height, zone.Bounds.Width, zone.Bounds.Height).Scaled(0.5);
        bool BoxFits(double s) => ink.BoxAt(s) is { } b && b.Width <= 2 * half.MaxX && b.Height <= 2 * half.MaxY;
        if (ink.BoxAt(1) is null || !BoxFits(LeastScale))
        {
            return null;
        }

        var bound = Bisect(LeastScale, MostScale, BoxFits, Guess(ink, half));
        if (zone.IsRectangle)
        {
            return bound;
        }

        var fits = Inside(ink, zone);
        if (fits(bound))
        {
            return bound;
        }

        if (allScales && zone.IsStarShaped)
        {
            return fits(LeastScale) ? Bisect(LeastScale, bound, fits) : null;
        }

        for (var s = bound * SearchStep; s >= LeastScale; s *= SearchStep)
        {
            if (fits(s))
            {
                return Bisect(s, s / SearchStep, fits);
            }
        }

        return null;
    }

    /// <summary>The same for ink turned a quarter to the left.</summary>
    public static double? FindTurned(IScaledInk ink, bool allScales, ZoneShape zone) => Find(new QuarterTurnedInk(ink), allScales, zone);

    private sealed class QuarterTurnedInk(IScaledInk upright) : IScaledInk
    {
        public Box? BoxAt(double scale) => upright.BoxAt(scale) is { } b ? new Box(-b.MaxY, b.MinX, -b.MinY, b.MaxX) : null;

        public NetTopologySuite.Geometries.Geometry InkAt(double scale) => Outlines.QuarterTurned(upright.InkAt(scale));
    }

    /// <summary>The scale at which a box would fill the zone's if all of it scaled.</summary>
    private static double? Guess(IScaledInk ink, Box half) =>
        ink.BoxAt(1) is { Width: > 0, Height: > 0 } box ? 2 * Math.Min(half.MaxX / box.Width, half.MaxY / box.Height) : null;

    /// <summary>Whether ink at a scale lies inside the zone.</summary>
    private static Func<double, bool> Inside(IScaledInk ink, ZoneShape zone)
    {
        var allowed = PreparedGeometryFactory.Prepare(zone.Outline);
        return s => allowed.Covers(Outlines.Placed(ink.InkAt(s), 1, zone.Datum.X, zone.Datum.Y));
    }

    /// <summary>The largest scale for which <paramref name="fits"/> holds, knowing that it does at the lower and not beyond the upper.</summary>
    /// <param name="fitting">A scale that fits.</param>
    /// <param name="tooLarge">A scale beyond which none does.</param>
    /// <param name="fits">Whether a scale fits.</param>
    /// <param name="guess">About where the answer lies; only how soon it is found depends on it.</param>
    private static double Bisect(double fitting, double tooLarge, Func<double, bool> fits, double? guess = null)
    {
        if (guess is { } g && g * GuessBelow > fitting && g / GuessBelow < tooLarge && fits(g * GuessBelow) && !fits(g / GuessBelow))
        {
            (fitting, tooLarge) = (g * GuessBelow, g / GuessBelow);
        }
        else if (fits(tooLarge))
        {
            return tooLarge;
        }

        while (tooLarge - fitting > Precision * fitting)
        {
            var middle = Math.Sqrt(fitting * tooLarge);
            (fitting, tooLarge) = fits(middle) ? (middle, tooLarge) : (fitting, middle);
        }

        return fitting;
    }
}
