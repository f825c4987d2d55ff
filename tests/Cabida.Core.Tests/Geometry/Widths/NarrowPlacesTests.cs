using Cabida.Core.Geometry;
using NetTopologySuite.Geometries;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Tests.Geometry.Widths;

public class NarrowPlacesTests
{
    [Theory]
    [InlineData(0.4)]
    [InlineData(1.7)]
    public void A_bar_that_is_too_thin_is_so_throughout(double width)
    {
        var place = Strokes(Bar(0, 0, 40, width), 2).ShouldHaveSingleItem();
        place.Kind.ShouldBe(NarrowKind.Throughout);
        place.Width.ShouldBe(width, Tolerances.Check);
        place.Length.ShouldBe(40, 0.5);
    }

    [Fact]
    public void A_thin_ring_is_one_place_although_it_has_two_outlines()
    {
        var place = Strokes(Disc(10).Difference(Disc(9.2)), 1).ShouldHaveSingleItem();
        place.Kind.ShouldBe(NarrowKind.Throughout);
        place.Width.ShouldBe(0.8, Tolerances.Check);
    }

    [Theory]
    [InlineData(10, 5.237)]
    [InlineData(5, 10.963)]
    public void A_wedge_leaves_a_tip_of_the_analytic_length(double degrees, double length)
    {
        var half = 40 * Math.Tan(degrees / 2 * Math.PI / 180);
        var tip = Strokes(Outlines.Ring([new(0, -half), new(40, 0), new(0, half)]), 1).ShouldHaveSingleItem();
        tip.Kind.ShouldBe(NarrowKind.Tip);
        // Opening by radius ½ leaves ½(1/sin(β/2) − 1).
        length.ShouldBe(0.5 * ((1 / Math.Sin(degrees / 2 * Math.PI / 180)) - 1), 0.001);
        tip.Length.ShouldBe(length, 0.05);
    }

    [Fact]
    public void Corners_and_short_ends_are_no_findings()
    {
        // What opening leaves of a corner of 40° is 0.96 long, of a peg 0.6 wide and 1.2 long less than 2.
        Strokes(Outlines.Ring([new(0, 0), new(30, 0), new(30, 30 * Math.Tan(40 * Math.PI / 180))]), 1).ShouldBeEmpty();
        Strokes(Outlines.Join([Bar(0, 0, 20, 10), Bar(9, 10, 9.6, 11.2)]), 1).ShouldBeEmpty();
        Strokes(Outlines.Join([Bar(0, 0, 20, 10), Bar(9, 10, 9.6, 12.6)]), 1).ShouldHaveSingleItem().Kind.ShouldBe(NarrowKind.Tip);
    }

    [Fact]
    public void A_neck_is_told_at_its_place_and_width_and_only_below_the_limit()
    {
        var dumbbell = Outlines.Join([Disc(5), Outlines.Placed(Disc(5), 1, 30, 0), Bar(0, -0.3, 30, 0.3)]);
        var neck = Strokes(dumbbell, 1).ShouldHaveSingleItem();
        neck.Kind.ShouldBe(NarrowKind.Neck);
        neck.Width.ShouldBe(0.6, Tolerances.Check);
        neck.At.X.ShouldBe(15, 0.5);
        neck.At.Y.ShouldBe(0, 0.02);
        Strokes(dumbbell, 0.5).ShouldBeEmpty();
    }

    [Fact]
    public void What_discs_cover_from_both_sides_is_no_neck()
    {
        // Two notches 0.5 apart: a disc of 1 reaches the line between them from either side.
        Area Notched(double at, double to) =>
            Outlines.Ring([
                new(0, 0),
                new(10, 0),
                new(10, at - 1),
                new(5.25, at),
                new(5.25, to),
                new(10, to + 1),
                new(10, 16),
                new(0, 16),
                new(0, to + 1),
                new(4.75, to),
                new(4.75, at),
                new(0, at - 1),
            ]);
        var waist = Notched(8, 8.001);
        Strokes(waist, 1).ShouldBeEmpty();
        // Drawn out to a bar of 1.5 it is one.
        var bar = Notched(8, 9.5);
        Strokes(bar, 1).ShouldHaveSingleItem().Width.ShouldBe(0.5, Tolerances.Check);
    }

    [Fact]
    public void A_thin_stroke_with_a_wide_knot_is_two_necks()
    {
        var ink = Outlines.Join([Disc(5), Outlines.Placed(Disc(2), 1, 15, 0), Outlines.Placed(Disc(5), 1, 30, 0), Bar(0, -0.3, 30, 0.3)]);
        Strokes(ink, 1).Select(p => p.Kind).ShouldBe([NarrowKind.Neck, NarrowKind.Neck]);
    }

    [Fact]
    public void A_gap_is_measured_between_ink_and_a_slit_that_is_long_enough()
    {
        var plates = Outlines.Join([Bar(0, 0, 10, 10), Bar(10.5, 0, 20, 10)]);
        var gap = Gaps(plates, 0.8).ShouldHaveSingleItem();
        gap.Kind.ShouldBe(NarrowKind.Neck);
        gap.Width.ShouldBe(0.5, Tolerances.Check);
        gap.At.X.ShouldBe(10.25, 0.01);
        Gaps(plates, 0.45).ShouldBeEmpty();
        Gaps(Bar(0, 0, 10, 10).Difference(Bar(4, 3, 4.5, 10)), 0.8).ShouldHaveSingleItem().Kind.ShouldBe(NarrowKind.Tip);
        Gaps(Bar(0, 0, 10, 10).Difference(Bar(4, 9, 4.5, 10)), 0.8).ShouldBeEmpty();
    }

    [Fact]
    public void A_narrow_hole_is_a_counter_but_a_ring_of_waste_round_an_island_is_a_gap()
    {
        var plate = Bar(-20, -20, 20, 20);
        Gaps(plate.Difference(Bar(0, 0, 10, 0.5)), 0.8).ShouldBeEmpty();
        var ring = Outlines.Join([plate.Difference(Disc(6)), Disc(5.5)]);
        Gaps(ring, 0.8).ShouldHaveSingleItem().Kind.ShouldBe(NarrowKind.Throughout);
    }

    [Theory]
    [InlineData(0)]
    [InlineData(0.01)]
    public void Below_what_is_computed_with_nothing_is_looked_for(double limit) => Strokes(Bar(0, 0, 10, 0.005), limit).ShouldBeEmpty();

    [Fact]
    public void A_limit_larger_than_the_ink_is_answered_at_once_with_one_place()
    {
        Strokes(Outlines.Join([Disc(5), Outlines.Placed(Disc(5), 1, 30, 0)]), 1000).Count.ShouldBe(2);
        Gaps(Outlines.Join([Disc(5), Outlines.Placed(Disc(5), 1, 30, 0)]), 1000).Count.ShouldBe(1);
    }

    [Fact]
    public void Shapes_of_every_kind_are_as_a_raster_finds_them()
    {
        var random = new Random(20261130);
        var (found, wrong) = (0, new List<string>());
        for (var n = 0; n < 24; n++)
        {
            var ink = Blobs.One(random);
            foreach (var outside in new[] { false, true })
            {
                var compared = RasterComparison.Narrow(ink, 0.4 + random.NextDouble(), outside);
                found += compared.Found;
                wrong.AddRange([.. compared.Missed.Select(m => $"{n} missed {m}"), .. compared.Invented.Select(i => $"{n} invented {i}")]);
            }
        }

        // Neither a raster nor a polygon is sure of a place that is a neck by less than a pixel.
        found.ShouldBeGreaterThan(80);
        wrong.Count.ShouldBeLessThanOrEqualTo(found / 50, string.Join('\n', wrong));
    }

    private static List<NarrowPlace> Strokes(Area ink, double limit) => Find(ink, limit, outside: false);

    private static List<NarrowPlace> Gaps(Area ink, double limit) => Find(ink, limit, outside: true);

    private static List<NarrowPlace> Find(Area ink, double limit, bool outside)
    {
        using var grid = new SegmentGrid(ink);
        return NarrowPlaces.Find(new RollingDisc(grid, limit, outside));
    }

    private static Polygon Bar(double left, double bottom, double right, double top) =>
        Outlines.Rectangle(new Box(left, bottom, right, top));

    private static Area Disc(double r) => Outlines.Factory.CreatePoint(new Coordinate(0, 0)).Buffer(r, 96);
}
