using Cabida.Core.Findings;
using Cabida.Core.Orders;
using static Cabida.Core.Tests.Orders.TestOffers;

namespace Cabida.Core.Tests.Orders;

public class ReadOrderTests
{
    [Theory]
    [InlineData("EGG-CUP", "Maeve", "1", "", "No offer is called EGG-CUP")]
    [InlineData("", "Maeve", "1", "", "It names no offer")]
    [InlineData("MUG-1", "", "1", "", "It says no name")]
    [InlineData("MUG-1", " \u00a0\u200b", "1", "", "It says no name")]
    [InlineData("MUG-1", "Maeve", "two", "", "two is no number of pieces from 1 to 500")]
    [InlineData("MUG-1", "Maeve", "0", "", "0 is no number of pieces")]
    [InlineData("MUG-1", "Maeve", "1.5", "", "1.5 is no number of pieces")]
    [InlineData("MUG-1", "Maeve", "501", "", "501 is no number of pieces")]
    [InlineData("SHIRT", "Maeve", "1", "", "It says no size. Work shirt has S, M, L.")]
    [InlineData("SHIRT", "Maeve", "1", "XXL", "Work shirt has no size XXL")]
    public void What_stops_a_line_is_said(string offer, string name, string quantity, string size, string said)
    {
        var line = Read(Line(offer, name, quantity, size)).Lines[0];

        line.MayBeTaken.ShouldBeFalse();
        line.Notes[0].Severity.ShouldBe(Severity.Stop);
        line.Notes[0].Message.ToString().ShouldContain(said);
    }

    [Theory]
    [InlineData("2", 2)]
    [InlineData("", 1)]
    [InlineData(" 2.0 ", 2)]
    [InlineData("3 x", 3)]
    [InlineData("4 pcs", 4)]
    public void A_number_of_pieces_is_read_as_shops_write_it(string typed, int copies) =>
        Read(Line("mug-1 ", "Maeve", typed)).Lines[0].Copies.ShouldBe(copies);

    [Fact]
    public void A_remark_in_the_place_of_a_name_is_not_cut()
    {
        var line = Read(Line("MUG-1", new string('a', 81))).Lines[0];

        line.MayBeTaken.ShouldBeFalse();
        line.Notes[0].Message.ToString().ShouldContain("81 letters long; 80 is the most");
    }

    [Fact]
    public void What_is_left_out_is_said_on_the_line_where_it_might_be_meant_and_once_where_no_offer_knows_it()
    {
        var strange = new OrderLine(
            "MUG-1",
            "",
            new Dictionary<string, string>
            {
                ["name"] = "Maeve",
                ["role"] = "Cook",
                ["e-mail"] = "x",
            }
        );
        var read = Read(strange, Line("BADGE", "Otto"));

        read.Notes.ShouldHaveSingleItem().Message.ToString().ShouldBe("What no offer has a field for is left out: e-mail.");
        read.Lines[0].Notes.ShouldHaveSingleItem().Message.ToString().ShouldBe("Its role Cook is left out: Crew mug has no such field.");
        read.Lines[1].Notes.ShouldHaveSingleItem().Message.ToString().ShouldContain("It says Otto, and Lamp badge bears no name");
        read.Lines.ShouldAllBe(l => l.MayBeTaken);
    }

    [Fact]
    public void An_offer_is_known_by_any_of_its_names_and_asked_about_where_two_are_called_so()
    {
        var book = new OfferBook([
            Mug with
            {
                Offer = Mug.Offer with { AlsoCalled = ["Tea mug"] },
            },
            Sold("other", "Tall mug", "tea MUG", ["name"], []),
        ]);

        book.Meant(" crew   MUG").Value.Id.ShouldBe("mug");
        book.Meant("Tea mug").Problem!.ToString().ShouldContain("may be Crew mug or Tall mug");
        new OfferBook([Mug]).Meant("").Value.Id.ShouldBe("mug");
    }

    [Fact]
    public void Two_lines_that_say_the_same_are_both_made_and_told() =>
        Read(Line("MUG-1", "Maeve"), Line("MUG-1", "Otto"), Line("MUG-1", "Maeve"))
            .Lines[2]
            .Notes.ShouldHaveSingleItem()
            .Message.ToString()
            .ShouldBe("It says the same as line 1: both are made.");

    [Fact]
    public void Lines_of_an_offer_become_the_list_of_a_run_and_too_many_become_two()
    {
        var lists = OrderedList.Of(
            Read([
                Line("SHIRT", "Maeve", size: "m", role: "Driver"),
                Line("MUG-1", "Bram", "2"),
                Line("SHIRT", "Otto", size: "L"),
                Line("EGG-CUP", "Nell"),
            ]).Lines
        );

        lists.Select(l => l.OfferId).ShouldBe(["shirt", "mug"]);
        lists[0].Typed.ShouldBe("name\tquantity\trole\tsize\nMaeve\t1\tDriver\tM\nOtto\t1\t\tL");
        lists[1].Typed.ShouldBe("name\tquantity\nBram\t2");
        OrderedList
            .Of(Read([.. Enumerable.Range(0, 1001).Select(i => Line("MUG-1", $"Name {i}"))]).Lines)
            .Select(l => l.Typed.Count(c => c == '\n'))
            .ShouldBe([1000, 1]);
    }
}
