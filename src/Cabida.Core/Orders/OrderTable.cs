using Cabida.Core.Lists;
using Cabida.Core.Motifs;
using Cabida.Core.Wording;

namespace Cabida.Core.Orders;

/// <summary>An order as a file holds it.</summary>
/// <param name="Number">Its number.</param>
/// <param name="Sheet">What it says.</param>
public sealed record CameOrder(string Number, OrderSheet Sheet);

/// <summary>The orders of a file.</summary>
/// <param name="Orders">Those that can be read, in the order of the file.</param>
/// <param name="Notes">What was noticed, and what of the file is in none of them.</param>
public sealed record CameOrders(IReadOnlyList<CameOrder> Orders, IReadOnlyList<Phrase> Notes);

/// <summary>Reads a table, one line of an order a row, into orders.</summary>
public static class OrderTable
{
    private const int MostNamed = 5;

    /// <summary>Reads rows.</summary>
    /// <param name="rows">The rows as cells.</param>
    /// <param name="called">What the order is called where the table has no column of numbers: the file's own name.</param>
    public static CameOrders Of(IReadOnlyList<IReadOnlyList<string>> rows, string called)
    {
        ArgumentNullException.ThrowIfNull(rows);
        ArgumentNullException.ThrowIfNull(called);
        var first = rows.ToList().FindIndex(IsFilled);
        if (first < 0)
        {
            return new CameOrders([], [Phrase.Say($"There are no rows with anything in them.")]);
        }

        var heading = OrderColumn.Heading(rows[first]);
        // A list without a heading is one of names: which column they stand in is guessed as for any list.
        var columns = heading
            ?? (
                ListColumns.Guess(rows, []) is { Fields.Count: > 0 } guessed
                    ? [.. guessed.Fields.Select(OrderColumn.Of)]
                    : [new OrderColumn(OrderColumnKind.Field, Fields.Name)]
            );
        var reading = new Reading(columns, called);
        for (var i = heading is null ? first : first + 1; i < rows.Count; i++)
        {
            if (IsFilled(rows[i]))
            {
                reading.Row(i + 1, rows[i]);
            }
        }

        return reading.Done();
    }

    private static bool IsFilled(IReadOnlyList<string> row) => row.Any(c => CleanedText.Of(c).Text.Length > 0);

    /// <summary>Rows of one order that stand together.</summary>
    private sealed class Block(string number)
    {
        public string Number { get; } = number;

        public string Customer { get; set; } = "";

        public string Due { get; set; } = "";

        public List<string> Notes { get; } = [];

        public List<OrderLine> Lines { get; } = [];

        public OrderSheet Sheet => new(Customer, Due, string.Join('\n', Notes), [.. Lines]);
    }

    private sealed class Reading(IReadOnlyList<OrderColumn> columns, string called)
    {
        private readonly bool hasNumbers = columns.Any(c => c.Kind == OrderColumnKind.Number);
        private readonly List<Block> blocks = [];
        private readonly List<Phrase> notes = [];
        private readonly List<int> without = [];

        public void Row(int line, IReadOnlyList<string> row)
        {
            string Of(OrderColumnKind kind) =>
                columns
                    .Select((c, i) => c.Kind == kind && i < row.Count ? CleanedText.Of(row[i]).Text : "")
                    .FirstOrDefault(t => t.Length > 0)
                ?? "";
            var (number, customer, due) = (Of(OrderColumnKind.Number), Of(OrderColumnKind.Customer), Of(OrderColumnKind.Due));
            if (!hasNumbers)
            {
                number = called;
            }
            else if (number.Length == 0 && blocks.Count > 0 && customer.Length == 0 && due.Length == 0)
            {
                // Cells that are joined over several rows are empty but in the first.
                number = blocks[^1].Number;
            }

            if (number.Length == 0)
            {
                without.Add(line);
                return;
            }

            if (blocks.Count == 0 || OrderKeys.IdOf(blocks[^1].Number) != OrderKeys.IdOf(number))
            {
                blocks.Add(new Block(number));
            }

            var block = blocks[^1];
            block.Customer = Kept(block.Customer, customer, number, line);
            block.Due = Kept(block.Due, due, number, line);
            if (Of(OrderColumnKind.Note) is { Length: > 0 } note && !block.Notes.Contains(note))
            {
                block.Notes.Add(note);
            }

            block.Lines.Add(new OrderLine(Of(OrderColumnKind.Offer), Of(OrderColumnKind.Quantity), FieldsOf(row)));
        }

        public CameOrders Done()
        {
            if (without.Count > 0)
            {
                notes.Add(
                    Phrase.Say(
                        $"{without.Count} {(without.Count == 1 ? "row names no order and is" : "rows name no order and are")} in none: "
                            + $"{Named(without)}."
                    )
                );
            }

            var orders = new List<CameOrder>();
            foreach (var of in blocks.GroupBy(b => OrderKeys.IdOf(b.Number), StringComparer.Ordinal))
            {
                var order = new CameOrder(of.First().Number, Joined([.. of]));
                if (order.Sheet.Lines.Count > OrderSheet.MostLines)
                {
                    notes.Add(
                        Phrase.Say(
                            $"Order {order.Number:strong} has {order.Sheet.Lines.Count} lines; {OrderSheet.MostLines} are the most of one "
                                + $"order. It was not taken in: part it, with a number for each part."
                        )
                    );
                    continue;
                }

                orders.Add(order);
            }

            return new CameOrders(orders, notes);
        }

        /// <summary>An order whose rows stand in several places. What is there once more to the letter is there twice by mistake.</summary>
        private OrderSheet Joined(List<Block> blocks)
        {
            var sheet = blocks[0].Sheet;
            var seen = new HashSet<string>(StringComparer.Ordinal) { OrderKeys.Of(sheet) };
            foreach (var block in blocks.Skip(1))
            {
                if (!seen.Add(OrderKeys.Of(block.Sheet)))
                {
                    notes.Add(Phrase.Say($"Order {block.Number:strong} stands in it twice, saying the same; it is taken once."));
                    continue;
                }

                sheet = sheet with
                {
                    Customer = sheet.Customer.Length > 0 ? sheet.Customer : block.Customer,
                    Due = sheet.Due.Length > 0 ? sheet.Due : block.Due,
                    Note = string.Join('\n', block.Notes.Prepend(sheet.Note).Where(n => n.Length > 0).Distinct(StringComparer.Ordinal)),
                    Lines = [.. sheet.Lines, .. block.Lines],
                };
            }

            return sheet;
        }

        private string Kept(string there, string said, string number, int line)
        {
            if (there.Length > 0 && said.Length > 0 && there != said)
            {
                notes.Add(
                    Phrase.Say($"Row {line}: order {number:strong} says {said:strong} here and {there:strong} before; {there} stays.")
                );
            }

            return there.Length > 0 ? there : said;
        }

        private Dictionary<string, string> FieldsOf(IReadOnlyList<string> row)
        {
            var fields = new Dictionary<string, string>(StringComparer.Ordinal);
            for (var i = 0; i < Math.Min(columns.Count, row.Count); i++)
            {
                if (columns[i] is { Kind: OrderColumnKind.Field, Field.Length: > 0 } column && row[i].Trim().Length > 0)
                {
                    fields.TryAdd(column.Field, row[i].Trim());
                }
            }

            return fields;
        }

        private static string Named(List<int> lines) =>
            string.Join(", ", lines.Take(MostNamed)) + (lines.Count > MostNamed ? $" and {lines.Count - MostNamed} more" : "");
    }
}
