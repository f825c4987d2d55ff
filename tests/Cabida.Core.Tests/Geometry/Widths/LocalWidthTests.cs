using Cabida.Core.Geometry;
using NetTopologySuite.Geometries;

namespace Cabida.Core.Tests.Geometry.Widths;

public class LocalWidthTests
{
    [Theory]
    [InlineData(0.4)]
    [InlineData(1.7)]
    public void A_bar_is_as_wide_as_it_is(double width)
    {
        var bar = Outlines.Rectangle(new Box(0, 0, 40, width));
        LocalWidth.Along(bar, 1, 5).Where(s => s.Facing > 3).ShouldAllBe(s => Math.Abs(s.Width - width) < Tolerances.Check);
    }

    [Fact]
    public void A_ring_is_as_wide_as_its_wall()
    {
        var ring = Disc(10).Difference(Disc(9.2));
        LocalWidth.Along(ring, 0.5, 1).ShouldAllBe(s => Math.Abs(s.Width - 0.8) < Tolerances.Check);
    }

    private static NetTopologySuite.Geometries.Geometry Disc(double r) => Outlines.Factory.CreatePoint(new Coordinate(0, 0)).Buffer(r, 96);
}
