using Cabida.Core.Measures;
using CsCheck;

namespace Cabida.Core.Tests.Measures;

public class LengthTests
{
    private static readonly Gen<Length> Lengths = Gen.Double[-1e4, 1e4].Select(Length.Mm);

    [Fact]
    public void Inches_and_millimetres_are_the_same_lengths() =>
        Gen.Double[-100, 100].Sample(inches => Math.Abs((Length.Inches(inches) / Length.Mm(25.4)) - inches) < 1e-9);

    [Fact]
    public void Sums_and_differences_undo_one_another() =>
        Gen.Select(Lengths, Lengths)
            .Sample((a, b) => Math.Abs((a + b - b - a).Millimetres) < 1e-9 && (a < b) == (b > a) && (a <= b) == (b >= a));

    [Fact]
    public void What_is_typed_plainly_is_read_back_as_the_same_length() =>
        Gen.Int[1, 4_000_000]
            .Sample(thousandths =>
                Math.Abs(
                    TypedLength.Mm(thousandths / 1000.0).OrZero(LengthRange.Margin with { Most = Length.Mm(1e9) }).Millimetres
                        - (thousandths / 1000.0)
                ) < 1e-9
            );

    [Fact]
    public void Every_fraction_of_a_tape_is_read_exactly() =>
        Gen.Select(Gen.Int[0, 40], Gen.Int[1, 6].Select(k => 1 << k), Gen.Int[1, 63])
            .Sample(
                (whole, parts, top) =>
                {
                    if (top >= parts)
                    {
                        return true;
                    }

                    var read = new TypedLength($"{whole} {top}/{parts}").Read(LengthRange.Artwork);
                    return read.Ok
                        && Math.Abs(read.Value.Value.Millimetres - (25.4 * (whole + ((double)top / parts)))) < 1e-9
                        && Math.Abs(read.Value.Graduation.Millimetres - (25.4 / parts)) < 1e-12;
                }
            );

    [Fact]
    public void Nothing_typed_breaks_the_reader() =>
        Gen.String[0, 30]
            .Sample(text =>
                LengthText.Read(text, LengthUnit.Inch, LengthRange.Object) is { } read
                && (read.Ok ? read.Value.Value > Length.Zero : read.Problem!.Parts.Count > 0)
            );

    [Fact]
    public void Uncertainties_join_as_the_sides_of_a_right_angle()
    {
        Dimension.Combined(Length.Mm(3), Length.Mm(4)).Millimetres.ShouldBe(5, 1e-12);
        new Dimension(Length.Mm(10), Length.Mm(0.5)).Cautious.Millimetres.ShouldBe(9.5, 1e-12);
        new Dimension(Length.Mm(10), Length.Mm(0.5)).Times(-2).Uncertainty.Millimetres.ShouldBe(1, 1e-12);
        Angle.FromDegrees(180).Radians.ShouldBe(Math.PI, 1e-12);
    }
}
