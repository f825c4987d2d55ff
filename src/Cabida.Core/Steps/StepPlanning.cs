namespace Cabida.Core.Steps;

/// <summary>
/// Gives every step its time: the waits of one run are used by the hands of another, with one pair of hands (calculations 6.16).
/// </summary>
public static class StepPlanning
{
    /// <summary>
    /// Backwards from what is due: everything as late as it can be. Where that would have to begin before now, from now on instead, with
    /// the least lateness that there is, and what cannot be met is said.
    /// </summary>
    /// <param name="chains">What is to do, run by run.</param>
    /// <param name="open">When the workshop is open.</param>
    /// <param name="now">Minutes on the axis of the plan.</param>
    public static StepPlan Backwards(IReadOnlyList<BenchChain> chains, OpenHours open, double now)
    {
        ArgumentNullException.ThrowIfNull(chains);
        ArgumentNullException.ThrowIfNull(open);
        var todo = chains.Where(c => c.Tasks.Count > 0).ToList();
        if (todo.Count == 0)
        {
            return StepPlan.Empty;
        }

        // Time runs backwards: a chain is released when it is due, its last step comes first, and what rests after a step rests before it.
        var mirrored = todo.ConvertAll(c => new SearchedChain(
            [.. c.Tasks.Reverse().Select(t => t.Wait)],
            [.. c.Tasks.Reverse().Select(t => t.Hands)],
            0,
            -c.Due,
            0
        ));
        var found = StepSearch.Of(mirrored, open.Mirrored);
        if (found.Tasks is not { } tasks || tasks.Any(t => -t.Hands[^1].To < now - 1e-9))
        {
            return FromNow(chains, open, now);
        }

        var placed = tasks.Select(t =>
        {
            var task = todo[t.Chain].Tasks[todo[t.Chain].Tasks.Count - 1 - t.Task];
            IReadOnlyList<Stretch> hands = [.. t.Hands.Reverse().Select(s => new Stretch(-s.To, -s.From))];
            return new PlacedTask(task, hands, hands[^1].To + task.Wait);
        });
        return new StepPlan([.. placed.OrderBy(p => p.From)], [], found.IsBest);
    }

    /// <summary>From now on, one after the other, with the least lateness; then everything as early as it can be.</summary>
    /// <param name="chains">What is to do, run by run.</param>
    /// <param name="open">When the workshop is open.</param>
    /// <param name="now">Minutes on the axis of the plan.</param>
    public static StepPlan FromNow(IReadOnlyList<BenchChain> chains, OpenHours open, double now)
    {
        ArgumentNullException.ThrowIfNull(chains);
        ArgumentNullException.ThrowIfNull(open);
        var todo = chains.Where(c => c.Tasks.Count > 0).ToList();
        var found = StepSearch.Of(
            todo.ConvertAll(c => new SearchedChain(
                [0, .. c.Tasks.SkipLast(1).Select(t => t.Wait)],
                [.. c.Tasks.Select(t => t.Hands)],
                c.Tasks[^1].Wait,
                now,
                c.Due
            )),
            open
        );
        if (found.Tasks is not { } tasks)
        {
            return new StepPlan([], [.. todo.Select(c => new LateRun(c.Run, double.PositiveInfinity))], false);
        }

        List<PlacedTask> placed =
        [
            .. tasks.Select(t =>
            {
                var task = todo[t.Chain].Tasks[t.Task];
                return new PlacedTask(task, t.Hands, t.Hands[^1].To + task.Wait);
            }),
        ];
        var late = todo.Select(c => new LateRun(c.Run, placed.Where(p => p.Task.Run == c.Run).Max(p => p.Ready) - c.Due))
            .Where(l => l.By > 1e-6);
        return new StepPlan(placed, [.. late], found.IsBest);
    }
}
