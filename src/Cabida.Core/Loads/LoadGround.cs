using Cabida.Core.Geometry;
using Cabida.Core.Layout;
using Cabida.Core.Measures;
using Cabida.Core.Stock;
using Cabida.Core.Wording;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Loads;

/// <summary>
/// What lies in a cutter: the carrier as it is sold, what of it is reached, the stock on it, and where pieces may lie: reach and stock less
/// the stock's margin (calculations 6.6). Millimetres from the lower left of the reach, y up, as files have it.
/// </summary>
/// <param name="Nominal">The carrier, or the film between rollers.</param>
/// <param name="Reach">What is cut of it.</param>
/// <param name="Stock">The stock.</param>
/// <param name="Ground">Where pieces may lie.</param>
/// <param name="IsRoll">Whether only as much of its length is used as it takes.</param>
/// <param name="Lead">What stays clear at the beginning of a roll.</param>
/// <param name="Tail">What stays clear at its end.</param>
public sealed record LoadGround(Box Nominal, Box Reach, Area Stock, Area Ground, bool IsRoll, double Lead, double Tail)
{
    /// <summary>The place of a stock item on a carrier, or why there is none.</summary>
    /// <param name="carrier">The carrier.</param>
    /// <param name="item">
    /// What lies on it, its lower left in the lower left of the carrier; what is larger lies in its middle, and what was scanned there
    /// as it was.
    /// </param>
    /// <param name="margin">What stays clear along the stock's edges.</param>
    public static Outcome<LoadGround> On(Carrier carrier, StockItem item, double margin)
    {
        ArgumentNullException.ThrowIfNull(carrier);
        ArgumentNullException.ThrowIfNull(item);
        if (
            Read(carrier.ReachWidth, LengthRange.Object) is not { } width
            || Read(carrier.ReachLength, LengthRange.Object) is not { } length
        )
        {
            return Outcome<LoadGround>.Fail(
                Phrase.Say($"What is reached on {carrier.Name:strong} is not known. Type both of its lengths.")
            );
        }

        var nominalWidth = Read(carrier.Width, LengthRange.Object) ?? width;
        var nominalLength = Read(carrier.Length, LengthRange.Object) ?? length;
        var left = Read(carrier.Left, LengthRange.Margin) ?? Math.Max(0, (nominalWidth - width) / 2);
        var foot = Read(carrier.Foot, LengthRange.Margin) ?? Math.Max(0, (nominalLength - length) / 2);
        // What is larger than the carrier hangs over its edges alike.
        double Over(double nominal, double size) => Math.Min(0, (nominal - size) / 2);
        return item.Shape() is { Ok: true } shape && Box.Of(shape.Value) is { } box
            ? Of(
                new Box(-left, -foot, nominalWidth - left, nominalLength - foot),
                new Box(0, 0, width, length),
                Outlines.Moved(
                    shape.Value,
                    item.LiesAt is { } at && item.Form == StockForm.OffCut
                        ? Motion.Move(at.X, at.Y)
                        : Motion.Move(
                            Over(nominalWidth, box.Width) - left,
                            (item.Form == StockForm.Roll ? 0 : Over(nominalLength, box.Height)) - foot
                        )
                ),
                margin,
                item.Form == StockForm.Roll,
                0,
                0
            )
            : Outcome<LoadGround>.Fail(item.Shape().Problem!);
    }

    /// <summary>The place of a stock item between rollers, its middle in theirs; or why there is none.</summary>
    /// <param name="rollers">The rollers.</param>
    /// <param name="item">What lies between them.</param>
    /// <param name="margin">What stays clear along the stock's edges.</param>
    public static Outcome<LoadGround> Between(Rollers rollers, StockItem item, double margin)
    {
        ArgumentNullException.ThrowIfNull(rollers);
        ArgumentNullException.ThrowIfNull(item);
        if (Read(rollers.Width, LengthRange.Object) is not { } width || Read(rollers.Longest, StockItem.RollLength) is not { } longest)
        {
            return Outcome<LoadGround>.Fail(Phrase.Say($"How wide and how long it cuts without a carrier is not known. Type both."));
        }

        if (item.Shape() is { Ok: false } unread)
        {
            return Outcome<LoadGround>.Fail(unread.Problem!);
        }

        var (lead, tail) = (Read(rollers.Lead, LengthRange.Margin) ?? 0, Read(rollers.Tail, LengthRange.Margin) ?? 0);
        var shape = item.Shape().Value;
        var box = Box.Of(shape)!.Value;
        var stock = Outlines.Moved(shape, Motion.Move((width - box.Width) / 2, 0));
        var end = Math.Min(longest, box.Height - tail);
        return end <= lead
            ? Outcome<LoadGround>.Fail(
                Phrase.Say(
                    $"{Measures.Length.Mm(box.Height)} of it are left, and lead and tail take "
                        + $"{Measures.Length.Mm(lead + tail)}: nothing is cut of it."
                )
            )
            : Of(new Box(0, 0, width, box.Height), new Box(0, lead, width, end), stock, margin, item.Form == StockForm.Roll, lead, tail);
    }

    /// <summary>It where no more of it can be cut than lies in an area; null for no such bound.</summary>
    public Outcome<LoadGround> Within(Area? cut)
    {
        var ground = cut is null ? Ground : Outlines.Within(Ground, cut);
        return ground.IsEmpty ? Outcome<LoadGround>.Fail(NotReached) : Outcome<LoadGround>.Of(this with { Ground = ground });
    }

    /// <summary>It as a place for the layout.</summary>
    /// <param name="count">How many there are of it.</param>
    public LayPlace Place(int count) => new(Ground, count, IsRoll);

    private static Outcome<LoadGround> Of(Box nominal, Box reach, Area stock, double margin, bool isRoll, double lead, double tail)
    {
        // Shrunk with round corners by an exact disc: what lies in it keeps the margin from any edge.
        var safe = margin > 0 ? Outlines.Grown(stock, -margin, Tolerances.Fit) : stock;
        var ground = Outlines.Within(safe, Outlines.Rectangle(reach));
        if (ground.IsEmpty)
        {
            var box = Box.Of(stock)!.Value;
            return Outcome<LoadGround>.Fail(
                safe.IsEmpty
                    ? Phrase.Say(
                        $"It is {Measures.Length.Mm(box.Width)} × {Measures.Length.Mm(box.Height)}, and its margin of "
                            + $"{Measures.Length.Mm(margin)} leaves nothing of it."
                    )
                    : NotReached
            );
        }

        return Outcome<LoadGround>.Of(new LoadGround(nominal, reach, stock, ground, isRoll, lead, tail));
    }

    private static Phrase NotReached => Phrase.Say($"It lies where the cutter does not reach.");

    private static double? Read(TypedLength typed, LengthRange range) =>
        typed.IsEmpty ? null : typed.Read(range).ValueOrDefault?.Value.Millimetres;
}
