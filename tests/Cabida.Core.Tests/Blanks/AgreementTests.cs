using Cabida.Core.Blanks;
using Cabida.Core.Measures;
using static Cabida.Core.Measures.MeasuringTool;
using static Cabida.Core.Tests.TestBlanks;

namespace Cabida.Core.Tests.Blanks;

/// <summary>Readings that contradict one another are told, in whatever row they stand; those that agree are joined.</summary>
public class AgreementTests
{
    private static BlankSheet Mug(params MeasuredDimension[] rows) =>
        BlankSheet.Of(new Blank("Mug", SurfaceKind.Straight, [.. rows, Read(DimensionKind.Height, SteelRule, "94")]) { Zones = [Wrap] });

    private static MeasuredDimension Nth(DimensionKind kind, MeasuringTool tool, int nth, params string[] typed) =>
        Read(kind, tool, typed) with
        {
            Of = DimensionRows.Nth(nth),
        };

    private static BlankSheet Jug(params (string? Girth, string? Across, string Up)[] rings) =>
        BlankSheet.Of(
            new Blank(
                "Jug",
                SurfaceKind.Bellied,
                [
                    Read(DimensionKind.Height, PaperStrip, "100"),
                    .. rings
                        .SelectMany(
                            (r, i) =>
                                new[]
                                {
                                    r.Girth is null ? null : Nth(DimensionKind.GirthAt, SoftTape, i + 1, r.Girth.Split(' ')),
                                    r.Across is null ? null : Nth(DimensionKind.AcrossAt, Calliper, i + 1, r.Across),
                                    Nth(DimensionKind.UpTo, PaperStrip, i + 1, r.Up),
                                }
                        )
                        .OfType<MeasuredDimension>(),
                ]
            )
            {
                Girths = rings.Length,
                Zones = [Wrap with { Margins = ZoneMargins.All(TypedLength.Empty) }],
            }
        );

    [Fact]
    public void Readings_are_compared_only_after_each_tool_has_been_corrected()
    {
        // A tape 0.4 thick reads 1.26 more a turn than the wall is round, and a rule none; uncorrected, the rule stood apart by all of
        // that.
        ReadLength Mm(double v) => new(Length.Mm(v), LengthUnit.Millimetre, Length.Mm(1));
        var thick = Math.PI * 0.4;
        (ReadLength, MeasuringTool)[] same = [(Mm(257.6 + thick), SoftTape), (Mm(257.6 + thick), SoftTape), (Mm(257.6), SteelRule)];
        DimensionEstimate.From(same, MeasuredAlong.Round).Outliers.ShouldBeEmpty();
        // Without going round nothing is taken off, and the same numbers do stand apart.
        DimensionEstimate.From(same, MeasuredAlong.Straight).Outliers.ShouldHaveSingleItem().Index.ShouldBe(2);
        // A strip printed 2 % too small reads 2 % long: so does its check line, and then the readings agree with the tape's.
        (ReadLength, MeasuringTool)[] printed = [(Mm(262.8), PrintedStrip), (Mm(257.6), SteelRule), (Mm(257.6), SteelRule)];
        var strip = StripCheck.Read(TypedLength.Mm(196)).Value!;
        DimensionEstimate.From(printed, MeasuredAlong.Straight).Outliers.ShouldHaveSingleItem().Index.ShouldBe(0);
        DimensionEstimate.From(printed, MeasuredAlong.Straight, strip).Outliers.ShouldBeEmpty();
    }

    [Theory]
    [InlineData(SoftTape, "257", "258.9", false)]
    [InlineData(SoftTape, "257", "259.3", true)]
    [InlineData(Calliper, "82", "82.7", false)]
    [InlineData(Calliper, "82", "83.1", true)]
    [InlineData(SoftTape, "8 5/8 in", "8 3/4 in", false)]
    [InlineData(SoftTape, "8 5/8 in", "9 in", true)]
    public void Two_readings_further_apart_than_their_tool_explains_are_told(MeasuringTool tool, string one, string other, bool told)
    {
        var sheet = Mug(Read(DimensionKind.Girth, tool, one, other));
        sheet.Findings.Any(f => f.Message.ToString().Contains("apart; by their tool they may by", StringComparison.Ordinal)).ShouldBe(told);
    }

    [Fact]
    public void A_third_reading_shows_which_of_two_is_wrong()
    {
        var sheet = Mug(Read(DimensionKind.Girth, SoftTape, "257", "267", "257.5"));
        sheet.Findings.ShouldHaveSingleItem().Message.ToString().ShouldContain("The reading 267.0 mm lies 9.5 mm");
    }

    [Fact]
    public void Girth_diameter_and_half_way_round_that_agree_are_joined_by_weight()
    {
        var sheet = Mug(
            Read(DimensionKind.Girth, SoftTape, "258.868"),
            Read(DimensionKind.Across, Calliper, "82"),
            Read(DimensionKind.HalfGirth, SoftTape, "129.434")
        );
        sheet.Findings.ShouldBeEmpty();
        // Worked by hand: U of a tape read once 1.5275, of the calliper 2√(0.05² + 0.5²/3)·π (its graduation here is a millimetre), of
        // half-way twice the tape's.
        double tape = 2 * Math.Sqrt(0.25 + (1.0 / 3)),
            calliper = 2 * Math.PI * Math.Sqrt(0.0025 + (0.25 / 3)),
            half = 2 * tape;
        double[] values = [258.868 - (0.4 * Math.PI), 82 * Math.PI, 2 * (129.434 - (0.2 * Math.PI))];
        double[] weights = [1 / (tape * tape), 1 / (calliper * calliper), 1 / (half * half)];
        var girth = sheet.Wall!.StraightGirth;
        girth.Value.Millimetres.ShouldBe(values.Zip(weights, (v, w) => v * w).Sum() / weights.Sum(), 1e-9);
        girth.Uncertainty.Millimetres.ShouldBe(1 / Math.Sqrt(weights.Sum()), 1e-9);
        sheet
            .WorksOut.Single(w => w.Name == "Round the wall")
            .From.ToString()
            .ShouldBe("A 257.6 mm and π × B 82.0 mm and 2 × C 128.8 mm, by weight");
    }

    [Fact]
    public void A_taper_and_a_belly_are_the_same_by_diameters_as_by_girths()
    {
        MeasuredDimension[] rest = [Read(DimensionKind.WallBetween, SteelRule, "150")];
        var girths = BlankSheet.Of(
            new Blank(
                "T",
                SurfaceKind.Tapered,
                [Read(DimensionKind.GirthUpper, Calliper, "276"), Read(DimensionKind.GirthLower, Calliper, "219"), .. rest]
            )
            {
                Zones = [Wrap],
            }
        );
        string Across(double girth) => (girth / Math.PI).ToString("0.######", System.Globalization.CultureInfo.InvariantCulture);
        var across = BlankSheet.Of(
            new Blank(
                "T",
                SurfaceKind.Tapered,
                [Read(DimensionKind.AcrossUpper, Calliper, Across(276)), Read(DimensionKind.AcrossLower, Calliper, Across(219)), .. rest]
            )
            {
                Zones = [Wrap],
            }
        );
        across.Findings.ShouldBeEmpty();
        across.Wall!.Cone!.Sweep.Degrees.ShouldBe(girths.Wall!.Cone!.Sweep.Degrees, 1e-5);
        across.Zone!.Width.Value.Millimetres.ShouldBe(girths.Zone!.Width.Value.Millimetres, 1e-5);

        var belly = Jug((null, Across(250), "10"), (null, Across(262), "50"), (null, Across(254), "90"));
        belly.Findings.Where(f => f.Stops).ShouldBeEmpty();
        belly.Sizes[0].Bellied!.Belly.CurvatureAt(50).ShouldBe(4.771e-5, 1e-8);
    }

    [Theory]
    [InlineData("250", "82", "254", "Girth 2 is 80.7 mm", "looks like a diameter")]
    [InlineData("250", "340", "254", "Girth 2 is 338.7 mm", "Read it once more")]
    [InlineData("250", "262", "83", "makes 81.7 mm round", "looks like a diameter")]
    [InlineData("80", "262", "254", "makes 78.7 mm round", "looks like a diameter")]
    public void A_girth_far_from_its_neighbours_is_told_once_and_not_its_neighbours(
        string low,
        string middle,
        string high,
        string told,
        string why
    )
    {
        var sheet = Jug((low, null, "5"), (middle, null, "50"), (high, null, "95"));
        var finding = sheet
            .Findings.Where(f => !f.Message.ToString().Contains("ends where girths", StringComparison.Ordinal))
            .ShouldHaveSingleItem()
            .Message.ToString();
        finding.ShouldContain(told);
        finding.ShouldContain(why);
    }

    [Fact]
    public void A_ball_is_believed_once_it_was_read_again()
    {
        Jug(("150", null, "10"), ("250", null, "50"), ("150", null, "90"))
            .Findings.ShouldContain(f => f.Message.ToString().Contains("Girth 2 is", StringComparison.Ordinal));
        Jug(("150", null, "10"), ("250 250.5", null, "50"), ("150", null, "90"))
            .Findings.ShouldNotContain(f => f.Message.ToString().Contains("Girth 2 is", StringComparison.Ordinal));
        Jug(("150", null, "10"), ("251.2", "79.5", "50"), ("150", null, "90"))
            .Findings.ShouldNotContain(f => f.Message.ToString().Contains("Girth 2 is", StringComparison.Ordinal));
    }

    [Fact]
    public void A_rim_given_as_a_diameter_over_a_girth_is_told()
    {
        var sheet = BlankSheet.Of(Tumbler("88", "219", "150"));
        sheet.Findings.ShouldHaveSingleItem().Message.ToString().ShouldContain("It looks like a diameter: it would be 275.5 mm.");
        BlankSheet.Of(Tumbler("276", "219", "150")).Findings.ShouldBeEmpty();
    }

    [Fact]
    public void What_is_measured_from_the_base_may_lie_on_it_and_sheets_may_be_thin()
    {
        var jug = Jug(("250", null, "0"), ("262", null, "50"), ("254", null, "90"));
        jug.Sizes[0].Bellied!.Belly.Lowest.ShouldBe(0);
        foreach (var (typed, mm) in new[] { ("0.3", 0.3), ("1/32 in", 25.4 / 32), ("0.02 mm", 0.02) })
        {
            var tag = BlankSheet.Of(
                new Blank(
                    "Tag",
                    SurfaceKind.Flat,
                    [
                        Read(DimensionKind.Width, SteelRule, "90"),
                        Read(DimensionKind.Height, SteelRule, "50"),
                        Read(DimensionKind.Thickness, Calliper, typed),
                    ]
                )
                {
                    Zones = [Wrap],
                }
            );
            tag.Rows.Single(r => r.Row.Kind == DimensionKind.Thickness).Is!.Value.Millimetres.ShouldBe(mm, 1e-9);
        }

        Mug(Read(DimensionKind.Girth, SoftTape, "257"), Read(DimensionKind.Handle, SteelRule, "0")).Wall!.Handle.ShouldBeNull();
    }

    [Theory]
    [InlineData(SurfaceKind.Straight, DimensionKind.Height)]
    [InlineData(SurfaceKind.Bellied, DimensionKind.Height)]
    [InlineData(SurfaceKind.Flat, DimensionKind.Height)]
    [InlineData(SurfaceKind.Framed, DimensionKind.SightHeight)]
    public void A_typed_width_works_with_a_measured_height(SurfaceKind surface, DimensionKind height)
    {
        var zone = Wrap with { Width = TypedLength.Mm(90), Margins = Margins with { Left = TypedLength.Empty, Right = TypedLength.Empty } };
        var sheet = BlankSheet.Of(new Blank("Goods", surface, [Read(height, SteelRule, "100")]) { Zones = [zone] });
        var laid = sheet.Zone.ShouldNotBeNull();
        (laid.Width.Value.Millimetres, laid.Height.Value.Millimetres).ShouldBe((90, 78));
        laid.Height.Cautious.Millimetres.ShouldBe(laid.Cautious.Bounds.Height, 1e-9);
        laid.Height.Uncertainty.Millimetres.ShouldBe(2 * Math.Sqrt(0.09 + (0.25 / 3)), 1e-9);
        sheet.Findings.ShouldNotContain(f => f.Stops);
        // And without a height of any kind there is nothing to work with.
        BlankSheet.Of(new Blank("Goods", surface, []) { Zones = [zone] }).Zone.ShouldBeNull();
    }

    [Theory]
    [InlineData(true)]
    [InlineData(false)]
    public void A_zone_wider_than_the_girth_is_told_whether_or_not_the_height_is_known(bool known)
    {
        var zone = Wrap with { Width = TypedLength.Mm(300), Height = TypedLength.Mm(60), Margins = ZoneMargins.All(TypedLength.Empty) };
        var sheet = BlankSheet.Of(
            new Blank(
                "Mug",
                SurfaceKind.Straight,
                [Read(DimensionKind.Girth, SteelRule, "257"), .. known ? new[] { Read(DimensionKind.Height, SteelRule, "94") } : []]
            )
            {
                Zones = [zone],
            }
        );
        sheet.Zone!.Width.Value.Millimetres.ShouldBe(257, 1e-9);
        sheet.Findings.ShouldContain(f => f.Message.ToString().Contains("43.0 mm wider than", StringComparison.Ordinal));
    }
}
