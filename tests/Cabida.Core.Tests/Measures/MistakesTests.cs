using Cabida.Core.Measures;

namespace Cabida.Core.Tests.Measures;

public class MistakesTests
{
    [Theory]
    [InlineData(257.6, 82, false, "a diameter where a girth belongs")]
    [InlineData(82, 258, true, "a girth where a diameter belongs")]
    [InlineData(257.6, 101.5, false, "inches read as centimetres")]
    [InlineData(257.6, 129, false, "half of it")]
    [InlineData(257.6, 25.8, false, "centimetres read as millimetres")]
    [InlineData(82, 76.4, true, "Measured inside the rim, a wall 2.8 mm thick")]
    [InlineData(258, 285, false, "Two digits may have been changed over")]
    public void The_likeliest_mistake_is_named(double expected, double read, bool across, string words) =>
        LikelyMistake.Of(Length.Mm(expected), Length.Mm(read), across)!.ToString().ShouldContain(words);

    [Fact]
    public void A_mere_difference_is_nobodys_known_mistake() => LikelyMistake.Of(Length.Mm(257), Length.Mm(263)).ShouldBeNull();

    [Fact]
    public void A_strip_printed_small_reads_long_and_is_corrected_and_less_certain()
    {
        var check = StripCheck.Read(TypedLength.Mm(196)).Value!;
        check.Factor.ShouldBe(0.98, 1e-12);
        var read = new ReadLength(Length.Mm(260), LengthUnit.Millimetre, Length.Mm(1));
        var plain = DimensionEstimate.From([(read, MeasuringTool.PrintedStrip)], MeasuredAlong.Straight);
        var corrected = DimensionEstimate.From([(read, MeasuringTool.PrintedStrip)], MeasuredAlong.Straight, check);
        corrected.Dimension.Value.Millimetres.ShouldBe(254.8, 1e-9);
        // The check line read once by a steel rule is uncertain by 0.4163 (standard), that is 0.2082 % of the reading.
        corrected.Dimension.Uncertainty.Millimetres.ShouldBe(Math.Sqrt(Math.Pow(plain.Dimension.Uncertainty.Millimetres, 2) + Math.Pow(2 * 260 * 0.41633 / 200, 2)), 1e-3);
        corrected.Sum.ToString().ShouldContain("times 0.9800 for its check line");
        StripCheck.Read(TypedLength.Empty).Value.ShouldBeNull();
        StripCheck.Read(TypedLength.Mm(100)).Problem!.ToString().ShouldContain("too far from it");
    }

    [Theory]
    [InlineData("160", 160)]
    [InlineData("160 °C", 160)]
    [InlineData("320F", 160)]
    public void Temperatures_are_read_as_they_are_written(string typed, double celsius) => Temperature.Read(typed).Value!.Value.Celsius.ShouldBe(celsius, 1e-9);

    [Fact]
    public void A_heat_that_is_none_is_refused()
    {
        Temperature.Read("hot").Problem.ShouldNotBeNull();
        Temperature.Read("900").Problem.ShouldNotBeNull();
        Temperature.Read(" ").Value.ShouldBeNull();
    }
}
