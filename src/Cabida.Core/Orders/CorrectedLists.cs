using Cabida.Core.Lists;
using Cabida.Core.Runs;

namespace Cabida.Core.Orders;

/// <summary>Lists of an offer's runs once a correction is taken.</summary>
/// <param name="Lists">The lists, one for each that there was; null where it stays as it is.</param>
/// <param name="More">A list of what has no room in them; null where all has.</param>
/// <param name="NotFound">Corrections whose lines are not in the lists any more: they were changed by hand since.</param>
public sealed record CorrectedLists(
    IReadOnlyList<OrderedList?> Lists,
    IReadOnlyList<OrderedList> More,
    IReadOnlyList<LineCorrection> NotFound
)
{
    /// <summary>
    /// Takes corrections into lists row by row, so that whatever else was typed into them stays. What was taken and is not found is left
    /// alone and told; what came since is put at the end.
    /// </summary>
    /// <param name="offerId">The offer.</param>
    /// <param name="lists">The lists of its runs, as they are now.</param>
    /// <param name="corrections">What changed of the order, of whichever offer.</param>
    public static CorrectedLists Of(string offerId, IReadOnlyList<RunList> lists, IReadOnlyList<LineCorrection> corrections)
    {
        ArgumentNullException.ThrowIfNull(lists);
        ArgumentNullException.ThrowIfNull(corrections);
        bool IsOurs(ReadLine? line) => line is { MayBeTaken: true } && line.Offer!.Id == offerId;
        var tables = lists.Select(l => new Table(l)).ToList();
        var (notFound, added) = (new List<LineCorrection>(), new List<ReadLine>());
        foreach (var change in corrections)
        {
            var into = IsOurs(change.Is) ? change.Is : null;
            if (IsOurs(change.Was))
            {
                if (!tables.Exists(t => t.Replace(change.Was!, into)))
                {
                    notFound.Add(change);
                }
            }
            else if (into is not null)
            {
                added.Add(into);
            }
        }

        var beyond = added.Where(line => !tables.Exists(t => t.Add(line))).ToList();
        return new CorrectedLists(
            [.. tables.Select(t => t.IsChanged ? new OrderedList(offerId, t.Typed, t.Columns) : null)],
            OrderedList.Of(beyond),
            notFound
        );
    }

    /// <summary>A list as rows that change.</summary>
    private sealed class Table
    {
        private readonly List<List<string>> rows;
        private readonly List<string> columns;
        private readonly bool hasHeading;

        public Table(RunList list)
        {
            rows = [.. ListRows.Of(list.NamesTyped).Select(r => r.ToList())];
            columns = [.. list.Columns];
            hasHeading = list.HasHeading;
            while (rows.Count > 0 && rows[^1].All(string.IsNullOrWhiteSpace))
            {
                rows.RemoveAt(rows.Count - 1);
            }
        }

        public bool IsChanged { get; private set; }

        public string Typed => ListRows.Typed(rows);

        public ListColumns Columns => new([.. columns], hasHeading);

        /// <summary>Replaces the row of a line, or takes it away; false where there is none.</summary>
        public bool Replace(ReadLine was, ReadLine? now)
        {
            var row = OrderRows.Row(was, columns);
            var at = columns.Count == 0 ? -1 : rows.FindIndex(hasHeading ? 1 : 0, r => IsSame(r, row));
            if (at < 0 || (now is not null && !Holds(now)))
            {
                return false;
            }

            if (now is null)
            {
                rows.RemoveAt(at);
            }
            else
            {
                // Columns that no order fills keep what stands in them.
                var (fresh, old) = (OrderRows.Row(now, columns), rows[at]);
                rows[at] =
                [
                    .. columns.Select(
                        (c, i) =>
                            c.Length > 0 ? fresh[i]
                            : i < old.Count ? old[i]
                            : ""
                    ),
                ];
            }

            return IsChanged = true;
        }

        /// <summary>Adds a line at the end; false where there is no room for it.</summary>
        public bool Add(ReadLine line)
        {
            if (columns.Count == 0 || rows.Count - (hasHeading ? 1 : 0) >= NameList.MostPieces || !Holds(line))
            {
                return false;
            }

            rows.Add([.. OrderRows.Row(line, columns)]);
            return IsChanged = true;
        }

        /// <summary>Sees to it that all a line says has a column.</summary>
        private bool Holds(ReadLine line)
        {
            foreach (var field in line.Values.Keys.Except(columns).Order(StringComparer.Ordinal).ToList())
            {
                if (!hasHeading || columns.Count >= ListRows.MostColumns)
                {
                    return false;
                }

                foreach (var row in rows)
                {
                    row.AddRange(Enumerable.Repeat("", Math.Max(0, columns.Count - row.Count)));
                    row.Add(row == rows[0] ? field : "");
                }

                columns.Add(field);
            }

            return line.Copies == 1 || columns.Contains(NameList.Quantity);
        }

        /// <summary>Whether a row says what a line says, as far as columns are of the order.</summary>
        private bool IsSame(List<string> row, IReadOnlyList<string> line) =>
            !columns.Where((c, i) => c.Length > 0 && CleanedText.Of(i < row.Count ? row[i] : "").Text != line[i]).Any();
    }
}
