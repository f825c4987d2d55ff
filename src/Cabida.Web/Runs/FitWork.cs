using Cabida.Core.Pieces;
using Cabida.Core.Runs;
using Cabida.Core.Wording;
using Cabida.Store;
using Cabida.Store.Rows;
using Cabida.Web.Safekeeping;
using Cabida.Web.Serving;

namespace Cabida.Web.Runs;

/// <summary>How far the fitting of a list has come.</summary>
/// <param name="WorkId">The work.</param>
/// <param name="Done">Names that are fitted.</param>
/// <param name="Of">Of so many.</param>
/// <param name="Name">The name that was fitted last; empty before the first.</param>
/// <param name="State">How it stands.</param>
/// <param name="Problem">Why it failed; empty otherwise.</param>
internal sealed record FitProgress(long WorkId, int Done, int Of, string Name, WorkState State, string Problem = "")
    : IWorkProgress<FitProgress>
{
    public FitProgress In(WorkState state, string problem = "") => this with { State = state, Problem = problem };
}

/// <summary>
/// Fits long lists in the background, all cores but one sharing the names of one. Names that are fitted already are not fitted again.
/// </summary>
internal sealed class FitWork(LibraryState library, IServiceScopeFactory scopes, FittedPieces fitted, ILogger<FitWork> log)
    : StoredWork<FitProgress>("fit", "Fitting this list", "run", library, scopes, log)
{
    /// <summary>Asks for a run to be fitted.</summary>
    public Task<FitProgress> Ask(ReadRun run, Works works, CancellationToken stop) =>
        Ask(run.Id, run.Revision, run.Run.Pieces.Count, works, stop);

    protected override FitProgress ProgressOf(WorkRow row) => new(row.Id, row.Done, row.Of, "", row.State, row.Problem);

    protected override async Task<FitProgress?> Do(WorkRow row, FitProgress progress, IServiceProvider services, CancellationToken stop)
    {
        var reader = services.GetRequiredService<RunReader>();
        if (await reader.Find(row.Subject, stop) is not { Basis: not null } run || run.Revision != row.Revision)
        {
            return null;
        }

        var done = 0;
        var reporting = new Lock();
        progress = progress with { Done = 0, Of = run.Run.Pieces.Count };
        Tell(progress);
        void OneDone(Piece piece)
        {
            lock (reporting)
            {
                progress = progress with { Done = ++done, Name = piece.Name };
                Tell(progress);
            }
        }

        // One core is left for the interface.
        var options = new ParallelOptions
        {
            MaxDegreeOfParallelism = Math.Max(1, Environment.ProcessorCount - 1),
            CancellationToken = stop,
        };
        await Parallel.ForEachAsync(run.Run.Pieces, options, (piece, token) =>
        {
            token.ThrowIfCancellationRequested();
            using (Effort.Within(Effort.Large, token))
            {
                fitted.Of(run, piece);
            }

            OneDone(piece);
            return ValueTask.CompletedTask;
        });
        return progress with { State = WorkState.Done };
    }
}
