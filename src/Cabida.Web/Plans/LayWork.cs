using Cabida.Core.Plans;
using Cabida.Store;
using Cabida.Store.Rows;
using Cabida.Web.Safekeeping;
using Cabida.Web.Serving;

namespace Cabida.Web.Plans;

/// <summary>How far a search for a better layout has come.</summary>
/// <param name="WorkId">The work.</param>
/// <param name="Done">Seconds that it has searched.</param>
/// <param name="Of">Of so many.</param>
/// <param name="Better">How many better layouts were found.</param>
/// <param name="Loads">The loads of the best.</param>
/// <param name="Density">Its density; a share.</param>
/// <param name="Before">The density when the search began.</param>
/// <param name="State">How it stands.</param>
/// <param name="Problem">Why it failed; empty otherwise.</param>
internal sealed record LayProgress(
    long WorkId,
    int Done,
    int Of,
    int Better,
    int Loads,
    double Density,
    double Before,
    WorkState State,
    string Problem = ""
) : IWorkProgress<LayProgress>
{
    public LayProgress In(WorkState state, string problem = "") => this with { State = state, Problem = problem };
}

/// <summary>
/// Looks for better layouts in the background, a plan after the other, for as long as was asked for. What is found is kept at once, so that
/// it stands whenever the search is stopped.
/// </summary>
internal sealed class LayWork(LibraryState library, IServiceScopeFactory scopes, ILogger<LayWork> log)
    : StoredWork<LayProgress>("lay", "Laying this plan", "plan", library, scopes, log)
{
    /// <summary>A search lasts no longer than this; seconds.</summary>
    public const int Longest = 600;

    private static readonly TimeSpan Tick = TimeSpan.FromSeconds(1);
    private readonly IServiceScopeFactory scopes = scopes;

    /// <summary>Asks for a plan to be searched for some seconds.</summary>
    public Task<LayProgress> Ask(ReadPlan plan, int seconds, Works works, CancellationToken stop) =>
        Ask(plan.Id, plan.Revision, Math.Clamp(seconds, 1, Longest), works, stop);

    protected override LayProgress ProgressOf(WorkRow row) => new(row.Id, row.Done, row.Of, 0, 0, 0, 0, row.State, row.Problem);

    protected override async Task<LayProgress?> Do(WorkRow row, LayProgress progress, IServiceProvider services, CancellationToken stop)
    {
        var reader = services.GetRequiredService<PlanReader>();
        if (await reader.Find(row.Subject, stop) is not { } read || read.Revision != row.Revision)
        {
            return null;
        }

        var laid = await services.GetRequiredService<PlanLayer>().Lay(read, stop);
        if (laid is not { Problem: { } problem, Layout: { } layout } || problem.IsInRows || layout.Loads.Count == 0)
        {
            return progress with { State = WorkState.Done };
        }

        var density = PlanFigures.Of(problem, layout).Density;
        var best = layout;
        var telling = new Lock();
        progress = progress with { Loads = layout.Loads.Count, Density = density, Before = density };
        Tell(progress);
        using var ending = CancellationTokenSource.CreateLinkedTokenSource(stop);
        ending.CancelAfter(TimeSpan.FromSeconds(Math.Max(1, progress.Of - progress.Done)));
        var saved = Task.CompletedTask;
        void Found(PlanLayout better)
        {
            var now = PlanFigures.Of(problem, better).Density;
            lock (telling)
            {
                best = better;
                progress = progress with { Better = progress.Better + 1, Loads = better.Loads.Count, Density = now };
                // One after the other: what is kept last is the best.
                saved = saved.ContinueWith(_ => Keep(row.Subject, better), TaskScheduler.Default).Unwrap();
                Tell(progress);
            }
        }

        var searching = Task.Run(() => PlanLaying.Better(problem, layout, Found, ending.Token), CancellationToken.None);
        while (await Task.WhenAny(searching, Task.Delay(Tick, CancellationToken.None)) != searching)
        {
            lock (telling)
            {
                progress = progress with { Done = Math.Min(progress.Of, progress.Done + 1) };
                Tell(progress);
            }
        }

        await searching;
        await saved;
        // Another search goes on where this one ended, by other choices.
        await Keep(row.Subject, best with { Searches = layout.Searches + 1 });
        stop.ThrowIfCancellationRequested();
        return progress with { State = WorkState.Done };
    }

    private async Task Keep(string planId, PlanLayout layout)
    {
        await using var scope = scopes.CreateAsyncScope();
        await scope.ServiceProvider.GetRequiredService<KeptLayouts>().Keep(planId, layout);
    }
}
