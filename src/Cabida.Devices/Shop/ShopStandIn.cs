using System.Globalization;
using System.Text;
using System.Text.Encodings.Web;
using System.Text.Json;
using System.Text.RegularExpressions;

namespace Cabida.Devices.Shop;

/// <summary>What the stand-in dropped.</summary>
/// <param name="Batch">Which lot.</param>
/// <param name="Files">The files, in the order in which they were written.</param>
/// <param name="Orders">The orders as they are meant in the end, corrections in.</param>
/// <param name="Corrected">The numbers of those that were written once more, corrected.</param>
/// <param name="Twice">The numbers of those that were written once more as they were.</param>
/// <param name="Damaged">The file that breaks off.</param>
public sealed record Dropped(
    int Batch,
    IReadOnlyList<string> Files,
    IReadOnlyList<MadeUpOrder> Orders,
    IReadOnlyList<string> Corrected,
    IReadOnlyList<string> Twice,
    string Damaged
);

/// <summary>
/// A small made-up shop that drops orders into its folder as shops do: files of several separators and encodings, some orders twice, some
/// corrected, one file damaged.
/// </summary>
/// <param name="folder">Where the folder is.</param>
/// <param name="clock">The time.</param>
public sealed partial class ShopStandIn(string folder, TimeProvider clock)
{
    private static readonly string[] Headings = ["order", "customer", "due", "article", "name", "quantity", "size"];
    private static readonly string[] GermanHeadings =
    [
        "Bestellnummer",
        "Kunde",
        "Liefertermin",
        "Artikel",
        "Beschriftung",
        "Menge",
        "Size",
    ];

    private static readonly JsonSerializerOptions Readable = new()
    {
        WriteIndented = true,
        PropertyNamingPolicy = JsonNamingPolicy.CamelCase,
        Encoder = JavaScriptEncoder.UnsafeRelaxedJsonEscaping,
    };

    /// <summary>Drops a lot of orders.</summary>
    /// <param name="offers">What may be ordered.</param>
    /// <param name="lines">How many lines in all.</param>
    public Dropped Drop(IReadOnlyList<OrderedOffer> offers, int lines)
    {
        Encoding.RegisterProvider(CodePagesEncodingProvider.Instance);
        Directory.CreateDirectory(folder);
        var batch = NextBatch();
        var from = DateOnly.FromDateTime(clock.GetLocalNow().DateTime).AddDays(5);
        var lots = Enumerable
            .Range(0, 3)
            .Select(l => MadeUpOrders.Of(offers, (lines / 3) + (l < lines % 3 ? 1 : 0), batch, l, from))
            .ToList();
        var files = new List<string>();
        string Write(string kind, byte[] bytes)
        {
            var name = FormattableString.Invariant($"shop-{batch:000}-{files.Count + 1}.{kind}");
            File.WriteAllBytes(Path.Combine(folder, name), bytes);
            files.Add(name);
            return name;
        }

        Write("csv", [.. Encoding.UTF8.Preamble, .. Encoding.UTF8.GetBytes(Table(lots[0], Headings, ','))]);
        Write("csv", Encoding.GetEncoding("windows-1250").GetBytes(Table(lots[1], GermanHeadings, ';')));
        var half = lots[2].Count / 2;
        Write("txt", [.. Encoding.Unicode.Preamble, .. Encoding.Unicode.GetBytes(Table([.. lots[2].Take(half)], Headings, '\t'))]);
        Write("json", Encoding.UTF8.GetBytes(Json([.. lots[2].Skip(half)])));
        var (twice, corrected) = (lots[0].Take(3).ToList(), lots[0].Skip(3).Take(3).Select(MadeUpOrders.Corrected).ToList());
        Write("csv", Encoding.UTF8.GetBytes(Table([.. twice, .. corrected], Headings, ',')));
        var whole = Encoding.UTF8.GetBytes(Json([.. twice, .. corrected]));
        var damaged = Write("json", whole[..(whole.Length * 2 / 3)]);
        var meant = lots.SelectMany(l => l).Select(o => corrected.Find(c => c.Number == o.Number) ?? o).ToList();
        return new Dropped(batch, files, meant, [.. corrected.Select(c => c.Number)], [.. twice.Select(t => t.Number)], damaged);
    }

    /// <summary>The lot after those that lie ready or were read.</summary>
    private int NextBatch() =>
        1
        + new[] { folder, Path.Combine(folder, "read") }
            .Where(Directory.Exists)
            .SelectMany(Directory.EnumerateFiles)
            .Select(f => Ours().Match(Path.GetFileName(f)))
            .Where(m => m.Success)
            .Select(m => int.Parse(m.Groups[1].Value, CultureInfo.InvariantCulture))
            .DefaultIfEmpty(0)
            .Max();

    private static string Table(IReadOnlyList<MadeUpOrder> orders, string[] headings, char separator)
    {
        var text = new StringBuilder(string.Join(separator, headings)).Append("\r\n");
        foreach (var (order, line) in orders.SelectMany(o => o.Lines.Select(l => (o, l))))
        {
            string[] cells = [order.Number, order.Customer, order.Due, line.Offer, line.Name, line.Quantity, line.Size];
            text.AppendJoin(separator, cells.Select(c => CsvText.Cell(c, separator))).Append("\r\n");
        }

        return text.ToString();
    }

    private static string Json(IReadOnlyList<MadeUpOrder> orders) =>
        JsonSerializer.Serialize(
            new
            {
                orders = orders.Select(o => new
                {
                    order = o.Number,
                    o.Customer,
                    o.Due,
                    lines = o.Lines.Select(l => new
                    {
                        l.Offer,
                        l.Quantity,
                        fields = new { l.Name, l.Size },
                    }),
                }),
            },
            Readable
        );

    [GeneratedRegex(@"^shop-(\d{3,})-\d+( \(\d+\))?\.[a-z]+$")]
    private static partial Regex Ours();
}
