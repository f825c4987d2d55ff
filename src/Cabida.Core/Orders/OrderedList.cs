using Cabida.Core.Lists;

namespace Cabida.Core.Orders;

/// <summary>The list of a run that lines of an order make.</summary>
/// <param name="OfferId">The offer that they are of.</param>
/// <param name="Typed">The list as it would be typed, with a heading.</param>
/// <param name="Columns">What its columns are.</param>
public sealed record OrderedList(string OfferId, string Typed, ListColumns Columns)
{
    /// <summary>
    /// The lists that lines make: one for each offer in the order of its first line, more where there are too many for a run.
    /// </summary>
    /// <param name="lines">Lines that may be taken.</param>
    public static IReadOnlyList<OrderedList> Of(IEnumerable<ReadLine> lines)
    {
        ArgumentNullException.ThrowIfNull(lines);
        return
        [
            .. lines
                .Where(l => l.MayBeTaken)
                .GroupBy(l => l.Offer!.Id, StringComparer.Ordinal)
                .SelectMany(g => g.Chunk(NameList.MostPieces).Select(part => ListOf(g.Key, part))),
        ];
    }

    private static OrderedList ListOf(string offer, IReadOnlyList<ReadLine> lines)
    {
        var columns = OrderRows.ColumnsFor(lines);
        return new OrderedList(
            offer,
            ListRows.Typed(lines.Select(l => OrderRows.Row(l, columns)).Prepend(columns)),
            new ListColumns(columns, HasHeading: true)
        );
    }
}
