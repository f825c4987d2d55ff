using Cabida.Core.Blanks;
using Cabida.Core.Measures;

namespace Cabida.Core.Tests.Blanks;

public class WallReadingsTests
{
    [Fact]
    public void Half_way_round_does_as_well_as_a_girth_and_must_agree_with_one()
    {
        var half = TestBlanks.Read(DimensionKind.HalfGirth, MeasuringTool.SoftTape, "129.4");
        var height = TestBlanks.Read(DimensionKind.Height, MeasuringTool.SteelRule, "94");
        // A half turn of a tape reads π·0.4/2 too long.
        BlankSheet
            .Of(TestBlanks.Mug() with { Measured = [half, height] })
            .Wall!.StraightGirth.Value.Millimetres.ShouldBe(2 * (129.4 - (Math.PI * 0.4 / 2)), 1e-9);
        var mug = TestBlanks.Mug();
        BlankSheet.Of(mug with { Measured = [.. mug.Measured, half] }).Findings.ShouldBeEmpty();
        var wrong = BlankSheet.Of(
            mug with
            {
                Measured = [.. mug.Measured, TestBlanks.Read(DimensionKind.HalfGirth, MeasuringTool.SoftTape, "140")],
            }
        );
        wrong.Findings.ShouldHaveSingleItem().Message.ToString().ShouldContain("Twice half-way round is 278.7 mm");
    }

    [Fact]
    public void A_handle_wider_than_the_mug_stops_it() =>
        BlankSheet
            .Of(
                TestBlanks.Mug() with
                {
                    Measured =
                    [
                        .. TestBlanks.Mug().Measured.Where(m => m.Dimension != DimensionKind.Handle),
                        TestBlanks.Read(DimensionKind.Handle, MeasuringTool.SteelRule, "300"),
                    ],
                }
            )
            .Findings.ShouldHaveSingleItem()
            .ShouldSatisfyAllConditions(
                f => f.Stops.ShouldBeTrue(),
                f => f.Message.ToString().ShouldContain("cannot block 300.0 mm of a girth of 257.6 mm")
            );

    [Fact]
    public void What_is_missing_is_asked_for_row_by_row()
    {
        var tumbler = TestBlanks.Tumbler("276", "219", "150");
        var findings = BlankSheet.Of(tumbler with { Measured = [] }).Findings;
        findings
            .Select(f => BlankFindings.DimensionsOf(f).First())
            .ShouldBe([DimensionKind.GirthUpper, DimensionKind.GirthLower, DimensionKind.WallBetween]);
        findings.ShouldAllBe(f => f.Stops);
        BlankSheet
            .Of(TestBlanks.Mug() with { Measured = [] })
            .Findings.Select(f => BlankFindings.DimensionsOf(f).First())
            .ShouldBe([DimensionKind.Girth, DimensionKind.Height]);
    }

    [Fact]
    public void The_upright_height_stands_in_for_the_wall()
    {
        var tumbler = TestBlanks.Tumbler("276", "219", "150");
        var upright = With(tumbler, DimensionKind.WallBetween, DimensionKind.UprightBetween, "149.725");
        BlankSheet.Of(upright).Wall!.Cone!.Wall.Value.Millimetres.ShouldBe(150, 0.01);
        var both = tumbler with
        {
            Measured = [.. tumbler.Measured, TestBlanks.Read(DimensionKind.UprightBetween, MeasuringTool.SteelRule, "141")],
        };
        BlankSheet.Of(both).Findings.ShouldHaveSingleItem().Message.ToString().ShouldContain("C and D do not agree");
    }

    [Fact]
    public void The_wall_goes_on_to_rim_and_base_beyond_the_marks()
    {
        var tumbler = TestBlanks.Tumbler("276", "219", "150");
        var wall = BlankSheet
            .Of(
                tumbler with
                {
                    Measured =
                    [
                        .. tumbler.Measured,
                        TestBlanks.Read(DimensionKind.RimToUpper, MeasuringTool.SteelRule, "14"),
                        TestBlanks.Read(DimensionKind.BaseToLower, MeasuringTool.SteelRule, "9"),
                    ],
                }
            )
            .Wall!;
        wall.Height.Value.Millimetres.ShouldBe(173, 1e-9);
        var perMillimetre = (276.0 - 219) / 150;
        wall.GirthAt(173).Value.Millimetres.ShouldBe(276 - (Math.PI * 0.1) + (14 * perMillimetre), 1e-6);
        wall.GirthAt(0).Value.Millimetres.ShouldBe(219 - (Math.PI * 0.1) - (9 * perMillimetre), 1e-6);
        // Beyond the marks the girth is known less well than at them.
        wall.GirthAt(173).Uncertainty.ShouldBeGreaterThan(wall.GirthAt(159).Uncertainty);
    }

    [Fact]
    public void A_wall_that_would_come_to_a_point_before_its_base_is_refused()
    {
        var steep = TestBlanks.Tumbler("276", "60", "150");
        BlankSheet
            .Of(steep with { Measured = [.. steep.Measured, TestBlanks.Read(DimensionKind.BaseToLower, MeasuringTool.SteelRule, "80")] })
            .Findings.Where(f => f.Stops)
            .ShouldHaveSingleItem()
            .Message.ToString()
            .ShouldContain("would come to a point. Read G and H again");
    }

    [Fact]
    public void A_rim_wider_than_its_girth_allows_is_pointed_out_but_does_not_stop_the_work()
    {
        var tumbler = TestBlanks.Tumbler("276", "219", "150");
        var sheet = BlankSheet.Of(
            tumbler with
            {
                Measured = [.. tumbler.Measured, TestBlanks.Read(DimensionKind.AcrossUpper, MeasuringTool.Calliper, "90.2")],
            }
        );
        sheet.Findings.ShouldHaveSingleItem().Stops.ShouldBeFalse();
        sheet.Zone.ShouldNotBeNull();
        sheet.WorksOut.Select(w => w.Name).ShouldContain("Straight line bows");
    }

    [Fact]
    public void Readings_by_two_tools_stand_on_lines_of_their_own_and_keep_their_echoes()
    {
        var sheet = BlankSheet.Of(
            TestBlanks.Mug() with
            {
                Measured =
                [
                    new MeasuredDimension(
                        DimensionKind.Girth,
                        [
                            new ReadingLine(MeasuringTool.SoftTape, [TypedLength.Mm(259)]),
                            new ReadingLine(MeasuringTool.PaperStrip, [TypedLength.Mm(258), TypedLength.Mm(258)]),
                        ]
                    ),
                    TestBlanks.Read(DimensionKind.Height, MeasuringTool.SteelRule, "94"),
                ],
            }
        );
        sheet.Rows[0].Echoes.Select(l => l.Count).ShouldBe([1, 2]);
        sheet
            .Rows[0]
            .Sum!.ToString()
            .ShouldBe(
                "2 by paper strip, less 0.3 mm for its thickness and 1 by soft tape, less 1.3 mm for its thickness, each as far as "
                    + "it is certain"
            );
        sheet.Rows[0].Is!.Value.Millimetres.ShouldBeInRange(257.6, 257.8);
    }

    private static Blank With(Blank blank, DimensionKind instead, DimensionKind kind, string typed) =>
        blank with
        {
            Measured = [.. blank.Measured.Where(m => m.Dimension != instead), TestBlanks.Read(kind, MeasuringTool.SteelRule, typed)],
        };
}
