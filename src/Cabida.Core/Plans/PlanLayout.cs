using Cabida.Core.Layout;

namespace Cabida.Core.Plans;

/// <summary>A thing as it was laid.</summary>
/// <param name="Id">What it is.</param>
/// <param name="At">How its ink as it is cut comes there; millimetres from the lower left of the reach.</param>
/// <param name="Row">In which plain row it lies, from the top; -1 where there are none.</param>
public sealed record PlanItem(ItemId Id, RigidMotion At, int Row);

/// <summary>A load of a plan.</summary>
/// <param name="StockId">The stock item it is of.</param>
/// <param name="Items">What lies there.</param>
public sealed record PlanLoad(string StockId, IReadOnlyList<PlanItem> Items);

/// <summary>Where all things of a plan came to lie: found, not chosen.</summary>
/// <param name="Key">Tells apart all that it was laid for.</param>
/// <param name="Loads">The loads.</param>
/// <param name="NotLaid">What no load holds.</param>
/// <param name="Length">How far up the last load is used, from the foot of its ground; millimetres.</param>
public sealed record PlanLayout(string Key, IReadOnlyList<PlanLoad> Loads, IReadOnlyList<ItemId> NotLaid, double Length)
{
    /// <summary>Tells apart the stock that there was to choose from: of other stock a layout is not gone on from.</summary>
    public string Stock { get; init; } = "";

    /// <summary>How many plans were found before it for the same things, each worse.</summary>
    public int Better { get; init; }

    /// <summary>How many searches were made for the same things; each goes on from where the last one ended.</summary>
    public int Searches { get; init; }
}
