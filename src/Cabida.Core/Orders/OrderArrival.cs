namespace Cabida.Core.Orders;

/// <summary>How an order that comes in stands to what is there.</summary>
public enum ArrivalKind
{
    /// <summary>It was not here before.</summary>
    New,

    /// <summary>It came before, saying the same.</summary>
    Same,

    /// <summary>It says something else than when it came last.</summary>
    Corrected,

    /// <summary>It says what it said before it was corrected: an old file. It changes nothing.</summary>
    Older,
}

/// <summary>An order as it is once it came in.</summary>
/// <param name="Kind">How it stands to what was there.</param>
/// <param name="Order">The order as it is kept.</param>
public sealed record OrderArrival(ArrivalKind Kind, Order Order)
{
    /// <summary>Takes in an order that came.</summary>
    /// <param name="there">The order as it is here; null where it is not.</param>
    /// <param name="number">Its number.</param>
    /// <param name="sheet">What it says.</param>
    /// <param name="from">Where it came from.</param>
    /// <param name="on">When.</param>
    public static OrderArrival Of(Order? there, string number, OrderSheet sheet, string from, string on)
    {
        var key = OrderKeys.Of(sheet);
        if (there is null)
        {
            return new OrderArrival(
                ArrivalKind.New,
                new Order(number, sheet)
                {
                    From = from,
                    On = on,
                    Came = sheet,
                    Past = [key],
                }
            );
        }

        if (there.Past.Count > 0 && there.Past[^1] == key)
        {
            return new OrderArrival(ArrivalKind.Same, there);
        }

        return there.Past.Contains(key)
            ? new OrderArrival(ArrivalKind.Older, there)
            : new OrderArrival(
                ArrivalKind.Corrected,
                there with
                {
                    Sheet = Mended(there, sheet),
                    Came = sheet,
                    From = from,
                    On = on,
                    Past = [.. there.Past.TakeLast(Order.MostPast - 1), key],
                    IsAside = false,
                }
            );
    }

    /// <summary>What came, with the lines that were mended by hand and still come as they came then.</summary>
    private static OrderSheet Mended(Order there, OrderSheet sheet)
    {
        if (there.Came is not { } came || came.Lines.Count != there.Sheet.Lines.Count)
        {
            return sheet;
        }

        var mends = came
            .Lines.Zip(there.Sheet.Lines)
            .Where(l => OrderKeys.Of(l.First) != OrderKeys.Of(l.Second))
            .DistinctBy(l => OrderKeys.Of(l.First))
            .ToDictionary(l => OrderKeys.Of(l.First), l => l.Second, StringComparer.Ordinal);
        return sheet with
        {
            Due = came.Due == sheet.Due ? there.Sheet.Due : sheet.Due,
            Customer = came.Customer == sheet.Customer ? there.Sheet.Customer : sheet.Customer,
            Lines = [.. sheet.Lines.Select(l => mends.GetValueOrDefault(OrderKeys.Of(l), l))],
        };
    }
}
