using Cabida.Core.Lists;

namespace Cabida.Core.Tests.Lists;

public class ListColumnsTests
{
    private const string Table =
        "Name\tRole\tQuantity\tRemark\nAgnieszka\tdriver\t2\tsoon\nBram\tguard\tmany\t\nIoanna\t\t\t\n\tguard\t1\t";

    [Fact]
    public void A_heading_names_the_columns_and_what_the_motif_does_not_use_is_left_out()
    {
        var columns = ListColumns.Guess(ListRows.Of(Table), ["name", "role"]);
        columns.HasHeading.ShouldBeTrue();
        columns.Fields.ShouldBe(["name", "role", "quantity", ""]);
        var list = NameList.Read(Table, columns, []);
        list.Pieces.Select(p => (p.Name, p.ValueOf("role"), p.Copies))
            .ShouldBe([("Agnieszka", "driver", 2), ("Bram", "guard", 1), ("Ioanna", "", 1)]);
        list.Notes.Select(n => (n.Line, n.Stops)).ShouldBe([(5, true), (3, false)]);
        list.Notes[1].Message.ToString().ShouldContain("many is no number of pieces from 0 to 500");
    }

    [Fact]
    public void Without_a_heading_the_first_column_of_words_is_the_name() =>
        ListColumns
            .Guess(ListRows.Of("1\tAgnieszka\t2\n2\tBram\t1"), ["name"])
            .ShouldSatisfyAllConditions(c => c.Fields.ShouldBe(["", "name", ""]), c => c.HasHeading.ShouldBeFalse());

    [Fact]
    public void One_column_of_names_is_no_table() =>
        ListColumns.Guess(ListRows.Of("Agnieszka\nBram"), ["name"]).ShouldBe(ListColumns.NamesOnly);

    [Fact]
    public void A_row_too_short_makes_no_piece_and_says_where_the_name_should_stand()
    {
        var list = NameList.Read("guard\tBram\nguard", new ListColumns(["role", "name"], false), []);
        list.Pieces.Count.ShouldBe(1);
        list.Notes.ShouldHaveSingleItem()
            .Message.ToString()
            .ShouldBe("Line 2 has 1 column; its name should stand in column 2. It makes no piece.");
    }

    [Fact]
    public void A_mended_name_keeps_its_piece_and_what_was_set_by_hand_for_it()
    {
        var first = NameList.Read("Agnieszka\nMart1n\nBram\nIoanna", []).Pieces;
        List<Cabida.Core.Runs.Piece> byHand =
        [
            first[0],
            first[1] with
            {
                Own = new Cabida.Core.Runs.Overrides { Spacing = -20 },
            },
            .. first.Skip(2),
        ];
        var mended = NameList.Read("Agnieszka\nMartin\nBram\nSiân\nIoanna", byHand).Pieces;
        mended[1].ShouldBe(byHand[1] with { Name = "Martin" });
        mended[3].Id.ShouldNotBe(first[3].Id);
        mended[4].ShouldBe(first[3]);
        // Another name in its place is another piece.
        NameList.Read("Agnieszka\nKonstantinos\nBram\nIoanna", byHand).Pieces[1].Own.IsNone.ShouldBeTrue();
    }

    [Fact]
    public void Fifty_thousand_rows_are_read_at_once_and_kept()
    {
        var list = NameList.Read(string.Join('\n', Enumerable.Repeat("\n", 25_000)) + "\nBram", []);
        list.Pieces.ShouldHaveSingleItem().Name.ShouldBe("Bram");
        list.Notes.Count.ShouldBe(60);
        list.Beyond.ShouldBeGreaterThan(40_000);
    }

    [Fact]
    public void A_row_is_a_heading_where_it_says_just_what_the_columns_are()
    {
        var columns = new ListColumns(["name", "", "size", "quantity"], false);
        columns.IsHeading(["First name", "whatever", "Size", "Qty"]).ShouldBeTrue();
        columns.IsHeading(["Ola", "whatever", "Size", "Qty"]).ShouldBeFalse();
        columns.IsHeading(["First name", "whatever"]).ShouldBeFalse();
        // One column too few is still a heading when it names two of them.
        columns.IsHeading(["First name", "whatever", "Size"]).ShouldBeTrue();
        ListColumns.NamesOnly.IsHeading(["name"]).ShouldBeFalse();
    }
}
