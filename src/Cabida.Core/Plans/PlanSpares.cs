using Cabida.Core.Layout;

namespace Cabida.Core.Plans;

/// <summary>How many more of a piece would go on the loads of a plan: all that is cut of it of the film, beside what lies there.</summary>
public static class PlanSpares
{
    /// <summary>Of a piece of which more fit than this it is said that so many fit.</summary>
    public const int Most = 99;

    /// <summary>Of a piece that is cut as several things, so many are tried: each of them anew, beside all before.</summary>
    public const int MostOfSeveral = 12;

    /// <summary>How many more of a piece go beside what lies there.</summary>
    /// <param name="problem">What is laid, and where.</param>
    /// <param name="layout">How it lies.</param>
    /// <param name="run">The run of the piece.</param>
    /// <param name="piece">The piece.</param>
    /// <param name="stop">Ends it.</param>
    public static int HowMany(PlanProblem problem, PlanLayout layout, string run, string piece, CancellationToken stop)
    {
        ArgumentNullException.ThrowIfNull(problem);
        ArgumentNullException.ThrowIfNull(layout);
        var first = problem.Items.Where(i => i.Id.Run == run && i.Id.Piece == piece).Select(i => i.Id.Copy).DefaultIfEmpty(0).Min();
        var one = problem.Items.Where(i => i.Id.Run == run && i.Id.Piece == piece && i.Id.Copy == first).ToList();
        if (one.Count == 0 || layout.Loads.Count == 0)
        {
            return 0;
        }

        var used = layout.Loads.Select(l => l.StockId).Distinct(StringComparer.Ordinal).ToList();
        var places = problem.Places.Where(p => used.Contains(p.Item.Id)).ToList();
        var layPlaces = places.Select(p => p.Ground.Place(p.Count)).ToList();
        var loads = layout
            .Loads.Select(l =>
                (Place: places.FindIndex(p => p.Item.Id == l.StockId), Items: l.Items.Select(i => new LaidItem(i.Id, i.At)).ToList())
            )
            .ToList();
        var there = problem.Items.Where(i => !layout.NotLaid.Contains(i.Id)).ToList();
        LayPlan Plan() => new([.. loads.Select(l => new LaidLoad(l.Place, l.Items))], [], layout.Length);
        if (one.Count == 1)
        {
            return Spares.Of(there, layPlaces, problem.Terms, Plan(), one[0], Most, stop).Count;
        }

        for (var more = 0; more < MostOfSeveral; more++)
        {
            // The largest first: what it leaves is for the others.
            foreach (var item in one.OrderByDescending(i => i.Outline.Area))
            {
                if (Spares.Of(there, layPlaces, problem.Terms, Plan(), item, 1, stop) is not [var at])
                {
                    return more;
                }

                var spare = item with { Id = item.Id with { Copy = -1000 - more } };
                there.Add(spare);
                loads[at.Load].Items.Add(new LaidItem(spare.Id, at.At));
            }
        }

        return MostOfSeveral;
    }
}
