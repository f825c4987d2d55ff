using System.Text;
using Cabida.Core.Lists;
using Cabida.Formats.Lists;

namespace Cabida.Formats.Tests.Lists;

public class ListFileTests
{
    private static readonly string[] Polish = ["Imię;Rola", "Łucja;kierowca", "Żaneta Świątek;konduktor", "Grażyna;„szef”"];
    private static readonly string[] Greek = ["Ιωάννα,οδηγός", "Νίκη,φύλακας", "Κωνσταντίνος,οδηγός"];
    private static readonly string[] Russian = ["Наташа\tкондуктор", "Борис\tводитель", "Екатерина Щукина\tводитель"];
    private static readonly string[] Western = ["Zoë-Marie;driver", "François;guard", "Jürgen Groß;driver", "Siân;guard"];

    [Theory]
    [InlineData("utf-8", 0)]
    [InlineData("utf-16", 0)]
    [InlineData("utf-16BE", 1)]
    [InlineData("windows-1250", 0)]
    [InlineData("windows-1253", 1)]
    [InlineData("windows-1251", 2)]
    [InlineData("windows-1252", 3)]
    public void A_text_in_any_usual_encoding_is_read_as_it_was_written(string encoding, int which)
    {
        Encoding.RegisterProvider(CodePagesEncodingProvider.Instance);
        var lines = new[] { Polish, Greek, Russian, Western }[which];
        var (text, code) = (string.Join("\r\n", lines), Encoding.GetEncoding(encoding));
        foreach (var file in new[] { code.GetBytes(text), [.. code.GetPreamble(), .. code.GetBytes(text + "\r\n\r\n")] })
        {
            var read = ListFile.Read("list.csv", file, ListFileReading.Guessed).Value;
            read.Reading.Encoding.ShouldBe(encoding);
            read.Rows.Select(r => string.Join(read.Reading.Separator, r)).ShouldBe(lines);
            read.Rows.ShouldAllBe(r => r.Count == 2);
        }
    }

    [Fact]
    public void Quoted_cells_keep_their_separators_and_lines()
    {
        var read = ListFile
            .Read(
                "l.csv",
                Encoding.UTF8.GetBytes("Name,Note\n\"Kowalska, Zofia\",\"two\nlines\"\nBram,\"says \"\"hi\"\"\"\nOsei,plain"),
                ListFileReading.Guessed
            )
            .Value;
        read.Rows[1].ShouldBe(["Kowalska, Zofia", "two\nlines"]);
        read.Rows[2][1].ShouldBe("says \"hi\"");
        ListRows.Typed(read.Rows).Split('\n').Length.ShouldBe(4);
    }

    [Fact]
    public void A_plain_list_of_names_is_one_column_even_with_commas_in_some() =>
        ListFile
            .Read("l.txt", Encoding.UTF8.GetBytes("Agnieszka\nKowalska, Zofia\nBram\nOsei\nSiân"), ListFileReading.Guessed)
            .Value.Rows.ShouldAllBe(r => r.Count == 1);

    [Fact]
    public void Another_separator_and_encoding_can_be_said()
    {
        var read = ListFile.Read("l.csv", Encoding.UTF8.GetBytes("a/b\nc/d"), new ListFileReading("", "/", "utf-8")).Value;
        read.Rows.ShouldBe([
            ["a", "b"],
            ["c", "d"],
        ]);
    }

    [Fact]
    public void A_spreadsheet_is_read_by_its_values_and_says_where_it_has_errors()
    {
        var file = Spreadsheet.Of(
            ("Cover", []),
            (
                "Crew",
                [
                    ["Name", "Year", "Quantity"],
                    ["Agnieszka", "2026", "2"],
                    ["=UPPER(\"x\")|Bram", "#REF!", "1"],
                    ["=A1", "1.5", ""],
                    ["", "", ""],
                ]
            )
        );
        var read = ListFile.Read("crew.xlsx", file, ListFileReading.Guessed).Value;
        read.Sheets.ShouldBe(["Cover", "Crew"]);
        read.Reading.Sheet.ShouldBe("Crew");
        read.Rows.ShouldBe([
            ["Name", "Year", "Quantity"],
            ["Agnieszka", "2026", "2"],
            ["Bram", "", "1"],
            ["", "1.5", ""],
        ]);
        read.Notes.ShouldHaveSingleItem().ToString().ShouldBe("1 cell holds an error instead of a value, and was left empty: B3 #REF!.");
        ListFile
            .Read("crew.xlsx", file, new ListFileReading("Nowhere", "", ""))
            .Problem!.ToString()
            .ShouldContain("no sheet called Nowhere");
    }

    [Fact]
    public void What_is_no_list_says_so()
    {
        string Problem(byte[] file) =>
            ListFile.Read("list.xlsx", file, ListFileReading.Guessed).Problem.ShouldNotBeNull($"{file.Length} bytes").ToString();
        Problem([]).ShouldContain("is empty");
        Problem([0x50, 0x4b, 3, 4, 9, 9, 9, 9]).ShouldContain("cannot be read as a spreadsheet");
        Problem(
                Spreadsheet.Of(
                    (
                        "One",
                        [
                            ["Name"],
                        ]
                    )
                )[..700]
            )
            .ShouldContain("cannot be read as a spreadsheet");
        Problem(Spreadsheet.Of(("One", []))).ShouldContain("no rows");
        Problem([1, 0, 0, 7, 200, 3, 0, 9]).ShouldContain("no text and no spreadsheet");
        Problem(Encoding.UTF8.GetBytes(" \n\t\n")).ShouldContain("no rows");
        Problem(Encoding.UTF8.GetBytes(string.Join('\n', Enumerable.Repeat("Bram,1", 50_000)))).ShouldContain("has 50000 rows");
    }

    [Fact]
    public void A_list_of_two_hundred_members_in_an_old_encoding_with_the_mistakes_that_lists_have()
    {
        var read = ListFile
            .Read("members-200.csv", File.ReadAllBytes(Path.Combine(Lists(), "members-200.csv")), ListFileReading.Guessed)
            .Value;
        read.Reading.ShouldBe(new ListFileReading("", ";", "windows-1250"));
        read.Rows.Count.ShouldBe(201);
        var columns = ListColumns.Guess(read.Rows, ["name", "role", "size"]);
        columns.Fields.ShouldBe(["name", "role", "size", "quantity"]);
        var list = NameList.Read(ListRows.Typed(read.Rows), columns, []);
        list.Pieces.Count.ShouldBe(199);
        list.Pieces.ShouldAllBe(p => "S M L XL".Contains(p.ValueOf("size")));
        string Of(int line) => string.Join(" | ", list.Notes.Where(n => n.Line == line).Select(n => n.Message));
        Of(11).ShouldContain("all in capitals");
        Of(21).ShouldContain("has no name");
        Of(31).ShouldContain("two is no number of pieces");
        Of(41).ShouldContain("ends in a mark");
        Of(51).ShouldContain("much longer than the rest");
        Of(61).ShouldContain("no capital");
        Of(71).ShouldContain("has a digit");
        Of(81).ShouldContain("repeats line 80");
    }

    private static string Lists()
    {
        var folder = new DirectoryInfo(AppContext.BaseDirectory);
        while (!Directory.Exists(Path.Combine(folder.FullName, "tests", "lists")))
        {
            folder = folder.Parent ?? throw new DirectoryNotFoundException("The lists of the tests are not there.");
        }

        return Path.Combine(folder.FullName, "tests", "lists");
    }

    [Theory]
    [InlineData("\"")]
    [InlineData("\n")]
    [InlineData("\r\n")]
    [InlineData(";;")]
    [InlineData("\0")]
    public void What_cannot_part_cells_is_guessed_instead(string separator)
    {
        var read = ListFile.Read("orders.csv", "Bram;2\nAda;1"u8.ToArray(), new ListFileReading("", separator, "")).Value;
        read.Reading.Separator.ShouldBe(";");
        read.Rows[1].ShouldBe(["Ada", "1"]);
    }

    [Fact]
    public void A_spreadsheet_that_unpacks_beyond_reason_is_refused_before_it_is_unpacked()
    {
        using var packed = new MemoryStream();
        using (var zip = new System.IO.Compression.ZipArchive(packed, System.IO.Compression.ZipArchiveMode.Create, leaveOpen: true))
        {
            using var sheet = zip.CreateEntry("xl/worksheets/sheet1.xml").Open();
            var blank = new byte[1_000_000];
            for (var i = 0; i < 130; i++)
            {
                sheet.Write(blank);
            }
        }

        ListFile.Read("bomb.xlsx", packed.ToArray(), ListFileReading.Guessed).Problem!.ToString().ShouldContain("unpacks to more than");
    }
}
