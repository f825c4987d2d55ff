namespace Cabida.Core.Layout;

/// <summary>Where every thing of a problem lies, or that it does not; a thing's place is that of the middle of its box.</summary>
internal sealed class LayState
{
    private readonly LayProblem problem;

    public LayState(LayProblem problem)
    {
        this.problem = problem;
        var count = problem.Things.Count;
        (Load, Turn, X, Y) = (new int[count], new double[count], new double[count], new double[count]);
        Array.Fill(Load, -1);
    }

    /// <summary>A plan as a state; it is of the things of the problem.</summary>
    public static LayState Of(LayProblem problem, LayPlan plan)
    {
        var state = new LayState(problem);
        var indices = problem.Things.Select((t, i) => (t.Item.Id, i)).ToDictionary(t => t.Id, t => t.i);
        for (var load = 0; load < plan.Loads.Count; load++)
        {
            state.Places.Add(plan.Loads[load].Place);
            foreach (var laid in plan.Loads[load].Items)
            {
                var (i, at) = (indices[laid.Id], problem.Inward(laid.At));
                (state.Load[i], state.Turn[i]) = (load, at.Degrees);
                (state.X[i], state.Y[i]) = problem.Things[i].MiddleAt(at);
            }
        }

        return state;
    }

    private LayState(LayState other)
    {
        problem = other.problem;
        (Load, Turn, X, Y) = ([.. other.Load], [.. other.Turn], [.. other.X], [.. other.Y]);
        Places = [.. other.Places];
    }

    /// <summary>On which load each lies; -1 for none.</summary>
    public int[] Load { get; }

    public double[] Turn { get; }

    public double[] X { get; }

    public double[] Y { get; }

    /// <summary>Which place each load is.</summary>
    public List<int> Places { get; } = [];

    public LayState Copy() => new(this);

    /// <summary>Gives back loads at the end on which nothing lies.</summary>
    public void DropEmpty(int least)
    {
        while (Places.Count > least && !Load.Contains(Places.Count - 1))
        {
            Places.RemoveAt(Places.Count - 1);
        }
    }

    /// <summary>The ground of a load.</summary>
    public LayGround GroundOf(int load) => problem.Grounds[Places[load]];

    /// <summary>How far up the last load is used, from the foot of its ground.</summary>
    public double Length()
    {
        var last = Places.Count - 1;
        var top = last < 0 ? 0 : GroundOf(last).Box.MinY;
        for (var i = 0; i < Load.Length; i++)
        {
            if (Load[i] == last)
            {
                top = Math.Max(top, Y[i] + problem.Things[i].ExtentAt(Turn[i]).MaxY);
            }
        }

        return last < 0 ? 0 : top - GroundOf(last).Box.MinY;
    }

    /// <summary>It as a plan.</summary>
    public LayPlan Plan()
    {
        LaidItem Laid(int i) => new(problem.Things[i].Item.Id, problem.Outward(problem.Things[i].MotionAt(Turn[i], X[i], Y[i])));
        return new LayPlan(
            [
                .. Places.Select(
                    (place, load) => new LaidLoad(place, [.. Enumerable.Range(0, Load.Length).Where(i => Load[i] == load).Select(Laid)])
                ),
            ],
            [.. Enumerable.Range(0, Load.Length).Where(i => Load[i] < 0).Select(i => problem.Things[i].Item.Id)],
            Length()
        );
    }
}
