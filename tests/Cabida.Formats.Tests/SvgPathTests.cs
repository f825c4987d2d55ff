using System.Globalization;
using Cabida.Core.Geometry;
using Cabida.Formats.Cutting;
using Cabida.Formats.Svg;
using CsCheck;

namespace Cabida.Formats.Tests;

public class SvgPathTests
{
    [Fact]
    public void A_rectangle_is_four_straight_lines_and_closed()
    {
        var d = SvgPath.Of(Outlines.Rectangle(new Box(1, 2, 11, 7)), 0.02, 10);
        d.Count(c => c == 'L').ShouldBe(4);
        d.ShouldNotContain('C');
        d.ShouldEndWith("Z");
        d.ShouldContain("11 3");
    }

    [Fact]
    public void Without_a_top_y_stays_as_it_is_and_with_one_it_is_turned_down()
    {
        var square = Outlines.Rectangle(new Box(0, 0, 10, 4));
        SvgPath.Of(square, 0.02).ShouldContain("10 4");
        SvgPath.Of(square, 0.02, 4).ShouldContain("10 0");
    }

    [Fact]
    public void Every_ring_is_a_path_of_its_own_holes_too()
    {
        var frame = Outlines.Rectangle(new Box(0, 0, 10, 10)).Difference(Outlines.Rectangle(new Box(2, 2, 8, 8)));
        var two = Outlines.Join([frame, Outlines.Rectangle(new Box(20, 0, 30, 10))]);
        SvgPath.Of(two, 0.02).Count(c => c == 'Z').ShouldBe(3);
    }

    [Fact]
    public void A_disc_becomes_few_curves_that_stay_within_tolerance()
    {
        var disc = Outlines.Factory.CreatePoint(new NetTopologySuite.Geometries.Coordinate(0, 0)).Buffer(25, 90);
        var d = SvgPath.Of(disc, 0.02);
        d.Count(c => c == 'C').ShouldBeInRange(2, 24);
        var measured = CutSvgMeasure.Of($"<svg width='60mm' height='60mm' viewBox='-30 -30 60 60'><path d='{d}'/></svg>");
        measured.Used!.Value.Width.ShouldBe(50, 0.03);
        measured.Used.Value.Height.ShouldBe(50, 0.03);
    }

    [Theory]
    [InlineData(1.23456, "1.235")]
    [InlineData(-0.0001, "0")]
    [InlineData(100, "100")]
    public void Numbers_have_three_decimals_and_no_minus_before_nothing(double value, string written)
    {
        var before = CultureInfo.CurrentCulture;
        CultureInfo.CurrentCulture = new CultureInfo("fr-FR");
        SvgPath.OfLine([new(value, 0), new(1, 1)], closed: false).ShouldBe($"M{written} 0L1 1");
        CultureInfo.CurrentCulture = before;
    }

    [Fact]
    public void Any_number_reads_back_to_its_thousandth() =>
        Gen.OneOf(Gen.Double[-2000, 2000], Gen.Double[-1, 1], Gen.Int[-9, 9].Select(i => i / 1000.0), Gen.Double[-1e16, 1e16])
            .Sample(x =>
                Math.Abs(double.Parse(SvgPath.Number(x), CultureInfo.InvariantCulture) - x) <= 0.0005 + (1e-12 * Math.Abs(x))
                && SvgPath.Number(x) is not "-0"
            );

    [Fact]
    public void A_line_is_open_or_closed_as_asked() =>
        SvgPath.OfLine([new(0, 0), new(1, 0), new(1, 1)], closed: true).ShouldBe("M0 0L1 0L1 1Z");
}
