using System.Text;
using System.Text.Json;
using Cabida.Core.Orders;
using Cabida.Core.Wording;
using Cabida.Formats.Lists;

namespace Cabida.Formats.Orders;

/// <summary>Reads orders from JSON: one, an array of them, or an object that holds such an array as <c>orders</c>.</summary>
internal static class OrderJson
{
    private const int MostDepth = 12;
    private const int MostLetters = 4000;

    private static readonly JsonDocumentOptions Leniently = new()
    {
        AllowTrailingCommas = true,
        CommentHandling = JsonCommentHandling.Skip,
        MaxDepth = MostDepth,
    };

    /// <summary>Whether a file begins as JSON does, in whichever encoding.</summary>
    public static bool LooksLikeIt(byte[] file) =>
        TextOf(file.AsSpan(0, Math.Min(file.Length, 400)).ToArray()).TrimStart() is ['{' or '[', ..];

    /// <summary>Reads a file.</summary>
    public static Outcome<CameOrders> Read(string name, byte[] file)
    {
        if (file.Length > ListFile.MostBytes)
        {
            return Fail(
                Phrase.Say($"{name:strong} has {file.Length / 1e6:0} MB; orders of more than {ListFile.MostBytes / 1e6:0} MB are not read.")
            );
        }

        try
        {
            using var document = JsonDocument.Parse(TextOf(file), Leniently);
            return Of(name, document.RootElement);
        }
        catch (JsonException fault)
        {
            return Fail(
                Phrase.Say(
                    $"{name:strong} breaks off or is damaged at line {(fault.LineNumber ?? 0) + 1}, "
                        + $"sign {(fault.BytePositionInLine ?? 0) + 1}."
                )
            );
        }
        catch (Exception fault) when (fault is InvalidOperationException or ArgumentException)
        {
            // A text in it that holds half of a sign.
            return Fail(Phrase.Say($"{name:strong} holds a text that cannot be read."));
        }
    }

    private static string TextOf(byte[] file) =>
        file is [0xff, 0xfe, ..] or [0xfe, 0xff, ..]
            ? TextEncoding.Decoded(file, "").Text
            : new UTF8Encoding(false).GetString(file).TrimStart('\ufeff');

    private static Outcome<CameOrders> Fail(Phrase why) => Outcome<CameOrders>.Fail(why);

    private static Outcome<CameOrders> Of(string name, JsonElement root)
    {
        var all =
            root.ValueKind == JsonValueKind.Array ? root
            : Property(root, "orders") is { ValueKind: JsonValueKind.Array } inside ? inside
            : (JsonElement?)null;
        List<JsonElement> entries = all is { } array ? [.. array.EnumerateArray()] : [root];
        var (orders, notes, known) = (new List<CameOrder>(), new List<Phrase>(), new Dictionary<string, int>(StringComparer.Ordinal));
        foreach (var (entry, at) in entries.Select((e, i) => (e, i + 1)))
        {
            var number = entry.ValueKind == JsonValueKind.Object ? Said(entry, "order", "number", "orderNumber") : "";
            if (number.Length == 0 || Property(entry, "lines") is not { ValueKind: JsonValueKind.Array } lines)
            {
                notes.Add(
                    number.Length == 0
                        ? Phrase.Say($"Order {at} of {name:strong} has no number (“order”); it was not taken in.")
                        : Phrase.Say($"Order {number:strong} has no “lines”; it was not taken in.")
                );
                continue;
            }

            if (lines.GetArrayLength() > OrderSheet.MostLines)
            {
                notes.Add(
                    Phrase.Say(
                        $"Order {number:strong} has {lines.GetArrayLength()} lines; {OrderSheet.MostLines} are the most of one order. "
                            + $"It was not taken in: part it, with a number for each part."
                    )
                );
                continue;
            }

            var order = new CameOrder(
                number,
                new OrderSheet(
                    Said(entry, "customer"),
                    Said(entry, "due"),
                    Said(entry, "note"),
                    [.. lines.EnumerateArray().Select(l => LineOf(l, number, notes)).OfType<OrderLine>()]
                )
            );
            Keep(order, orders, known, notes);
        }

        return Outcome<CameOrders>.Of(new CameOrders(orders, notes));
    }

    /// <summary>Of an order that stands in a file twice the later is meant: a file is written from old to new.</summary>
    private static void Keep(CameOrder order, List<CameOrder> orders, Dictionary<string, int> known, List<Phrase> notes)
    {
        var id = OrderKeys.IdOf(order.Number);
        if (known.TryAdd(id, orders.Count))
        {
            orders.Add(order);
            return;
        }

        var isSame = OrderKeys.Of(orders[known[id]].Sheet) == OrderKeys.Of(order.Sheet);
        notes.Add(
            isSame
                ? Phrase.Say($"Order {order.Number:strong} stands in it twice, saying the same; it is taken once.")
                : Phrase.Say($"Order {order.Number:strong} stands in it twice; what it says last is taken.")
        );
        orders[known[id]] = order;
    }

    private static OrderLine? LineOf(JsonElement line, string number, List<Phrase> notes)
    {
        if (line.ValueKind != JsonValueKind.Object)
        {
            notes.Add(Phrase.Say($"A line of order {number:strong} is no object; it was left out."));
            return null;
        }

        var fields = new Dictionary<string, string>(StringComparer.Ordinal);
        void Add(string heading, JsonElement value)
        {
            if (OrderColumn.Of(heading) is { Kind: OrderColumnKind.Field, Field.Length: > 0 } column && Text(value) is { Length: > 0 } said)
            {
                if (fields.Count < OrderLine.MostFields)
                {
                    fields.TryAdd(column.Field, said);
                }
            }
        }

        foreach (var property in line.EnumerateObject())
        {
            if (property.Name.Equals("fields", StringComparison.OrdinalIgnoreCase) && property.Value.ValueKind == JsonValueKind.Object)
            {
                foreach (var field in property.Value.EnumerateObject())
                {
                    Add(field.Name, field.Value);
                }
            }
            else
            {
                Add(property.Name, property.Value);
            }
        }

        return new OrderLine(Said(line, "offer", "sku", "article", "product"), Said(line, "quantity", "qty", "count"), fields);
    }

    private static JsonElement? Property(JsonElement of, string name)
    {
        if (of.ValueKind != JsonValueKind.Object)
        {
            return null;
        }

        foreach (var property in of.EnumerateObject())
        {
            if (property.Name.Equals(name, StringComparison.OrdinalIgnoreCase))
            {
                return property.Value;
            }
        }

        return null;
    }

    /// <summary>What an object says under the first of some names that it has.</summary>
    private static string Said(JsonElement of, params string[] names) =>
        names.Select(n => Property(of, n)).OfType<JsonElement>().Select(Text).FirstOrDefault(t => t.Length > 0) ?? "";

    private static string Text(JsonElement value)
    {
        var text = value.ValueKind switch
        {
            JsonValueKind.String => value.GetString() ?? "",
            JsonValueKind.Number => value.GetRawText(),
            _ => "",
        };
        return text.Trim() is var whole && whole.Length > MostLetters ? whole[..MostLetters] : whole;
    }
}
