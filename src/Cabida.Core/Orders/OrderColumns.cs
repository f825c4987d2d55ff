using Cabida.Core.Lists;
using Cabida.Core.Motifs;

namespace Cabida.Core.Orders;

/// <summary>What a column of a table of orders says.</summary>
public enum OrderColumnKind
{
    /// <summary>A field of the line: the name, the size, another.</summary>
    Field,

    /// <summary>The number of the order.</summary>
    Number,

    /// <summary>Who orders.</summary>
    Customer,

    /// <summary>The day it is wanted.</summary>
    Due,

    /// <summary>The offer.</summary>
    Offer,

    /// <summary>How many.</summary>
    Quantity,

    /// <summary>A remark.</summary>
    Note,
}

/// <summary>A column of a table of orders.</summary>
/// <param name="Kind">What it says.</param>
/// <param name="Field">The field; empty for a column without a heading.</param>
public sealed record OrderColumn(OrderColumnKind Kind, string Field)
{
    /// <summary>What headings mean, in the tongues orders come in.</summary>
    private static readonly Dictionary<string, OrderColumnKind> Words = new(StringComparer.Ordinal)
    {
        ["order"] = OrderColumnKind.Number,
        ["order number"] = OrderColumnKind.Number,
        ["order no"] = OrderColumnKind.Number,
        ["order nr"] = OrderColumnKind.Number,
        ["order id"] = OrderColumnKind.Number,
        ["reference"] = OrderColumnKind.Number,
        ["bestellung"] = OrderColumnKind.Number,
        ["bestellnummer"] = OrderColumnKind.Number,
        ["auftrag"] = OrderColumnKind.Number,
        ["commande"] = OrderColumnKind.Number,
        ["pedido"] = OrderColumnKind.Number,
        ["ordine"] = OrderColumnKind.Number,
        ["bestelling"] = OrderColumnKind.Number,
        ["zamówienie"] = OrderColumnKind.Number,
        ["customer"] = OrderColumnKind.Customer,
        ["buyer"] = OrderColumnKind.Customer,
        ["client"] = OrderColumnKind.Customer,
        ["ordered by"] = OrderColumnKind.Customer,
        ["club"] = OrderColumnKind.Customer,
        ["company"] = OrderColumnKind.Customer,
        ["kunde"] = OrderColumnKind.Customer,
        ["besteller"] = OrderColumnKind.Customer,
        ["cliente"] = OrderColumnKind.Customer,
        ["klant"] = OrderColumnKind.Customer,
        ["klient"] = OrderColumnKind.Customer,
        ["due"] = OrderColumnKind.Due,
        ["due date"] = OrderColumnKind.Due,
        ["wanted by"] = OrderColumnKind.Due,
        ["needed by"] = OrderColumnKind.Due,
        ["deliver by"] = OrderColumnKind.Due,
        ["delivery date"] = OrderColumnKind.Due,
        ["date"] = OrderColumnKind.Due,
        ["fällig"] = OrderColumnKind.Due,
        ["liefertermin"] = OrderColumnKind.Due,
        ["lieferdatum"] = OrderColumnKind.Due,
        ["échéance"] = OrderColumnKind.Due,
        ["fecha"] = OrderColumnKind.Due,
        ["termin"] = OrderColumnKind.Due,
        ["offer"] = OrderColumnKind.Offer,
        ["article"] = OrderColumnKind.Offer,
        ["article number"] = OrderColumnKind.Offer,
        ["item"] = OrderColumnKind.Offer,
        ["item number"] = OrderColumnKind.Offer,
        ["product"] = OrderColumnKind.Offer,
        ["product code"] = OrderColumnKind.Offer,
        ["sku"] = OrderColumnKind.Offer,
        ["code"] = OrderColumnKind.Offer,
        ["artikel"] = OrderColumnKind.Offer,
        ["artikelnummer"] = OrderColumnKind.Offer,
        ["produit"] = OrderColumnKind.Offer,
        ["producto"] = OrderColumnKind.Offer,
        ["articolo"] = OrderColumnKind.Offer,
        ["produkt"] = OrderColumnKind.Offer,
        ["note"] = OrderColumnKind.Note,
        ["notes"] = OrderColumnKind.Note,
        ["remark"] = OrderColumnKind.Note,
        ["remarks"] = OrderColumnKind.Note,
        ["message"] = OrderColumnKind.Note,
        ["comment"] = OrderColumnKind.Note,
        ["comments"] = OrderColumnKind.Note,
        ["bemerkung"] = OrderColumnKind.Note,
        ["hinweis"] = OrderColumnKind.Note,
        ["remarque"] = OrderColumnKind.Note,
        ["uwagi"] = OrderColumnKind.Note,
    };

    /// <summary>What a column of names is headed by in orders, beside what it is in lists.</summary>
    private static readonly string[] NameWords = ["personalisation", "personalization", "lettering", "inscription", "text", "beschriftung"];

    /// <summary>What a heading says.</summary>
    /// <param name="heading">The heading.</param>
    public static OrderColumn Of(string heading)
    {
        var plain = CleanedText.Of(heading).Text.ToLowerInvariant().TrimEnd(':', '.', '#', ' ').Replace('_', ' ');
        if (Words.TryGetValue(plain, out var kind))
        {
            return new OrderColumn(kind, "");
        }

        return ListColumns.FieldFor(plain, []) switch
        {
            NameList.Quantity => new OrderColumn(OrderColumnKind.Quantity, ""),
            { Length: > 0 } known => new OrderColumn(OrderColumnKind.Field, known),
            _ => new OrderColumn(OrderColumnKind.Field, NameWords.Contains(plain) ? Fields.Name : plain),
        };
    }

    /// <summary>The columns that a heading names; null where the row is no heading of orders.</summary>
    /// <param name="row">The first row.</param>
    public static IReadOnlyList<OrderColumn>? Heading(IReadOnlyList<string> row)
    {
        ArgumentNullException.ThrowIfNull(row);
        var columns = row.Select(Of).ToList();
        return columns.Any(c => c.Kind != OrderColumnKind.Field || c.Field is Fields.Name or NameList.Size) ? columns : null;
    }
}
