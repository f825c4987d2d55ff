using Cabida.Core.Blanks;
using Cabida.Core.Fitting;
using Cabida.Core.Geometry;
using CsCheck;

namespace Cabida.Core.Tests.Fitting;

public class RoomsTests
{
    [Fact]
    public void Room_in_a_polygon_is_what_it_is_in_the_same_rectangle() =>
        Gen.Select(Gen.Double[-30, 30], Gen.Double[-20, 20], Gen.Double[1, 40], Gen.Double[1, 30]).Sample((x, y, w, h) =>
        {
            var limits = new Box(-40, -30, 40, 30);
            var ink = Outlines.Rectangle(new Box(x, y, x + w, y + h));
            var plain = Rooms.Of(ink, ZoneShape.Rectangle(limits));
            var general = Rooms.Of(ink, ZoneShape.Of(Outlines.Rectangle(limits), new(0, 0)));
            return plain.All.Zip(general.All).All(r => Math.Abs(r.First.Distance - r.Second.Distance) < 1e-9);
        });

    [Fact]
    public void A_corner_of_the_zone_that_pokes_at_the_ink_is_met_before_its_vertices()
    {
        // The zone's floor rises to a point in the middle; wide ink over it can sink only 3, though its corners have 8.
        var zone = ZoneShape.Of(Outlines.Ring([new(-50, 0), new(0, 5), new(50, 0), new(50, 40), new(-50, 40)]), new(0, 20));
        Rooms.Of(Outlines.Rectangle(new Box(-50, 8, 50, 20)), zone).Below.Distance.ShouldBe(3, 1e-9);
    }

    [Fact]
    public void Room_over_a_kept_clear_hole_is_measured_to_the_hole()
    {
        var hole = Outlines.Rectangle(new Box(-5, -5, 5, 5));
        var zone = ZoneShape.Of((NetTopologySuite.Geometries.Polygon)Outlines.Rectangle(new Box(-50, -50, 50, 50)).Difference(hole), new(0, 0));
        var below = Rooms.Of(Outlines.Rectangle(new Box(-2, 9, 2, 20)), zone).Below;
        below.Distance.ShouldBe(4, 1e-9);
        below.Limit.ShouldBe(LimitKind.KeptClear);
    }

    [Fact]
    public void States_follow_the_two_zones()
    {
        var nominal = ZoneShape.Rectangle(new Box(0, 0, 100, 50));
        var cautious = ZoneShape.Rectangle(new Box(1, 1, 99, 49));
        FitState For(double x) => FitStates.Of(Rooms.InRectangle(new Box(x, 10, 60, 40), cautious), Rooms.InRectangle(new Box(x, 10, 60, 40), nominal));
        For(1).ShouldBe(FitState.Fits);
        For(0.5).ShouldBe(FitState.Snug);
        For(-0.5).ShouldBe(FitState.Over);
    }
}
