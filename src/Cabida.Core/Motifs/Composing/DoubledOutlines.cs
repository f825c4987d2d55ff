using Cabida.Core.Geometry;
using NetTopologySuite.Algorithm.Distance;
using NetTopologySuite.Geometries;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Motifs;

/// <summary>
/// Outlines that a tracing program followed at both sides of a drawn line: a hole that runs along the outside of its part at
/// no more than a distance. Of such a pair the outer is kept, so that it is cut once.
/// </summary>
public static class DoubledOutlines
{
    /// <summary>Outlines a distance apart are so many times as far apart at a right-angled corner.</summary>
    private const double Mitre = 1.4143;

    /// <summary>The area with such holes filled.</summary>
    /// <param name="area">The area.</param>
    /// <param name="within">Outlines nearer than this everywhere are one, traced twice; millimetres.</param>
    public static Area Removed(Area area, double within) =>
        Outlines.Join([.. Outlines.PolygonsOf(area).Select(p => IsDoubled(p, within, out var single) ? single : p)]);

    /// <summary>How many outlines of an area are doubled.</summary>
    public static int Count(Area area, double within) =>
        Outlines.PolygonsOf(area).Sum(p => p.InteriorRings.Count(h => RunsAlong(p.ExteriorRing, h, within)));

    private static bool IsDoubled(Polygon part, double within, out Polygon single)
    {
        var kept = part.Holes.Where(h => !RunsAlong(part.ExteriorRing, h, within)).ToArray();
        single = kept.Length == part.NumInteriorRings ? part : Outlines.Factory.CreatePolygon(part.Shell, kept);
        return kept.Length != part.NumInteriorRings;
    }

    private static bool RunsAlong(LineString outside, LineString hole, double within)
    {
        var (a, b) = (outside.EnvelopeInternal, hole.EnvelopeInternal);
        return Math.Abs(a.MinX - b.MinX) <= within
            && Math.Abs(a.MaxX - b.MaxX) <= within
            && Math.Abs(a.MinY - b.MinY) <= within
            && Math.Abs(a.MaxY - b.MaxY) <= within
            && DiscreteHausdorffDistance.Distance(outside, hole) <= within * Mitre;
    }
}
