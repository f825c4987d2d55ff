using Cabida.Core.Measures;
using CsCheck;

namespace Cabida.Core.Tests.Measures;

public class DimensionEstimateTests
{
    [Fact]
    public void Three_readings_of_a_girth_by_soft_tape()
    {
        // Thickness left aside, as when measured straight: mean 257.500, s 0.500, u 0.6455, U 1.291.
        var is3 = Estimate(MeasuringTool.SoftTape, MeasuredAlong.Straight, 257.0, 258.0, 257.5).Dimension;
        is3.Value.Millimetres.ShouldBe(257.5, 1e-9);
        is3.Uncertainty.Millimetres.ShouldBe(1.291, 5e-4);
        Estimate(MeasuringTool.SoftTape, MeasuredAlong.Straight, 257.0).Dimension.Uncertainty.Millimetres.ShouldBe(1.528, 5e-4);
    }

    [Theory]
    [InlineData(MeasuringTool.SoftTape, MeasuredAlong.Round, 1.257)]
    [InlineData(MeasuringTool.PaperStrip, MeasuredAlong.Round, 0.314)]
    [InlineData(MeasuringTool.SoftTape, MeasuredAlong.HalfRound, 0.628)]
    [InlineData(MeasuringTool.SteelRule, MeasuredAlong.Straight, 0)]
    public void A_strip_round_a_wall_reads_pi_times_its_thickness_too_long(MeasuringTool tool, MeasuredAlong along, double off) =>
        (257.0 - Estimate(tool, along, 257.0).Dimension.Value.Millimetres).ShouldBe(off, 5e-4);

    [Fact]
    public void Reading_to_an_eighth_is_less_certain_than_to_a_millimetre()
    {
        var eighth = new TypedLength("8 5/8", LengthUnit.Inch).Read(LengthRange.Object).Value;
        var u = DimensionEstimate.From([(eighth, MeasuringTool.SteelRule)], MeasuredAlong.Straight).Dimension.Uncertainty.Millimetres;
        u.ShouldBe(2 * Math.Sqrt((0.3 * 0.3) + (25.4 / 16 * (25.4 / 16) / 3)), 1e-9);
    }

    [Fact]
    public void Tools_that_disagree_are_said_and_the_better_one_is_used()
    {
        var e = DimensionEstimate.From(
            [(Read(82.0), MeasuringTool.SoftTape), (Read(85.2), MeasuringTool.Calliper)],
            MeasuredAlong.Straight
        );
        e.Disagreement.ShouldNotBeNull();
        e.Dimension.Value.Millimetres.ShouldBe(85.2, 1e-9);
    }

    [Fact]
    public void Tools_that_agree_are_joined_and_together_know_better_than_either()
    {
        var e = DimensionEstimate.From(
            [(Read(82.0), MeasuringTool.SteelRule), (Read(82.3), MeasuringTool.Calliper)],
            MeasuredAlong.Straight
        );
        e.Disagreement.ShouldBeNull();
        e.Dimension.Value.Millimetres.ShouldBeInRange(82.0, 82.3);
        e.Dimension.Uncertainty.ShouldBeLessThan(Estimate(MeasuringTool.Calliper, MeasuredAlong.Straight, 82.3).Dimension.Uncertainty);
    }

    [Fact]
    public void A_reading_that_stands_apart_is_pointed_out_and_kept()
    {
        var e = Estimate(MeasuringTool.SoftTape, MeasuredAlong.Straight, 257, 258, 257.5, 275);
        e.Outliers.ShouldHaveSingleItem().Index.ShouldBe(3);
        e.Dimension.Value.Millimetres.ShouldBe((257 + 258 + 257.5 + 275) / 4, 1e-9);
    }

    [Fact]
    public void More_readings_of_one_value_never_make_it_less_certain() =>
        Gen.Select(Gen.Int[2, 400], Gen.Int[1, 9])
            .Sample(
                (mm, n) =>
                {
                    var few = Estimate(MeasuringTool.SoftTape, MeasuredAlong.Straight, [.. Enumerable.Repeat((double)mm, n)]);
                    var more = Estimate(MeasuringTool.SoftTape, MeasuredAlong.Straight, [.. Enumerable.Repeat((double)mm, n + 1)]);
                    return more.Dimension.Uncertainty <= few.Dimension.Uncertainty;
                }
            );

    [Fact]
    public void Girth_and_diameter_agree_within_what_they_allow()
    {
        var girth = Estimate(MeasuringTool.SoftTape, MeasuredAlong.Straight, 257.0, 258.0, 257.5).Dimension;
        var across = Estimate(MeasuringTool.Calliper, MeasuredAlong.Straight, 81.9, 82.1).Dimension;
        across.Uncertainty.Millimetres.ShouldBe(2 * 0.1155, 1e-4);
        var a = GirthAgreement.Of(girth, across);
        a.Difference.Millimetres.ShouldBe(-0.111, 1e-3);
        a.Allowed.Millimetres.ShouldBe(1.481, 1e-3);
        a.Agrees.ShouldBeTrue();
        GirthAgreement.Of(new(Length.Mm(240), Length.Mm(1.5)), across).Agrees.ShouldBeFalse();
    }

    private static DimensionEstimate Estimate(MeasuringTool tool, MeasuredAlong along, params double[] read) =>
        DimensionEstimate.From([.. read.Select(r => (Read(r), tool))], along);

    private static ReadLength Read(double mm) => TypedLength.Mm(mm).Read(LengthRange.Object).Value;

    [Fact]
    public void A_sum_tells_of_the_tools_that_are_in_it_and_of_no_other()
    {
        (ReadLength, MeasuringTool) By(double mm, MeasuringTool tool) =>
            (new ReadLength(Length.Mm(mm), LengthUnit.Millimetre, Length.Mm(0.1)), tool);
        DimensionEstimate
            .From(
                [By(258.6, MeasuringTool.SoftTape), By(258.4, MeasuringTool.SoftTape), By(257.5, MeasuringTool.PaperStrip)],
                MeasuredAlong.Round
            )
            .Sum.ToString()
            .ShouldBe(
                "1 by paper strip, less 0.3 mm for its thickness and 2 by soft tape, less 1.3 mm for its thickness, each as far as "
                    + "it is certain"
            );
        // The tape is far off; the paper's value is used, and it alone is told.
        DimensionEstimate
            .From([By(268, MeasuringTool.SoftTape), By(257.5, MeasuringTool.PaperStrip)], MeasuredAlong.Round)
            .Sum.ToString()
            .ShouldBe("1 by paper strip, less 0.3 mm for its thickness");
    }
}
