using Cabida.Core.Measures;
using CsCheck;

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
    [InlineData("219.", 219, 1)]
    [InlineData("2¼ cm", 22.5, 2.5)]
    [InlineData("1.2 m", 1200, 100)]
    [InlineData("1 m 20 cm", 1200, 1)]
    [InlineData("5 ft", 1524, 25.4 / 8)]
    [InlineData("5'", 1524, 25.4 / 8)]
    [InlineData("5' 3\"", 1600.2, 25.4 / 8)]
    [InlineData("5 ft 3 1/2 in", 1612.9, 25.4 / 2)]
    [InlineData("5ft. 3 1/2", 1612.9, 25.4 / 2)]
    [InlineData("5’3″", 1600.2, 25.4 / 8)]
    [InlineData("8''", 203.2, 25.4 / 8)]
    [InlineData("٢٥٨", 258, 1)]
    [InlineData("２１９．５", 219.5, 0.1)]
    [InlineData("0,234 m", 234, 1)]
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
    [InlineData("1,234", "may be 1234 or 1.234")]
    [InlineData("8,625 in", "may be 8625 or 8.625")]
    [InlineData("9😀", "cannot be read")]
    [InlineData("9\ud83d", "cannot be read")]
    [InlineData("5 ft 13 in", "more behind")]
    [InlineData("5 mm 3 cm", "two numbers")]
    [InlineData("5 6", "two numbers")]
    public void Says_what_is_wrong(string typed, string says) =>
        LengthText.Read(typed, LengthUnit.Millimetre, LengthRange.Object).Problem!.ToString().ShouldContain(says);

    /// <summary>Whatever is typed is read or told why not, and is the same length however it is written out again.</summary>
    [Fact]
    public void Anything_typed_is_read_or_told() =>
        Gen.Char["0123456789٠٢۵५.,/-'\" \u00a0mcinft½⅝٫😀\ud83d\udc00e"]
            .Array[0, 14]
            .Select(c => new string(c))
            .Sample(
                typed =>
                {
                    var read = LengthText.Read(typed, LengthUnit.Millimetre, LengthRange.Object);
                    return read.Ok
                        ? LengthText.Read(
                            FormattableString.Invariant($"{read.Value.Value.Millimetres:0.######} mm"),
                            LengthUnit.Inch,
                            LengthRange.Object
                        )
                            is { Ok: true } again
                            && Math.Abs(again.Value.Value.Millimetres - read.Value.Value.Millimetres) < 1e-5
                        : read.Problem!.ToString().Length > 0;
                },
                iter: 20_000
            );
}
