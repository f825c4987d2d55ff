using Cabida.Core.Geometry;
using NetTopologySuite.Operation.Distance;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Cutting;

/// <summary>
/// A test cut: a small square with a triangle in it, cut where a load leaves room for it, to see whether the film comes off and the backing
/// holds before anything is spoiled.
/// </summary>
/// <param name="Middle">Its middle; millimetres from the loading corner.</param>
/// <param name="Side">The side of its square; millimetres.</param>
public sealed record TestCut(PlanePoint Middle, double Side)
{
    private static readonly double[] Sides = [10, 6, 4];

    /// <summary>What it keeps from everything that is cut, in parts of its side.</summary>
    private const double Clear = 0.2;
    private const double ChordError = 0.05;

    /// <summary>The largest that fits, as near to the loading corner as it can lie; null where none does.</summary>
    /// <param name="ground">Where there is film that is reached.</param>
    /// <param name="cut">What is cut there: pieces and boxes around them.</param>
    public static TestCut? In(Area ground, IReadOnlyList<Area> cut)
    {
        ArgumentNullException.ThrowIfNull(ground);
        ArgumentNullException.ThrowIfNull(cut);
        var taken = Outlines.Filled(Outlines.Union(cut));
        var corner = Outlines.Factory.CreatePoint(new NetTopologySuite.Geometries.Coordinate(0, 0));
        foreach (var side in Sides)
        {
            // Half of its diagonal, so that it may lie any way round.
            var half = side / Math.Sqrt(2);
            var free = Outlines.Grown(ground, -half, ChordError);
            free = taken.IsEmpty ? free : Outlines.Without(free, Outlines.Grown(taken, half + (Clear * side), ChordError));
            if (!free.IsEmpty)
            {
                var at = DistanceOp.NearestPoints(free, corner)[0];
                return new TestCut(new PlanePoint(at.X, at.Y), side);
            }
        }

        return null;
    }

    /// <summary>It as a load of its own.</summary>
    /// <param name="title">What it is called.</param>
    /// <param name="width">The width of the load.</param>
    /// <param name="height">Its length.</param>
    /// <param name="film">The name of the film.</param>
    /// <param name="colour">Its colour.</param>
    public CutDrawing Drawing(string title, double width, double height, string film, string colour) =>
        new(
            title,
            width,
            height,
            [new CutLayer(film, colour, [new CutGroup(title, [Closed(Square(Side / 2)), Closed(Triangle(Side / 4))])])]
        );

    private static CutLine Closed(List<PlanePoint> points) =>
        new(new Contour(points[0], [.. points.Skip(1).Append(points[0]).Select(p => new LineSegmentTo(p))]), true, CutLineKind.Ink);

    private List<PlanePoint> Square(double half) =>
        [
            new(Middle.X - half, Middle.Y - half),
            new(Middle.X + half, Middle.Y - half),
            new(Middle.X + half, Middle.Y + half),
            new(Middle.X - half, Middle.Y + half),
        ];

    private List<PlanePoint> Triangle(double half) =>
        [new(Middle.X - half, Middle.Y - half), new(Middle.X, Middle.Y + half), new(Middle.X + half, Middle.Y - half)];
}
