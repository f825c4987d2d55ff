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
        return zone.IsConvex ? InConvex(ink, allScales, zone, above, bound) : Searched(ink, zone, above, bound);
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

    private static (double, PlanePoint)? Searched(IScaledInk ink, ZoneShape zone, double above, double bound)
    {
        var places = FreePlaces.In(zone);
        (double Scale, PlanePoint At)? best = null;
        for (var top = bound; top >= Math.Max(above, best?.Scale ?? 0); )
        {
            if (
                ScaleSearch.Downwards(
                    top,
                    Math.Max(above, best?.Scale ?? 0),
                    s => places.Any(ink.InkAt(s), places.Finest) is not null,
                    Coarse
                )
                is not { } near
            )
            {
                break;
            }

            if (
                Refined(ink, zone, places, near, places.Any(ink.InkAt(near), places.Finest)!.Value) is { } found
                && found.Scale >= Math.Max(above, best?.Scale ?? 0)
            )
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
    }

    /// <summary>How far about a place it is searched finely, in finest cells: first near, and farther where that finds none.</summary>
    private static readonly double[] Windows = [6, 60, 600];

    private static Box AroundOf(PlanePoint at, double far) => new(at.X - far, at.Y - far, at.X + far, at.Y + far);

    /// <summary>
    /// The fit about a place that fits but for the slack: places near it are searched finely, and the scale is then exact for the place.
    /// </summary>
    private static (double Scale, PlanePoint At)? Refined(IScaledInk ink, ZoneShape zone, FreePlaces places, double scale, PlanePoint at)
    {
        var slack = places.Finest / Finer;
        var lower = scale * (1 - (4 * Coarse));
        // Where ink sits in a wedge a little less size moves its place a long way.
        var (best, around) = Windows
            .Select(w => AroundOf(at, w * places.Finest))
            .Select(a => (Place: places.Any(ink.InkAt(lower), slack, a), a))
            .FirstOrDefault(f => f.Place is not null);
        if (best is null)
        {
            return null;
        }

        ScaleSearch.Bisect(
            lower,
            scale * (1 + (2 * Coarse)),
            s =>
            {
                var place = places.Any(ink.InkAt(s), slack, around);
                best = place ?? best;
                return place is not null;
            },
            precision: 1e-4
        );
        var allowed = Overlay.Covering(zone.Outline);
        bool Covers(double s) => allowed(Outlines.Placed(ink.InkAt(s), 1, best.Value.X, best.Value.Y));
        return ScaleSearch.Downwards(scale * (1 + (2 * Coarse)), lower * 0.98, Covers, 1e-6) is { } exact ? (exact, best.Value) : null;
    }
}
