using Cabida.Core.Measures;

namespace Cabida.Core.Tests.Measures;

public class TypedLengthTests
{
    [Fact]
    public void A_length_is_read_once_for_a_range_and_anew_for_another_or_when_it_is_typed_anew()
    {
        var typed = new TypedLength("0.05");
        typed.Read(LengthRange.Margin).ShouldBeSameAs(typed.Read(LengthRange.Margin));
        typed.Read(LengthRange.Artwork).Ok.ShouldBeFalse();
        typed.Read(LengthRange.Margin).Value.Value.Millimetres.ShouldBe(0.05, 1e-12);
        (typed with { Unit = LengthUnit.Centimetre }).OrZero(LengthRange.Margin).Millimetres.ShouldBe(0.5, 1e-12);
        (typed with { Text = "7" }).OrZero(LengthRange.Margin).Millimetres.ShouldBe(7, 1e-12);
    }

    [Fact]
    public void What_was_read_of_it_does_not_tell_two_lengths_apart()
    {
        var (read, fresh) = (new TypedLength("12"), new TypedLength("12"));
        _ = read.Read(LengthRange.Offset);
        read.ShouldBe(fresh);
        read.GetHashCode().ShouldBe(fresh.GetHashCode());
        (read with { Text = "13" }).ShouldNotBe(fresh);
    }
}
