using System.Globalization;

namespace Cabida.Devices.Shop;

/// <summary>What the made-up shop may order.</summary>
/// <param name="Code">What it calls the offer.</param>
/// <param name="HasName">Whether a name belongs on it.</param>
/// <param name="Sizes">Its sizes; none for what has one.</param>
public sealed record OrderedOffer(string Code, bool HasName, IReadOnlyList<string> Sizes);

/// <summary>A line of a made-up order.</summary>
/// <param name="Offer">What it orders.</param>
/// <param name="Name">The name.</param>
/// <param name="Quantity">How many, as it is written.</param>
/// <param name="Size">The size; empty for what has one.</param>
public sealed record MadeUpLine(string Offer, string Name, string Quantity, string Size);

/// <summary>A made-up order.</summary>
/// <param name="Number">Its number.</param>
/// <param name="Customer">Who orders.</param>
/// <param name="Due">The day it is wanted, as it is written.</param>
/// <param name="Lines">What is ordered.</param>
public sealed record MadeUpOrder(string Number, string Customer, string Due, IReadOnlyList<MadeUpLine> Lines);

/// <summary>Orders of invented people, with the mistakes that orders have. The same number makes the same orders.</summary>
public static class MadeUpOrders
{
    /// <summary>Every so many lines have one mistake of each kind.</summary>
    private const int Stretch = 25;

    private const int MostOfOne = 5;

    /// <summary>Names that any old encoding of the west holds.</summary>
    private static readonly string[] Western =
    [
        "Maeve",
        "Renée",
        "Jørgen",
        "Zoë-Marie",
        "O’Hara",
        "Íñigo",
        "Bram",
        "Solveig",
        "Aurèle",
        "Tilda",
    ];

    /// <summary>Names of central Europe.</summary>
    private static readonly string[] Central =
    [
        "Łukasz",
        "Agnieszka",
        "Žofie",
        "Štefan",
        "Győző",
        "Božena",
        "Dóra",
        "Źrebak",
        "Kateřina",
        "Jiří",
    ];

    /// <summary>Names that only a full encoding holds.</summary>
    private static readonly string[] Wide =
    [
        "Ọláyínká",
        "Thảo",
        "Ελένη",
        "Kōji",
        "Phương",
        "Κωνσταντίνος",
        "Ògúnbíyí",
        "Nguyễn",
        "Anaïs",
        "Seán",
    ];

    private static readonly string[] Surnames = ["Harrow", "Pell", "Quill", "Tansy", "Umber", "Vane", "Wicket", "Yarrow"];

    private static readonly string[] Ways = ["Depot Road", "Fern Street", "Lamp Row", "Signal Hill"];

    /// <summary>Orders with so many lines in all.</summary>
    /// <param name="offers">What may be ordered.</param>
    /// <param name="lines">How many lines.</param>
    /// <param name="batch">Which lot of orders: another has other numbers.</param>
    /// <param name="letters">Which names: 0 western, 1 of central Europe, 2 of everywhere.</param>
    /// <param name="from">The first day that any is wanted.</param>
    public static IReadOnlyList<MadeUpOrder> Of(IReadOnlyList<OrderedOffer> offers, int lines, int batch, int letters, DateOnly from)
    {
        ArgumentNullException.ThrowIfNull(offers);
        var names = letters switch
        {
            0 => Western,
            1 => Central,
            _ => Wide,
        };
        var random = new Random((batch * 31) + letters);
        var orders = new List<MadeUpOrder>();
        for (var made = 0; made < lines; )
        {
            var size = Math.Min(lines - made, 1 + random.Next(MostOfOne));
            var number = FormattableString.Invariant($"FS-{batch:00}{letters}{orders.Count:000}");
            var customer = $"{names[random.Next(names.Length)]} {Surnames[random.Next(Surnames.Length)]}, {Ways[random.Next(Ways.Length)]}";
            var due = from.AddDays(random.Next(28));
            List<MadeUpLine> of =
            [
                .. Enumerable.Range(0, size).Select(i => Line(offers[random.Next(offers.Count)], names, random, made + i)),
            ];
            orders.Add(new MadeUpOrder(number, customer, DueOf(due, orders.Count), of));
            made += size;
        }

        return orders;
    }

    /// <summary>An order as it comes once more with something corrected: a name, a number, and a line more.</summary>
    /// <param name="order">The order.</param>
    public static MadeUpOrder Corrected(MadeUpOrder order)
    {
        ArgumentNullException.ThrowIfNull(order);
        var (first, rest) = (order.Lines[0], order.Lines.Skip(1).ToList());
        var mended = first with { Name = first.Name.Length > 0 ? $"{first.Name} II" : "Perpetua", Quantity = "3" };
        return order with { Lines = [mended, .. rest, first with { Name = "Wilhelmina", Quantity = "1" }] };
    }

    private static string DueOf(DateOnly due, int at) =>
        (at % 6) switch
        {
            4 => due.ToString("dd.MM.yyyy", CultureInfo.InvariantCulture),
            5 => due.ToString("dd/MM/yyyy", CultureInfo.InvariantCulture),
            _ => due.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture),
        };

    /// <summary>A line, with the mistake that is due at its place.</summary>
    private static MadeUpLine Line(OrderedOffer offer, string[] names, Random random, int at)
    {
        var line = new MadeUpLine(
            offer.Code,
            offer.HasName ? names[random.Next(names.Length)] : "",
            (1 + random.Next(3)).ToString(CultureInfo.InvariantCulture),
            offer.Sizes.Count > 0 ? offer.Sizes[random.Next(offer.Sizes.Count)] : ""
        );
        return (at % Stretch) switch
        {
            7 or 12 or 18 or 20 when !offer.HasName => line,
            3 => line with { Offer = "EGG-CUP" },
            7 => line with { Name = "" },
            10 => line with { Quantity = "two" },
            12 => line with { Name = $"  {line.Name}\u00a0 " },
            14 => line with { Offer = line.Offer.ToLowerInvariant() },
            16 => line with { Quantity = "" },
            18 => line with { Name = $"{line.Name} \"the {Surnames[at % Surnames.Length]}\"" },
            20 => line with
            {
                Name = $"Please write {line.Name} in large letters with a small heart behind it, it is for the birthday of my aunt",
            },
            22 => line with { Quantity = "0" },
            _ => line,
        };
    }
}
