using Cabida.Core.Lists;
using Cabida.Core.Motifs;
using Cabida.Core.Runs;

namespace Cabida.Core.Pieces;

/// <summary>What is kept of a run that comes in: the pieces that its list makes, with what belongs to them.</summary>
public static class IncomingRun
{
    /// <summary>The run as it is kept.</summary>
    /// <param name="incoming">As it comes in.</param>
    /// <param name="stored">As it was.</param>
    /// <param name="motif">The motif that it comes with; null where none is chosen.</param>
    /// <param name="films">The films that its motifs name, as it pins them.</param>
    public static Run Of(Run incoming, Run stored, Motif? motif, IReadOnlyList<Pin> films)
    {
        ArgumentNullException.ThrowIfNull(incoming);
        ArgumentNullException.ThrowIfNull(stored);
        return new Run(
            // The job of a run does not change, and its verdicts are given by commands of their own.
            incoming.SetUp with
            {
                JobId = stored.SetUp.JobId,
                Films = films,
                Sides = ToldApart(incoming.SetUp.Sides),
            },
            // A list that did not come in stays to the letter, whatever a newer version would read in it.
            ReferenceEquals(incoming.List, stored.List) ? stored.List : ListOf(incoming.List, stored, motif),
            stored.Verdicts
        );
    }

    /// <summary>Sides with an id each: one whose id is taken is given another.</summary>
    private static List<RunSide> ToldApart(IReadOnlyList<RunSide> sides)
    {
        var taken = new HashSet<string>(StringComparer.Ordinal) { "" };
        return
        [
            .. sides.Select(s =>
                taken.Add(s.Id) ? s : s with { Id = Enumerable.Range(2, sides.Count + 1).Select(n => $"side-{n}").First(taken.Add) }
            ),
        ];
    }

    /// <summary>The list makes the pieces; lines that were there keep theirs.</summary>
    private static RunList ListOf(RunList incoming, Run stored, Motif? motif)
    {
        var columns = ColumnsOf(incoming, stored.List, motif);
        var pieces = NameList.Read(incoming.NamesTyped, columns, incoming.Pieces, stored.List.Away).Pieces;
        return incoming with
        {
            Away = NameList.AwayAfter(stored.List.Pieces, stored.List.Away, pieces, stored.Verdicts),
            Columns = columns.Fields,
            HasHeading = columns.HasHeading,
            Pieces = pieces,
        };
    }

    /// <summary>What the maker said the columns are; for a list that has come to have columns, or has none any more, a guess.</summary>
    private static ListColumns ColumnsOf(RunList incoming, RunList stored, Motif? motif)
    {
        var tabs = incoming.NamesTyped.Contains('\t', StringComparison.Ordinal);
        if (!tabs && incoming.Columns.Count > 1)
        {
            return ListColumns.NamesOnly;
        }

        if (!tabs || incoming.Columns.Count > 0 || (stored.NamesTyped == incoming.NamesTyped && stored.Columns.Count == 0))
        {
            // A list that came to be wider has columns more, which are left out until something is said of them.
            var width = tabs ? ListRows.Of(incoming.NamesTyped).Max(r => r.Count) : 0;
            var more = incoming.Columns.Count > 0 ? Math.Max(0, width - incoming.Columns.Count) : 0;
            var columns = new ListColumns([.. incoming.Columns, .. Enumerable.Repeat("", more)], incoming.HasHeading);
            // Another list may bring a heading with it that says just what the columns are.
            var isHeading = tabs && stored.NamesTyped != incoming.NamesTyped && columns.IsHeading(ListRows.Of(incoming.NamesTyped)[0]);
            return isHeading ? columns with { HasHeading = true } : columns;
        }

        return ListColumns.Guess(ListRows.Of(incoming.NamesTyped), [.. (motif is null ? [] : Fields.In(motif)).Append(NameList.Size)]);
    }
}
