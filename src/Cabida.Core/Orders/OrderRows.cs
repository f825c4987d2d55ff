using System.Globalization;
using Cabida.Core.Lists;
using Cabida.Core.Motifs;

namespace Cabida.Core.Orders;

/// <summary>Lines of an order as rows of a run's list.</summary>
internal static class OrderRows
{
    /// <summary>The columns that lines need: the name, how many, and the fields that any of them says.</summary>
    public static IReadOnlyList<string> ColumnsFor(IEnumerable<ReadLine> lines) =>
        [
            Fields.Name,
            NameList.Quantity,
            .. lines.SelectMany(l => l.Values.Keys).Distinct(StringComparer.Ordinal).Order(StringComparer.Ordinal),
        ];

    /// <summary>A line as cells under columns; one that is left out stays empty.</summary>
    public static IReadOnlyList<string> Row(ReadLine line, IReadOnlyList<string> columns) =>
        [
            .. columns.Select(c =>
                c switch
                {
                    Fields.Name => line.Name,
                    NameList.Quantity => line.Copies.ToString(CultureInfo.InvariantCulture),
                    _ => line.Values.GetValueOrDefault(c, ""),
                }
            ),
        ];
}
