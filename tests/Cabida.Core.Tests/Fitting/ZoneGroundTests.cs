using Cabida.Core.Blanks;
using Cabida.Core.Fitting;
using Cabida.Core.Geometry;
using Cabida.Core.Measures;

namespace Cabida.Core.Tests.Fitting;

public class ZoneGroundTests
{
    private static Wall Tapered(string upper, string lower) => BlankSheet.Of(TestBlanks.Tumbler(upper, lower, "150")).Wall!;

    [Theory]
    [InlineData("276", "219", 1)]
    [InlineData("219", "276", -1)]
    public void A_tapered_wall_gives_its_ring_with_the_side_the_wide_end_is_on(string upper, string lower, int sign)
    {
        var wall = Tapered(upper, lower);
        var zone = Zone.Of(wall, Length.Mm(10), Length.Mm(10), Length.Mm(8)).Value;
        var ground = ZoneGround.Of(zone, wall, null);
        Math.Sign(ground.Ring).ShouldBe(sign);
        Math.Abs(ground.Ring).ShouldBe(wall.RingAt(zone.MiddleHeight), 1e-9);
        ground.Girth!.Value.ShouldBe(wall.GirthAt(zone.MiddleHeight).Value.Millimetres, 1e-9);
        // The sweep is the same from either end: girth by ring.
        (ground.Girth.Value / Math.Abs(ground.Ring)).ShouldBe(wall.Cone!.Sweep.Radians, 1e-9);
        ground.Box!.Value.Width.ShouldBe(zone.Cautious.Bounds.Width, 1e-9);
    }

    [Fact]
    public void Mats_are_measured_from_the_datum_of_the_zone()
    {
        var shape = ZoneShape.Rectangle(new Box(-101, 0, 101, 252), LimitKind.Edge);
        var zone = new Zone(shape, shape, new Dimension(Length.Mm(202), Length.Zero), new Dimension(Length.Mm(252), Length.Zero), 126, []);
        var mats = new FrameMats(
            new MatSize(Length.Mm(214), Length.Mm(264)),
            new MatSize(Length.Mm(202), Length.Mm(252)),
            new MatSize(Length.Mm(211), Length.Mm(261)),
            [new Box(-80.5, 30.5, 80.5, 231.5)],
            null!,
            null
        );
        var ground = ZoneGround.Of(zone, null, mats);
        ground.Girth.ShouldBeNull();
        double.IsInfinity(ground.Ring).ShouldBeTrue();
        // The mat reaches 4.5 beyond the sight above and below; the opening stands 5 above the middle.
        ground.Mats!.Outside.ShouldBe(new Box(-105.5, -130.5, 105.5, 130.5));
        ground.Mats.Openings[0].CentreY.ShouldBe(5, 1e-9);
    }
}
