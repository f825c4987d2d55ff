using System.Globalization;
using System.IO.Compression;
using System.Text;
using Cabida.Core.Lists;
using Cabida.Core.Wording;
using ExcelDataReader;
using ExcelDataReader.Exceptions;

namespace Cabida.Formats.Lists;

/// <summary>The rows of a sheet of a spreadsheet, each cell as its value is shown.</summary>
internal static class SpreadsheetRows
{
    private const int MostErrorsNamed = 5;

    /// <summary>
    /// A packed spreadsheet may not become larger than this when it is unpacked: a list of ten thousand rows is a few million bytes.
    /// </summary>
    private const long MostUnpacked = 120_000_000;

    public static Outcome<ReadList> Read(string name, byte[] file, string sheet)
    {
        // Old spreadsheets store letters in code pages.
        Encoding.RegisterProvider(CodePagesEncodingProvider.Instance);
        try
        {
            if (Unpacked(file) > MostUnpacked)
            {
                return ListFile.Fail(
                    Phrase.Say(
                        $"{name:strong} unpacks to more than {MostUnpacked / 1_000_000} MB; that is no list of names. Save the rows "
                            + $"you need as CSV."
                    )
                );
            }

            using var stream = new MemoryStream(file, writable: false);
            using var reader = ExcelReaderFactory.CreateReader(stream);
            var sheets = new List<string>();
            (string Name, List<IReadOnlyList<string>> Rows)? chosen = null;
            do
            {
                sheets.Add(reader.Name);
                if (sheet.Length == 0 ? chosen is null or { Rows.Count: 0 } : sheet == reader.Name)
                {
                    chosen = (reader.Name, [.. RowsOf(reader)]);
                }
            } while (reader.NextResult());

            if (chosen is not { } found)
            {
                return ListFile.Fail(Phrase.Say($"{name:strong} has no sheet called {sheet:strong}."));
            }

            var errors = SpreadsheetErrors.On(file, found.Name);
            var notes =
                errors.Count == 0
                    ? Array.Empty<Phrase>()
                    :
                    [
                        Phrase.Say(
                            $"{errors.Count} {(errors.Count == 1 ? "cell holds an error" : "cells hold errors")} instead of a "
                                + $"value, and {(errors.Count == 1 ? "was" : "were")} left empty: "
                                + $"{string.Join(", ", errors.Take(MostErrorsNamed))}{(errors.Count > MostErrorsNamed ? " …" : "")}."
                        ),
                    ];
            return Outcome<ReadList>.Of(new ReadList(sheets, new ListFileReading(found.Name, "", ""), found.Rows, notes));
        }
        catch (Exception e)
            when (e
                    is ExcelReaderException
                        or InvalidDataException
                        or System.Xml.XmlException
                        or IOException
                        or ArgumentException
                        or FormatException
                        or NullReferenceException
                        or IndexOutOfRangeException
                        or NotSupportedException
            )
        {
            return ListFile.Fail(
                Phrase.Say(
                    $"{name:strong} cannot be read as a spreadsheet: it is damaged, protected, or of another kind. Save it as XLSX or CSV."
                )
            );
        }
    }

    /// <summary>How many bytes a packed spreadsheet becomes, as its own directory says; zero for one that is not packed.</summary>
    private static long Unpacked(byte[] file)
    {
        if (file is not [0x50, 0x4b, 3, 4, ..])
        {
            return 0;
        }

        using var zip = new ZipArchive(new MemoryStream(file, writable: false));
        return zip.Entries.Sum(e => e.Length);
    }

    private static IEnumerable<IReadOnlyList<string>> RowsOf(IExcelDataReader reader)
    {
        var row = 0;
        while (reader.Read() && row++ <= ListFile.MostRows)
        {
            var cells = new List<string>();
            for (var i = 0; i < Math.Min(reader.FieldCount, ListRows.MostColumns); i++)
            {
                cells.Add(Shown(reader.GetValue(i)));
            }

            yield return cells;
        }
    }

    private static string Shown(object? value) =>
        value switch
        {
            null => "",
            // Whole numbers as they are typed; a year or a quantity is no decimal.
            double d => d.ToString("0.############", CultureInfo.InvariantCulture),
            DateTime day => day.ToString(day.TimeOfDay == TimeSpan.Zero ? "yyyy-MM-dd" : "yyyy-MM-dd HH:mm", CultureInfo.InvariantCulture),
            IFormattable other => other.ToString(null, CultureInfo.InvariantCulture),
            _ => value.ToString() ?? "",
        };
}
