using Cabida.Core.Blanks;
using Cabida.Core.Geometry;
using Cabida.Core.Motifs;

namespace Cabida.Core.Fitting;

/// <summary>
/// The largest scale at which ink lies inside a zone where it may stand anywhere and be turned within a range: scale, place and
/// turn are searched together. From a fit that is known, scales above it are looked at from the largest that could be downwards;
/// the first that fits somewhere, to within a slack, is refined about its place and turn until it fits exactly.
/// </summary>
internal static class TurnedFit
{
    /// <summary>Scales are looked at downwards in steps of this.</summary>
    private const double Step = 0.97;

    /// <summary>Far above what is known steps are larger.</summary>
    private const double FarStep = 0.94;

    private const double Near = 1.2;

    /// <summary>A fit must be larger than the one that is known by this to be looked for.</summary>
    private const double Worth = 1.005;

    /// <summary>The first and the last step of refining, in shares of the finest cells.</summary>
    private const double FirstStep = 24;
    private const double LastStep = 1.0 / 16;

    /// <summary>The fit, or null when nothing larger than what is known fits.</summary>
    /// <param name="ink">The ink as a function of scale, its centre at the origin.</param>
    /// <param name="zone">The zone.</param>
    /// <param name="range">How far it may be turned to either side, in degrees.</param>
    /// <param name="known">A fit that is known; null for none.</param>
    public static FitPlace? Find(IScaledInk ink, ZoneShape zone, double range, FitPlace? known)
    {
        var places = FreePlaces.In(zone);
        if (Bound(ink, zone, range) is not { } bound)
        {
            return null;
        }

        var best = known;
        var least = ScaleSearch.Least;
        // Downwards, and again from below what was found and did not hold.
        for (
            var s = bound;
            s > Math.Max(least, (best?.Scale ?? 0) * Worth);
            s *= s > Near * (best?.Scale ?? double.MaxValue) ? FarStep : Step
        )
        {
            if (
                places.AnyTurned(ink.InkAt(s), range, places.Finest) is { } near
                && Refined(ink, zone, places, range, s, near) is { } found
                && found.Scale > (best?.Scale ?? 0)
            )
            {
                best = found;
                if (found.Scale >= s * Step)
                {
                    break;
                }
            }
        }

        // Between the last step and what was found there may be a little more.
        for (var rounds = 0; best is not null && rounds < MostRounds; rounds++)
        {
            var s = best.Scale * Worth;
            if (
                s > bound
                || places.AnyTurned(ink.InkAt(s), range, places.Finest) is not { } near
                || Refined(ink, zone, places, range, s, near) is not { } found
                || found.Scale <= best.Scale * 1.0005
            )
            {
                break;
            }

            best = found;
        }

        return best == known ? null : best;
    }

    private const int MostRounds = 8;

    /// <summary>No scale is larger than one at which the box of the ink, at whichever turn, is as large as the zone's.</summary>
    private static double? Bound(IScaledInk ink, ZoneShape zone, double range)
    {
        if (ink.InkAt(1).IsEmpty)
        {
            return null;
        }

        var steps = Math.Max(1, (int)Math.Ceiling(range / BoundStep));
        bool Could(double s)
        {
            var drawn = ink.InkAt(s);
            var hull = drawn.ConvexHull().Coordinates;
            return drawn.Area <= zone.Outline.Area * 1.0001
                && Enumerable
                    .Range(-steps, (2 * steps) + 1)
                    .Any(i =>
                    {
                        var (sin, cos) = Math.SinCos(range * i / steps * Math.PI / 180);
                        var (minX, maxX, minY, maxY) = (double.MaxValue, double.MinValue, double.MaxValue, double.MinValue);
                        foreach (var c in hull)
                        {
                            double x = (cos * c.X) - (sin * c.Y),
                                y = (sin * c.X) + (cos * c.Y);
                            (minX, maxX, minY, maxY) = (Math.Min(minX, x), Math.Max(maxX, x), Math.Min(minY, y), Math.Max(maxY, y));
                        }

                        // Between two turns that are looked at the box may be a little smaller than at either.
                        var less = 1 - (BoundStep * Math.PI / 180);
                        return (maxX - minX) * less <= zone.Bounds.Width && (maxY - minY) * less <= zone.Bounds.Height;
                    });
        }

        return Could(ScaleSearch.Least) ? ScaleSearch.Bisect(ScaleSearch.Least, ScaleSearch.Most, Could, precision: 1e-3) : null;
    }

    /// <summary>Turns that are looked at for the bound lie so far apart, in degrees.</summary>
    private const double BoundStep = 0.5;

    /// <summary>From a place that fits but for the slack to one that fits exactly, and as large as it gets there.</summary>
    private static FitPlace? Refined(IScaledInk ink, ZoneShape zone, FreePlaces places, double range, double scale, TurnedPlace near)
    {
        var allowed = Overlay.Covering(zone.Outline);
        var (at, s) = (near, scale);
        FitPlace? best = null;
        for (var round = 0; round < 6; round++)
        {
            var one = ink.InkAt(s);
            using var searched = new SearchedInk(one);
            at = Roomiest(places.Violations(searched), at, range, Radius(one), places.Finest);
            // Exact for the place, from a little above what was asked for down to a good way below.
            var exact = ScaleSearch.Downwards(s * 1.01, s * 0.95, x => allowed(Outlines.Moved(ink.InkAt(x), at.Motion)), 1e-6);
            if (exact is not { } fits || fits <= (best?.Scale ?? 0) * (1 + 1e-5))
            {
                break;
            }

            best = new FitPlace(fits, at.Turn, at.At);
            s = fits * 1.002;
        }

        return best;
    }

    private static double Radius(NetTopologySuite.Geometries.Geometry ink) =>
        ink.Coordinates.Max(c => Math.Sqrt((c.X * c.X) + (c.Y * c.Y)));

    /// <summary>
    /// The place about another with the most room all round: steps along each way, halved where none helps (pattern search).
    /// </summary>
    private static TurnedPlace Roomiest(
        Func<TurnedPlace, double, double> violation,
        TurnedPlace from,
        double range,
        double radius,
        double finest
    )
    {
        var (at, least) = (from, violation(from, double.PositiveInfinity));
        for (var step = FirstStep * finest; step > LastStep * finest; step /= 2)
        {
            for (var moved = true; moved; )
            {
                moved = false;
                var degrees = step / radius * 180 / Math.PI;
                foreach (var (dx, dy, turn) in Ways)
                {
                    var to = new TurnedPlace(
                        new PlanePoint(at.At.X + (dx * step), at.At.Y + (dy * step)),
                        Math.Clamp(at.Turn + (turn * degrees), -range, range)
                    );
                    var enough = least - (1e-3 * step);
                    var there = violation(to, enough);
                    if (there < enough)
                    {
                        (at, least, moved) = (to, there, true);
                    }
                }
            }
        }

        return at;
    }

    /// <summary>Along the axes and across them, each with and without a turn: in a corner only the right mixture gives room.</summary>
    private static readonly (double X, double Y, double Turn)[] Ways =
    [
        .. from x in new[] { -1, 0, 1 }
        from y in new[] { -1, 0, 1 }
        from t in new[] { -1, 0, 1 }
        where x != 0 || y != 0 || t != 0
        select ((double)x, (double)y, (double)t),
    ];
}
