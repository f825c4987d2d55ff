using NetTopologySuite.Geometries;
using NetTopologySuite.Operation.Distance;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Geometry;

/// <summary>What stops outlines from being grown further.</summary>
public enum GrowthStop
{
    /// <summary>Two parts of the ink would meet.</summary>
    PartsMeet,

    /// <summary>A hole would close.</summary>
    HoleCloses,

    /// <summary>A hole or a bay would be pinched in two.</summary>
    Pinched,
}

/// <summary>How far outlines may be grown.</summary>
/// <param name="Limit">The largest growth at every side that changes nothing in the number of parts and holes; millimetres.</param>
/// <param name="Stop">What happens beyond it.</param>
/// <param name="At">Where.</param>
public sealed record GrowthLimit(double Limit, GrowthStop Stop, PlanePoint At);

/// <summary>What happens to outlines that are grown.</summary>
/// <param name="First">What stops them first, other than a notch that fills; null when nothing does as far as was looked.</param>
/// <param name="Notch">The first notch that fills before that: what shuts leaves next to nothing behind; null when none does.</param>
public sealed record Growth(GrowthLimit? First, GrowthLimit? Notch)
{
    /// <summary>The same of outlines that are so many times as large, as far as <paramref name="most"/> millimetres.</summary>
    public Growth Scaled(double by, double most)
    {
        GrowthLimit? Of(GrowthLimit? limit) =>
            limit is { } l && l.Limit * by < most ? l with { Limit = l.Limit * by, At = new(l.At.X * by, l.At.Y * by) } : null;
        return new(Of(First), Of(Notch));
    }
}

/// <summary>
/// The thickest safe strengthening: the largest δ for which growing by δ keeps the number of parts and of holes
/// (calculations 3.8), and before it the notches that fill without anybody seeing it. Two parts a gap g apart meet at δ = g/2, so that
/// is found by distance; holes by bisection.
/// </summary>
public static class SafeGrowth
{
    private const double Precision = 0.002;

    /// <summary>A change that comes and goes within one step is not seen.</summary>
    private const int Steps = 32;

    /// <summary>
    /// What of a bay lies behind its mouth and is filled by growing so much further was a notch, as typefaces have where strokes
    /// cross: nobody sees it fill. Millimetres.
    /// </summary>
    private const double NotchDepth = 0.15;

    /// <summary>What stops an area from being grown, and the notches that fill before.</summary>
    /// <param name="area">The ink.</param>
    /// <param name="most">How far is looked.</param>
    public static Growth Of(Area area, double most)
    {
        var parts = Outlines.PolygonsOf(area).ToList();
        GrowthLimit? least = null;
        for (var i = 0; i < parts.Count; i++)
        {
            for (var j = i + 1; j < parts.Count; j++)
            {
                var reach = 2 * (least?.Limit ?? most);
                if (parts[i].EnvelopeInternal.Distance(parts[j].EnvelopeInternal) >= reach)
                {
                    continue;
                }

                var between = new DistanceOp(parts[i], parts[j]);
                if (between.Distance() is var gap && gap < reach)
                {
                    var ends = between.NearestPoints();
                    least = new GrowthLimit(
                        gap / 2,
                        GrowthStop.PartsMeet,
                        new PlanePoint((ends[0].X + ends[1].X) / 2, (ends[0].Y + ends[1].Y) / 2)
                    );
                }
            }
        }

        GrowthLimit? notch = null;
        foreach (var part in parts)
        {
            var before = least?.Limit ?? most;
            least = First(part, before, d => Mattering(part, d)) ?? least;
            notch = First(part, Math.Min(least?.Limit ?? most, notch?.Limit ?? most), d => HolesAt(part, d).Count == part.NumInteriorRings)
                ?? notch;
        }

        return new(least, notch is { } n && n.Limit < (least?.Limit ?? most) - Precision ? n : null);
    }

    /// <summary>The growth at which something about a part is no longer so, when it is below <paramref name="most"/>.</summary>
    private static GrowthLimit? First(Polygon part, double most, Func<double, bool> same)
    {
        // A bay whose mouth shuts becomes a hole, which closes in turn: the first change is looked for step by step.
        var step = most / Steps;
        var changes = Enumerable.Range(1, Steps).Select(i => i * step).FirstOrDefault(d => !same(d));
        if (changes == 0)
        {
            return null;
        }

        var (fine, tooMuch) = (changes - step, changes);
        while (tooMuch - fine > Precision)
        {
            var middle = (fine + tooMuch) / 2;
            (fine, tooMuch) = same(middle) ? (middle, tooMuch) : (fine, middle);
        }

        return Where(part, fine, tooMuch);
    }

    /// <summary>Whether a part grown by so much still has each of its holes in one, and no bay of any depth has shut.</summary>
    private static bool Mattering(Polygon part, double by)
    {
        var holes = HolesAt(part, by);
        var own = part
            .InteriorRings.Select(r => Outlines.Factory.CreatePolygon(r.Coordinates))
            .Select(o => holes.Where(h => Overlay.Meet(o, h)).ToList())
            .ToList();
        return own.All(o => o.Count > 0 && (o.Count == 1 || o.Count(IsDeep) < 2)) && !holes.Except(own.SelectMany(o => o)).Any(IsDeep);
    }

    private static bool IsDeep(Polygon hole) => !Outlines.Grown(hole, -NotchDepth, Tolerances.Ink).IsEmpty;

    private static List<Polygon> HolesAt(Polygon part, double by) =>
        [
            .. Outlines
                .PolygonsOf(Outlines.Grown(part, by, Tolerances.Ink))
                .SelectMany(p => p.InteriorRings)
                .Select(r => Outlines.Factory.CreatePolygon(r.Coordinates)),
        ];

    /// <summary>What differs between just below and just above the limit, and where.</summary>
    private static GrowthLimit Where(Polygon part, double fine, double tooMuch)
    {
        var (before, after) = (HolesAt(part, fine), HolesAt(part, tooMuch));
        var closed = before.FirstOrDefault(h => !after.Any(a => Overlay.Meet(a, h)));
        if (closed is not null)
        {
            return new GrowthLimit(fine, GrowthStop.HoleCloses, At(closed));
        }

        var pinched = after.FirstOrDefault(a => !before.Any(h => Overlay.Meet(h, a)))
            ?? after.FirstOrDefault(a => after.Count(o => before.Any(h => Overlay.Meet(h, a) && Overlay.Meet(h, o))) > 1);
        return new GrowthLimit(fine, GrowthStop.Pinched, pinched is null ? At(part) : At(pinched));
    }

    private static PlanePoint At(Polygon p) =>
        p.InteriorPoint is { IsEmpty: false } inside ? new(inside.X, inside.Y) : new(p.Coordinate.X, p.Coordinate.Y);
}
