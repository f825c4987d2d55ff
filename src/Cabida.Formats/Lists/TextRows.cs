using System.Globalization;
using Cabida.Core.Lists;
using Cabida.Core.Wording;
using CsvHelper;
using CsvHelper.Configuration;

namespace Cabida.Formats.Lists;

/// <summary>The rows of a text whose cells are parted by some character.</summary>
internal static class TextRows
{
    /// <summary>What parts cells, the likeliest first where several would do.</summary>
    private static readonly char[] Separators = ['\t', ';', ',', '|'];

    private const int LinesLookedAt = 40;

    public static Outcome<ReadList> Read(string name, byte[] file, ListFileReading reading)
    {
        var (text, encoding) = TextEncoding.Decoded(file, reading.Encoding);
        if (text.Any(c => c < ' ' && c is not ('\t' or '\r' or '\n' or '\f')))
        {
            return ListFile.Fail(Phrase.Say($"{name:strong} is no text and no spreadsheet. Save the list as XLSX or CSV."));
        }

        // What parts cells can be no quotation mark, line end or blank.
        var separator =
            reading.Separator is [var only] && only is not ('"' or '\r' or '\n' or ' ' or '\0') ? reading.Separator : SeparatorOf(text);
        var rows = new List<IReadOnlyList<string>>();
        var quotes = 0;
        using var parser = new CsvParser(
            new StringReader(text),
            new CsvConfiguration(CultureInfo.InvariantCulture)
            {
                Delimiter = separator.Length > 0 ? separator : "\t",
                BadDataFound = _ => quotes++,
                IgnoreBlankLines = false,
                MaxFieldSize = 0,
            }
        );
        while (rows.Count <= ListFile.MostRows && parser.Read())
        {
            rows.Add([.. (parser.Record ?? []).Take(ListRows.MostColumns)]);
        }

        if (rows.Count > ListFile.MostRows)
        {
            // How many there are is said; what is in them is not looked at.
            rows.AddRange(
                Enumerable.Repeat<IReadOnlyList<string>>(["…"], text.AsSpan().Count('\n') - rows.Count + (text.EndsWith('\n') ? 0 : 1))
            );
        }

        return Outcome<ReadList>.Of(
            new ReadList(
                [],
                new ListFileReading("", separator, encoding),
                rows,
                quotes == 0
                    ? []
                    :
                    [
                        Phrase.Say(
                            $"{quotes} {(quotes == 1 ? "row has" : "rows have")} a quotation mark in the middle of a cell; it was "
                                + $"kept as it stands."
                        ),
                    ]
            )
        );
    }

    /// <summary>The character that parts each line into the same number of cells; empty where lines are single cells.</summary>
    private static string SeparatorOf(string text)
    {
        var lines = text.ReplaceLineEndings("\n").Split('\n').Where(l => l.Trim().Length > 0).Take(LinesLookedAt).ToList();
        var best = Separators
            .Select(s => (Separator: s, Counts: lines.Select(l => Outside(l, s)).ToList()))
            .Where(s => s.Counts.Count(c => c > 0) * 2 > lines.Count)
            .Select(s => (s.Separator, Usual: s.Counts.GroupBy(c => c).OrderByDescending(g => g.Count()).First()))
            .Where(s => s.Usual.Key > 0)
            .OrderByDescending(s => s.Usual.Count())
            .ThenByDescending(s => s.Usual.Key)
            .Select(s => s.Separator.ToString())
            .FirstOrDefault();
        return best ?? "";
    }

    /// <summary>How often a character stands outside quotation marks.</summary>
    private static int Outside(string line, char separator)
    {
        var (count, quoted) = (0, false);
        foreach (var c in line)
        {
            quoted ^= c == '"';
            count += c == separator && !quoted ? 1 : 0;
        }

        return count;
    }
}
