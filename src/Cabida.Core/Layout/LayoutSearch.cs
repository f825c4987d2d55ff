namespace Cabida.Core.Layout;

/// <summary>
/// Plans of how things lie on loads, each better than the one before, for as long as one watches: first the best of several orders placed
/// bottom-left, then with one load less where that goes, then with less of the last one. The same things, terms and seed give the same
/// plans in the same order.
/// </summary>
public sealed class LayoutSearch
{
    /// <summary>More things than this are only placed, not separated: every pair of them would have to be kept.</summary>
    private const int MostSeparated = 600;
    private const int Rounds = 12;

    /// <summary>
    /// After so much of what a first plan looks at, about a fifth of a second, no other order is tried before it is shown: what the orders
    /// would have gained the search gains sooner.
    /// </summary>
    private const long AtOnce = 8_000_000;
    private const double Scatter = 0.4;
    private const double StepGrowth = 1.5;
    private const double FirstStep = 0.03;
    private const double LastStep = 0.001;
    private const int MostFailures = 100;

    private readonly IReadOnlyList<LayItem> items;
    private readonly LayProblem problem;
    private readonly Action<LayPlan> found;
    private readonly SearchRandom random;
    private LayState best;

    private LayoutSearch(IReadOnlyList<LayItem> items, LayProblem problem, Action<LayPlan> found)
    {
        (this.items, this.problem, this.found) = (items, problem, found);
        (random, best) = (new SearchRandom(problem.Terms.Seed), new LayState(problem));
    }

    /// <summary>Searches until nothing better is likely, or until it is stopped.</summary>
    /// <param name="items">What is laid out.</param>
    /// <param name="places">Where, in the order in which places are taken.</param>
    /// <param name="terms">How.</param>
    /// <param name="found">Told every plan that is better than all before.</param>
    /// <param name="stop">Ends it; what was found stands.</param>
    /// <param name="moves">
    /// Ends it after so many moves, so that it ends at the same place on any machine; after 0, with the first plans.
    /// </param>
    /// <param name="from">A plan to go on from, instead of first plans; one that is not sound is not.</param>
    public static void Run(
        IReadOnlyList<LayItem> items,
        IReadOnlyList<LayPlace> places,
        LayTerms terms,
        Action<LayPlan> found,
        CancellationToken stop,
        long moves = long.MaxValue,
        LayPlan? from = null
    )
    {
        ArgumentNullException.ThrowIfNull(items);
        ArgumentNullException.ThrowIfNull(places);
        ArgumentNullException.ThrowIfNull(terms);
        ArgumentNullException.ThrowIfNull(found);
        if (items.Count == 0 || places.Count == 0)
        {
            found(new LayPlan([], [.. items.Select(i => i.Id)], 0));
            return;
        }

        var search = new LayoutSearch(items, new LayProblem(items, places, terms), found);
        try
        {
            if (from is null || !search.GoOn(from))
            {
                search.Begin(stop);
            }

            if (moves > 0 && items.Count is > 1 and <= MostSeparated)
            {
                search.Improve(moves, stop);
            }
        }
        catch (OperationCanceledException)
        {
            // What was found stands.
        }
    }

    /// <summary>Takes a plan for the best there is, unless it is of other things or not sound.</summary>
    private bool GoOn(LayPlan from)
    {
        if (from.Loads.Count == 0 || !IsSound(from))
        {
            return false;
        }

        best = LayState.Of(problem, from);
        return true;
    }

    private void Begin(CancellationToken stop)
    {
        var fill = new BottomLeft(problem);
        var all = Enumerable.Range(0, problem.Things.Count).ToList();
        double Longest(int i) => problem.Things[i].ExtentAt(0) is var e ? Math.Max(e.MaxX - e.MinX, e.MaxY - e.MinY) : 0;
        double High(int i) => problem.Things[i].ExtentAt(0) is var e ? e.MaxY - e.MinY : 0;
        double Wide(int i) => problem.Things[i].ExtentAt(0) is var e ? e.MaxX - e.MinX : 0;
        var keys = new Func<int, double>[] { i => problem.Things[i].Own.Area, Longest, High, Wide };
        // Orders near the first: each thing a little earlier or later.
        IEnumerable<Func<int, double>> Near() =>
            Enumerable.Range(0, Rounds).Select(_ => (Func<int, double>)(i => keys[0](i) * (1 + (Scatter * (random.Share() - 0.5)))));
        foreach (var key in keys.Concat(Near()))
        {
            Offer(fill.Of([.. all.OrderByDescending(key)], stop));
            if (fill.Looked > AtOnce)
            {
                return;
            }
        }
    }

    /// <summary>Takes a state, if it is better than all before and stands the exact check.</summary>
    private bool Offer(LayState offered)
    {
        var state = offered.Copy();
        state.DropEmpty(problem.Terms.Begun.Count);
        var plan = state.Plan();
        if ((best.Places.Count > 0 && !plan.BetterThan(best.Plan())) || !IsSound(plan))
        {
            return false;
        }

        best = state;
        found(plan);
        return true;
    }

    /// <summary>Whether a plan has no fault but what lies in how things are pinned: that is the maker's.</summary>
    private bool IsSound(LayPlan plan)
    {
        var pinned = items.Where(i => i.Pinned is not null).Select(i => i.Id).ToHashSet();
        return PlanCheck.Of(items, problem.Places, problem.Terms, plan).All(f => pinned.Contains(f.Id) && pinned.Contains(f.Other));
    }

    private void Improve(long moves, CancellationToken stop)
    {
        var separation = new Separation(problem, random, moves);
        while (Fewer(separation, stop)) { }

        Shorter(separation, stop);
    }

    /// <summary>Tries to do without the last load, or to lay what found no room.</summary>
    private bool Fewer(Separation separation, CancellationToken stop)
    {
        if (best.Places.Count == 0)
        {
            return false;
        }

        var state = best.Copy();
        var last = state.Places.Count - 1;
        var free = problem.Terms.Turning == LayTurning.Any;
        bool MayLie(int i) => state.Places.Any(p => problem.Things[i].MayLieOn(problem.Grounds[p], free));
        List<int> waiting = [.. Enumerable.Range(0, state.Load.Length).Where(i => state.Load[i] < 0 && MayLie(i))];
        if (waiting.Count == 0)
        {
            var left = state.Places.Take(last).Sum(p => problem.Grounds[p].Area);
            if (last <= problem.Terms.Begun.Count - 1 || last == 0 || left < problem.Things.Sum(t => t.Own.Area))
            {
                return false;
            }

            waiting = [.. Enumerable.Range(0, state.Load.Length).Where(i => state.Load[i] == last)];
            state.Places.RemoveAt(last);
            if (!waiting.All(MayLie))
            {
                return false;
            }
        }

        var loads = new Dictionary<string, int>(StringComparer.Ordinal);
        foreach (var i in waiting)
        {
            var load = random.Below(state.Places.Count);
            // What is kept together comes to one load.
            if (problem.Things[i].Item.Group is { Length: > 0 } group && !loads.TryAdd(group, load))
            {
                load = loads[group];
            }

            var box = state.GroundOf(load).Box;
            (state.Load[i], state.Turn[i]) = (load, problem.Things[i].Turns[0]);
            (state.X[i], state.Y[i]) = (box.MinX + (random.Share() * box.Width), box.MinY + (random.Share() * box.Height));
        }

        return separation.Try(state, double.MaxValue, stop) && Offer(separation.State);
    }

    /// <summary>
    /// Tries to use less of the last load: by large steps first, by smaller ones where they fail, from ever other arrangements.
    /// </summary>
    private void Shorter(Separation separation, CancellationToken stop)
    {
        var step = FirstStep;
        var failures = 0;
        var from = best;
        while (best.Places.Count > 0 && failures < MostFailures)
        {
            stop.ThrowIfCancellationRequested();
            if (separation.Try(from, best.Length() * (1 - step), stop) && Offer(separation.State))
            {
                (from, failures, step) = (best, 0, Math.Min(FirstStep, step * StepGrowth));
                continue;
            }

            failures++;
            step = Math.Max(LastStep, step / 2);
            from = failures % 2 == 1 ? separation.State : Stirred(separation.State);
        }
    }

    /// <summary>A state in which two large things have changed places.</summary>
    private LayState Stirred(LayState state)
    {
        var stirred = state.Copy();
        var large = Enumerable
            .Range(0, stirred.Load.Length)
            .Where(i => stirred.Load[i] >= 0 && problem.Things[i].Item.Pinned is null)
            .OrderByDescending(i => problem.Things[i].Own.Area)
            .ToList();
        large = large.GetRange(0, Math.Min(large.Count, Math.Max(2, (large.Count + 2) / 3)));
        if (large.Count < 2)
        {
            return stirred;
        }

        var a = large[random.Below(large.Count)];
        var b = large[random.Below(large.Count)];
        if (stirred.Load[a] != stirred.Load[b] && (problem.Things[a].Item.Group.Length > 0 || problem.Things[b].Item.Group.Length > 0))
        {
            return stirred;
        }

        (stirred.Load[a], stirred.Load[b]) = (stirred.Load[b], stirred.Load[a]);
        (stirred.X[a], stirred.X[b]) = (stirred.X[b], stirred.X[a]);
        (stirred.Y[a], stirred.Y[b]) = (stirred.Y[b], stirred.Y[a]);
        return stirred;
    }
}
