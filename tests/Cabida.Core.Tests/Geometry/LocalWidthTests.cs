using Cabida.Core.Geometry;
using NetTopologySuite.Geometries;

namespace Cabida.Core.Tests.Geometry;

public class LocalWidthTests
{
    [Theory]
    [InlineData(0.4)]
    [InlineData(1.7)]
    public void A_bar_is_as_wide_as_it_is(double width)
    {
        var bar = Outlines.Rectangle(new Box(0, 0, 40, width));
        LocalWidth.Along(bar, 1, 5).Where(s => s.Facing > 3).ShouldAllBe(s => Math.Abs(s.Width - width) < Tolerances.Check);
        ThinParts.Find(bar, 2, LocalWidth.Along(bar, 1, 2)).ShouldHaveSingleItem().Kind.ShouldBe(ThinKind.Throughout);
    }

    [Fact]
    public void A_ring_is_as_wide_as_its_wall()
    {
        var ring = Disc(10).Difference(Disc(9.2));
        LocalWidth.Along(ring, 0.5, 1).ShouldAllBe(s => Math.Abs(s.Width - 0.8) < Tolerances.Check);
    }

    [Fact]
    public void A_wedge_of_ten_degrees_leaves_a_tip_of_the_analytic_length()
    {
        const double Angle = 10 * Math.PI / 180;
        var half = 40 * Math.Tan(Angle / 2);
        var wedge = Outlines.Ring([new(0, -half), new(40, 0), new(0, half)]);
        var tip = ThinParts.Find(wedge, 1, LocalWidth.Along(wedge, 0.5, 1)).ShouldHaveSingleItem();
        tip.Kind.ShouldBe(ThinKind.Tip);
        // Opening by radius ½ leaves ½(1/sin 5° − 1) = 5.237 along the axis; the extent runs from there to the tip.
        tip.Length.ShouldBe(0.5 * ((1 / Math.Sin(Angle / 2)) - 1), 0.1);
    }

    [Fact]
    public void A_neck_between_two_discs_is_reported_at_its_place_and_width()
    {
        var dumbbell = Outlines.Join([Disc(5), Outlines.Placed(Disc(5), 1, 30, 0), Outlines.Rectangle(new Box(0, -0.3, 30, 0.3))]);
        var neck = ThinParts.Find(dumbbell, 1, LocalWidth.Along(dumbbell, 0.5, 1)).ShouldHaveSingleItem();
        neck.Kind.ShouldBe(ThinKind.Neck);
        neck.LeastWidth.ShouldBe(0.6, Tolerances.Check);
        neck.At.Y.ShouldBe(0, 0.05);
        ThinParts.Find(dumbbell, 0.5, LocalWidth.Along(dumbbell, 0.5, 0.5)).ShouldBeEmpty();
    }

    private static NetTopologySuite.Geometries.Geometry Disc(double r) => Outlines.Factory.CreatePoint(new Coordinate(0, 0)).Buffer(r, 96);
}
