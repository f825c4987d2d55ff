using Cabida.Core.Geometry;
using NetTopologySuite.Geometries;
using NetTopologySuite.LinearReferencing;

namespace Cabida.Core.Waste;

/// <summary>
/// A cell of waste that comes off in one: what lies between two breaks or edges of the weed box above and below it, and two at its sides.
/// Lines run from left to right and from top to bottom.
/// </summary>
/// <param name="Upper">Its upper edge.</param>
/// <param name="Lower">Its lower edge.</param>
/// <param name="Left">Its left side.</param>
/// <param name="Right">Its right side.</param>
public sealed record WasteCell(LineString Upper, LineString Lower, LineString Left, LineString Right)
{
    /// <summary>The whole of a box.</summary>
    public static WasteCell Of(Box box)
    {
        LineString Line(double ax, double ay, double bx, double by) =>
            Outlines.Factory.CreateLineString([new Coordinate(ax, ay), new Coordinate(bx, by)]);
        return new WasteCell(
            Line(box.MinX, box.MaxY, box.MaxX, box.MaxY),
            Line(box.MinX, box.MinY, box.MaxX, box.MinY),
            Line(box.MinX, box.MaxY, box.MinX, box.MinY),
            Line(box.MaxX, box.MaxY, box.MaxX, box.MinY)
        );
    }

    /// <summary>It as an area, with the ink that lies in it.</summary>
    public Polygon Area { get; } = Closed(Upper, Lower, Left, Right);

    /// <summary>The box of it.</summary>
    public Box Box => Geometry.Box.Of(Area)!.Value;

    /// <summary>How long it is: the longer side of its box, in millimetres.</summary>
    public double Length => Math.Max(Box.Width, Box.Height);

    /// <summary>It where its ink was moved to.</summary>
    internal WasteCell Moved(Motion by)
    {
        LineString There(LineString line) => (LineString)Outlines.Moved(line, by);
        return new(There(Upper), There(Lower), There(Left), There(Right));
    }

    /// <summary>The two cells above and below a break from its left side to its right.</summary>
    public (WasteCell Above, WasteCell Below) CutAcross(LineString at)
    {
        ArgumentNullException.ThrowIfNull(at);
        var (left, right) = (Split(Left, at.StartPoint), Split(Right, at.EndPoint));
        return (new(Upper, at, left.First, right.First), new(at, Lower, left.Second, right.Second));
    }

    /// <summary>The two cells left and right of a break from its upper edge to its lower.</summary>
    public (WasteCell Left, WasteCell Right) CutDown(LineString at)
    {
        ArgumentNullException.ThrowIfNull(at);
        var (upper, lower) = (Split(Upper, at.StartPoint), Split(Lower, at.EndPoint));
        return (new(upper.First, lower.First, Left, at), new(upper.Second, lower.Second, at, Right));
    }

    private static (LineString First, LineString Second) Split(LineString line, Point at)
    {
        var indexed = new LengthIndexedLine(line);
        var index = indexed.Project(at.Coordinate);
        LineString Part(double from, double to) =>
            indexed.ExtractLine(from, to) is LineString { NumPoints: > 1 } part
                ? part
                : Outlines.Factory.CreateLineString([at.Coordinate, at.Coordinate]);
        return (Part(0, index), Part(index, indexed.EndIndex));
    }

    private static Polygon Closed(LineString upper, LineString lower, LineString left, LineString right)
    {
        var ring = new List<Coordinate>();
        void Add(IEnumerable<Coordinate> points)
        {
            foreach (var p in points.Where(p => ring.Count == 0 || !ring[^1].Equals2D(p, Tolerances.Fit)))
            {
                ring.Add(p);
            }
        }

        Add(upper.Coordinates);
        Add(right.Coordinates);
        Add(lower.Coordinates.Reverse());
        Add(left.Coordinates.Reverse());
        if (ring[^1].Equals2D(ring[0], Tolerances.Fit))
        {
            ring.RemoveAt(ring.Count - 1);
        }

        ring.Add(ring[0].Copy());
        return Outlines.Factory.CreatePolygon([.. ring]);
    }
}
