using System.IO.Compression;
using System.Xml;
using System.Xml.Linq;

namespace Cabida.Formats.Lists;

/// <summary>
/// The cells of a spreadsheet whose formula fails: they have no value, and whoever reads the values alone would take them for empty.
/// </summary>
internal static class SpreadsheetErrors
{
    private static readonly XNamespace Relations = "http://schemas.openxmlformats.org/officeDocument/2006/relationships";

    /// <summary>The cells with errors on a sheet, as <c>B3 #REF!</c>; none where the file is of the old, unpacked kind.</summary>
    public static IReadOnlyList<string> On(byte[] file, string sheet)
    {
        if (file is not [0x50, 0x4b, ..])
        {
            return [];
        }

        using var zip = new ZipArchive(new MemoryStream(file, writable: false));
        var id = Xml(zip, "xl/workbook.xml")
            ?.Descendants()
            .FirstOrDefault(e => e.Name.LocalName == "sheet" && (string?)e.Attribute("name") == sheet)
            ?.Attribute(Relations + "id")
            ?.Value;
        var target = Xml(zip, "xl/_rels/workbook.xml.rels")
            ?.Root?.Elements()
            .FirstOrDefault(e => (string?)e.Attribute("Id") == id)
            ?.Attribute("Target")
            ?.Value;
        var part = target is null ? null : zip.GetEntry(target.StartsWith('/') ? target[1..] : $"xl/{target}");
        return part is null ? [] : Cells(part);
    }

    private static List<string> Cells(ZipArchiveEntry part)
    {
        var cells = new List<string>();
        using var stream = part.Open();
        using var xml = XmlReader.Create(stream, Safe);
        while (xml.Read())
        {
            // A cell of type e holds an error (ECMA-376, part 1, 18.18.11).
            if (xml is { NodeType: XmlNodeType.Element, LocalName: "c" } && xml.GetAttribute("t") == "e")
            {
                var at = xml.GetAttribute("r") ?? "";
                using var cell = xml.ReadSubtree();
                cells.Add(cell.ReadToDescendant("v", xml.NamespaceURI) ? $"{at} {cell.ReadElementContentAsString()}" : at);
            }
        }

        return cells;
    }

    private static XmlReaderSettings Safe => new() { DtdProcessing = DtdProcessing.Prohibit, XmlResolver = null };

    private static XDocument? Xml(ZipArchive zip, string name)
    {
        if (zip.GetEntry(name) is not { } entry)
        {
            return null;
        }

        using var stream = entry.Open();
        using var xml = XmlReader.Create(stream, Safe);
        return XDocument.Load(xml);
    }
}
