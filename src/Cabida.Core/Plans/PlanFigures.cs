using Cabida.Core.Layout;

namespace Cabida.Core.Plans;

/// <summary>What a layout comes to, beside the same things in plain rows.</summary>
/// <param name="Density">How much of what is used the things take, with half of the scissors room around each; a share.</param>
/// <param name="LeastLoads">Fewer loads than this are not possible: the areas alone take so many.</param>
/// <param name="RowsDensity">The density of plain rows.</param>
/// <param name="RowsLoads">The loads that plain rows take.</param>
/// <param name="RowsLeave">How many things find no room in plain rows that are laid here.</param>
public sealed record PlanFigures(double Density, int LeastLoads, double RowsDensity, int RowsLoads, int RowsLeave)
{
    /// <summary>Nothing is laid.</summary>
    public static PlanFigures None { get; } = new(0, 0, 0, 0, 0);

    /// <summary>The figures of a layout.</summary>
    public static PlanFigures Of(PlanProblem problem, PlanLayout layout)
    {
        ArgumentNullException.ThrowIfNull(problem);
        ArgumentNullException.ThrowIfNull(layout);
        if (layout.Loads.Count == 0)
        {
            return None;
        }

        var rows = problem.IsInRows ? layout : PlanRows.Of(problem);
        var (tight, plain) = (FiguresOf(problem, layout), FiguresOf(problem, rows));
        var leave = rows.NotLaid.Except(layout.NotLaid).Count();
        return new PlanFigures(tight.Density, tight.LeastLoads, plain.Density, rows.Loads.Count, leave);
    }

    /// <summary>Fewer loads than this are not possible.</summary>
    internal static int LeastOf(PlanProblem problem, PlanLayout layout) => FiguresOf(problem, layout).LeastLoads;

    private static LayFigures FiguresOf(PlanProblem problem, PlanLayout layout)
    {
        var used = layout.Loads.Select(l => l.StockId).Distinct(StringComparer.Ordinal).ToList();
        var places = problem.Places.Where(p => used.Contains(p.Item.Id)).ToList();
        int IndexOf(string stockId) => places.FindIndex(p => p.Item.Id == stockId);
        return LayFigures.Of(
            problem.Items,
            [.. places.Select(p => p.Ground.Place(p.Count))],
            problem.Terms,
            new LayPlan(
                [.. layout.Loads.Select(l => new LaidLoad(IndexOf(l.StockId), [.. l.Items.Select(i => new LaidItem(i.Id, i.At))]))],
                layout.NotLaid,
                layout.Length
            )
        );
    }
}
