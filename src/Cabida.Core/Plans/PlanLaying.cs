using Cabida.Core.Layout;

namespace Cabida.Core.Plans;

/// <summary>Lays the things of a plan: at once, and then better for as long as one watches.</summary>
public static class PlanLaying
{
    /// <summary>
    /// A layout at once. Where something was laid before, all that can stays where it lies and the rest is laid around it, unless a fresh
    /// one takes fewer loads.
    /// </summary>
    /// <param name="problem">What is laid, and where.</param>
    /// <param name="before">How the plan was laid last; null for afresh.</param>
    /// <param name="stop">Ends it.</param>
    /// <exception cref="OperationCanceledException">It was ended before anything was found.</exception>
    public static PlanLayout First(PlanProblem problem, PlanLayout? before, CancellationToken stop)
    {
        ArgumentNullException.ThrowIfNull(problem);
        if (problem.Things.Count == 0 || problem.Places.Count == 0)
        {
            return new PlanLayout(problem.Key, [], [.. problem.Things.Select(t => t.Id)], 0);
        }

        if (problem.IsInRows)
        {
            return PlanRows.Of(problem);
        }

        var kept = before is null || before.Stock != problem.Stock ? null : Kept(problem, before, stop);
        if (kept is { NotLaid.Count: 0 } && PlanFigures.LeastOf(problem, kept) >= kept.Loads.Count)
        {
            return kept;
        }

        var fresh = Fresh(problem, stop);
        return kept is not null && (kept.NotLaid.Count, kept.Loads.Count).CompareTo((fresh.NotLaid.Count, fresh.Loads.Count)) <= 0
            ? kept
            : fresh;
    }

    /// <summary>Looks for better layouts, from one that was found, until nothing better is likely or it is stopped.</summary>
    /// <param name="problem">What is laid, and where.</param>
    /// <param name="from">How it lies.</param>
    /// <param name="found">Told every layout that is better than all before.</param>
    /// <param name="stop">Ends it; what was found stands.</param>
    /// <param name="moves">Ends it after so many moves, so that it ends at the same place on any machine.</param>
    public static void Better(
        PlanProblem problem,
        PlanLayout from,
        Action<PlanLayout> found,
        CancellationToken stop,
        long moves = long.MaxValue
    )
    {
        ArgumentNullException.ThrowIfNull(problem);
        ArgumentNullException.ThrowIfNull(from);
        ArgumentNullException.ThrowIfNull(found);
        if (problem.IsInRows || from.Loads.Count == 0)
        {
            return;
        }

        // On the places that are used now: what else there is was tried before it.
        var used = from.Loads.Select(l => l.StockId).ToHashSet(StringComparer.Ordinal);
        var places = problem.Alternatives().FirstOrDefault(a => used.All(u => a.Any(i => problem.Places[i].Item.Id == u)))
            ?? [.. Enumerable.Range(0, problem.Places.Count)];
        var (items, begun) = Pinned(problem, places, from);
        var better = from.Better;
        LayoutSearch.Run(
            items,
            problem.LayPlaces(places),
            problem.Terms with
            {
                Begun = begun,
                Seed = problem.Terms.Seed + from.Searches,
            },
            plan => found(Laid(problem, places, plan) with { Better = ++better, Searches = from.Searches }),
            stop,
            moves,
            PlanOf(problem, places, from)
        );
    }

    private static PlanLayout Fresh(PlanProblem problem, CancellationToken stop)
    {
        PlanLayout? best = null;
        foreach (var places in problem.Alternatives())
        {
            var (items, begun) = Pinned(problem, places, null);
            var laid = Searched(problem, places, items, begun, stop);
            if (laid.NotLaid.Count == 0)
            {
                return InRows(problem, places, laid) ?? laid;
            }

            best = best is null || laid.NotLaid.Count <= best.NotLaid.Count ? laid : best;
        }

        return best!;
    }

    /// <summary>
    /// Plain rows, where they take fewer loads or less of the last: boxes that fill their rows are laid no tighter by their shapes. Null
    /// where they do not, or where they would not keep what was asked for.
    /// </summary>
    private static PlanLayout? InRows(PlanProblem problem, IReadOnlyList<int> places, PlanLayout laid)
    {
        if (problem.Plan.Together != KeptTogether.Nothing || problem.Plan.ByHand.Any(h => h.Pinned is not null))
        {
            return null;
        }

        var rows = PlanRows.Of(problem);
        if (
            rows.NotLaid.Count > 0
            || (rows.Loads.Count, rows.Length).CompareTo((laid.Loads.Count, laid.Length)) >= 0
            || rows.Loads.Any(l => !places.Any(p => problem.Places[p].Item.Id == l.StockId))
        )
        {
            return null;
        }

        var sound = PlanCheck.Of(problem.Items, problem.LayPlaces(places), problem.Terms, PlanOf(problem, places, rows)).Count == 0;
        return sound
            ? rows with
            {
                Loads = [.. rows.Loads.Select(l => l with { Items = [.. l.Items.Select(i => i with { Row = -1 })] })],
                Stock = problem.Stock,
            }
            : null;
    }

    /// <summary>A layout with all that can stay where it was; null where nothing can.</summary>
    private static PlanLayout? Kept(PlanProblem problem, PlanLayout before, CancellationToken stop)
    {
        var used = before.Loads.Select(l => l.StockId).ToHashSet(StringComparer.Ordinal);
        if (problem.Alternatives().FirstOrDefault(a => used.All(u => a.Any(i => problem.Places[i].Item.Id == u))) is not { } places)
        {
            return null;
        }

        var byId = problem.Items.ToDictionary(i => i.Id);
        var (items, begun) = Pinned(problem, places, before);
        var byHand = items.Where(i => i.Pinned is not null).Select(i => i.Id).ToHashSet();
        var staying = before
            .Loads.SelectMany((load, number) => load.Items.Select(i => (i.Id, Number: number, i.At)))
            .Where(i => byId.ContainsKey(i.Id) && !byHand.Contains(i.Id))
            .ToDictionary(i => i.Id, i => (i.Number, i.At));
        IReadOnlyList<LayItem> all = [.. items.Select(i => staying.TryGetValue(i.Id, out var at) ? i with { Pinned = at } : i)];

        // What would lie on something else, or out of its place, is laid anew. Of two that stay the later one gives way.
        var layPlaces = problem.LayPlaces(places);
        var there = all.Where(i => i.Pinned is not null).ToList();
        var plan = new LayPlan(
            [
                .. begun.Select(
                    (place, load) =>
                        new LaidLoad(
                            place,
                            [.. there.Where(i => i.Pinned!.Value.Load == load).Select(i => new LaidItem(i.Id, i.Pinned!.Value.At))]
                        )
                ),
            ],
            [],
            0
        );
        foreach (var fault in PlanCheck.Of(there, layPlaces, problem.Terms, plan))
        {
            if (fault.Kind == PlanFaultKind.TooMany)
            {
                return null;
            }

            if (staying.ContainsKey(fault.Id) && staying.ContainsKey(fault.Other) || !staying.Remove(fault.Id))
            {
                staying.Remove(fault.Other);
            }
        }

        return staying.Count == 0
            ? null
            : Searched(
                problem,
                places,
                [.. items.Select(i => staying.TryGetValue(i.Id, out var at) ? i with { Pinned = at } : i)],
                begun,
                stop
            ) with
            {
                Searches = before.Searches,
            };
    }

    /// <summary>The first plan of a search.</summary>
    private static PlanLayout Searched(
        PlanProblem problem,
        IReadOnlyList<int> places,
        IReadOnlyList<LayItem> items,
        IReadOnlyList<int> begun,
        CancellationToken stop
    )
    {
        PlanLayout? best = null;
        LayoutSearch.Run(
            items,
            problem.LayPlaces(places),
            problem.Terms with
            {
                Begun = begun,
            },
            plan => best = Laid(problem, places, plan),
            stop,
            0
        );
        stop.ThrowIfCancellationRequested();
        // Where what is pinned by hand lies on one another, nothing is sound; it is shown all the same, as far as it is laid.
        return best ?? new PlanLayout(problem.Key, [], [.. problem.Things.Select(t => t.Id)], 0);
    }

    /// <summary>
    /// The items with what is pinned by hand, and the places of the loads that are begun: of those before the last one with a pin, and of
    /// all loads of a layout that is gone on from.
    /// </summary>
    private static (IReadOnlyList<LayItem> Items, IReadOnlyList<int> Begun) Pinned(
        PlanProblem problem,
        IReadOnlyList<int> places,
        PlanLayout? before
    )
    {
        int? IndexOf(string stockId) =>
            places.Select((p, i) => (p, i)).Where(p => problem.Places[p.p].Item.Id == stockId).Select(p => (int?)p.i).FirstOrDefault();
        var loads = new SortedDictionary<int, int>();
        var pins = new Dictionary<ItemId, (int, RigidMotion)>();
        foreach (var hand in problem.Plan.ByHand)
        {
            // Two pins on one load of different stock: the first says what it is of.
            if (hand.Pinned is { } pin && IndexOf(pin.StockId) is { } place && loads.GetValueOrDefault(pin.Load, place) == place)
            {
                loads[pin.Load] = place;
                pins[hand.Item] = (pin.Load, pin.At);
            }
        }

        var last = loads.Count > 0 ? loads.Keys.Max() : -1;
        var count = Math.Max(last + 1, before?.Loads.Count ?? 0);
        var begun = Enumerable
            .Range(0, count)
            .Select(load =>
                loads.TryGetValue(load, out var place) ? place
                : before is not null && load < before.Loads.Count ? IndexOf(before.Loads[load].StockId) ?? 0
                : 0
            )
            .ToList();
        return ([.. problem.Items.Select(i => pins.TryGetValue(i.Id, out var at) ? i with { Pinned = at } : i)], begun);
    }

    private static PlanLayout Laid(PlanProblem problem, IReadOnlyList<int> places, LayPlan plan) =>
        new(
            problem.Key,
            [
                .. plan.Loads.Select(l => new PlanLoad(
                    problem.Places[places[l.Place]].Item.Id,
                    [.. l.Items.Select(i => new PlanItem(i.Id, i.At, -1))]
                )),
            ],
            plan.NotLaid,
            plan.Length
        )
        {
            Stock = problem.Stock,
        };

    private static LayPlan PlanOf(PlanProblem problem, IReadOnlyList<int> places, PlanLayout layout)
    {
        int IndexOf(string stockId) => places.Select((p, i) => (p, i)).First(p => problem.Places[p.p].Item.Id == stockId).i;
        return new LayPlan(
            [.. layout.Loads.Select(l => new LaidLoad(IndexOf(l.StockId), [.. l.Items.Select(i => new LaidItem(i.Id, i.At))]))],
            layout.NotLaid,
            layout.Length
        );
    }
}
