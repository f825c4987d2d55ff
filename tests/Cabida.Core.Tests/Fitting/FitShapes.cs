using Cabida.Core.Blanks;
using Cabida.Core.Geometry;
using Cabida.Core.Motifs;
using NetTopologySuite.Geometries;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Tests.Fitting;

/// <summary>Zones and ink whose largest fit is known.</summary>
internal static class FitShapes
{
    public static IScaledInk Block(double width, double height) =>
        new Scaled(Outlines.Rectangle(new Box(-width / 2, -height / 2, width / 2, height / 2)));

    public static IScaledInk Of(Area one) => new Scaled(one);

    public static Area Disc(double radius, int quarter = 90) => Outlines.Factory.CreatePoint(new Coordinate(0, 0)).Buffer(radius, quarter);

    public static ZoneShape Zone(Area outline, double x, double y) => ZoneShape.Of((Polygon)outline, new PlanePoint(x, y));

    public static ZoneShape Zone(params (double X, double Y)[] corners) =>
        Outlines.Ring([.. corners.Select(c => new PlanePoint(c.X, c.Y))]) is var ring
            ? Zone(ring, ring.Centroid.X, ring.Centroid.Y)
            : null!;

    private sealed class Scaled(Area one) : IScaledInk
    {
        public Box? BoxAt(double scale) => Box.Of(one)?.Scaled(scale);

        public Area InkAt(double scale) => Outlines.Placed(one, scale, 0, 0);
    }
}
