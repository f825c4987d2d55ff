using Cabida.Core.Geometry;
using NetTopologySuite.Geometries;

namespace Cabida.Core.Tracing;

/// <summary>A connected dark place on a picture; pixels, y down.</summary>
/// <param name="Outer">Its outer edge.</param>
/// <param name="Holes">The edges of what it leaves open, largest first.</param>
/// <param name="TouchesBorder">Whether it runs off what is looked at.</param>
internal sealed record DarkRegion(IReadOnlyList<PlanePoint> Outer, IReadOnlyList<IReadOnlyList<PlanePoint>> Holes, bool TouchesBorder)
{
    /// <summary>A line's inside is at least this share of what it encloses.</summary>
    private const double OpenShare = 0.4;

    /// <summary>The region in one of whose holes it lies; null on open paper.</summary>
    public DarkRegion? Parent { get; private set; }

    /// <summary>The share of its outer edge that is soft.</summary>
    public double Soft { get; private init; }

    /// <summary>The length of its outer edge.</summary>
    public double Perimeter { get; } = LengthOf(Outer);

    /// <summary>How thick it is on average: twice its area over the length of its edges.</summary>
    public double Thickness { get; } = 2 * (AreaOf(Outer) - Holes.Sum(AreaOf)) / (LengthOf(Outer) + Holes.Sum(LengthOf));

    /// <summary>Whether it is a line drawn round something.</summary>
    public bool IsClosedLine(double widest) => Holes.Count > 0 && Thickness <= widest && AreaOf(Holes[0]) >= OpenShare * AreaOf(Outer);

    /// <summary>Sorts contours into regions with their holes, each knowing what it lies in.</summary>
    public static IReadOnlyList<DarkRegion> Of(
        IReadOnlyList<LevelContour> contours,
        Func<LevelContour, IReadOnlyList<PlanePoint>> refined,
        Func<LevelContour, double> softness,
        CancellationToken stop
    )
    {
        var outer = contours.Where(c => c.SignedArea > 0).OrderBy(c => c.SignedArea).ToList();
        var shapes = outer.Select(c => Outlines.Ring(c.Points)).ToList();
        var holes = contours.Where(c => c.SignedArea < 0).ToLookup(h => Smallest(h.Points[0], -h.SignedArea));
        var regions = new List<DarkRegion>();
        for (var i = 0; i < outer.Count; i++)
        {
            stop.ThrowIfCancellationRequested();
            regions.Add(
                new DarkRegion(refined(outer[i]), [.. holes[i].OrderBy(h => h.SignedArea).Select(refined)], outer[i].TouchesBorder)
                {
                    Soft = softness(outer[i]),
                }
            );
        }

        for (var i = 0; i < regions.Count; i++)
        {
            var around = Smallest(outer[i].Points[0], outer[i].SignedArea, i);
            regions[i].Parent = around < 0 ? null : regions[around];
        }

        return regions;

        // The smallest outer contour around a point that encloses more than an area.
        int Smallest(PlanePoint p, double than, int except = -1)
        {
            var point = Outlines.Factory.CreatePoint(new Coordinate(p.X, p.Y));
            for (var i = 0; i < outer.Count; i++)
            {
                if (
                    i != except
                    && outer[i].SignedArea > than
                    && shapes[i].EnvelopeInternal.Contains(point.Coordinate)
                    && NetTopologySuite.Algorithm.PointLocation.IsInRing(point.Coordinate, shapes[i].ExteriorRing.Coordinates)
                )
                {
                    return i;
                }
            }

            return -1;
        }
    }

    private static double AreaOf(IReadOnlyList<PlanePoint> ring) => Math.Abs(new LevelContour(ring, false).SignedArea);

    private static double LengthOf(IReadOnlyList<PlanePoint> ring) => ring.Zip(ring.Skip(1).Append(ring[0]), (a, b) => a.To(b)).Sum();
}
