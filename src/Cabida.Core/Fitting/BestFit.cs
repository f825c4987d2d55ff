using Cabida.Core.Blanks;
using Cabida.Core.Geometry;
using Cabida.Core.Motifs;

namespace Cabida.Core.Fitting;

/// <summary>The largest fit with everything that is allowed: on the datum or free, upright or turned.</summary>
public static class BestFit
{
    /// <summary>A turn must make artwork larger by this factor to be taken: lettering reads best upright.</summary>
    public const double WorthTurning = 1.001;

    /// <summary>How finely the best angle of a range is found, in degrees.</summary>
    private const double AngleFine = 0.02;

    /// <summary>The largest scale that fits with its turn and place; null when nothing fits.</summary>
    /// <param name="ink">The ink as a function of scale, its centre at the origin.</param>
    /// <param name="allScales">Whether every length of it follows the scale.</param>
    /// <param name="zone">The zone.</param>
    /// <param name="rules">What is allowed.</param>
    public static FitPlace? Find(IScaledInk ink, bool allScales, ZoneShape zone, FitRules rules)
    {
        ArgumentNullException.ThrowIfNull(zone);
        ArgumentNullException.ThrowIfNull(rules);
        FitPlace? best = null;
        foreach (var angle in rules.Angles)
        {
            best = At(angle) ?? best;
        }

        // About the best of a range the scale rises and falls once within a step.
        for (var step = rules.AngleStep / 2; best is not null && step > AngleFine; step /= 2)
        {
            var turn = best.Turn;
            best = new[] { turn - step, turn + step }.Where(a => Math.Abs(a) <= rules.TurnRange && turn != 0).Select(At).FirstOrDefault(f => f is not null) ?? best;
        }

        return best;

        FitPlace? At(double angle) => OneTurn(ink, allScales, zone, rules, angle, best is null ? ScaleSearch.Least : best.Scale * (best.Turn == 0 ? WorthTurning : 1 + 1e-6));
    }

    /// <summary>Where ink of a given scale stands: as near to upright and to its datum as it fits; on its datum and upright where it fits nowhere.</summary>
    public static FitPlace PlaceAt(IScaledInk ink, double scale, ZoneShape zone, FitRules rules)
    {
        ArgumentNullException.ThrowIfNull(zone);
        ArgumentNullException.ThrowIfNull(rules);
        var datum = Nudged(zone.Datum, rules);
        foreach (var angle in rules.Angles)
        {
            var turned = TurnedInk.Of(ink, angle);
            if (LargestFit.Fits(turned, scale, zone, datum))
            {
                return new FitPlace(scale, angle, datum);
            }

            if (rules.Placing == Placing.Free && FreeFit.PlaceAt(turned, scale, zone, datum) is { } at)
            {
                return new FitPlace(scale, angle, at);
            }
        }

        return new FitPlace(scale, 0, datum);
    }

    private static PlanePoint Nudged(PlanePoint datum, FitRules rules) => new(datum.X + rules.Nudge.X, datum.Y + rules.Nudge.Y);

    private static FitPlace? OneTurn(IScaledInk ink, bool allScales, ZoneShape zone, FitRules rules, double angle, double above)
    {
        var turned = TurnedInk.Of(ink, angle);
        if (rules.Placing == Placing.Free)
        {
            return FreeFit.Find(turned, allScales, zone, above) is var (scale, at) ? new FitPlace(scale, angle, at) : null;
        }

        var datum = Nudged(zone.Datum, rules);
        return LargestFit.Find(turned, allScales, zone, datum, above) is { } largest ? new FitPlace(largest, angle, datum) : null;
    }
}
