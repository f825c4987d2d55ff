using System.Security.Cryptography;
using System.Text;
using Cabida.Core.Lists;

namespace Cabida.Core.Orders;

/// <summary>By what an order, and what it says, are known again.</summary>
public static class OrderKeys
{
    private const int IdLetters = 16;

    /// <summary>The id of the order with a number, however it is written: large or small, with blanks around it.</summary>
    /// <param name="number">The number.</param>
    public static string IdOf(string number) => Hash(CleanedText.Of(number).Text.ToUpperInvariant())[..IdLetters];

    /// <summary>What an order says as one key: two orders say the same exactly if their keys are the same.</summary>
    /// <param name="sheet">What it says.</param>
    public static string Of(OrderSheet sheet)
    {
        ArgumentNullException.ThrowIfNull(sheet);
        var text = new StringBuilder();
        void Add(string part) => text.Append(part.Length).Append(':').Append(part);
        Add(sheet.Customer);
        Add(sheet.Due);
        Add(sheet.Note);
        foreach (var line in sheet.Lines)
        {
            Add(Of(line));
        }

        return Hash(text.ToString());
    }

    /// <summary>What a line says as one text.</summary>
    /// <param name="line">The line.</param>
    public static string Of(OrderLine line)
    {
        ArgumentNullException.ThrowIfNull(line);
        var text = new StringBuilder();
        void Add(string part) => text.Append(part.Length).Append(':').Append(part);
        Add(line.Offer);
        Add(line.Quantity.Length == 0 ? "1" : line.Quantity);
        // A field that says nothing is as if it were not there; the order of headings says nothing either.
        foreach (var (field, value) in line.Fields.Where(f => f.Value.Length > 0).OrderBy(f => f.Key, StringComparer.Ordinal))
        {
            Add(field);
            Add(value);
        }

        return text.ToString();
    }

    private static string Hash(string text) => Convert.ToHexStringLower(SHA256.HashData(Encoding.UTF8.GetBytes(text)));
}
