namespace Cabida.Devices.Shop;

/// <summary>Cells of a table of commas (RFC 4180).</summary>
internal static class CsvText
{
    /// <summary>A cell, in quotation marks where it must be. What a spreadsheet would take for a formula is kept a text.</summary>
    public static string Cell(string text, char separator = ',')
    {
        var safe = text.Length > 0 && text[0] is '=' or '+' or '-' or '@' ? $"'{text}" : text;
        return safe.AsSpan().IndexOfAny($"\"\r\n{separator}") >= 0 ? $"\"{safe.Replace("\"", "\"\"", StringComparison.Ordinal)}\"" : safe;
    }
}
