using Cabida.Core.Lists;
using Cabida.Core.Orders;
using Cabida.Core.Runs;
using CsCheck;
using static Cabida.Core.Tests.Orders.TestOffers;

namespace Cabida.Core.Tests.Orders;

public class CorrectionTests
{
    private static readonly Gen<OrderLine> AnyLine = Gen.Select(
        Any("MUG-1", "SHIRT", "BADGE", "EGG-CUP"),
        Any("Maeve", "Bram", "Otto", ""),
        Any("", "1", "2", "none"),
        Any("", "M", "L"),
        Any("", "Driver"),
        (offer, name, quantity, size, role) => Line(offer, name, quantity, size, role)
    );

    private static Gen<string> Any(params string[] of) => Gen.Int[0, of.Length - 1].Select(i => of[i]);

    [Fact]
    public void Corrected_lists_say_just_what_the_corrected_order_says() =>
        Gen.Select(AnyLine.Array[0, 8], AnyLine.Array[0, 8])
            .Sample(
                (before, after) =>
                {
                    var (was, now) = (Read(before), Read(after));
                    var corrections = LineCorrection.Between(was, now);
                    var lists = OrderedList.Of(was.Lines);
                    var rows = new List<string>();
                    foreach (var list in lists)
                    {
                        var corrected = CorrectedLists.Of(list.OfferId, [ListOf(list)], corrections);
                        corrected.NotFound.ShouldBeEmpty();
                        rows.AddRange(RowsOf(corrected.Lists[0] ?? list));
                    }

                    // Of offers that were not ordered before, the order makes runs of their own.
                    var known = lists.Select(l => l.OfferId).ToHashSet();
                    rows.AddRange(OrderedList.Of(now.Lines).Where(l => !known.Contains(l.OfferId)).SelectMany(RowsOf));
                    rows.Order().ShouldBe(OrderedList.Of(now.Lines).SelectMany(RowsOf).Order());
                },
                iter: 3000
            );

    [Fact]
    public void Lines_in_another_order_are_no_correction() =>
        AnyLine.Array[1, 8].Sample(lines => LineCorrection.Between(Read(lines), Read([.. lines.Reverse()])).ShouldBeEmpty(), iter: 300);

    [Fact]
    public void A_name_that_changed_is_one_correction_and_keeps_its_row()
    {
        var corrections = LineCorrection.Between(
            Read(Line("MUG-1", "Siobhan"), Line("MUG-1", "Bram")),
            Read(Line("MUG-1", "Bram"), Line("MUG-1", "Siobhán"))
        );

        var only = corrections.ShouldHaveSingleItem();
        (only.Was!.Name, only.Is!.Name).ShouldBe(("Siobhan", "Siobhán"));
        CorrectedLists
            .Of("mug", [ListOf(OrderedList.Of(Read(Line("MUG-1", "Siobhan"), Line("MUG-1", "Bram")).Lines)[0])], corrections)
            .Lists[0]!.Typed.ShouldBe("name\tquantity\nSiobhán\t1\nBram\t1");
    }

    [Fact]
    public void What_the_maker_typed_into_the_list_stays_and_a_row_that_is_not_found_is_told()
    {
        var was = Read(Line("MUG-1", "Maeve"), Line("MUG-1", "Bram"));
        var list = new RunList("name\tquantity\tyear\nMaeve\t1\t1987\nBrem\t1\t\nA spare\t2\t\n", [])
        {
            Columns = ["name", "quantity", ""],
            HasHeading = true,
        };
        var corrections = LineCorrection.Between(was, Read(Line("MUG-1", "Maeve", "3"), Line("MUG-1", "Bram", "2"), Line("MUG-1", "Otto")));

        var corrected = CorrectedLists.Of("mug", [list], corrections);

        corrected.Lists[0]!.Typed.ShouldBe("name\tquantity\tyear\nMaeve\t3\t1987\nBrem\t1\t\nA spare\t2\t\nOtto\t1\t");
        corrected.NotFound.ShouldHaveSingleItem().Was!.Name.ShouldBe("Bram");
    }

    [Fact]
    public void A_field_that_comes_with_a_correction_has_a_column_of_its_own()
    {
        var was = Read(Line("SHIRT", "Maeve", size: "M"));
        var corrected = CorrectedLists.Of(
            "shirt",
            [ListOf(OrderedList.Of(was.Lines)[0])],
            LineCorrection.Between(was, Read(Line("SHIRT", "Maeve", size: "M", role: "Driver")))
        );

        corrected.Lists[0]!.Typed.ShouldBe("name\tquantity\tsize\trole\nMaeve\t1\tM\tDriver");
        corrected.Lists[0]!.Columns.Fields.ShouldBe(["name", "quantity", "size", "role"]);
    }

    [Fact]
    public void An_order_is_known_again_the_same_once_more_corrected_or_an_old_file()
    {
        var (first, second) = (Sheet(Line("MUG-1", "Maeve"), Line("MUG-1", "")), Sheet(Line("MUG-1", "Maeve", "2"), Line("MUG-1", "")));
        var came = OrderArrival.Of(null, "FS-1", first, "shop", "2026-12-01 09:00");
        came.Kind.ShouldBe(ArrivalKind.New);
        OrderArrival.Of(came.Order, "FS-1", first, "shop", "later").Kind.ShouldBe(ArrivalKind.Same);

        // The maker asked for the missing name; the order comes once more without it, with another line corrected.
        var mended = came.Order with { Sheet = Sheet(Line("MUG-1", "Maeve"), Line("MUG-1", "Bram")) };
        OrderArrival.Of(mended, "FS-1", first, "shop", "later").Order.Sheet.Lines[1]["name"].ShouldBe("Bram");
        var corrected = OrderArrival.Of(mended, "FS-1", second, "shop", "later");
        corrected.Kind.ShouldBe(ArrivalKind.Corrected);
        corrected.Order.Sheet.Lines.Select(l => $"{l["name"]} {l.Quantity}").ShouldBe(["Maeve 2", "Bram "]);

        var old = OrderArrival.Of(corrected.Order, "FS-1", first, "shop", "later");
        old.Kind.ShouldBe(ArrivalKind.Older);
        old.Order.ShouldBeSameAs(corrected.Order);
        OrderKeys.IdOf(" fs-1").ShouldBe(OrderKeys.IdOf("FS-1"));
        OrderKeys.IdOf("FS-11").ShouldNotBe(OrderKeys.IdOf("FS-1"));
    }

    /// <summary>What rows say, whatever the order of their columns.</summary>
    private static IEnumerable<string> RowsOf(OrderedList list) =>
        ListRows
            .Of(list.Typed)
            .Skip(1)
            .Select(r =>
                list.OfferId
                + string.Concat(
                    list.Columns.Fields.Select((f, i) => (f, Cell: r[i]))
                        .Where(c => c.Cell.Length > 0)
                        .OrderBy(c => c.f)
                        .Select(c => $" {c.f}={c.Cell}")
                )
            );
}
