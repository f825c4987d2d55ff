using Cabida.Core.Blanks;
using Cabida.Core.Measures;

namespace Cabida.Core.Tests.Blanks;

public class FrameAndGarmentTests
{
    [Fact]
    public void The_worked_example_of_three_mats()
    {
        var sheet = BlankSheet.Of(Frame(("214", "264"), ("202", "252"), ("148", "188"), new FrameSpec { Mats = 3 }));
        sheet.Findings.ShouldBeEmpty();
        var mats = sheet.Sizes[0].Mats!;
        (mats.Outside.Width.Millimetres, mats.Outside.Height.Millimetres).ShouldBe((211, 261));
        mats.Openings.Select(o => (Math.Round(o.Width, 6), Math.Round(o.Height, 6))).ShouldBe([(161, 201), (151, 191), (141, 181)]);
        mats.Held!.Value.Millimetres.ShouldBe(3.5, 1e-9);
        // The heavier foot lifts the openings: 6 of the outside lie under the frame above and below the sight.
        mats.Openings[0].MinY.ShouldBe(35 - 4.5, 1e-9);
    }

    [Theory]
    [InlineData("214,264", "218,252", "148,188", 1, "The sight is 4.0 mm wider than the rebate")]
    [InlineData("205,255", "202,252", "148,188", 1, "2.0 mm are needed to hold it")]
    [InlineData("214,264", "202,252", "140,180", 3, "it would fall through")]
    [InlineData("214,264", "202,252", "145,186", 3, "holds the print by only 2.0 mm")]
    [InlineData("80,90", "70,80", "40,50", 4, "leave no opening in mat")]
    [InlineData("214,264", "202,252", "148,188", 9, "A frame takes 0 to 6 mats, not 9")]
    public void A_frame_that_does_not_work_out_is_explained(string rebate, string sight, string print, int mats, string expected) =>
        BlankSheet
            .Of(Frame(Two(rebate), Two(sight), Two(print), new FrameSpec { Mats = mats }))
            .Findings.ShouldContain(f => f.Message.ToString().Contains(expected, StringComparison.Ordinal));

    [Fact]
    public void A_zone_on_the_top_mat_goes_round_its_opening()
    {
        var frame = Frame(("214", "264"), ("202", "252"), ("148", "188"), new FrameSpec());
        var mat = BlankSheet
            .Of(frame with { Zones = [new ZoneSpec("m", "Mat") { Part = ZonePart.TopMat, Margins = ZoneMargins.All(TypedLength.Mm(4)) }] })
            .Sizes[0]
            .Zones[0]
            .Zone!;
        mat.Nominal.Outline.NumInteriorRings.ShouldBe(1);
        var opening = BlankSheet
            .Of(
                frame with
                {
                    Zones = [new ZoneSpec("o", "Opening") { Part = ZonePart.Opening, Margins = ZoneMargins.All(TypedLength.Mm(4)) }],
                }
            )
            .Sizes[0]
            .Zones[0]
            .Zone!;
        opening.Nominal.Bounds.Width.ShouldBe(161 - 8, 1e-9);
        BlankSheet
            .Of(
                frame with
                {
                    Frame = new FrameSpec { Mats = 0 },
                    Zones = [new ZoneSpec("o", "Opening") { Part = ZonePart.Opening }],
                }
            )
            .Findings.ShouldContain(f => f.Message.ToString().Contains("This frame has no mat", StringComparison.Ordinal));
    }

    [Fact]
    public void A_zone_from_the_collar_seam_keeps_its_distance_in_every_size()
    {
        var sheet = BlankSheet.Of(Shirt(("S", "480", "680"), ("M", "510", "710"), ("L", "540", "740")));
        sheet.Findings.ShouldBeEmpty();
        sheet.Sizes.Select(s => s.Size).ShouldBe(["S", "M", "L"]);
        foreach (var size in sheet.Sizes)
        {
            var top = size.Panel!.Datums.Heights[Datum.Collar];
            (top - size.Zones[0].Zone!.Nominal.Bounds.MaxY).ShouldBe(90, 1e-9);
            size.Zones[0].Zone!.Nominal.Bounds.CentreX.ShouldBe(0, 1e-9);
        }

        sheet.Sizes[0].Panel!.Datums.Heights[Datum.Collar].ShouldBe(680, 1e-9);
        sheet.Sizes[2].Panel!.Datums.Heights[Datum.Collar].ShouldBe(740, 1e-9);
    }

    [Fact]
    public void The_press_limits_a_zone_and_says_so()
    {
        var shirt = Shirt(("M", "510", "710"));
        var laid = BlankSheet
            .Of(shirt with { Garment = shirt.Garment with { PlatenWidth = TypedLength.Mm(230), PlatenHeight = TypedLength.Mm(305) } })
            .Sizes[0]
            .Zones[0];
        laid.Zone!.Nominal.Bounds.Width.ShouldBe(230, 1e-9);
        laid.Zone.Nominal.Edges.ShouldContain(e => e.Limit == LimitKind.Platen);
        laid.Notes.ShouldHaveSingleItem().ToString().ShouldContain("what the press covers");
    }

    [Theory]
    [InlineData("S,480,680;M,510,710;L,500,740", "less than the 510.0 mm of the smaller size M")]
    [InlineData("S,480,680;M,505,710;L,530,740;XL,640,770;XXL,665,800", "grows by 110.0 mm; between the other sizes it is about 25.0 mm")]
    [InlineData("M,510,710;S,480,680", "stands after M, but is the smaller size")]
    [InlineData("M,510,710;M,520,710", "stands in the chart twice")]
    [InlineData("S,,680;M,510,710", "S: Read the width")]
    public void A_size_chart_that_does_not_grow_steadily_is_pointed_out(string chart, string expected) =>
        BlankSheet
            .Of(Shirt([.. chart.Split(';').Select(r => r.Split(',')).Select(r => (r[0], r[1], r[2]))]))
            .Findings.ShouldContain(f => f.Message.ToString().Contains(expected, StringComparison.Ordinal));

    private static Blank Shirt(params (string Size, string Width, string Length)[] sizes) =>
        new(
            "Shirt",
            SurfaceKind.Garment,
            [
                .. sizes
                    .SelectMany(s =>
                        new[]
                        {
                            TestBlanks.Read(DimensionKind.Width, MeasuringTool.SteelRule, s.Width) with
                            {
                                Of = s.Size,
                            },
                            TestBlanks.Read(DimensionKind.CollarToHem, MeasuringTool.SteelRule, s.Length) with
                            {
                                Of = s.Size,
                            },
                        }
                    )
                    .DistinctBy(m => (m.Dimension, m.Of)),
            ]
        )
        {
            Garment = new GarmentSpec { Sizes = [.. sizes.Select(s => s.Size)] },
            Zones =
            [
                new ZoneSpec("front", "Front")
                {
                    Width = TypedLength.Mm(280),
                    Height = TypedLength.Mm(300),
                    Margins = ZoneMargins.All(TypedLength.Mm(40)),
                    Place = new Place { From = Datum.Collar, Away = TypedLength.Mm(90) },
                },
            ],
        };

    private static (string, string) Two(string pair) => (pair.Split(',')[0], pair.Split(',')[1]);

    private static Blank Frame((string, string) rebate, (string, string) sight, (string, string) print, FrameSpec spec)
    {
        MeasuredDimension Read(DimensionKind kind, string typed) => TestBlanks.Read(kind, MeasuringTool.SteelRule, typed);
        return new Blank(
            "Frame",
            SurfaceKind.Framed,
            [
                Read(DimensionKind.RebateWidth, rebate.Item1),
                Read(DimensionKind.RebateHeight, rebate.Item2),
                Read(DimensionKind.SightWidth, sight.Item1),
                Read(DimensionKind.SightHeight, sight.Item2),
                Read(DimensionKind.PrintWidth, print.Item1),
                Read(DimensionKind.PrintHeight, print.Item2),
            ]
        )
        {
            Frame = spec,
            Zones = [new ZoneSpec("pane", "Pane")],
        };
    }
}
