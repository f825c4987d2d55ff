namespace Cabida.Core.Lists;

/// <summary>A list as rows of cells. Lines part rows, tabs part cells, as spreadsheets paste them.</summary>
public static class ListRows
{
    /// <summary>The most columns that are looked at.</summary>
    public const int MostColumns = 24;

    /// <summary>The rows of a typed list, in order, empty ones too.</summary>
    public static IReadOnlyList<IReadOnlyList<string>> Of(string typed)
    {
        ArgumentNullException.ThrowIfNull(typed);
        return
        [
            .. typed.ReplaceLineEndings("\n").Split('\n').Select(line => (IReadOnlyList<string>)[.. line.Split('\t').Take(MostColumns)]),
        ];
    }

    /// <summary>Rows as a list is typed: what would part cells or rows within a cell becomes a blank.</summary>
    public static string Typed(IEnumerable<IReadOnlyList<string>> rows)
    {
        ArgumentNullException.ThrowIfNull(rows);
        return string.Join('\n', rows.Select(r => string.Join('\t', r.Select(c => c.ReplaceLineEndings(" ").Replace('\t', ' ')))));
    }
}
