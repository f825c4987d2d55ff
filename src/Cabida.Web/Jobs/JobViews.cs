using Cabida.Core.Runs;
using Cabida.Core.Stock;
using Cabida.Core.Wording;
using Cabida.Store;
using Cabida.Web.Library;

namespace Cabida.Web.Jobs;

/// <summary>An order with its runs, and what cannot be used of the time it is due.</summary>
internal sealed record JobView(string Id, int Revision, DateTime ChangedAt, Job Job, IReadOnlyList<RunCard> Runs, Phrase? Problem);

internal sealed class JobViews(RunCards runs) : IViews<Job, JobView>
{
    public async Task<JobView> Of(Stored<Job> stored, CancellationToken stop) =>
        new(
            stored.Id,
            stored.Revision,
            stored.ChangedAt,
            stored.Document,
            await runs.Of(stored.Id, stop),
            WorkHours.Minutes(stored.Document.DueAt).Problem
        );
}
