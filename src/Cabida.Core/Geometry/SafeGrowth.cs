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

/// <summary>
/// The thickest safe strengthening: the largest δ for which growing by δ keeps the number of parts and of holes
/// (calculations 3.8). Two parts a gap g apart meet at δ = g/2, so that is found by distance; holes by bisection.
/// </summary>
public static class SafeGrowth
{
    private const double Precision = 0.002;

    /// <summary>A change that comes and goes within one step is not seen.</summary>
    private const int Steps = 32;

    /// <summary>The limit for an area, or null when nothing stops it below <paramref name="most"/>.</summary>
    /// <param name="area">The ink.</param>
    /// <param name="most">How far is looked.</param>
    public static GrowthLimit? Of(Area area, double most)
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
                    least = new GrowthLimit(gap / 2, GrowthStop.PartsMeet, new PlanePoint((ends[0].X + ends[1].X) / 2, (ends[0].Y + ends[1].Y) / 2));
                }
            }
        }

        foreach (var part in parts)
        {
            least = Holes(part, least?.Limit ?? most) ?? least;
        }

        return least;
    }

    /// <summary>The growth at which the holes of a part, or the bays of its outside, stop being as many, when it is below <paramref name="most"/>.</summary>
    private static GrowthLimit? Holes(Polygon part, double most)
    {
        bool Same(double d) => Outlines.PolygonsOf(Outlines.Grown(part, d, Tolerances.Ink)).Sum(p => p.NumInteriorRings) == part.NumInteriorRings;
        // A bay whose mouth shuts becomes a hole, which closes in turn: the first change is looked for step by step.
        var step = most / Steps;
        var changes = Enumerable.Range(1, Steps).Select(i => i * step).FirstOrDefault(d => !Same(d));
        if (changes == 0)
        {
            return null;
        }

        var (fine, tooMuch) = (changes - step, changes);
        while (tooMuch - fine > Precision)
        {
            var middle = (fine + tooMuch) / 2;
            (fine, tooMuch) = Same(middle) ? (middle, tooMuch) : (fine, middle);
        }

        return Where(part, fine, tooMuch);
    }

    /// <summary>What differs between just below and just above the limit, and where.</summary>
    private static GrowthLimit Where(Polygon part, double fine, double tooMuch)
    {
        List<Polygon> HolesAt(double d) => [.. Outlines.PolygonsOf(Outlines.Grown(part, d, Tolerances.Ink)).SelectMany(p => p.InteriorRings).Select(r => Outlines.Factory.CreatePolygon(r.Coordinates))];
        var (before, after) = (HolesAt(fine), HolesAt(tooMuch));
        var closed = before.FirstOrDefault(h => !after.Any(a => Overlay.Meet(a, h)));
        if (closed is not null)
        {
            return new GrowthLimit(fine, GrowthStop.HoleCloses, At(closed));
        }

        var pinched = after.FirstOrDefault(a => !before.Any(h => Overlay.Meet(h, a))) ?? after.FirstOrDefault(a => after.Count(o => before.Any(h => Overlay.Meet(h, a) && Overlay.Meet(h, o))) > 1);
        return new GrowthLimit(fine, GrowthStop.Pinched, pinched is null ? At(part) : At(pinched));
    }

    private static PlanePoint At(Polygon p) => p.InteriorPoint is { IsEmpty: false } inside ? new(inside.X, inside.Y) : new(p.Coordinate.X, p.Coordinate.Y);
}
