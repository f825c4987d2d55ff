using Cabida.Core.Geometry;
using NetTopologySuite.Geometries;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Tests.Geometry.Widths;

/// <summary>Shapes with necks, tips, gaps and holes of every width.</summary>
internal static class Blobs
{
    /// <summary>Bars, discs and slits thrown over one another.</summary>
    public static Area One(Random random)
    {
        double Next(double least, double most) => least + (random.NextDouble() * (most - least));
        Area One() =>
            random.Next(3) switch
            {
                0 => Outlines.Placed(Disc(Next(0.3, 3)), 1, Next(0, 20), Next(0, 12)),
                1 => Outlines.Moved(
                    Outlines.Placed(Bar(0, 0, Next(2, 14), Next(0.3, 2)), 1, Next(0, 14), Next(0, 8)),
                    Motion.TurnLeft(Next(0, 40))
                ),
                _ => Outlines.Ring([new(Next(0, 20), Next(0, 12)), new(Next(0, 20), Next(0, 12)), new(Next(0, 20), Next(0, 12))]),
            };
        var ink = Outlines.Join([.. Enumerable.Range(0, 9).Select(_ => One())]);
        // What is narrower than a few pixels no raster shows.
        return Outlines.Without(ink, Outlines.Join([One(), One()])).Buffer(-0.05).Buffer(0.1).Buffer(-0.05);
    }

    private static Polygon Bar(double left, double bottom, double right, double top) =>
        Outlines.Rectangle(new Box(left, bottom, right, top));

    private static Area Disc(double r) => Outlines.Factory.CreatePoint(new Coordinate(0, 0)).Buffer(r, 96);
}
