using Cabida.Core.Blanks;
using Cabida.Core.Fitting;
using Cabida.Core.Geometry;
using CsCheck;

namespace Cabida.Core.Tests.Fitting;

public class RoomsTests
{
    [Fact]
    public void Ink_wholly_beside_a_zone_has_figures_at_all_sides() =>
        Gen.Select(Gen.Double[-400, 400], Gen.Double[-400, 400], Gen.Double[0.5, 30], Gen.Double[0.5, 30]).Sample((x, y, w, h) =>
        {
            var zone = ZoneShape.Of(Outlines.Ring([new(-50, 0), new(0, -40), new(60, 0), new(0, 55)]), new(0, 0));
            var rooms = Rooms.Of(Outlines.Rectangle(new Box(x, y, x + w, y + h)), zone);
            rooms.All.ShouldAllBe(r => double.IsFinite(r.Distance));
            double.IsFinite(rooms.Outside).ShouldBeTrue();
            if (x > 60 || x + w < -50 || y > 55 || y + h < -40)
            {
                rooms.Least.ShouldBeLessThan(0);
            }
        }, iter: 500);

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

    /// <summary>Wherever ink stands about a zone with a hole and a notch, it fits just when overlay finds nothing of it outside.</summary>
    [Fact]
    public void Ink_that_is_outside_anywhere_never_fits() =>
        Gen.Select(Gen.Double[-70, 70], Gen.Double[-60, 60], Gen.Double[1, 60], Gen.Double[1, 40], Gen.Double[-180, 180], Gen.Bool).Sample((x, y, w, h, turn, ring) =>
        {
            var disc = FitShapes.Disc(60);
            var zone = FitShapes.Zone(disc.Difference(FitShapes.Disc(22, 8)).Difference(Outlines.Rectangle(new Box(35, -8, 70, 8))), 0, 0);
            NetTopologySuite.Geometries.Geometry block = Outlines.Rectangle(new Box(-w / 2, -h / 2, w / 2, h / 2));
            // A frame too, which may lie round the hole.
            var shape = ring ? block.Difference(Outlines.Placed(block, 0.9, 0, 0)) : block;
            var ink = Outlines.Moved(shape, Motion.TurnLeft(turn).Moved(x, y));
            var outside = ink.Difference(zone.Outline);
            var rooms = Rooms.Of(ink, zone);
            // Slivers of a hundredth of a millimetre either way are rounding of the shapes.
            return rooms.Least >= -Tolerances.Fit ? outside.Buffer(-0.002).IsEmpty : outside.Area > 0;
        }, iter: 4000);

    [Fact]
    public void Ink_that_just_touches_a_hole_fits()
    {
        var zone = FitShapes.Zone(FitShapes.Disc(60).Difference(FitShapes.Disc(22, 8)), 0, 0);
        var rooms = Rooms.Of(Outlines.Rectangle(new Box(-17.5, 22, 17.5, 32)), zone);
        rooms.Least.ShouldBe(0, 1e-9, $"{rooms}");
        rooms.StandsOn.ShouldBeNull();
    }

    [Fact]
    public void A_name_in_the_hole_of_a_disc_does_not_fit_and_says_what_it_stands_on()
    {
        var zone = FitShapes.Zone(FitShapes.Disc(75).Difference(FitShapes.Disc(40)), 0, 0);
        var rooms = Rooms.Of(Outlines.Rectangle(new Box(-25, -8, 25, 8)), zone);
        rooms.StandsOn.ShouldBe(LimitKind.KeptClear);
        // Its middle is nearest to the hole's edge at its corners: 40 − √(25² + 8²) there, 32 at the middle of its long sides.
        rooms.Outside.ShouldBe(40 - Math.Sqrt((25 * 25) + (8 * 8)), 0.05);
        FitStates.Of(rooms, rooms).ShouldBe(FitState.Over);
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
