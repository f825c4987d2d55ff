using System.Globalization;
using Cabida.Core.Geometry;
using Cabida.Core.Layout;
using Cabida.Core.Measures;
using Cabida.Core.Stock;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Plans;

/// <summary>An off-cut that a load leaves.</summary>
/// <param name="Load">The load, from 0.</param>
/// <param name="Box">It, as it lies; millimetres from the lower left of the reach.</param>
public readonly record struct LeftOver(int Load, Box Box);

/// <summary>What becomes of stock when loads are cut from it (calculations 6.9).</summary>
public static class StockAfter
{
    /// <summary>How far off-cuts keep from what was cut; millimetres.</summary>
    public const double Apart = 5;

    /// <summary>What is less wide or long than this is not kept, unless by hand; millimetres.</summary>
    public const double LeastSide = 60;

    private const double Rounded = 0.5;

    /// <summary>A load as far as stock is concerned.</summary>
    /// <param name="Place">What it is of.</param>
    /// <param name="Taken">What is cut of it; millimetres from the lower left of the reach.</param>
    /// <param name="CutOff">How much of a roll it takes.</param>
    public sealed record Load(PlanPlace Place, IReadOnlyList<Area> Taken, double CutOff);

    /// <summary>The off-cuts that a load leaves, the largest first; a roll leaves none beside its rest.</summary>
    /// <param name="load">The load.</param>
    public static IReadOnlyList<Box> OffCuts(Load load)
    {
        ArgumentNullException.ThrowIfNull(load);
        if (load.Place.Item.Form == StockForm.Roll)
        {
            return [];
        }

        var grown = load.Taken.Select(t => Outlines.Grown(t, Apart, Tolerances.Check)).ToList();
        return FreeRectangles.Of(Outlines.Without(load.Place.Ground.Stock, Outlines.Join(grown)), LeastSide);
    }

    /// <summary>How much of a roll a load takes: up to the top of what is cut, with lead and tail.</summary>
    /// <param name="place">The roll as it lies.</param>
    /// <param name="taken">What is cut of it.</param>
    public static double CutOff(PlanPlace place, IReadOnlyList<Area> taken)
    {
        ArgumentNullException.ThrowIfNull(place);
        ArgumentNullException.ThrowIfNull(taken);
        if (place.Item.Form != StockForm.Roll || taken.Count == 0)
        {
            return 0;
        }

        var stock = Box.Of(place.Ground.Stock)!.Value;
        var top = taken.Max(t => Box.Of(t)!.Value.MaxY);
        return Math.Min(stock.Height, top - stock.MinY + place.Ground.Tail);
    }

    /// <summary>The stock once loads are cut.</summary>
    /// <param name="stock">What there is.</param>
    /// <param name="loads">The loads.</param>
    /// <param name="kept">The off-cuts that are kept.</param>
    /// <param name="note">Where they come from.</param>
    /// <param name="freshId">Ids for them.</param>
    public static FilmStock Of(FilmStock stock, IReadOnlyList<Load> loads, IReadOnlyList<LeftOver> kept, string note, Func<string> freshId)
    {
        ArgumentNullException.ThrowIfNull(stock);
        ArgumentNullException.ThrowIfNull(loads);
        ArgumentNullException.ThrowIfNull(kept);
        ArgumentNullException.ThrowIfNull(freshId);
        var items = stock.Items.ToList();
        foreach (var taken in loads.GroupBy(l => l.Place.Item.Id, StringComparer.Ordinal))
        {
            var index = items.FindIndex(i => i.Id == taken.Key);
            if (index < 0)
            {
                continue;
            }

            var item = items[index];
            items[index] =
                item.Form == StockForm.Roll
                    ? Shorter(item, taken.Sum(l => l.CutOff))
                    : item with
                    {
                        Count = Math.Max(0, item.Count - taken.Count()),
                    };
        }

        // Of sheets that are used up it stays known what they were; an off-cut that is used is gone, and so is a roll's last bit.
        items.RemoveAll(i => i.Count == 0 && i.Form != StockForm.Sheet);
        items.AddRange(
            kept.Select(k => new StockItem(freshId(), StockForm.OffCut, Typed(k.Box.Width), Typed(k.Box.Height)) { Note = note })
        );
        return stock with { Items = items };
    }

    private static StockItem Shorter(StockItem roll, double by)
    {
        var left = roll.Length.OrZero(StockItem.RollLength).Millimetres - by;
        return left >= LeastSide ? roll with { Length = Typed(left) } : roll with { Count = 0 };
    }

    /// <summary>A length as it is noted: never more than there is.</summary>
    private static TypedLength Typed(double millimetres) =>
        new((Math.Floor((millimetres / Rounded) + 1e-9) * Rounded).ToString("0.#", CultureInfo.InvariantCulture), LengthUnit.Millimetre);
}
