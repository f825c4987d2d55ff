using Cabida.Core.Geometry;
using Cabida.Core.Layout;
using Cabida.Core.Loads;

namespace Cabida.Core.Plans;

/// <summary>
/// The things of a plan in plain rows, box beside box: as weed boxes round rows ask for it, and as what tight loads are held against.
/// </summary>
public static class PlanRows
{
    /// <summary>An off-cut without so large a rectangle has no rows; millimetres.</summary>
    private const double LeastSide = 10;

    /// <summary>The things in rows on the first places that hold all, else on as many as there are.</summary>
    /// <param name="problem">What is laid, and where.</param>
    public static PlanLayout Of(PlanProblem problem)
    {
        ArgumentNullException.ThrowIfNull(problem);
        PlanLayout? best = null;
        foreach (var places in problem.Alternatives())
        {
            var laid = On(problem, places);
            if (laid.NotLaid.Count == 0)
            {
                return laid;
            }

            best = best is null || laid.NotLaid.Count <= best.NotLaid.Count ? laid : best;
        }

        return best!;
    }

    /// <summary>The rectangle of a place in which rows are laid: all of it, or the largest that it holds.</summary>
    public static Box? RectangleOf(PlanPlace place)
    {
        ArgumentNullException.ThrowIfNull(place);
        var box = Box.Of(place.Ground.Ground)!.Value;
        return place.Area >= box.Width * box.Height * (1 - 1e-9)
            ? box
            : FreeRectangles.Of(place.Ground.Ground, LeastSide).Select(b => (Box?)b).FirstOrDefault();
    }

    private static PlanLayout On(PlanProblem problem, IReadOnlyList<int> places)
    {
        var boxes = problem.Things.Select(t => t.Taken).ToList();
        List<int> left = [.. Enumerable.Range(0, problem.Things.Count)];
        var loads = new List<PlanLoad>();
        var top = 0.0;
        foreach (var place in places.Select(i => problem.Places[i]))
        {
            if (left.Count == 0 || RectangleOf(place) is not { } on)
            {
                continue;
            }

            // What is boxed by itself takes the room of its box by its outline.
            var plan = LoadPlan.Of(
                [.. left.Select(i => new LoadItem(Text(i), boxes[i].Width, boxes[i].Height))],
                on.Width,
                on.Height,
                problem.Terms.ScissorsRoom,
                problem.Weeds,
                problem.Terms.Turning != LayTurning.None
            );
            var taken = plan.Loads.Take(place.Count).ToList();
            // Rows go from the top down; all of them are brought to the foot, where a roll begins and the rest of a sheet is kept whole.
            double FootOf(Load load) => load.Placements.Min(p => p.Box.MinY) - problem.Weeds.AboveBelow - problem.Weeds.AtEnds;
            loads.AddRange(
                taken.Select(l => new PlanLoad(place.Item.Id, [.. l.Placements.Select(p => Placed(problem, on.Moved(0, -FootOf(l)), p))]))
            );
            var there = taken.SelectMany(l => l.Placements).Select(p => Number(p.PieceId)).ToHashSet();
            left.RemoveAll(there.Contains);
            if (taken.Count > 0)
            {
                top = on.MaxY - FootOf(taken[^1]) - Box.Of(place.Ground.Ground)!.Value.MinY;
            }
        }

        return new PlanLayout(problem.Key, loads, [.. left.Select(i => problem.Things[i].Id)], top);
    }

    /// <summary>A placement as a motion of ink as it is cut, with all that is cut with it.</summary>
    private static PlanItem Placed(PlanProblem problem, Box on, Placement at)
    {
        var thing = problem.Things[Number(at.PieceId)];
        var turn = at.Turned ? 90.0 : 0;
        var box = Motion.TurnLeft(turn).Of(thing.Taken);
        return new PlanItem(thing.Id, new RigidMotion(turn, on.MinX + at.Box.MinX - box.MinX, on.MinY + at.Box.MinY - box.MinY), at.Row);
    }

    private static string Text(int index) => index.ToString(System.Globalization.CultureInfo.InvariantCulture);

    private static int Number(string text) => int.Parse(text, System.Globalization.CultureInfo.InvariantCulture);
}
