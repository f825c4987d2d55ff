using Cabida.Core.Orders;
using Cabida.Core.Runs;
using Cabida.Web.Library;

namespace Cabida.Web.Jobs;

/// <summary>How many pieces are how far.</summary>
/// <param name="Stage">How far.</param>
/// <param name="Copies">How many.</param>
internal sealed record StageCount(PieceStage Stage, int Copies);

/// <summary>How far a run of a job is.</summary>
/// <param name="Id">The run.</param>
/// <param name="Name">Its name.</param>
/// <param name="Pieces">How many pieces it makes.</param>
/// <param name="Stages">How far they are; none while that is not worked out.</param>
/// <param name="HandsLeft">What is left to do with hands on; minutes.</param>
/// <param name="Next">The step that is next; empty when all is done.</param>
/// <param name="IsComplete">Whether its set-up is complete, so that it can be made.</param>
/// <param name="IsPending">Whether it is not worked out yet; ask again.</param>
internal sealed record RunProgress(
    string Id,
    string Name,
    int Pieces,
    IReadOnlyList<StageCount> Stages,
    double HandsLeft,
    string Next,
    bool IsComplete,
    bool IsPending
);

/// <summary>A job among those of the week: what is due, where it is, what is next.</summary>
/// <param name="Id">The job.</param>
/// <param name="Name">Its name.</param>
/// <param name="Customer">Who ordered it.</param>
/// <param name="Due">The day it is due, as <c>yyyy-MM-dd</c>; empty for none.</param>
/// <param name="DueAt">The time of that day, as typed.</param>
/// <param name="Runs">Its runs.</param>
/// <param name="Stages">How far all its pieces are.</param>
/// <param name="Stage">The least of them; taken while it has none.</param>
/// <param name="HandsLeft">What is left to do with hands on; minutes.</param>
/// <param name="Awaits">How many pieces wait for the customer's approval, in runs of which a proof was shown.</param>
/// <param name="OrderId">The order that it was taken from; empty for none.</param>
/// <param name="Order">How that order stands; taken where there is none.</param>
internal sealed record JobRow(
    string Id,
    string Name,
    string Customer,
    string Due,
    string DueAt,
    IReadOnlyList<RunProgress> Runs,
    IReadOnlyList<StageCount> Stages,
    PieceStage Stage,
    double HandsLeft,
    int Awaits,
    string OrderId,
    OrderState Order
);

/// <summary>All jobs, and what is waited for.</summary>
/// <param name="Today">Today, as <c>yyyy-MM-dd</c>.</param>
/// <param name="Jobs">The jobs by the day they are due.</param>
/// <param name="Broken">Those that cannot be read.</param>
/// <param name="OrdersWaiting">How many orders wait to be taken.</param>
/// <param name="OrdersCorrected">How many say something else than when they were taken, or have lines left.</param>
/// <param name="PutAway">How many jobs are put away.</param>
internal sealed record WeekView(
    string Today,
    IReadOnlyList<JobRow> Jobs,
    IReadOnlyList<BrokenCard> Broken,
    int OrdersWaiting,
    int OrdersCorrected,
    int PutAway
);
