using Cabida.Core.Orders;
using Cabida.Core.Wording;
using Cabida.Formats.Lists;

namespace Cabida.Formats.Orders;

/// <summary>Reads orders from JSON, from texts with any separator and encoding, and from spreadsheets (docs/order-file.md).</summary>
public static class OrderFile
{
    /// <summary>Reads a file.</summary>
    /// <param name="name">Its name: what an order is called that has no number of its own, and for what is said about it.</param>
    /// <param name="file">Its bytes; bounded as lists are.</param>
    public static Outcome<CameOrders> Read(string name, byte[] file)
    {
        ArgumentNullException.ThrowIfNull(name);
        ArgumentNullException.ThrowIfNull(file);
        if (OrderJson.LooksLikeIt(file))
        {
            return OrderJson.Read(name, file);
        }

        var list = ListFile.Read(name, file, ListFileReading.Guessed);
        if (list.Problem is { } unread)
        {
            return Outcome<CameOrders>.Fail(unread);
        }

        var came = OrderTable.Of(list.Value.Rows, Path.GetFileNameWithoutExtension(name));
        return Outcome<CameOrders>.Of(came with { Notes = [.. list.Value.Notes, .. came.Notes] });
    }
}
