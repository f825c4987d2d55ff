using Cabida.Core.Wording;
using NetTopologySuite.Geometries;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Geometry;

/// <summary>A separate part of ink, or a hole of it; millimetres.</summary>
/// <param name="At">The middle of its inscribed circle.</param>
/// <param name="Area">Its area; of a hole without what lies in it, in square millimetres.</param>
/// <param name="Inscribed">The diameter of its inscribed circle; not smaller than was asked about where it is large enough.</param>
/// <param name="Ring">The number of its outline in the boundary.</param>
public sealed record SmallArea(PlanePoint At, double Area, double Inscribed, int Ring);

/// <summary>
/// Separate parts of ink, and its holes, that are small by their area or by their inscribed circle. A circle of a given size lies within an
/// area when a disc that touches its outline somewhere holds nothing of the boundary.
/// </summary>
internal static class SmallAreas
{
    /// <summary>Places along an outline are looked at so much of the circle's diameter apart.</summary>
    private const double StepShare = 0.125;

    private const int Refinings = 16;

    /// <summary>The parts, or holes, that are smaller.</summary>
    /// <param name="ink">The ink.</param>
    /// <param name="grid">Its boundary.</param>
    /// <param name="holes">Whether holes are looked at, rather than parts.</param>
    /// <param name="area">The least area, in square millimetres; zero asks for none.</param>
    /// <param name="across">The least diameter of the inscribed circle, in millimetres; zero asks for none.</param>
    /// <param name="rolled">A disc that was rolled along the boundary: where one as large fits, no circle has to be looked for.</param>
    public static List<SmallArea> Find(Area ink, SegmentGrid grid, bool holes, double area, double across, RollingDisc rolled)
    {
        ArgumentNullException.ThrowIfNull(ink);
        ArgumentNullException.ThrowIfNull(grid);
        var found = new List<SmallArea>();
        var polygons = Outlines.PolygonsOf(ink).ToList();
        var ring = 0;
        foreach (var polygon in polygons)
        {
            bool IsWide(int of) => rolled.IsOutside == holes && rolled.Diameter >= across && rolled.FitsAt(of);
            if (!holes && Small(grid, ring, polygon.Area, area, IsWide(ring) ? 0 : across) is { } part)
            {
                found.Add(part);
            }

            for (var i = 0; i < polygon.NumInteriorRings; i++)
            {
                if (
                    holes
                    && Outlines.Factory.CreatePolygon(polygon.Holes[i]) is var outline
                    && Small(grid, ring + 1 + i, FreeArea(outline, polygons), area, IsWide(ring + 1 + i) ? 0 : across) is { } hole
                )
                {
                    found.Add(hole);
                }
            }

            ring += 1 + polygon.NumInteriorRings;
        }

        return found;
    }

    /// <summary>The area of a hole without the ink that lies in it.</summary>
    private static double FreeArea(Polygon hole, List<Polygon> polygons) =>
        hole.Area
        - polygons
            .Where(p => hole.EnvelopeInternal.Contains(p.EnvelopeInternal) && Overlay.Covers(hole, p.PointOnSurface))
            .Sum(p => p.Area);

    private static SmallArea? Small(SegmentGrid grid, int ring, double has, double area, double across)
    {
        if (grid.Rings[ring].Count == 0 || (has >= area && across <= 0))
        {
            return null;
        }

        // A hole is walked with the disc outside the ink.
        var walk = new RingWalk(grid, ring, grid.Rings[ring].IsHole);
        var places = new List<RingPlace>();
        walk.Places(Math.Max(StepShare * across, Tolerances.Check), places);
        if (has >= area)
        {
            var looked = 0;
            foreach (var place in places)
            {
                looked++;
                if (!place.IsCorner && !grid.KeepsOut(place.Middle(across / 2), (across / 2) - Tolerances.Fit, across / 2, walk.IsOutside))
                {
                    Effort.Spend(looked * RollingDisc.StepsPerPlace);
                    return null;
                }
            }
        }

        var largest = Largest(grid, walk, places.ConvertAll(p => p.U), has);
        return has < area || 2 * largest.Radius < across ? new SmallArea(largest.Centre, has, 2 * largest.Radius, ring) : null;
    }

    /// <summary>The largest ball that touches the outline of an area: the inscribed circle.</summary>
    private static TouchingBall Largest(SegmentGrid grid, RingWalk walk, List<double> places, double area)
    {
        Effort.Spend(places.Count * RollingDisc.StepsPerPlace);
        // A disc in it has no larger area, and mostly is about as large as the one before.
        var most = 1.01 * Math.Sqrt(area / Math.PI);
        var guess = most;
        TouchingBall At(double u)
        {
            var (p, n) = walk.Place(u);
            var ball = LocalWidth.Ball(grid, p, n, guess, most);
            guess = Math.Clamp(RollingDisc.GuessShare * ball.Radius, Math.Min(RollingDisc.LeastGuess, most), most);
            return ball;
        }

        var (best, at) = (default(TouchingBall), 0);
        for (var i = 0; i < places.Count; i++)
        {
            (best, at) = At(places[i]) is var ball && ball.Radius > best.Radius ? (ball, i) : (best, at);
        }

        // Between the places beside it, by thirds: there is one largest.
        var (low, high) = (at > 0 ? places[at - 1] : places[at], at < places.Count - 1 ? places[at + 1] : places[at]);
        for (var i = 0; i < Refinings; i++)
        {
            var (a, b) = (low + ((high - low) / 3), high - ((high - low) / 3));
            var (atA, atB) = (At(a), At(b));
            best = new[] { best, atA, atB }.MaxBy(x => x.Radius);
            (low, high) = atA.Radius < atB.Radius ? (a, high) : (low, b);
        }

        return best;
    }
}
