using Cabida.Core.Measures;

namespace Cabida.Core.Tests.Measures;

public class LengthTextTests
{
    [Theory]
    [InlineData("8 5/8", 219.075, 25.4 / 8)]
    [InlineData("8-5/8\"", 219.075, 25.4 / 8)]
    [InlineData("3 7/16 in", 87.3125, 25.4 / 16)]
    [InlineData("5/32", 3.96875, 25.4 / 32)]
    [InlineData("8⅝", 219.075, 25.4 / 8)]
    [InlineData("219 mm", 219, 1)]
    [InlineData("21.9 cm", 219, 1)]
    [InlineData("21,9cm", 219, 1)]
    [InlineData("8.625 in", 219.075, 0.0254)]
    [InlineData("219", 219, 1)]
    [InlineData("  219.5  ", 219.5, 0.1)]
    [InlineData("8 inches", 203.2, 25.4 / 8)]
    public void Reads_what_a_tape_says(string typed, double millimetres, double graduation)
    {
        var read = LengthText.Read(typed, LengthUnit.Millimetre, LengthRange.Object).Value;
        read.Value.Millimetres.ShouldBe(millimetres, 1e-9);
        read.Graduation.Millimetres.ShouldBe(graduation, 1e-9);
    }

    [Fact]
    public void A_bare_number_takes_the_unit_in_force_and_keeps_it()
    {
        var typed = new TypedLength("8.625", LengthUnit.Inch);
        typed.Read(LengthRange.Object).Value.Value.Millimetres.ShouldBe(219.075, 1e-9);
        (typed with { Unit = LengthUnit.Millimetre }).Read(LengthRange.Object).Value.Value.Millimetres.ShouldBe(8.625, 1e-9);
    }

    [Theory]
    [InlineData("", "Nothing typed")]
    [InlineData("-4", "negative")]
    [InlineData("eight", "cannot be read")]
    [InlineData("8 5/0", "no proper fraction")]
    [InlineData("8 9/8", "no proper fraction")]
    [InlineData("8 5/8 mm", "mixes a fraction")]
    [InlineData("99999", "more than 5000.0 mm")]
    [InlineData("0", "too small")]
    [InlineData("1e9", "cannot be read")]
    public void Says_what_is_wrong(string typed, string says) =>
        LengthText.Read(typed, LengthUnit.Millimetre, LengthRange.Object).Problem!.ToString().ShouldContain(says);
}
