using Cabida.Core.Blanks;
using Cabida.Core.Geometry;
using Cabida.Core.Measures;

namespace Cabida.Core.Tests.Blanks;

public class BlankSheetTests
{
    [Fact]
    public void A_mug_leaves_what_the_handle_and_the_margins_leave()
    {
        var sheet = BlankSheet.Of(TestBlanks.Mug());
        sheet.Findings.ShouldBeEmpty();
        var zone = sheet.Zone!;
        // Soft tape 258.868, less π·0.4 for its thickness: girth 257.611; less handle 42 and twice 8: 199.611.
        zone.Width.Value.Millimetres.ShouldBe(199.611, 1e-3);
        zone.Cautious.Bounds.Width.ShouldBe(zone.Width.Cautious.Millimetres, 1e-9);
        zone.Nominal.Bounds.MinY.ShouldBe(12, 1e-9);
        zone.Nominal.Bounds.MaxY.ShouldBe(94 - 10, 1e-9);
        zone.Sums[0].ToString().ShouldContain("girth 257.6 mm − handle 42.0 mm − 2 × 8.0 mm");
    }

    [Fact]
    public void Coverage_of_the_worked_example()
    {
        var covers = Coverage.Of(Length.Mm(90), Length.Mm(257.611));
        covers.Goes.Degrees.ShouldBe(125.77, 1e-2);
        covers.AppearsWide!.Value.Millimetres.ShouldBe(72.99, 1e-2);
        covers.EdgeSeenAt!.Value.ShouldBe(0.456, 1e-3);
        Coverage.Of(Length.Mm(200), Length.Mm(257)).AppearsWide.ShouldBeNull();
    }

    [Fact]
    public void Only_a_diameter_is_enough()
    {
        var sheet = BlankSheet.Of(
            TestBlanks.Mug() with
            {
                Measured =
                [
                    TestBlanks.Read(DimensionKind.Across, MeasuringTool.Calliper, "82"),
                    TestBlanks.Read(DimensionKind.Height, MeasuringTool.SteelRule, "94"),
                ],
            }
        );
        sheet.Wall!.StraightGirth.Value.Millimetres.ShouldBe(82 * Math.PI, 1e-9);
        sheet.Wall.Handle.ShouldBeNull();
    }

    [Fact]
    public void A_girth_and_a_diameter_that_cannot_both_be_right_are_explained()
    {
        var mug = TestBlanks.Mug();
        var sheet = BlankSheet.Of(
            mug with
            {
                Measured = [.. mug.Measured, TestBlanks.Read(DimensionKind.Across, MeasuringTool.Calliper, "85.4")],
            }
        );
        var finding = sheet.Findings.ShouldHaveSingleItem();
        BlankFindings.DimensionsOf(finding).ShouldBe([DimensionKind.Girth, DimensionKind.Across]);
        finding.Message.ToString().ShouldContain("A girth of 257.6 mm means 82.0 mm across; you measured 85.4 mm");
        sheet.Zone.ShouldNotBeNull();
    }

    [Fact]
    public void What_cannot_be_read_is_echoed_at_its_place_and_the_rest_goes_on()
    {
        var sheet = BlankSheet.Of(
            TestBlanks.Mug() with
            {
                Measured =
                [
                    TestBlanks.Read(DimensionKind.Girth, MeasuringTool.SoftTape, "257", "abc", ""),
                    TestBlanks.Read(DimensionKind.Height, MeasuringTool.SteelRule, "94"),
                ],
            }
        );
        var echoes = sheet.Rows[0].Echoes[0];
        echoes[0].Value!.Value.Millimetres.ShouldBe(257);
        echoes[1].Problem!.ToString().ShouldContain("cannot be read");
        echoes[2].Problem.ShouldBeNull();
        sheet.Zone.ShouldNotBeNull();
    }

    [Fact]
    public void Margins_that_leave_nothing_say_so()
    {
        var mug = TestBlanks.Mug();
        BlankSheet
            .Of(mug with { Zones = [TestBlanks.Wrap with { Margins = TestBlanks.Margins with { Top = TypedLength.Mm(90) } }] })
            .Findings.ShouldHaveSingleItem()
            .Message.ToString()
            .ShouldContain("leave nothing of a wall 94.0 mm high");
        BlankSheet
            .Of(
                mug with
                {
                    Zones =
                    [
                        TestBlanks.Wrap with
                        {
                            Margins = TestBlanks.Margins with { Left = TypedLength.Mm(120), Right = TypedLength.Mm(120) },
                        },
                    ],
                }
            )
            .Findings[0]
            .Stops.ShouldBeTrue();
    }

    [Fact]
    public void Equal_girths_make_a_straight_wall_and_say_so()
    {
        var sheet = BlankSheet.Of(TestBlanks.Tumbler("258", "257.5", "150"));
        sheet.Wall!.Cone.ShouldBeNull();
        sheet.Findings.ShouldHaveSingleItem().Message.ToString().ShouldContain("worked out as straight");
    }

    [Fact]
    public void Impossible_girths_are_said_at_their_rows()
    {
        var sheet = BlankSheet.Of(TestBlanks.Tumbler("400", "100", "40"));
        sheet.Wall.ShouldBeNull();
        BlankFindings.DimensionsOf(sheet.Findings.Where(f => f.Stops).ShouldHaveSingleItem()).ShouldContain(DimensionKind.GirthUpper);
        sheet.Findings[^1].Message.ToString().ShouldContain("It looks like a diameter: it would be 313.2 mm.");
    }

    [Theory]
    [InlineData("276", "219")]
    [InlineData("219", "276")]
    public void A_tapered_zone_lies_within_the_wall_less_the_uncertainty_of_the_girth_there(string upper, string lower)
    {
        var sheet = BlankSheet.Of(TestBlanks.Tumbler(upper, lower, "150"));
        var (wall, zone) = (sheet.Wall!, sheet.Zone!);
        zone.Nominal.Outline.Buffer(0.01).Covers(zone.Cautious.Outline).ShouldBeTrue();
        // The corner at the rim: half the girth there, less the side margin, less half its uncertainty, along the ring.
        var v = zone.Cautious.Edges.Where(e => e.Limit == LimitKind.Rim).Select(e => e.From).First();
        var high = (wall.Height.Value.Millimetres - 10) - (wall.Height.Uncertainty.Millimetres / 2);
        var half = (wall.GirthAt(high).Cautious.Millimetres / 2) - 8;
        v.To(wall.Laid(half, high)).ShouldBeLessThan(0.01);
    }

    [Fact]
    public void A_tapered_zone_is_never_larger_than_the_true_curve()
    {
        var sheet = BlankSheet.Of(TestBlanks.Tumbler("276", "219", "150"));
        var (wall, zone) = (sheet.Wall!, sheet.Zone!.Nominal);
        var apex = new PlanePoint(0, -wall.RingAt(0));
        foreach (var e in zone.Edges)
        {
            var mid = e.From.Towards(e.To, 0.5).To(apex);
            if (e.Limit == LimitKind.Rim)
            {
                mid.ShouldBeLessThanOrEqualTo(wall.RingAt(140) + 1e-9);
            }
            else if (e.Limit == LimitKind.Base)
            {
                mid.ShouldBeGreaterThanOrEqualTo(wall.RingAt(12) - 0.001);
            }
        }
    }
}
