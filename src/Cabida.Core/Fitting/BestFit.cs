using Cabida.Core.Blanks;
using Cabida.Core.Geometry;
using Cabida.Core.Motifs;
using Cabida.Core.Runs;

namespace Cabida.Core.Fitting;

/// <summary>The largest fit with everything that is allowed: on the datum or free, upright or turned.</summary>
public static class BestFit
{
    /// <summary>A turn must make artwork larger by this factor to be taken: lettering reads best upright.</summary>
    public const double WorthTurning = 1.001;

    /// <summary>How finely the best angle of a range is found, in degrees.</summary>
    private const double AngleFine = 0.005;

    /// <summary>Tops that are lower than the highest by more than this share are not climbed.</summary>
    private const double WorthClimbing = 0.85;

    /// <summary>The largest scale that fits with its turn and place; null when nothing fits.</summary>
    /// <param name="ink">The ink as a function of scale, its centre at the origin.</param>
    /// <param name="allScales">Whether every length of it follows the scale.</param>
    /// <param name="zone">The zone.</param>
    /// <param name="rules">What is allowed.</param>
    public static FitPlace? Find(IScaledInk ink, bool allScales, ZoneShape zone, FitRules rules)
    {
        ArgumentNullException.ThrowIfNull(zone);
        ArgumentNullException.ThrowIfNull(rules);
        if (allScales && rules.Placing == Placing.Free && !zone.IsConvex && ink is not SimilarInk)
        {
            // A search draws hundreds of sizes, most of which differ by little.
            return Find(new SimilarInk(ink), allScales, zone, rules) is { } near ? Exact(ink, zone, near) : null;
        }

        if (rules.Turning == Turning.Range && rules.TurnRange > 0)
        {
            var upright = OneTurn(ink, allScales, zone, rules, 0, ScaleSearch.Least);
            var turned =
                rules.Placing == Placing.Free && !zone.IsConvex
                    ? TurnedFit.Find(ink, zone, rules.TurnRange, upright)
                    : OverAngles(ink, allScales, zone, rules, upright);
            return turned is not null && (upright is null || turned.Scale >= upright.Scale * WorthTurning) ? turned : upright;
        }

        FitPlace? best = null;
        foreach (var angle in rules.Angles)
        {
            best = OneTurn(
                ink,
                allScales,
                zone,
                rules,
                angle,
                best is null ? ScaleSearch.Least : best.Scale * (best.Turn == 0 ? WorthTurning : 1 + 1e-6)
            ) ?? best;
        }

        return best;
    }

    /// <summary>
    /// The largest scale at just a place: a little below, or above, what a search found for ink that was nearly the same.
    /// </summary>
    private static FitPlace? Exact(IScaledInk ink, ZoneShape zone, FitPlace near)
    {
        var allowed = Overlay.Covering(zone.Outline);
        return
            ScaleSearch.Downwards(
                near.Scale * (1 + Nearly),
                near.Scale * (1 - (20 * Nearly)),
                s => allowed(Outlines.Moved(ink.InkAt(s), near.Motion)),
                ExactTo
            )
                is { } scale
            ? near with
            {
                Scale = scale,
            }
            : null;
    }

    /// <summary>How much sizes may differ by how curves are flattened, as a share.</summary>
    private const double Nearly = 1e-3;

    private const double ExactTo = 1e-5;

    /// <summary>
    /// The best turn where each turn has one best place: about a fixed one, or in a convex zone. A long thin thing fits a narrow way at a
    /// narrow range of turns only, so angles are
    /// looked at as finely as it is thin, whatever the range; every top among them that could be the highest is climbed.
    /// </summary>
    private static FitPlace? OverAngles(IScaledInk ink, bool allScales, ZoneShape zone, FitRules rules, FitPlace? upright)
    {
        var steps = (int)Math.Ceiling(rules.TurnRange / FitRules.StepFor(ink));
        var angles = Enumerable.Range(-steps, (2 * steps) + 1).Select(i => rules.TurnRange * i / steps).ToList();
        // Nothing below what stands upright is of use, but a top beside it may rise above.
        var floor = (upright?.Scale ?? ScaleSearch.Least) * WorthClimbing;
        var found = angles.Select(a => OneTurn(ink, allScales, zone, rules, a, Math.Max(ScaleSearch.Least, floor))).ToList();
        var highest = found.Max(f => f?.Scale ?? 0);
        FitPlace? best = null;
        for (var i = 0; i < found.Count; i++)
        {
            double Scale(int at) => at >= 0 && at < found.Count ? found[at]?.Scale ?? 0 : 0;
            if (found[i] is { } top && top.Scale >= highest * WorthClimbing && Scale(i) >= Scale(i - 1) && Scale(i) >= Scale(i + 1))
            {
                var climbed = Climbed(top, rules.TurnRange / steps);
                best = climbed.Scale > (best?.Scale ?? 0) ? climbed : best;
            }
        }

        return best;

        FitPlace Climbed(FitPlace top, double step)
        {
            for (step /= 2; step > AngleFine; step /= 2)
            {
                foreach (var angle in new[] { top.Turn - step, top.Turn + step })
                {
                    top =
                        Math.Abs(angle) <= rules.TurnRange
                        && OneTurn(ink, allScales, zone, rules, angle, top.Scale * (1 + 1e-6)) is { } higher
                            ? higher
                            : top;
                }
            }

            return top;
        }
    }

    /// <summary>
    /// Where ink of a given scale stands: as near to upright and to its datum as it fits; on its datum and upright where it fits nowhere.
    /// </summary>
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
