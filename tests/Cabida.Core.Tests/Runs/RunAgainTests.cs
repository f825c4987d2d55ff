using Cabida.Core.Findings;
using Cabida.Core.Measures;
using Cabida.Core.Runs;

namespace Cabida.Core.Tests.Runs;

public class RunAgainTests
{
    [Fact]
    public void It_is_set_up_as_it_was_with_no_names_and_what_was_set_by_hand_kept_aside()
    {
        var moved = new Piece("a", "Maeve") { Own = Overrides.None with { Up = TypedLength.Mm(2) } };
        var away = new Piece("c", "Tove") { Own = Overrides.None with { Spacing = -20 } };
        var setUp = new RunSetUp("Mugs", "old", null, null, null, null, Sizing.EachLargest, TypedLength.Empty, TypedLength.Mm(5))
        {
            Care = "By hand.",
            Kept = [new KeptAsItIs(Rule.ListLine, "", "", "", "it holds"), new KeptAsItIs(Rule.ListLine, "", "", "a", "she knows")],
        };
        var was = new Run(
            setUp,
            new RunList("name\tsize\nMaeve\tm\nBram\tl", [moved, new Piece("b", "Bram")])
            {
                Columns = ["name", "size"],
                HasHeading = true,
                Away = [away, new Piece("d", "Odo")],
            },
            RunVerdicts.None
        );
        var again = RunAgain.Of(was, "new");
        again.SetUp.ShouldBe(setUp with { JobId = "new", Kept = again.SetUp.Kept });
        again.SetUp.Kept.Select(k => k.Reason).ShouldBe(["it holds"]);
        (again.List.NamesTyped, again.List.HasHeading).ShouldBe(("", true));
        again.List.Columns.ShouldBe(["name", "size"]);
        again.List.Pieces.ShouldBeEmpty();
        again.List.Away.ShouldBe([moved, away]);
    }

    [Theory]
    [InlineData("Crew day 2026", "Crew day 2027")]
    [InlineData("Crew day 2019, mugs of 2019", "Crew day 2026, mugs of 2026")]
    [InlineData("Order 120267", "Order 120267")]
    [InlineData("", "")]
    public void A_year_in_its_name_is_the_next(string name, string next) => RunAgain.NextName(name, 2026).ShouldBe(next);
}
