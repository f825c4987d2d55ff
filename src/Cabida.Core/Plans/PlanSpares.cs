using Cabida.Core.Layout;

namespace Cabida.Core.Plans;

/// <summary>How many more of a thing would go on the loads of a plan.</summary>
public static class PlanSpares
{
    /// <summary>Of a thing of which more fit than this it is said that so many fit.</summary>
    public const int Most = 99;

    /// <summary>How many more of a thing go beside what lies there.</summary>
    /// <param name="problem">What is laid, and where.</param>
    /// <param name="layout">How it lies.</param>
    /// <param name="of">The thing.</param>
    /// <param name="stop">Ends it.</param>
    public static int HowMany(PlanProblem problem, PlanLayout layout, ItemId of, CancellationToken stop)
    {
        ArgumentNullException.ThrowIfNull(problem);
        ArgumentNullException.ThrowIfNull(layout);
        if (problem.Items.FirstOrDefault(i => i.Id == of) is not { } item || layout.Loads.Count == 0)
        {
            return 0;
        }

        var used = layout.Loads.Select(l => l.StockId).Distinct(StringComparer.Ordinal).ToList();
        var places = problem.Places.Where(p => used.Contains(p.Item.Id)).ToList();
        var plan = new LayPlan(
            [
                .. layout.Loads.Select(l => new LaidLoad(
                    places.FindIndex(p => p.Item.Id == l.StockId),
                    [.. l.Items.Select(i => new LaidItem(i.Id, i.At))]
                )),
            ],
            layout.NotLaid,
            layout.Length
        );
        var there = problem.Items.Where(i => !layout.NotLaid.Contains(i.Id)).ToList();
        return Spares.Of(there, [.. places.Select(p => p.Ground.Place(p.Count))], problem.Terms, plan, item, Most, stop).Count;
    }
}
