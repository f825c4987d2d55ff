using System.Text;
using Cabida.Core.Lists;
using Cabida.Core.Orders;
using Cabida.Devices.Shop;
using Cabida.Formats.Orders;

namespace Cabida.Devices.Tests;

public sealed class ShopTests : IDisposable
{
    private static readonly OrderedOffer[] Offers = [new("MUG-1", true, []), new("SHIRT", true, ["S", "M", "L"]), new("BADGE", false, [])];

    private readonly string folder = Directory.CreateTempSubdirectory("cabida-shop").FullName;

    public void Dispose() => Directory.Delete(folder, recursive: true);

    [Fact]
    public void Every_order_of_three_hundred_lines_is_read_as_it_was_meant_whatever_its_file()
    {
        var dropped = new ShopStandIn(folder, TimeProvider.System).Drop(Offers, 300);
        var shop = new FolderShop("shop", folder);
        shop.Ready().Select(f => f.Name).ShouldBe(dropped.Files);

        // As they are taken in: the later file corrects the earlier.
        var read = new Dictionary<string, OrderSheet>(StringComparer.Ordinal);
        foreach (var name in dropped.Files.Where(f => f != dropped.Damaged))
        {
            var came = OrderFile.Read(name, File.ReadAllBytes(Path.Combine(folder, name)));
            came.Problem.ShouldBeNull();
            foreach (var order in came.Value.Orders)
            {
                read[order.Number] = order.Sheet;
            }
        }

        read.Count.ShouldBe(dropped.Orders.Count);
        dropped.Orders.Sum(o => o.Lines.Count).ShouldBe(300 + dropped.Corrected.Count);
        foreach (var meant in dropped.Orders)
        {
            var sheet = read[meant.Number];
            (sheet.Customer, sheet.Due).ShouldBe((meant.Customer, meant.Due));
            sheet
                .Lines.Select(l => (l.Offer, CleanedText.Of(l["name"]).Text, l.Quantity, l["size"]))
                .ShouldBe(meant.Lines.Select(l => (l.Offer, CleanedText.Of(l.Name).Text, l.Quantity, l.Size)));
        }

        OrderFile
            .Read(dropped.Damaged, File.ReadAllBytes(Path.Combine(folder, dropped.Damaged)))
            .Problem!.ToString()
            .ShouldContain("breaks off or is damaged at line");
    }

    [Fact]
    public void The_same_lot_is_the_same_and_the_next_has_other_numbers()
    {
        var from = new DateOnly(2026, 12, 7);
        MadeUpOrders
            .Of(Offers, 40, 1, 0, from)
            .SelectMany(o => o.Lines)
            .ShouldBe(MadeUpOrders.Of(Offers, 40, 1, 0, from).SelectMany(o => o.Lines));
        var standIn = new ShopStandIn(folder, TimeProvider.System);
        var first = standIn.Drop(Offers, 9);
        first.Files.ToList().ForEach(new FolderShop("shop", folder).PutAway);

        standIn.Drop(Offers, 9).Orders.Select(o => o.Number).Intersect(first.Orders.Select(o => o.Number)).ShouldBeEmpty();
    }

    [Fact]
    public void A_file_that_was_put_away_stays_beside_an_earlier_one_of_its_name_and_no_name_leads_out_of_the_folder()
    {
        var shop = new FolderShop("shop", folder);
        foreach (var text in new[] { "one", "two" })
        {
            File.WriteAllText(Path.Combine(folder, "a.csv"), text);
            shop.PutAway("a.csv");
        }

        File.ReadAllText(Path.Combine(folder, "read", "a.csv")).ShouldBe("one");
        File.ReadAllText(Path.Combine(folder, "read", "a (2).csv")).ShouldBe("two");
        shop.Ready().ShouldBeEmpty();
        Should.Throw<FileNotFoundException>(() => shop.PutAway("../a.csv"));
        Should.Throw<FileNotFoundException>(() => shop.PutAway(""));
    }

    [Fact]
    public async Task What_the_shop_is_told_is_a_table_that_reads_back()
    {
        ToldPiece[] pieces = [new("FS-1", "Maeve \"the Vane\", Pell", 2, "packed"), new("FS-2", "=1+1", 1, "cut")];
        await new FolderShop("shop", folder).Tell(pieces);

        var file = await File.ReadAllBytesAsync(Path.Combine(folder, "told", "pieces.csv"));
        var order = OrderFile.Read("pieces.csv", file).Value.Orders;
        order
            .Select(o => (o.Number, o.Sheet.Lines[0]["name"], o.Sheet.Lines[0].Quantity, o.Sheet.Lines[0]["state"]))
            .ShouldBe([("FS-1", "Maeve \"the Vane\", Pell", "2", "packed"), ("FS-2", "'=1+1", "1", "cut")]);
    }

    [Theory]
    [InlineData("[]", 0, "")]
    [InlineData(
        "{\"orders\": [3, {\"order\": 7, \"lines\": [{\"offer\": \"MUG-1\", \"quantity\": 2, \"name\": \"Maeve\"}]}]}",
        1,
        "Order 1 of"
    )]
    [InlineData("[{\"order\": \"A\", \"lines\": [1, {\"offer\": \"MUG-1\"}]}]", 1, "is no object")]
    [InlineData("{\"order\": \"A\"}", 0, "has no “lines”")]
    [InlineData("[{\"order\":\"A\",\"lines\":[]},{\"order\":\"a\",\"lines\":[{\"sku\":\"X\"}]}]", 1, "what it says last is taken")]
    public void Orders_of_a_json_file_are_read_one_by_one(string text, int orders, string said)
    {
        var came = OrderFile.Read("orders.json", Encoding.UTF8.GetBytes(text)).Value;

        came.Orders.Count.ShouldBe(orders);
        string.Concat(came.Notes).ShouldContain(said);
    }

    [Theory]
    [InlineData("{\"orders\": [")]
    [InlineData("{\"order\": \"\\ud800\", \"lines\": []}")]
    [InlineData("[[[[[[[[[[[[[[[[1]]]]]]]]]]]]]]]]")]
    public void A_damaged_json_file_is_told(string text) =>
        OrderFile.Read("orders.json", Encoding.UTF8.GetBytes(text)).Problem.ShouldNotBeNull();
}
