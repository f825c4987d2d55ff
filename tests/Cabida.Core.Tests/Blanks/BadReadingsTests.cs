using Cabida.Core.Blanks;
using Cabida.Core.Measures;
using CsCheck;

namespace Cabida.Core.Tests.Blanks;

/// <summary>What makers type and measure wrong: each is explained, and nothing of it is lost.</summary>
public class BadReadingsTests
{
    [Fact]
    public void Bare_numbers_in_two_units_are_pointed_out_and_keep_their_unit()
    {
        var mug = TestBlanks.Mug() with
        {
            Measured =
            [
                TestBlanks.Read(DimensionKind.Girth, MeasuringTool.SoftTape, "258", "259"),
                new MeasuredDimension(
                    DimensionKind.Height,
                    [new ReadingLine(MeasuringTool.SteelRule, [new TypedLength("3.7", LengthUnit.Inch)])]
                ),
            ],
        };
        var sheet = BlankSheet.Of(mug);
        sheet.Findings.ShouldContain(f =>
            !f.Stops && f.Message.ToString().Contains("3.7 in inches, the rest not", StringComparison.Ordinal)
        );
        sheet.Wall!.Height.Value.Millimetres.ShouldBe(93.98, 1e-9);
        // A unit written behind the number is no slip.
        BlankSheet
            .Of(mug with { Measured = [mug.Measured[0], TestBlanks.Read(DimensionKind.Height, MeasuringTool.SteelRule, "3.7 in")] })
            .Findings.ShouldNotContain(f => f.Message.ToString().Contains("more than one unit", StringComparison.Ordinal));
    }

    [Fact]
    public void A_taper_so_steep_that_it_is_a_disc_is_impossible_and_said_with_its_radii() =>
        BlankSheet
            .Of(TestBlanks.Tumbler("300", "100", "30"))
            .Findings[0]
            .ShouldSatisfyAllConditions(
                f => f.Stops.ShouldBeTrue(),
                f => f.Message.ToString().ShouldContain("their radii differ by 31.8 mm")
            );

    [Fact]
    public void A_handle_wider_than_a_tumbler_or_jug_is_refused_like_on_a_mug()
    {
        var tumbler = TestBlanks.Tumbler("276", "219", "150");
        BlankSheet
            .Of(tumbler with { Measured = [.. tumbler.Measured, TestBlanks.Read(DimensionKind.Handle, MeasuringTool.SteelRule, "250")] })
            .Findings[0]
            .Message.ToString()
            .ShouldContain("cannot block 250.0 mm of a girth of 218.7 mm");
    }

    [Fact]
    public void A_diameter_typed_for_a_girth_is_recognised()
    {
        var mug = TestBlanks.Mug();
        var sheet = BlankSheet.Of(
            mug with
            {
                Measured =
                [
                    TestBlanks.Read(DimensionKind.Girth, MeasuringTool.SoftTape, "82"),
                    TestBlanks.Read(DimensionKind.Across, MeasuringTool.Calliper, "82"),
                    mug.Measured[1],
                ],
            }
        );
        sheet.Findings.ShouldHaveSingleItem().Message.ToString().ShouldContain("The girth looks like a diameter. Read both again");
    }

    [Fact]
    public void A_place_kept_clear_that_lacks_its_size_or_its_datum_says_which()
    {
        var shirt = new Blank(
            "Shirt",
            SurfaceKind.Garment,
            [
                TestBlanks.Read(DimensionKind.Width, MeasuringTool.SteelRule, "500") with
                {
                    Of = "M",
                },
                TestBlanks.Read(DimensionKind.CollarToHem, MeasuringTool.SteelRule, "700") with
                {
                    Of = "M",
                },
            ]
        )
        {
            Garment = new GarmentSpec { Sizes = ["M"] },
            Zones = [new ZoneSpec("z", "Front")],
            KeptClear =
            [
                new KeptClear("a", "badge", ClearShape.Box) { Height = TypedLength.Mm(20) },
                new KeptClear("b", "pocket", ClearShape.Box)
                {
                    Width = TypedLength.Mm(100),
                    Height = TypedLength.Mm(120),
                    Place = new Place { From = Datum.Pocket, Away = TypedLength.Mm(0) },
                },
                new KeptClear("c", "zip", ClearShape.Strip) { Width = new TypedLength("wide") },
            ],
        };
        var findings = BlankSheet.Of(shirt).Findings.Select(f => f.Message.ToString()).ToList();
        findings.ShouldContain(f => f.Contains("badge: type its width", StringComparison.Ordinal));
        findings.ShouldContain(f => f.Contains("pocket: It is measured from the pocket, which was not read", StringComparison.Ordinal));
        findings.ShouldContain(f => f.Contains("zip: “wide” cannot be read", StringComparison.Ordinal));
    }

    [Fact]
    public void Margins_and_corners_that_cannot_be_are_explained_and_the_readings_kept()
    {
        var board = new Blank(
            "Board",
            SurfaceKind.Flat,
            [
                TestBlanks.Read(DimensionKind.Width, MeasuringTool.SteelRule, "100"),
                TestBlanks.Read(DimensionKind.Height, MeasuringTool.SteelRule, "60"),
                TestBlanks.Read(DimensionKind.CornerRadius, MeasuringTool.SteelRule, "35"),
            ]
        )
        {
            Outline = new PanelOutline { Kind = OutlineKind.Rounded },
            Zones = [new ZoneSpec("z", "Face") { Margins = ZoneMargins.All(TypedLength.Mm(40)) }],
        };
        BlankSheet.Of(board).Findings[0].Message.ToString().ShouldContain("Corners of 35.0 mm do not go into 100.0 mm × 60.0 mm");
        BlankSheet
            .Of(board with { Outline = new PanelOutline() })
            .Findings[0]
            .Message.ToString()
            .ShouldContain("leave nothing of Face on 100.0 mm × 60.0 mm");
        BlankSheet
            .Of(
                board with
                {
                    Outline = new PanelOutline { Kind = OutlineKind.Polygon, Sides = 2 },
                }
            )
            .Findings[0]
            .Message.ToString()
            .ShouldContain("3 to 24 sides, not 2");
        BlankSheet
            .Of(board with { Outline = new PanelOutline { Rim = new TypedLength("-3") } })
            .Findings.ShouldContain(f => f.Message.ToString().Contains("is negative", StringComparison.Ordinal));
    }

    [Fact]
    public void Readings_corrected_by_a_printed_strip_scale_what_is_worked_out()
    {
        Blank Mug(string check) =>
            TestBlanks.Mug() with
            {
                Measured = [TestBlanks.Read(DimensionKind.Girth, MeasuringTool.PrintedStrip, "260"), TestBlanks.Mug().Measured[1]],
                StripCheck = new TypedLength(check),
            };
        // 260 less nothing but π·0.1 for its thickness; a check line of 194 means that it reads 3 % long.
        BlankSheet.Of(Mug("")).Wall!.StraightGirth.Value.Millimetres.ShouldBe(260 - (Math.PI * 0.1), 1e-9);
        BlankSheet.Of(Mug("194")).Wall!.StraightGirth.Value.Millimetres.ShouldBe((0.97 * 260) - (Math.PI * 0.1), 1e-9);
        BlankSheet.Of(Mug("100")).StripProblem!.ToString().ShouldContain("too far from it");
    }

    [Fact]
    public void Whatever_is_typed_is_echoed_in_its_place_and_never_throws() =>
        Gen.Select(Gen.String[0, 12], Gen.Enum<SurfaceKind>(), Gen.Enum<OutlineKind>())
            .Sample(
                (text, surface, outline) =>
                {
                    var blank = new Blank(text, surface, [])
                    {
                        Outline = new PanelOutline { Kind = outline, Rim = new TypedLength(text) },
                        Zones = [new ZoneSpec("z", text) { Width = new TypedLength(text) }],
                    };
                    blank = blank with
                    {
                        Measured =
                        [
                            .. DimensionRows
                                .Of(blank)
                                .Select(r => new MeasuredDimension(
                                    r.Kind,
                                    [new ReadingLine(r.UsualTool, [new TypedLength(text), new TypedLength("40")])]
                                )
                                {
                                    Of = r.Of,
                                }),
                        ],
                    };
                    var sheet = BlankSheet.Of(blank);
                    sheet.Rows.ShouldAllBe(r => r.Echoes.Count == 1 && r.Echoes[0].Count == 2 && r.Echoes[0][0].Typed.Text == text);
                },
                iter: 300
            );

    [Fact]
    public void The_letters_of_a_blank_are_all_different_within_a_size() =>
        Gen.Select(Gen.Enum<SurfaceKind>(), Gen.Enum<OutlineKind>(), Gen.Enum<GarmentKind>(), Gen.Int[0, 12])
            .Sample(
                (surface, outline, garment, girths) =>
                {
                    var rows = DimensionRows.Of(
                        new Blank("B", surface, [])
                        {
                            Outline = new PanelOutline { Kind = outline },
                            Garment = new GarmentSpec { Kind = garment },
                            Girths = girths,
                        }
                    );
                    rows.GroupBy(r => surface == SurfaceKind.Garment ? r.Of : "")
                        .ShouldAllBe(g => g.Select(r => r.Letter).Distinct().Count() == g.Count());
                    rows.ShouldContain(r => r.Needed || outline == OutlineKind.Drawn);
                }
            );
}
