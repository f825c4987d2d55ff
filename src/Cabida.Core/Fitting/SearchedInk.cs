using Cabida.Core.Geometry;
using NetTopologySuite.Algorithm.Locate;
using NetTopologySuite.Geometries;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Fitting;

/// <summary>
/// Ink as a search for places sees it: the points of it that can stand outside first, and how deep a place lies within it, known about
/// from a raster that is filled in as it is asked for, and exactly where that matters.
/// </summary>
internal sealed class SearchedInk : IDisposable
{
    /// <summary>Cells of the raster along the longer side of the ink.</summary>
    private const int Cells = 160;

    /// <summary>No place that is asked about lies farther from ink, in millimetres.</summary>
    private const double Farthest = 1e6;

    private readonly IndexedPointInAreaLocator within;
    private readonly SegmentGrid edges;
    private readonly double cell;
    private readonly int columns;
    private readonly int rows;
    private readonly double[] depths;

    /// <summary>Ink about its origin; not empty.</summary>
    public SearchedInk(Area ink)
    {
        within = new IndexedPointInAreaLocator(ink);
        edges = new SegmentGrid(ink);
        Box = Geometry.Box.Of(ink)!.Value;
        cell = Math.Max(Math.Max(Box.Width, Box.Height) / Cells, double.Epsilon);
        columns = Math.Max(1, (int)Math.Ceiling(Box.Width / cell));
        rows = Math.Max(1, (int)Math.Ceiling(Box.Height / cell));
        depths = new double[columns * rows];
        Array.Fill(depths, double.NaN);
        Samples = SamplesOf(ink);
        Radius = Samples.Max(p => Math.Sqrt((p.X * p.X) + (p.Y * p.Y)));
    }

    /// <summary>
    /// The corners of the hull of each part of the ink, the farthest first. Nothing else of a part can be outside the zone unless the
    /// zone's own edge pokes into the part.
    /// </summary>
    public PlanePoint[] Samples { get; }

    /// <summary>Its box.</summary>
    public Box Box { get; }

    /// <summary>How far the ink reaches from its origin.</summary>
    public double Radius { get; }

    /// <summary>What the raster says is right to within this.</summary>
    public double Doubt => cell * Math.Sqrt(0.5);

    /// <summary>Brings a sample a good way to the front.</summary>
    public void Forward(int i)
    {
        var to = i / 8;
        (Samples[i], Samples[to]) = (Samples[to], Samples[i]);
    }

    /// <summary>About how deep a place lies within the ink; negative outside, infinitely so beyond its Box.</summary>
    public double About(double x, double y)
    {
        if (x < Box.MinX || x > Box.MaxX || y < Box.MinY || y > Box.MaxY)
        {
            return double.NegativeInfinity;
        }

        var (c, r) = (Math.Min((int)((x - Box.MinX) / cell), columns - 1), Math.Min((int)((y - Box.MinY) / cell), rows - 1));
        ref var depth = ref depths[(r * columns) + c];
        if (double.IsNaN(depth))
        {
            depth = Depth(new PlanePoint(Box.MinX + ((c + 0.5) * cell), Box.MinY + ((r + 0.5) * cell)), 4 * cell);
        }

        return depth;
    }

    /// <summary>How deep a place lies within the ink; negative outside.</summary>
    /// <param name="p">The place.</param>
    /// <param name="about">About how far from its edge; only how soon that is found depends on it.</param>
    public double Depth(PlanePoint p, double about)
    {
        var reach = Math.Abs(about) + Doubt;
        (PlanePoint Point, int Segment)? nearest;
        while ((nearest = edges.Nearest(p, reach)) is null)
        {
            // Ink too small to have an edge holds nothing.
            if (reach > Farthest)
            {
                return double.NegativeInfinity;
            }

            reach *= 2;
        }

        var far = p.To(nearest.Value.Point);
        return within.Locate(new Coordinate(p.X, p.Y)) == Location.Interior ? far : -far;
    }

    /// <inheritdoc/>
    public void Dispose() => edges.Dispose();

    private static PlanePoint[] SamplesOf(Area ink) =>
        [
            .. Outlines
                .PolygonsOf(ink)
                .SelectMany(p => p.ConvexHull().Coordinates)
                .Select(c => new PlanePoint(c.X, c.Y))
                .Distinct()
                .OrderByDescending(p => (p.X * p.X) + (p.Y * p.Y)),
        ];
}
