namespace Cabida.Core.Layout;

/// <summary>How many more of a thing go on the loads of a plan, beside what lies there.</summary>
public static class Spares
{
    /// <summary>More than this are not looked for.</summary>
    public const int Most = 200;

    /// <summary>The places of as many more as go, load by load, each as low as it goes and there as far left.</summary>
    /// <param name="items">What is laid out.</param>
    /// <param name="places">Where.</param>
    /// <param name="terms">How.</param>
    /// <param name="plan">How it lies.</param>
    /// <param name="of">What of it more are wanted of.</param>
    /// <param name="most">How many at most.</param>
    /// <param name="stop">Ends it.</param>
    public static IReadOnlyList<(int Load, RigidMotion At)> Of(
        IReadOnlyList<LayItem> items,
        IReadOnlyList<LayPlace> places,
        LayTerms terms,
        LayPlan plan,
        LayItem of,
        int most,
        CancellationToken stop
    )
    {
        ArgumentNullException.ThrowIfNull(items);
        ArgumentNullException.ThrowIfNull(plan);
        ArgumentNullException.ThrowIfNull(of);
        var byId = items.ToDictionary(i => i.Id);
        var there = plan.Loads.SelectMany(
            (load, number) => load.Items.Select(i => byId[i.Id] with { Pinned = (number, i.At), Group = "" })
        );
        var more = Enumerable
            .Range(1, Math.Clamp(most, 0, Most))
            .Select(n => new LayItem(of.Id with { Copy = -n }, of.Outline, of.Kind.Length > 0 ? of.Kind : "\0more"));
        List<LayItem> all = [.. there, .. more];
        // No load but those of the plan.
        var begun = plan.Loads.Select(l => l.Place).ToList();
        var used = places.Select((p, i) => p with { Count = begun.Count(b => b == i) }).ToList();
        var problem = new LayProblem(all, used, terms with { Begun = begun });
        var state = new BottomLeft(problem).Of([.. Enumerable.Range(0, all.Count)], stop);
        return [.. state.Plan().Loads.SelectMany((load, number) => load.Items.Where(i => i.Id.Copy < 0).Select(i => (number, i.At)))];
    }
}
