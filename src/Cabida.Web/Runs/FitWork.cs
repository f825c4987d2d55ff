using System.Collections.Concurrent;
using System.Runtime.CompilerServices;
using System.Threading.Channels;
using Cabida.Core.Pieces;
using Cabida.Core.Runs;
using Cabida.Core.Wording;
using Cabida.Store;
using Cabida.Store.Rows;
using Cabida.Web.Serving;

namespace Cabida.Web.Runs;

/// <summary>How far the fitting of a list has come.</summary>
/// <param name="WorkId">The work.</param>
/// <param name="Done">Names that are fitted.</param>
/// <param name="Of">Of so many.</param>
/// <param name="Name">The name that was fitted last; empty before the first.</param>
/// <param name="State">How it stands.</param>
/// <param name="Problem">Why it failed; empty otherwise.</param>
internal sealed record FitProgress(long WorkId, int Done, int Of, string Name, WorkState State, string Problem = "");

/// <summary>
/// Fits long lists in the background, a list after the other, all cores but one sharing its names. Work is kept as rows, so that it
/// is taken up again after a restart; names that are fitted already are not fitted again.
/// </summary>
internal sealed partial class FitWork(IServiceScopeFactory scopes, FittedPieces fitted, ILogger<FitWork> log) : BackgroundService
{
    /// <summary>What fitting is called among long work.</summary>
    public const string Kind = "fit";

    private static readonly TimeSpan ReportEvery = TimeSpan.FromSeconds(1);

    /// <summary>So long is waited where the library cannot be read or written, as on a full disk.</summary>
    private static readonly TimeSpan WaitAfterFault = TimeSpan.FromSeconds(5);

    /// <summary>Work that was begun so often and never ended is not begun again.</summary>
    private const int MostStarts = 2;
    private readonly Channel<bool> asked = Channel.CreateBounded<bool>(
        new BoundedChannelOptions(1) { FullMode = BoundedChannelFullMode.DropWrite }
    );
    private readonly ConcurrentDictionary<long, CancellationTokenSource> running = new();
    private readonly ConcurrentDictionary<long, FitProgress> last = new();
    private readonly ConcurrentDictionary<Channel<FitProgress>, long> listeners = new();

    /// <summary>Asks for a run to be fitted.</summary>
    public async Task<FitProgress> Ask(ReadRun run, Works works, CancellationToken stop)
    {
        var row = await works.Ask(Kind, run.Id, run.Revision, run.Run.Pieces.Count, stop);
        asked.Writer.TryWrite(true);
        return last.GetValueOrDefault(row.Id) ?? ProgressOf(row);
    }

    /// <summary>Stops work.</summary>
    public async Task Stop(long id, Works works, CancellationToken stop)
    {
        await works.Stop(id, stop);
        if (running.TryGetValue(id, out var source))
        {
            await source.CancelAsync();
        }
    }

    /// <summary>How work comes on, until it ends.</summary>
    public async IAsyncEnumerable<FitProgress> Follow(long id, Works works, [EnumeratorCancellation] CancellationToken stop)
    {
        var channel = Channel.CreateBounded<FitProgress>(new BoundedChannelOptions(4) { FullMode = BoundedChannelFullMode.DropOldest });
        listeners[channel] = id;
        try
        {
            if (await works.Find(id, stop) is not { } row)
            {
                yield break;
            }

            var now = row.State > WorkState.Running ? ProgressOf(row) : last.GetValueOrDefault(id) ?? ProgressOf(row);
            yield return now;
            while (now.State <= WorkState.Running)
            {
                var next = await channel.Reader.ReadAsync(stop);
                // What was told before is older than what was known at the start.
                if (next.State > WorkState.Running || next.Done >= now.Done)
                {
                    now = next;
                    yield return now;
                }
            }
        }
        finally
        {
            listeners.TryRemove(channel, out _);
        }
    }

    protected override async Task ExecuteAsync(CancellationToken stoppingToken)
    {
        while (!stoppingToken.IsCancellationRequested)
        {
            try
            {
                await using var scope = scopes.CreateAsyncScope();
                var works = scope.ServiceProvider.GetRequiredService<Works>();
                if (await works.Next(Kind, stoppingToken) is not { } row)
                {
                    await asked.Reader.ReadAsync(stoppingToken);
                    continue;
                }

                await Do(row, works, scope.ServiceProvider.GetRequiredService<RunReader>(), stoppingToken);
            }
            catch (Exception fault) when (fault is not OperationCanceledException)
            {
                // A full disk, say: the application goes on, and what waits is tried again.
                Waiting(log, fault);
                await Task.Delay(WaitAfterFault, stoppingToken);
            }
        }
    }

    private async Task Do(WorkRow row, Works works, RunReader reader, CancellationToken stopping)
    {
        using var source = CancellationTokenSource.CreateLinkedTokenSource(stopping);
        running[row.Id] = source;
        var progress = ProgressOf(row) with { Done = 0, State = WorkState.Running };
        try
        {
            var starts = await works.Begin(row.Id, stopping);
            if (starts > MostStarts)
            {
                await End(
                    progress with
                    {
                        State = WorkState.Failed,
                        Problem = "Fitting this list ended the application twice. Change something of the run, or start it again.",
                    },
                    works,
                    stopping
                );
                return;
            }

            if (starts == 0 || await reader.Find(row.Subject, stopping) is not { Basis: not null } run || run.Revision != row.Revision)
            {
                await End(progress with { State = WorkState.Stopped }, works, stopping);
                return;
            }

            progress = progress with { Of = run.Run.Pieces.Count };
            Tell(progress);
            await End(await Fitted(run, progress, works, source.Token), works, stopping);
        }
        catch (OperationCanceledException) when (stopping.IsCancellationRequested)
        {
            await works.PutBack(row.Id, CancellationToken.None);
            throw;
        }
        catch (OperationCanceledException)
        {
            Tell((last.GetValueOrDefault(row.Id) ?? progress) with { State = WorkState.Stopped });
        }
        catch (Exception fault) when (fault is not OperationCanceledException)
        {
            Failing(log, row.Subject, fault);
            await Fail(
                progress with
                {
                    State = WorkState.Failed,
                    Problem = Gate.IsOurs(fault)
                        ? "Fitting stopped by a fault of the application. Change something of the run, or start it again."
                        : "Fitting stopped: the library could not be read or written. Is the disk full? Make room, then start it again.",
                },
                works,
                stopping
            );
        }
        finally
        {
            running.TryRemove(row.Id, out _);
            last.TryRemove(row.Id, out _);
        }
    }

    /// <summary>Tells that work failed, also where that cannot be written down.</summary>
    private async Task Fail(FitProgress progress, Works works, CancellationToken stop)
    {
        try
        {
            await works.Report(progress.WorkId, progress.Done, progress.State, progress.Problem, stop);
        }
        finally
        {
            Tell(progress);
        }
    }

    private async Task<FitProgress> Fitted(ReadRun run, FitProgress progress, Works works, CancellationToken stop)
    {
        var done = 0;
        var reporting = new Lock();
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
        var all = Parallel.ForEachAsync(run.Run.Pieces, options, (piece, token) =>
        {
            token.ThrowIfCancellationRequested();
            using (Effort.Within(Effort.Large, token))
            {
                fitted.Of(run, piece);
            }

            OneDone(piece);
            return ValueTask.CompletedTask;
        });
        while (await Task.WhenAny(all, Task.Delay(ReportEvery, stop)) != all)
        {
            if (!await works.Report(progress.WorkId, progress.Done, WorkState.Running, stop: stop))
            {
                await running[progress.WorkId].CancelAsync();
            }
        }

        await all;
        return progress with { State = WorkState.Done };
    }

    private async Task End(FitProgress progress, Works works, CancellationToken stop)
    {
        await works.Report(progress.WorkId, progress.Done, progress.State, progress.Problem, stop);
        Tell(progress);
    }

    private void Tell(FitProgress progress)
    {
        last[progress.WorkId] = progress;
        foreach (var (channel, _) in listeners.Where(l => l.Value == progress.WorkId))
        {
            channel.Writer.TryWrite(progress);
        }
    }

    [LoggerMessage(Level = LogLevel.Error, Message = "Long work waits: the library cannot be read or written")]
    private static partial void Waiting(ILogger log, Exception fault);

    [LoggerMessage(Level = LogLevel.Error, Message = "Fitting run {Run} failed")]
    private static partial void Failing(ILogger log, string run, Exception fault);

    private static FitProgress ProgressOf(WorkRow row) => new(row.Id, row.Done, row.Of, "", row.State, row.Problem);
}
