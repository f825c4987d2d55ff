using NetTopologySuite.Geometries;
using NetTopologySuite.Operation.Buffer;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Geometry;

/// <summary>How a thin part of ink hangs together with the rest.</summary>
public enum ThinKind
{
    /// <summary>Wider ink at both ends.</summary>
    Neck,

    /// <summary>One free end.</summary>
    Tip,

    /// <summary>Nothing wider beside it: the whole part is thin.</summary>
    Throughout,
}

/// <summary>A part of the ink that is thinner than asked for.</summary>
/// <param name="Kind">How it hangs together with the rest.</param>
/// <param name="At">The middle of its thinnest place (of a tip: where it is widest below the limit).</param>
/// <param name="LeastWidth">The least local width of a neck or of a part thin throughout; of a tip the width halfway along it.</param>
/// <param name="Length">How far a tip reaches beyond wider ink; of the others the longest extent of what is too thin.</param>
public sealed record ThinPart(ThinKind Kind, PlanePoint At, double LeastWidth, double Length);

/// <summary>
/// Finds what opening by a disc of radius t/2 removes. Necks and parts thin throughout are always reported; a tip
/// is reported when longer than 2t, since every sharp corner leaves one of (t/2)(1/sin(β/2) − 1).
/// </summary>
public static class ThinParts
{
    /// <summary>Quarter-circle steps of the opening's arcs: their sagitta at t = 1 is 0.0006.</summary>
    private const int ArcSteps = 16;

    /// <summary>What of <paramref name="ink"/> is thinner than <paramref name="limit"/>, given its width samples.</summary>
    /// <param name="ink">The area; millimetres.</param>
    /// <param name="limit">t, the least width wanted.</param>
    /// <param name="samples">Width samples of the same ink.</param>
    public static List<ThinPart> Find(Area ink, double limit, IReadOnlyList<WidthSample> samples)
    {
        ArgumentNullException.ThrowIfNull(ink);
        ArgumentNullException.ThrowIfNull(samples);
        var found = new List<ThinPart>();
        var thin = samples.Where(s => s.Width < limit - Tolerances.Check && s.IsStroke).ToList();
        if (thin.Count == 0)
        {
            return found;
        }

        foreach (var polygon in Outlines.PolygonsOf(ink))
        {
            var near = thin.Where(s => polygon.EnvelopeInternal.Contains(s.At.X, s.At.Y)).ToList();
            if (near.Count > 0)
            {
                FindIn(polygon, limit, near, found);
            }
        }

        return found;
    }

    /// <summary>
    /// The thinnest stroke: the thinnest part that was reported, when any was; otherwise the least local width that is a
    /// minimum along its side, so that strokes which run out into a tip are not counted by it. Null when there is none.
    /// </summary>
    /// <param name="samples">Width samples in the order of the boundary.</param>
    /// <param name="parts">What was found thinner than the limit.</param>
    /// <param name="limit">The least width wanted.</param>
    public static (double Width, PlanePoint At)? Thinnest(IReadOnlyList<WidthSample> samples, IReadOnlyList<ThinPart> parts, double limit)
    {
        ArgumentNullException.ThrowIfNull(samples);
        ArgumentNullException.ThrowIfNull(parts);
        if (parts.Count > 0)
        {
            var thinnest = parts.MinBy(p => p.LeastWidth)!;
            return (thinnest.LeastWidth, thinnest.At);
        }

        WidthSample? least = null;
        for (var i = 0; i < samples.Count; i++)
        {
            var s = samples[i];
            if (
                s.IsStroke
                && s.Width >= limit - Tolerances.Check
                && (least is not { } l || s.Width < l.Width)
                && IsLeastNearby(samples, i, -1)
                && IsLeastNearby(samples, i, 1)
            )
            {
                least = s;
            }
        }

        return least is { } found ? (found.Width, found.Centre) : null;
    }

    /// <summary>Whether no sample within a width's distance along the boundary is narrower.</summary>
    private static bool IsLeastNearby(IReadOnlyList<WidthSample> samples, int i, int way)
    {
        var s = samples[i];
        for (
            var j = i + way;
            j >= 0 && j < samples.Count && samples[j].Ring == s.Ring && Math.Abs(samples[j].Position - s.Position) <= s.Width;
            j += way
        )
        {
            if (samples[j].Width < s.Width - (Tolerances.Check / 4))
            {
                return false;
            }
        }

        return true;
    }

    private static void FindIn(Polygon polygon, double limit, List<WidthSample> near, List<ThinPart> found)
    {
        var arcs = new BufferParameters(ArcSteps);
        // Half the checks' accuracy is given away on purpose, so that the facets of the arcs leave no slivers behind.
        var slack = Tolerances.Check / 2;
        var wide = Overlay.Grown(Overlay.Grown(polygon, -limit / 2, arcs), (limit / 2) + slack, arcs);
        var removed = wide.IsEmpty ? polygon : Overlay.Difference(polygon, wide);
        foreach (var part in Outlines.PolygonsOf(removed))
        {
            var outline = Overlay.Grown(part, slack, arcs);
            var inside = near.Where(s => Overlay.Covers(outline, Outlines.Factory.CreatePoint(s.Centre.ToCoordinate()))).ToList();
            if (inside.Count == 0)
            {
                continue;
            }

            var contacts = wide.IsEmpty ? 0 : Outlines.PolygonsOf(Overlay.Intersection(Overlay.Grown(part, 2 * slack, arcs), wide)).Count();
            var length = contacts == 1 ? FreeLength(part, wide) : LongestExtent(part);
            switch (contacts)
            {
                case 1 when length > 2 * limit:
                    var halfway = inside.OrderBy(s => s.Width).ElementAt(inside.Count / 2);
                    found.Add(new ThinPart(ThinKind.Tip, halfway.Centre, halfway.Width, length));
                    break;
                case 1:
                    break;
                default:
                    var least = inside.MinBy(s => s.Width);
                    found.Add(new ThinPart(contacts == 0 ? ThinKind.Throughout : ThinKind.Neck, least.Centre, least.Width, length));
                    break;
            }
        }
    }

    /// <summary>How far a tip reaches beyond the wider ink.</summary>
    private static double FreeLength(Polygon tip, Area wide) => tip.Coordinates.Max(c => wide.Distance(Outlines.Factory.CreatePoint(c)));

    private static double LongestExtent(Polygon part)
    {
        var hull = part.ConvexHull().Coordinates;
        var longest = 0.0;
        for (var i = 0; i < hull.Length; i++)
        {
            for (var j = i + 1; j < hull.Length; j++)
            {
                longest = Math.Max(longest, hull[i].Distance(hull[j]));
            }
        }

        return longest;
    }
}
