using Cabida.Core.Cutting;
using Cabida.Core.Findings;
using Cabida.Core.Geometry;
using Cabida.Core.Loads;
using Cabida.Core.Measures;
using Cabida.Core.Stock;
using Cabida.Core.Wording;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Plans;

/// <summary>A stock item as it lies in the cutter.</summary>
/// <param name="Item">The item; of what has to be bought, the film's usual sheet.</param>
/// <param name="Ground">How it lies.</param>
/// <param name="Count">How many loads there are of it.</param>
public sealed record PlanPlace(StockItem Item, LoadGround Ground, int Count)
{
    /// <summary>Whether it has to be bought.</summary>
    public bool IsToBuy => Item.Id == CutPlan.ToBuy;

    /// <summary>Its area, that may be cut; square millimetres.</summary>
    public double Area { get; } = Ground.Ground.Area;
}

/// <summary>What of a film's stock a plan may use on its cutter.</summary>
/// <param name="Places">It: off-cuts from the smallest, sheets, rolls, and last what has to be bought.</param>
/// <param name="Problems">What of the stock cannot be used, and why.</param>
public sealed record PlanPlaces(IReadOnlyList<PlanPlace> Places, IReadOnlyList<Finding> Problems)
{
    /// <summary>More than this is never bought at once.</summary>
    private const int MostBought = 10_000;

    /// <summary>What may be used.</summary>
    /// <param name="plan">The plan.</param>
    /// <param name="film">Its film.</param>
    /// <param name="stock">What there is of it; null for nothing.</param>
    /// <param name="cutter">The cutter.</param>
    public static PlanPlaces Of(CutPlan plan, Film film, FilmStock? stock, Cutter cutter)
    {
        ArgumentNullException.ThrowIfNull(plan);
        ArgumentNullException.ThrowIfNull(film);
        ArgumentNullException.ThrowIfNull(cutter);
        var problems = new List<Finding>();
        var places = new List<PlanPlace>();
        var margin = stock?.EdgeMarginOr ?? FilmStock.UsualEdgeMargin;
        var unbroken = (stock?.Items ?? []).Where(i => i.Count > 0).OrderBy(Rank).ThenBy(AreaOf).ToList();
        foreach (var item in unbroken.Append(Usual(film)))
        {
            var ground = GroundOf(plan, cutter, item, margin);
            if (ground.Ok)
            {
                places.AddRange(PlacesOf(item, ground.Value));
            }
            else
            {
                problems.Add(
                    Finding.Unusable(
                        item.Id,
                        item.Id == CutPlan.ToBuy
                            ? Phrase.Say($"A sheet as it is bought: {ground.Problem!}")
                            : Phrase.Say($"{Name(item):strong}: {ground.Problem!}")
                    )
                );
            }
        }

        return new PlanPlaces(places, problems);
    }

    /// <summary>The carrier to begin with: the smallest on which every thing lies whole, else the largest.</summary>
    /// <param name="cutter">The cutter.</param>
    /// <param name="things">What is to be cut.</param>
    public static Carrier FirstCarrier(Cutter cutter, IReadOnlyList<CutThing> things)
    {
        ArgumentNullException.ThrowIfNull(cutter);
        ArgumentNullException.ThrowIfNull(things);
        static double Read(TypedLength typed) => typed.OrZero(LengthRange.Object).Millimetres;
        bool Holds(Carrier carrier)
        {
            var (width, length) = (Read(carrier.ReachWidth), Read(carrier.ReachLength));
            return things.All(t => (t.Box.Width <= width && t.Box.Height <= length) || (t.Box.Width <= length && t.Box.Height <= width));
        }

        var bySize = cutter.CarriersOr.OrderBy(c => Read(c.ReachWidth) * Read(c.ReachLength)).ToList();
        return bySize.Find(Holds) ?? bySize[^1];
    }

    /// <summary>The carrier of a plan; null for the rollers, or where it is gone and there is no other.</summary>
    public static Carrier? CarrierOf(CutPlan plan, Cutter cutter)
    {
        ArgumentNullException.ThrowIfNull(plan);
        ArgumentNullException.ThrowIfNull(cutter);
        return plan.CarrierId == CutPlan.Rollers
            ? null
            : cutter.CarriersOr.FirstOrDefault(c => c.Id == plan.CarrierId) ?? cutter.CarriersOr[0];
    }

    /// <summary>A stock item in words.</summary>
    public static Phrase Name(StockItem item)
    {
        ArgumentNullException.ThrowIfNull(item);
        if (item.Shape().ValueOrDefault is not { } shape || Box.Of(shape) is not { } box)
        {
            return item.Form == StockForm.OffCut ? Phrase.Say($"An off-cut") : Phrase.Say($"A sheet or roll");
        }

        var (width, length) = (Length.Mm(box.Width), Length.Mm(box.Height));
        return item.Form switch
        {
            StockForm.Roll => Phrase.Say($"Roll, {width} wide, {length} left"),
            StockForm.Sheet => Phrase.Say($"Sheet {width} × {length}"),
            _ when item.Outline.Count > 0 => Phrase.Say($"Off-cut within {width} × {length}"),
            _ => Phrase.Say($"Off-cut {width} × {length}"),
        };
    }

    /// <summary>A sheet of a film as it is bought.</summary>
    private static StockItem Usual(Film film) => new(CutPlan.ToBuy, StockForm.Sheet, film.Width, film.Length) { Count = MostBought };

    private static Outcome<LoadGround> GroundOf(CutPlan plan, Cutter cutter, StockItem item, double margin)
    {
        var carrier = CarrierOf(plan, cutter);
        var ground = carrier is not null ? LoadGround.On(carrier, item, margin) : LoadGround.Between(cutter.Rollers, item, margin);
        return ground.Ok ? ground.Value.Within(Written(ground.Value.Reach, cutter, carrier?.Proved ?? cutter.Rollers.Proved)) : ground;
    }

    /// <summary>
    /// Where what is cut must lie so that all that is written of it is reached: the holder of a knife swings out by its offset, and a
    /// cutter that makes things smaller or leans is written to beyond what is meant.
    /// </summary>
    private static Area? Written(Box reach, Cutter cutter, ProvingSquare proved)
    {
        var (truth, swing) = (CutterTruth.Of(proved), DragKnife.Of(cutter.Blade)?.Offset ?? 0);
        if (truth.IsTrue && swing == 0)
        {
            return null;
        }

        var written = truth.WrittenOn(reach.MaxX, reach.MaxY);
        var inner = reach.Grown(-swing);
        return inner.Width > 0 && inner.Height > 0 ? Outlines.Ring([.. inner.Corners.Select(written.Back)]) : Outlines.Empty;
    }

    /// <summary>The loads that are made of an item; of a roll, full ones and then what is left of it.</summary>
    private static IEnumerable<PlanPlace> PlacesOf(StockItem item, LoadGround ground)
    {
        if (item.Form != StockForm.Roll)
        {
            yield return new PlanPlace(item, ground, item.Count);
            yield break;
        }

        // What a load takes off the roll: what the cutter cuts of it at once, with lead and tail.
        var left = Box.Of(ground.Stock)!.Value.Height;
        var taken = Math.Min(left, ground.Reach.MaxY - Math.Min(0, ground.Nominal.MinY) + ground.Tail);
        yield return new PlanPlace(item, ground, Math.Max(1, (int)Math.Floor(left / taken)) * item.Count);
    }

    private static int Rank(StockItem item) =>
        item.Form switch
        {
            StockForm.OffCut => 0,
            StockForm.Sheet => 1,
            _ => 2,
        };

    private static double AreaOf(StockItem item) => item.Shape().ValueOrDefault?.Area ?? 0;
}
