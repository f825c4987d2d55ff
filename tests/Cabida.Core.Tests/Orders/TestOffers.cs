using Cabida.Core.Measures;
using Cabida.Core.Orders;
using Cabida.Core.Runs;

namespace Cabida.Core.Tests.Orders;

/// <summary>Offers and orders to test on: a mug with a name, a shirt with name, role and sizes, a badge without anything.</summary>
internal static class TestOffers
{
    public static OfferBook Book { get; } = new([Mug, Shirt, Badge]);

    public static SoldOffer Mug => Sold("mug", "Crew mug", "MUG-1", ["name"], []);

    public static SoldOffer Shirt => Sold("shirt", "Work shirt", "SHIRT", ["name", "role"], ["S", "M", "L"]);

    public static SoldOffer Badge => Sold("badge", "Lamp badge", "BADGE", [], []);

    public static SoldOffer Sold(string id, string name, string code, string[] fields, string[] sizes) =>
        new(id, new Offer(name, code, SetUp), fields, sizes);

    public static OrderLine Line(string offer, string name = "", string quantity = "", string size = "", string role = "")
    {
        var fields = new Dictionary<string, string>(StringComparer.Ordinal);
        foreach (var (field, value) in new[] { ("name", name), ("size", size), ("role", role) })
        {
            if (value.Length > 0)
            {
                fields[field] = value;
            }
        }

        return new OrderLine(offer, quantity, fields);
    }

    public static OrderSheet Sheet(params OrderLine[] lines) => new("Fern Pell", "2026-12-11", "", lines);

    public static ReadOrder Read(params OrderLine[] lines) => ReadOrder.Of(Sheet(lines), Book);

    public static RunList ListOf(OrderedList list) =>
        new(list.Typed, []) { Columns = list.Columns.Fields, HasHeading = list.Columns.HasHeading };

    private static RunSetUp SetUp { get; } = new("", "", null, null, null, null, Sizing.EachLargest, TypedLength.Empty, TypedLength.Mm(5));
}
