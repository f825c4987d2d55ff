using Cabida.Core.Measures;

namespace Cabida.Core.Tests.Measures;

public class MistakesTests
{
    private static Suspect Read(SuspectIs what, double mm, LengthUnit unit, params MeasuringTool[] tools) =>
        new($"the {what}", what, Length.Mm(mm), new ReadHow(new HashSet<LengthUnit> { unit }, tools.ToHashSet(), 1));

    [Theory]
    [InlineData(257.6, 82, SuspectIs.Girth, LengthUnit.Millimetre, MeasuringTool.SoftTape, "a diameter.")]
    [InlineData(82, 258, SuspectIs.Diameter, LengthUnit.Millimetre, MeasuringTool.SoftTape, "a girth.")]
    [InlineData(82, 258, SuspectIs.Diameter, LengthUnit.Millimetre, MeasuringTool.Calliper, null)]
    [InlineData(257.6, 101.5, SuspectIs.Girth, LengthUnit.Centimetre, MeasuringTool.SoftTape, "inches taken as centimetres")]
    [InlineData(257.6, 101.5, SuspectIs.Girth, LengthUnit.Inch, MeasuringTool.SoftTape, null)]
    [InlineData(101.5, 257.8, SuspectIs.Girth, LengthUnit.Inch, MeasuringTool.SoftTape, "centimetres taken as inches")]
    [InlineData(101.5, 257.8, SuspectIs.Girth, LengthUnit.Centimetre, MeasuringTool.SoftTape, null)]
    [InlineData(257.6, 129, SuspectIs.Girth, LengthUnit.Millimetre, MeasuringTool.SoftTape, "half-way round")]
    [InlineData(82, 41, SuspectIs.Diameter, LengthUnit.Millimetre, MeasuringTool.Calliper, "a radius")]
    [InlineData(129, 257, SuspectIs.HalfGirth, LengthUnit.Millimetre, MeasuringTool.SoftTape, "the whole way round")]
    [InlineData(257.6, 25.8, SuspectIs.Girth, LengthUnit.Millimetre, MeasuringTool.SoftTape, "centimetres taken as millimetres")]
    [InlineData(257.6, 25.8, SuspectIs.Girth, LengthUnit.Centimetre, MeasuringTool.SoftTape, "a decimal point set one place too far left")]
    [InlineData(82, 76.4, SuspectIs.Diameter, LengthUnit.Millimetre, MeasuringTool.Calliper, "inside the rim: a wall 2.8 mm thick")]
    [InlineData(258, 285, SuspectIs.Distance, LengthUnit.Millimetre, MeasuringTool.SoftTape, "two digits changed over")]
    [InlineData(1.23 * 254, 1.32 * 254, SuspectIs.Distance, LengthUnit.Inch, MeasuringTool.SoftTape, "two digits changed over")]
    [InlineData(257, 263, SuspectIs.Girth, LengthUnit.Millimetre, MeasuringTool.SoftTape, null)]
    public void The_likeliest_mistake_is_one_that_kind_tool_and_unit_allow(
        double expected,
        double read,
        SuspectIs what,
        LengthUnit unit,
        MeasuringTool tool,
        string? words
    )
    {
        var told = LikelyMistake.Of(Length.Mm(expected), Read(what, read, unit, tool))?.ToString();
        if (words is null)
        {
            told.ShouldBeNull();
        }
        else
        {
            told.ShouldNotBeNull().ShouldContain(words);
        }
    }

    [Theory]
    [InlineData(
        82,
        MeasuringTool.SoftTape,
        LengthUnit.Millimetre,
        82,
        MeasuringTool.Calliper,
        LengthUnit.Millimetre,
        "The Girth looks like a diameter."
    )]
    [InlineData(
        258,
        MeasuringTool.SoftTape,
        LengthUnit.Millimetre,
        258,
        MeasuringTool.SoftTape,
        LengthUnit.Millimetre,
        "The Girth looks like a diameter, or else the Diameter like a girth."
    )]
    [InlineData(
        82,
        MeasuringTool.SteelRule,
        LengthUnit.Millimetre,
        82,
        MeasuringTool.SoftTape,
        LengthUnit.Millimetre,
        "The Girth looks like a diameter."
    )]
    [InlineData(
        101.4,
        MeasuringTool.SoftTape,
        LengthUnit.Centimetre,
        82,
        MeasuringTool.Calliper,
        LengthUnit.Millimetre,
        "The Girth looks like inches taken as centimetres."
    )]
    [InlineData(
        257.6,
        MeasuringTool.SoftTape,
        LengthUnit.Millimetre,
        82 / 2.54,
        MeasuringTool.Calliper,
        LengthUnit.Centimetre,
        "The Diameter looks like inches taken as centimetres."
    )]
    [InlineData(
        257.6,
        MeasuringTool.SoftTape,
        LengthUnit.Millimetre,
        82 * 2.54,
        MeasuringTool.Calliper,
        LengthUnit.Inch,
        "The Diameter looks like centimetres taken as inches."
    )]
    [InlineData(
        129,
        MeasuringTool.SoftTape,
        LengthUnit.Millimetre,
        82,
        MeasuringTool.Calliper,
        LengthUnit.Millimetre,
        "The Girth looks like half-way round, or else the Diameter like twice of it."
    )]
    [InlineData(
        257.6,
        MeasuringTool.SoftTape,
        LengthUnit.Millimetre,
        41,
        MeasuringTool.Calliper,
        LengthUnit.Millimetre,
        "The Girth looks like twice of it, or else the Diameter like a radius."
    )]
    public void Of_two_that_contradict_each_other_the_one_is_named_in_which_the_mistake_can_be(
        double girth,
        MeasuringTool round,
        LengthUnit roundUnit,
        double across,
        MeasuringTool straight,
        LengthUnit straightUnit,
        string told
    ) =>
        LikelyMistake
            .Between(
                Read(SuspectIs.Girth, girth, roundUnit, round),
                Length.Mm(across * Math.PI),
                Read(SuspectIs.Diameter, across, straightUnit, straight),
                Length.Mm(girth / Math.PI)
            )
            .ShouldNotBeNull()
            .ToString()
            .ShouldBe(told);

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
        corrected.Dimension.Uncertainty.Millimetres.ShouldBe(
            Math.Sqrt(Math.Pow(plain.Dimension.Uncertainty.Millimetres, 2) + Math.Pow(2 * 260 * 0.41633 / 200, 2)),
            1e-3
        );
        corrected.Sum.ToString().ShouldContain("times 0.9800 for its check line");
        StripCheck.Read(TypedLength.Empty).Value.ShouldBeNull();
        StripCheck.Read(TypedLength.Mm(100)).Problem!.ToString().ShouldContain("too far from it");
    }

    [Theory]
    [InlineData("160", 160)]
    [InlineData("160 °C", 160)]
    [InlineData("320F", 160)]
    public void Temperatures_are_read_as_they_are_written(string typed, double celsius) =>
        Temperature.Read(typed).Value!.Value.Celsius.ShouldBe(celsius, 1e-9);

    [Fact]
    public void A_heat_that_is_none_is_refused()
    {
        Temperature.Read("hot").Problem.ShouldNotBeNull();
        Temperature.Read("900").Problem.ShouldNotBeNull();
        Temperature.Read(" ").Value.ShouldBeNull();
    }
}
