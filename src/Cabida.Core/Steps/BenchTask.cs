namespace Cabida.Core.Steps;

/// <summary>A step of one run as the plan of a day takes it.</summary>
/// <param name="Run">The run, by id.</param>
/// <param name="Step">The step, by id.</param>
/// <param name="Hands">How long it keeps the hands; minutes.</param>
/// <param name="Wait">How long it rests before the next step of its run, or before it is done; minutes.</param>
public sealed record BenchTask(string Run, string Step, double Hands, double Wait);

/// <summary>The steps of one run that are still to do, in order.</summary>
/// <param name="Run">The run, by id.</param>
/// <param name="Tasks">The steps.</param>
/// <param name="Due">When it has to be done; minutes on the axis of the plan.</param>
public sealed record BenchChain(string Run, IReadOnlyList<BenchTask> Tasks, double Due)
{
    /// <summary>How long it takes at the least: hands and waits.</summary>
    public double Length => Tasks.Sum(t => t.Hands + t.Wait);
}

/// <summary>A stretch of time.</summary>
/// <param name="From">Its begin; minutes.</param>
/// <param name="To">Its end.</param>
public readonly record struct Stretch(double From, double To)
{
    /// <summary>How long it is.</summary>
    public double Length => To - From;
}

/// <summary>A step with its time.</summary>
/// <param name="Task">The step.</param>
/// <param name="Hands">When the hands are on it: one stretch, or several where the workshop closes meanwhile.</param>
/// <param name="Ready">When its wait is over; minutes.</param>
public sealed record PlacedTask(BenchTask Task, IReadOnlyList<Stretch> Hands, double Ready)
{
    /// <summary>When it is begun.</summary>
    public double From => Hands[0].From;

    /// <summary>When the hands are free again.</summary>
    public double To => Hands[^1].To;
}

/// <summary>A run that is not done when it is due.</summary>
/// <param name="Run">The run, by id.</param>
/// <param name="By">By how many minutes it is late.</param>
public sealed record LateRun(string Run, double By);

/// <summary>When every step is done.</summary>
/// <param name="Tasks">The steps in the order in which they are begun.</param>
/// <param name="Late">What cannot be met, and by how much.</param>
/// <param name="IsBest">Whether every order was tried, so that there is no better one.</param>
public sealed record StepPlan(IReadOnlyList<PlacedTask> Tasks, IReadOnlyList<LateRun> Late, bool IsBest)
{
    /// <summary>Nothing is to do.</summary>
    public static StepPlan Empty { get; } = new([], [], true);
}
