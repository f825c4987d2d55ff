using Cabida.Core.Lists;
using Cabida.Core.Wording;

namespace Cabida.Formats.Lists;

/// <summary>How a list file is to be read; what is empty is guessed.</summary>
/// <param name="Sheet">The sheet of a spreadsheet.</param>
/// <param name="Separator">What parts the cells of a text.</param>
/// <param name="Encoding">How the letters of a text are stored.</param>
public sealed record ListFileReading(string Sheet, string Separator, string Encoding)
{
    /// <summary>All is guessed.</summary>
    public static ListFileReading Guessed { get; } = new("", "", "");
}

/// <summary>A list read from a file.</summary>
/// <param name="Sheets">The sheets of a spreadsheet; none of a text.</param>
/// <param name="Reading">How it was read.</param>
/// <param name="Rows">Its rows as cells, rows without anything left out at the end.</param>
/// <param name="Notes">What was noticed on the way.</param>
public sealed record ReadList(
    IReadOnlyList<string> Sheets,
    ListFileReading Reading,
    IReadOnlyList<IReadOnlyList<string>> Rows,
    IReadOnlyList<Phrase> Notes
);

/// <summary>Reads lists of names from spreadsheets and from texts with any separator and encoding.</summary>
public static class ListFile
{
    /// <summary>Larger files are refused.</summary>
    public const int MostBytes = 20_000_000;

    /// <summary>The most rows that are taken from a file.</summary>
    public const int MostRows = 20_000;

    /// <summary>Reads a file.</summary>
    /// <param name="name">Its name, for what is said about it.</param>
    /// <param name="file">Its bytes.</param>
    /// <param name="reading">How to read it.</param>
    public static Outcome<ReadList> Read(string name, byte[] file, ListFileReading reading)
    {
        ArgumentNullException.ThrowIfNull(file);
        ArgumentNullException.ThrowIfNull(reading);
        if (file.Length is 0 or > MostBytes)
        {
            return Fail(
                file.Length == 0
                    ? Phrase.Say($"{name:strong} is empty.")
                    : Phrase.Say($"{name:strong} has {file.Length / 1e6:0} MB; a list of more than {MostBytes / 1e6:0} MB is not read.")
            );
        }

        var read = IsSpreadsheet(file) ? SpreadsheetRows.Read(name, file, reading.Sheet) : TextRows.Read(name, file, reading);
        if (read.Problem is not null)
        {
            return read;
        }

        var rows = read.Value.Rows.ToList();
        while (rows.Count > 0 && rows[^1].All(c => CleanedText.Of(c).Text.Length == 0))
        {
            rows.RemoveAt(rows.Count - 1);
        }

        return rows.Count == 0 ? Fail(Phrase.Say($"{name:strong} has no rows with anything in them."))
            : rows.Count > MostRows
                ? Fail(
                    Phrase.Say(
                        $"{name:strong} has {rows.Count} rows; no more than {MostRows} are taken from a file, and a run holds "
                            + $"{NameList.MostPieces} names. Save the part you need as a file of its own."
                    )
                )
            : Outcome<ReadList>.Of(read.Value with { Rows = rows });
    }

    internal static Outcome<ReadList> Fail(Phrase why) => Outcome<ReadList>.Fail(why);

    /// <summary>Spreadsheets are packed (zip) or compound files.</summary>
    private static bool IsSpreadsheet(byte[] file) => file is [0x50, 0x4b, 3, 4, ..] or [0xd0, 0xcf, 0x11, 0xe0, ..];
}
