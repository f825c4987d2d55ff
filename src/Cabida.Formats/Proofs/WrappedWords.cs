namespace Cabida.Formats.Proofs;

/// <summary>Breaks words into rows of a width.</summary>
internal static class WrappedWords
{
    /// <summary>The rows; a word that is wider than a row has one of its own.</summary>
    /// <param name="words">The words.</param>
    /// <param name="most">How wide a row is.</param>
    /// <param name="widthOf">How wide words are.</param>
    public static IReadOnlyList<string> Of(string words, float most, Func<string, float> widthOf)
    {
        var (rows, row) = (new List<string>(), "");
        foreach (var word in words.Split(' ', StringSplitOptions.RemoveEmptyEntries))
        {
            var with = row.Length == 0 ? word : $"{row} {word}";
            if (row.Length > 0 && widthOf(with) > most)
            {
                rows.Add(row);
                with = word;
            }

            row = with;
        }

        if (row.Length > 0)
        {
            rows.Add(row);
        }

        return rows;
    }
}
