using System.IO.Compression;
using System.Security;
using System.Text;

namespace Cabida.Formats.Tests.Lists;

/// <summary>Writes small spreadsheets (ECMA-376) for tests: texts, numbers, formulas with and without their value, errors.</summary>
internal static class Spreadsheet
{
    /// <summary>
    /// A workbook of sheets; a cell that starts with = is a formula, with its value after a bar; one that starts with # an error.
    /// </summary>
    public static byte[] Of(params (string Name, string[][] Rows)[] sheets)
    {
        using var memory = new MemoryStream();
        using (var zip = new ZipArchive(memory, ZipArchiveMode.Create, leaveOpen: true))
        {
            Add(
                zip,
                "[Content_Types].xml",
                $"""<Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types"><Default Extension="rels" ContentType="application/vnd.openxmlformats-package.relationships+xml"/><Default Extension="xml" ContentType="application/xml"/><Override PartName="/xl/workbook.xml" ContentType="application/vnd.openxmlformats-officedocument.spreadsheetml.sheet.main+xml"/>{string.Concat(sheets.Select((_, i) => $"""<Override PartName="/xl/worksheets/sheet{i + 1}.xml" ContentType="application/vnd.openxmlformats-officedocument.spreadsheetml.worksheet+xml"/>"""))}</Types>"""
            );
            Add(
                zip,
                "_rels/.rels",
                """<Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships"><Relationship Id="r1" Type="http://schemas.openxmlformats.org/officeDocument/2006/relationships/officeDocument" Target="xl/workbook.xml"/></Relationships>"""
            );
            Add(
                zip,
                "xl/workbook.xml",
                $"""<workbook xmlns="http://schemas.openxmlformats.org/spreadsheetml/2006/main" xmlns:r="http://schemas.openxmlformats.org/officeDocument/2006/relationships"><sheets>{string.Concat(sheets.Select((s, i) => $"""<sheet name="{SecurityElement.Escape(s.Name)}" sheetId="{i + 1}" r:id="s{i + 1}"/>"""))}</sheets></workbook>"""
            );
            Add(
                zip,
                "xl/_rels/workbook.xml.rels",
                $"""<Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships">{string.Concat(sheets.Select((_, i) => $"""<Relationship Id="s{i + 1}" Type="http://schemas.openxmlformats.org/officeDocument/2006/relationships/worksheet" Target="worksheets/sheet{i + 1}.xml"/>"""))}</Relationships>"""
            );
            for (var i = 0; i < sheets.Length; i++)
            {
                Add(
                    zip,
                    $"xl/worksheets/sheet{i + 1}.xml",
                    $"""<worksheet xmlns="http://schemas.openxmlformats.org/spreadsheetml/2006/main"><sheetData>{string.Concat(sheets[i].Rows.Select((r, y) => $"<row r=\"{y + 1}\">{string.Concat(r.Select((c, x) => Cell(c, $"{(char)('A' + x)}{y + 1}")))}</row>"))}</sheetData></worksheet>"""
                );
            }
        }

        return memory.ToArray();
    }

    private static string Cell(string cell, string at) =>
        cell switch
        {
            "" => "",
            ['#', ..] => $"<c r=\"{at}\" t=\"e\"><f>A99</f><v>{cell}</v></c>",
            ['=', ..] when cell.Split('|') is [var formula, var value] =>
                $"<c r=\"{at}\" t=\"str\"><f>{SecurityElement.Escape(formula[1..])}</f><v>{SecurityElement.Escape(value)}</v></c>",
            ['=', ..] => $"<c r=\"{at}\"><f>{SecurityElement.Escape(cell[1..])}</f></c>",
            _ when double.TryParse(cell, System.Globalization.CultureInfo.InvariantCulture, out _) => $"<c r=\"{at}\"><v>{cell}</v></c>",
            _ => $"<c r=\"{at}\" t=\"inlineStr\"><is><t xml:space=\"preserve\">{SecurityElement.Escape(cell)}</t></is></c>",
        };

    private static void Add(ZipArchive zip, string name, string text)
    {
        using var entry = zip.CreateEntry(name).Open();
        entry.Write(Encoding.UTF8.GetBytes(text));
    }
}
