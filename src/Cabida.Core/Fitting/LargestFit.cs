using Cabida.Core.Blanks;
using Cabida.Core.Geometry;
using Cabida.Core.Motifs;

namespace Cabida.Core.Fitting;

/// <summary>
/// The largest scale at which ink, its origin on a point of the zone, lies inside the zone. Where what fits must
/// also fit smaller (all of it scales, and the point sees the whole zone) the scale is found by bisection. Otherwise
/// scales are searched downwards from the box bound by 1 % and the first that fits is refined.
/// </summary>
public static class LargestFit
{
    /// <summary>The smallest scale that is looked at.</summary>
    public const double LeastScale = ScaleSearch.Least;

    /// <summary>What stands at an edge of the ground is outside it by no more than this, in millimetres.</summary>
    private const double Rounding = 1e-9;

    /// <summary>The scale at which a box touches is found to this share.</summary>
    private const double TouchesWithin = 1e-9;

    private const int MostGuesses = 6;

    /// <summary>How far below that the scale may lie at which corners of the ink meet the edge, by how curves are flattened.</summary>
    private static readonly double[] MeetsWithin = [1e-8, 1e-5, 1e-3];

    /// <summary>The largest scale that fits, or null when none does.</summary>
    /// <param name="ink">The ink as a function of scale.</param>
    /// <param name="allScales">Whether every length of it follows the scale.</param>
    /// <param name="zone">The zone; the cautious one, where nothing may stand outside.</param>
    /// <param name="at">Where its origin stands; null for the zone's datum centre.</param>
    /// <param name="above">The smallest scale of interest.</param>
    public static double? Find(IScaledInk ink, bool allScales, ZoneShape zone, PlanePoint? at = null, double above = LeastScale)
    {
        ArgumentNullException.ThrowIfNull(ink);
        ArgumentNullException.ThrowIfNull(zone);
        var origin = at ?? zone.Datum;
        var limits = zone.Bounds.Moved(-origin.X, -origin.Y);
        var boxFits = ScaleSearch.Remembering(s =>
            ink.BoxAt(s) is { } b
            && b.MinX >= limits.MinX - Rounding
            && b.MaxX <= limits.MaxX + Rounding
            && b.MinY >= limits.MinY - Rounding
            && b.MaxY <= limits.MaxY + Rounding
        );
        if (ink.BoxAt(1) is null || !boxFits(above))
        {
            return null;
        }

        var touching = Touching(ink, limits).ToList();
        if (touching is [.., var last])
        {
            // Asked just below and above it, nearly every question of the search is answered.
            _ = boxFits(last * (1 - TouchesWithin)) && boxFits(last * (1 + TouchesWithin));
        }

        var bound = ScaleSearch.Bisect(above, ScaleSearch.Most, boxFits, touching is [var first, ..] ? first : null);
        if (zone.IsRectangle)
        {
            return bound;
        }

        var inside = Inside(ink, zone, origin);
        var fits = ScaleSearch.Remembering(inside);
        if (fits(bound))
        {
            return bound;
        }

        if (!allScales || !zone.SeesAllFrom(origin))
        {
            return ScaleSearch.Downwards(bound, above, inside);
        }

        // Asked about where its corners would meet the edge, nearly every question of the search is answered.
        var meets = bound * ZoneRays.RoomFor(ink.InkAt(bound), zone, origin);
        _ = double.IsFinite(meets) && MeetsWithin.Any(off => fits(meets * (1 - off))) && fits(meets * (1 + MeetsWithin[0]));
        return fits(above) ? ScaleSearch.Bisect(above, bound, fits) : null;
    }

    /// <summary>Whether ink, its origin somewhere, lies inside the zone.</summary>
    internal static bool Fits(IScaledInk ink, double scale, ZoneShape zone, PlanePoint at)
    {
        if (
            ink.BoxAt(scale)?.Moved(at.X, at.Y) is not { } b
            || b.MinX < zone.Bounds.MinX - Tolerances.Fit
            || b.MaxX > zone.Bounds.MaxX + Tolerances.Fit
            || b.MinY < zone.Bounds.MinY - Tolerances.Fit
            || b.MaxY > zone.Bounds.MaxY + Tolerances.Fit
        )
        {
            return false;
        }

        if (zone.IsRectangle)
        {
            return true;
        }

        var placed = Outlines.Placed(ink.InkAt(scale), 1, at.X, at.Y);
        // Ink that just fills a hole touches it all round from the wrong side.
        return Rooms.Of(placed, zone).Least >= -Tolerances.Fit && Overlay.Covers(zone.Outline, placed.InteriorPoint);
    }

    /// <summary>
    /// Scales at which a box would touch a side of the zone's if all of it scaled, each nearer than the one before: curves are flattened
    /// otherwise there, and some lengths may stay.
    /// </summary>
    private static IEnumerable<double> Touching(IScaledInk ink, Box limits)
    {
        var (scale, room) = (1.0, 0.0);
        for (var i = 0; i < MostGuesses && Math.Abs(room - 1) > TouchesWithin / 2; i++)
        {
            if (ink.BoxAt(scale) is not { MinX: < 0, MinY: < 0, MaxX: > 0, MaxY: > 0 } box)
            {
                yield break;
            }

            room = Math.Min(
                Math.Min(limits.MinX / box.MinX, limits.MaxX / box.MaxX),
                Math.Min(limits.MinY / box.MinY, limits.MaxY / box.MaxY)
            );
            if (room <= 0)
            {
                yield break;
            }

            yield return scale *= room;
        }
    }

    /// <summary>Whether ink at a scale lies inside the zone.</summary>
    private static Func<double, bool> Inside(IScaledInk ink, ZoneShape zone, PlanePoint at)
    {
        var allowed = Overlay.Covering(zone.Outline);
        return s => allowed(Outlines.Placed(ink.InkAt(s), 1, at.X, at.Y));
    }
}
