using Cabida.Core.Measures;
using Cabida.Core.Stock;

namespace Cabida.Core.Tests.Steps;

public sealed class TypedTimesTests
{
    [Theory]
    [InlineData("0", 0)]
    [InlineData("7.5", 7.5)]
    [InlineData("7:30", 7.5)]
    [InlineData("45 s", 0.75)]
    [InlineData("20min", 20)]
    [InlineData("1,5 h", 90)]
    [InlineData("1 h 30", 90)]
    [InlineData("2 h 05 min", 125)]
    [InlineData("2 days", 2880)]
    public void A_duration_is_read_as_it_is_typed(string typed, double minutes) =>
        TypedDuration.Read(typed).Value!.Value.ShouldBe(minutes, 1e-9);

    [Theory]
    [InlineData("later")]
    [InlineData("-3")]
    [InlineData("7:75")]
    [InlineData("400 days")]
    [InlineData("1 h 99")]
    public void What_is_no_duration_is_refused(string typed) => TypedDuration.Read(typed).Ok.ShouldBeFalse();

    [Fact]
    public void What_is_said_is_read_again()
    {
        foreach (var minutes in new[] { 0.5, 3, 12.5, 59, 60, 61, 125, 47 * 60, 3 * 24 * 60 })
        {
            TypedDuration.Read(TypedDuration.Say(minutes)).Value!.Value.ShouldBe(minutes, 0.5);
        }
    }

    [Theory]
    [InlineData("9", 540)]
    [InlineData("17.30", 1050)]
    [InlineData("24:00", 1440)]
    public void A_time_of_day_is_read(string typed, int minutes) => WorkHours.Minutes(typed).Value.ShouldBe(minutes);

    [Fact]
    public void Hours_that_cannot_be_are_told()
    {
        new WorkHours("17", "9").Problems().ShouldHaveSingleItem().Field.ShouldBe("to");
        new WorkHours("9", "").Problems().ShouldHaveSingleItem().Field.ShouldBe("to");
        new WorkHours("25", "26").Problems().Select(p => p.Field).ShouldBe(["from", "to"]);
        WorkHours.Closed.Problems().ShouldBeEmpty();
        WorkHours.Closed.Read().ShouldBeNull();
    }
}
