using Cabida.Core.Blanks;
using Cabida.Core.Geometry;
using Cabida.Core.Motifs;

namespace Cabida.Core.Fitting;

/// <summary>
/// The largest scale at which ink lies inside a zone wherever that is, and the place for it nearest to the datum centre. In a
/// convex zone both follow from the inner-fit polygon; elsewhere places are searched.
/// </summary>
internal static class FreeFit
{
    /// <summary>To what share of the scale an optimum among searched places is bracketed before it is refined about its place.</summary>
    private const double Coarse = 1e-3;

    /// <summary>The same for the refined one.</summary>
    private const double Precise = 1e-4;

    /// <summary>How much finer places are searched about the one that was found.</summary>
    private const double Finer = 8;

    /// <summary>The fit, or null when nothing fits above the smallest scale of interest.</summary>
    public static (double Scale, PlanePoint At)? Find(IScaledInk ink, bool allScales, ZoneShape zone, double above = ScaleSearch.Least)
    {
        var room = zone.Bounds;
        bool BoxFits(double s) =>
            ink.BoxAt(s) is { } b && b.Width <= room.Width + Tolerances.Fit && b.Height <= room.Height + Tolerances.Fit;
        if (ink.BoxAt(1) is not { } one || !BoxFits(above))
        {
            return null;
        }

        var bound = ScaleSearch.Bisect(above, ScaleSearch.Most, BoxFits, Math.Min(room.Width / one.Width, room.Height / one.Height));
        return zone.IsConvex ? InConvex(ink, allScales, zone, above, bound) : Searched(ink, allScales, zone, above, bound);
    }

    /// <summary>The place nearest to a point at which ink of a given scale fits; null when there is none.</summary>
    public static PlanePoint? PlaceAt(IScaledInk ink, double scale, ZoneShape zone, PlanePoint near) =>
        zone.IsConvex ? InnerFit.Nearest(zone, ink.InkAt(scale), near) : FreePlaces.In(zone).Nearest(ink.InkAt(scale), near);

    private static (double, PlanePoint)? InConvex(IScaledInk ink, bool allScales, ZoneShape zone, double above, double bound)
    {
        bool Fits(double s) => InnerFit.Of(zone, ink.InkAt(s)).Count > 0;
        // Whatever fits a convex zone fits it smaller as well, when all of it scales.
        var scale =
            !allScales ? ScaleSearch.Downwards(bound, above, Fits)
            : Fits(above) ? ScaleSearch.Bisect(above, bound, Fits)
            : null;
        return scale is { } s && InnerFit.Nearest(zone, ink.InkAt(s), zone.Datum) is { } at ? (s, at) : null;
    }

    private static (double, PlanePoint)? Searched(IScaledInk ink, bool allScales, ZoneShape zone, double above, double bound)
    {
        var places = FreePlaces.In(zone);
        // What scales as a whole is drawn once, and its sizes are searched with its places.
        using var drawn = allScales && ink.InkAt(bound) is { IsEmpty: false } largest ? new SearchedInk(largest) : null;
        (double Scale, PlanePoint At)? best = null;
        for (var top = bound; top >= Least(); )
        {
            if (Near(top) is not var (near, at))
            {
                break;
            }

            if (Refined(near, at) is { } found && found.Scale >= Least())
            {
                best = found;
                if (found.Scale >= near * (1 - (2 * Coarse)))
                {
                    return best;
                }
            }

            // What only seemed to fit by the slack does not, or not so large; another place may, a little below.
            top = near * (1 - Coarse);
        }

        return best;

        double Least() => Math.Max(above, best?.Scale ?? 0);

        // The largest scale, up to a top, at which ink fits somewhere but for the slack.
        (double Scale, PlanePoint At)? Near(double top)
        {
            if (drawn is not null)
            {
                return places.Largest(drawn, Least() / bound, top / bound, places.Finest, Coarse) is var (factor, where)
                    ? (factor * bound, where)
                    : null;
            }

            return ScaleSearch.Downwards(top, Least(), s => places.Any(ink.InkAt(s), places.Finest) is not null, Coarse) is { } scale
                ? (scale, places.Any(ink.InkAt(scale), places.Finest)!.Value)
                : null;
        }

        // The fit about a place that fits but for the slack: places near it are searched finely, the scale is then exact for the place.
        (double Scale, PlanePoint At)? Refined(double scale, PlanePoint at)
        {
            var slack = places.Finest / Finer;
            // Where ink sits in a wedge a little less size moves its place a long way.
            var (lower, upper) = (scale * (1 - (4 * Coarse)), scale * (1 + (2 * Coarse)));
            var place = Windows
                .Select(w => new Box(at.X, at.Y, at.X, at.Y).Grown(w * places.Finest))
                .Select(around =>
                    LargestAbout(
                        s => drawn is null ? places.Any(ink.InkAt(s), slack, around) : places.Any(drawn, s / bound, slack, around),
                        lower,
                        upper
                    )
                )
                .FirstOrDefault(p => p is not null);
            if (place is not { } there)
            {
                return null;
            }

            var allowed = Overlay.Covering(zone.Outline);
            bool Covers(double s) => allowed(Outlines.Placed(ink.InkAt(s), 1, there.X, there.Y));
            return ScaleSearch.Downwards(upper, lower * 0.98, Covers, 1e-6) is { } exact ? (exact, there) : null;
        }
    }

    /// <summary>Where ink stands at the largest scale at which a place is found; null where none is at the lowest.</summary>
    private static PlanePoint? LargestAbout(Func<double, PlanePoint?> placeAt, double lower, double upper)
    {
        var best = placeAt(lower);
        if (best is not null)
        {
            ScaleSearch.Bisect(
                lower,
                upper,
                s =>
                {
                    var place = placeAt(s);
                    best = place ?? best;
                    return place is not null;
                },
                precision: Precise
            );
        }

        return best;
    }

    /// <summary>How far about a place it is searched finely, in finest cells: first near, and farther where that finds none.</summary>
    private static readonly double[] Windows = [6, 60, 600];
}
