using Cabida.Core.Geometry;
using Cabida.Core.Tracing;
using Cabida.Devices.Scanning;

namespace Cabida.Devices.Tests;

/// <summary>Off-cuts scanned as they lie on their carrier, held against what was drawn there.</summary>
public class OffCutTests
{
    [Theory]
    [InlineData(300, 0, 0.01)]
    [InlineData(300, 1.8, 0.02)]
    [InlineData(150, -3, 0.02)]
    [InlineData(600, 2.5, 0.01)]
    public void It_lies_where_it_lay_from_the_corner_of_its_carrier_however_crooked_that_was_scanned(double dots, double skew, double noise)
    {
        var sheet = Truth.Sheet("off-cut");
        var found = Truth.Found(sheet, new ScanSettings(dots, skew, noise, 0.2), new TraceSettings(LineEdge.Outer, 0, 0.1, []));
        var offCut = ScannedOffCuts.Of(found).ShouldHaveSingleItem();
        // The mark's corner lies at 8, 8 of the sheet, and the off-cut at 24, 58.
        offCut.LiesAt!.Value.To(new PlanePoint(16, 50)).ShouldBeLessThan(0.4);
        offCut.Rings.Count.ShouldBe(4);
        offCut.Rings.ShouldAllBe(r => r.Count <= 200);
        var there = Outlines.Moved(Truth.Polygon(offCut.Rings), Motion.Move(offCut.LiesAt.Value.X, offCut.LiesAt.Value.Y));
        var truth = Outlines.Moved(Truth.Polygon(sheet.Shapes[1]), Motion.Move(-8, -8));
        there.SymmetricDifference(truth).Area.ShouldBeLessThan(0.4 * truth.Length);
        Truth.Furthest((NetTopologySuite.Geometries.Polygon)there, (NetTopologySuite.Geometries.Polygon)truth).ShouldBeLessThan(0.8);
    }

    [Fact]
    public void Without_the_mark_they_are_shapes_alone_and_nothing_else_is_taken_for_the_mark()
    {
        var two = ScannedOffCuts.Of(Truth.Found(Truth.Sheet("two-off-cuts"), new ScanSettings(300, 1)));
        two.Count.ShouldBe(2);
        two.ShouldAllBe(o => o.LiesAt == null && o.Rings.Count == 1);
        // Pebbles of 6 to 8 are larger than dirt only where they hold 4 square centimetres: none does.
        ScannedOffCuts.Of(Truth.Found(Truth.Sheet("many"), new ScanSettings(300))).ShouldBeEmpty();
        ScannedOffCuts.Of(Truth.Found(Truth.Sheet("star"), new ScanSettings(300))).ShouldHaveSingleItem().LiesAt.ShouldBeNull();
    }

    [Theory]
    [InlineData(0, false)]
    [InlineData(77, false)]
    [InlineData(190, true)]
    public void A_mark_is_known_whichever_way_it_lies_and_whichever_way_round_it_is_read(double degrees, bool backwards)
    {
        var motion = Motion.TurnLeft(degrees).Moved(31, -12);
        var ring = CornerMark.Outline.Select(motion.Of).ToList();
        if (backwards)
        {
            ring.Reverse();
        }

        var mark = CornerMark.Of(ring).ShouldNotBeNull();
        mark.Corner.To(motion.Of(new PlanePoint(0, 0))).ShouldBeLessThan(1e-6);
        mark.FromCorner(motion.Of(new PlanePoint(100, 200))).To(new PlanePoint(100, 200)).ShouldBeLessThan(1e-6);
        CornerMark.Of([.. ring.Select(p => p with { X = 1.2 * p.X })]).ShouldBeNull();
        CornerMark.Of([.. CornerMark.Outline.Select(p => p with { X = p.X + (p.Y / 5) })]).ShouldBeNull();
    }
}
