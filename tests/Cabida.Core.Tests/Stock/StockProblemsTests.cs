using Cabida.Core.Measures;
using Cabida.Core.Stock;

namespace Cabida.Core.Tests.Stock;

public class StockProblemsTests
{
    private static readonly Film Good = new(
        "Navy",
        "#2b3f6b",
        FilmPurpose.Stays,
        false,
        TypedLength.Mm(0.8),
        new TypedLength("12 in"),
        TypedLength.Mm(305),
        new CutSettings("45°", "2", "90 g", "20", "1")
    );

    [Fact]
    public void A_film_that_can_be_used_has_none() => StockProblems.Of(Good).ShouldBeEmpty();

    [Theory]
    [InlineData("thinnestStroke", "thick")]
    [InlineData("width", "-3")]
    [InlineData("length", "99999")]
    public void An_unreadable_size_is_named_by_its_field(string field, string typed)
    {
        var film = field switch
        {
            "thinnestStroke" => Good with { ThinnestStroke = new(typed) },
            "width" => Good with { Width = new(typed) },
            _ => Good with { Length = new(typed) },
        };
        StockProblems.Of(film).ShouldHaveSingleItem().Fields.ShouldBe([field]);
    }

    [Fact]
    public void A_cutter_needs_a_name_and_a_reach() =>
        StockProblems
            .Of(new Cutter(" ", new("?"), TypedLength.Empty))
            .Select(p => p.Fields[0])
            .ShouldBe(["name", "reachWidth", "reachLength"]);
}
