using Cabida.Core.Runs;

namespace Cabida.Web.Making;

/// <summary>A step of the plan with its time of day; local times as <c>yyyy-MM-ddTHH:mm</c>.</summary>
/// <param name="RunId">The run.</param>
/// <param name="Run">Its name.</param>
/// <param name="Job">The name of its job.</param>
/// <param name="StepId">The step.</param>
/// <param name="Step">What it is called.</param>
/// <param name="Kind">What is done.</param>
/// <param name="Hands">When the hands are on it.</param>
/// <param name="Minutes">How long they are; minutes.</param>
/// <param name="ReadyAt">When its wait is over.</param>
/// <param name="Wait">How long that is; minutes.</param>
internal sealed record PlannedStep(
    string RunId,
    string Run,
    string Job,
    string StepId,
    string Step,
    StepKind Kind,
    IReadOnlyList<DayStretch> Hands,
    double Minutes,
    string ReadyAt,
    double Wait
);

/// <summary>A stretch of local time.</summary>
internal sealed record DayStretch(string From, string To);

/// <summary>A run that is not done in time.</summary>
/// <param name="RunId">The run.</param>
/// <param name="Run">Its name.</param>
/// <param name="Job">Its job.</param>
/// <param name="By">By how much, in words; empty where the open hours end before it could be done.</param>
internal sealed record LateView(string RunId, string Run, string Job, string By);

/// <summary>A run that the plan leaves out.</summary>
/// <param name="RunId">The run.</param>
/// <param name="Run">Its name.</param>
/// <param name="Why">Why.</param>
internal sealed record LeftOut(string RunId, string Run, string Why);

/// <summary>What is done when, over all jobs.</summary>
/// <param name="Now">Local time, as of this answer.</param>
/// <param name="Open">When the workshop is open, on the days the plan is of and today.</param>
/// <param name="Steps">The steps in the order in which they are begun.</param>
/// <param name="Late">What cannot be met.</param>
/// <param name="LeftOut">What is not planned, and why.</param>
/// <param name="IsBest">Whether every order was tried.</param>
/// <param name="IsFromNow">Whether it runs from now on: asked for, or because something cannot be met.</param>
/// <param name="Pending">How many runs are not worked out yet; ask again.</param>
internal sealed record DayView(
    string Now,
    IReadOnlyList<DayStretch> Open,
    IReadOnlyList<PlannedStep> Steps,
    IReadOnlyList<LateView> Late,
    IReadOnlyList<LeftOut> LeftOut,
    bool IsBest,
    bool IsFromNow,
    int Pending
);
