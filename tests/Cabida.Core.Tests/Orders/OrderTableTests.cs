using Cabida.Core.Lists;
using Cabida.Core.Orders;

namespace Cabida.Core.Tests.Orders;

public class OrderTableTests
{
    [Fact]
    public void Rows_of_one_number_are_one_order_also_where_cells_are_joined_over_them()
    {
        var came = Of(
            """
            Order no.|Customer|Wanted by|SKU|Personalisation|Qty|Role|Message
            FS-1|Fern Pell|2026-12-11|MUG-1|Maeve|2||leave at the gate
            ||||Bram|||
            FS-2|Otto Vane||shirt|Otto||Driver|
            fs-1 |||MUG-1|Tilda|||leave at the gate
            """
        );

        came.Orders.Select(o => o.Number).ShouldBe(["FS-1", "FS-2"]);
        var first = came.Orders[0].Sheet;
        first.Customer.ShouldBe("Fern Pell");
        first.Due.ShouldBe("2026-12-11");
        first.Note.ShouldBe("leave at the gate");
        first.Lines.Select(l => $"{l.Offer} {l["name"]} {l.Quantity}").ShouldBe(["MUG-1 Maeve 2", " Bram ", "MUG-1 Tilda "]);
        came.Orders[1].Sheet.Lines[0]["role"].ShouldBe("Driver");
        came.Notes.ShouldBeEmpty();
    }

    [Fact]
    public void A_row_that_names_no_order_is_nobodys_and_is_told_by_its_number()
    {
        var came = Of("order|customer|offer|name\n|Nell Harrow|MUG-1|Nell\nFS-1|Fern Pell|MUG-1|Maeve\n|Otto Vane|MUG-1|Otto");

        came.Orders.ShouldHaveSingleItem().Sheet.Lines.ShouldHaveSingleItem()["name"].ShouldBe("Maeve");
        came.Notes.ShouldHaveSingleItem().ToString().ShouldBe("2 rows name no order and are in none: 2, 4.");
    }

    [Fact]
    public void An_order_that_stands_in_a_table_twice_is_taken_once()
    {
        var came = Of("order|offer|name\nA|MUG-1|Maeve\nB|MUG-1|Otto\nA|MUG-1|Maeve");

        came.Orders.Select(o => o.Sheet.Lines.Count).ShouldBe([1, 1]);
        came.Notes.ShouldHaveSingleItem().ToString().ShouldContain("Order A stands in it twice");
    }

    [Fact]
    public void Two_lines_that_say_the_same_and_stand_together_are_two()
    {
        Of("order|offer|name\nA|MUG-1|Maeve\nA|MUG-1|Maeve").Orders[0].Sheet.Lines.Count.ShouldBe(2);
    }

    [Theory]
    [InlineData("Maeve\nBram\nOtto Vane", 3)]
    [InlineData("Name|Anzahl\nMaeve|2\nBram|1\nOtto|1", 3)]
    public void A_list_of_names_without_numbers_is_one_order_called_like_its_file(string typed, int lines)
    {
        var order = Of(typed).Orders.ShouldHaveSingleItem();

        order.Number.ShouldBe("club");
        order.Sheet.Lines.Count.ShouldBe(lines);
        order.Sheet.Lines[0]["name"].ShouldBe("Maeve");
        order.Sheet.Lines[0].Quantity.ShouldBe(lines == 3 && typed.Contains('|', StringComparison.Ordinal) ? "2" : "");
    }

    [Fact]
    public void An_order_of_ten_thousand_lines_is_not_taken_in_and_says_what_to_do()
    {
        var rows = Enumerable.Range(0, 10_000).Select(i => (IReadOnlyList<string>)["A", "MUG-1", $"Name {i}"]);
        var came = OrderTable.Of(
            [
                ["order", "offer", "name"],
                .. rows,
                ["B", "MUG-1", "Otto"],
            ],
            "club"
        );

        came.Orders.ShouldHaveSingleItem().Number.ShouldBe("B");
        came.Notes.ShouldHaveSingleItem().ToString().ShouldContain("Order A has 10000 lines; 2000 are the most of one order");
    }

    [Theory]
    [InlineData("2026-12-05", "2026-12-05")]
    [InlineData("2026-12-05T10:00:00", "2026-12-05")]
    [InlineData("05.12.2026", "2026-12-05")]
    [InlineData("31/12/2026", "2026-12-31")]
    [InlineData("12/31/2026", "2026-12-31")]
    [InlineData("12/12/2026", "2026-12-12")]
    [InlineData("5 December 2026", "2026-12-05")]
    [InlineData("", null)]
    public void A_day_is_read_however_it_is_written(string typed, string? day)
    {
        var read = DueDay.Read(typed);

        read.Problem.ShouldBeNull();
        read.Value?.ToString("yyyy-MM-dd", null).ShouldBe(day);
    }

    [Theory]
    [InlineData("04/05/2026", "4 May 2026 or 5 April 2026")]
    [InlineData("soon", "cannot be read")]
    [InlineData("31.02.2026", "cannot be read")]
    public void A_day_that_could_be_two_or_none_is_asked_about(string typed, string said) =>
        DueDay.Read(typed).Problem!.ToString().ShouldContain(said);

    private static CameOrders Of(string typed) => OrderTable.Of(ListRows.Of(typed.Replace('|', '\t')), "club");
}
