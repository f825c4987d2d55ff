using System.Collections.Concurrent;
using System.Runtime.CompilerServices;
using System.Threading.Channels;
using Cabida.Store;
using Cabida.Store.Rows;
using Cabida.Web.Safekeeping;

namespace Cabida.Web.Serving;

/// <summary>How far a piece of long work has come.</summary>
internal interface IWorkProgress<TSelf>
{
    /// <summary>The work.</summary>
    long WorkId { get; }

    /// <summary>How much is done.</summary>
    int Done { get; }

    /// <summary>How it stands.</summary>
    WorkState State { get; }

    /// <summary>Why it failed; empty otherwise.</summary>
    string Problem { get; }

    /// <summary>It in another state.</summary>
    TSelf In(WorkState state, string problem = "");
}

/// <summary>
/// Long work of one kind, done in the background, a piece after the other. Work is kept as rows, so that it is taken up again after a
/// restart; its progress is told to all who follow it.
/// </summary>
/// <param name="kind">What it is called among long work.</param>
/// <param name="doing">What is done, as sentences begin with it.</param>
/// <param name="subject">What it is done to, as in "Change something of the ...".</param>
/// <param name="library">Tells when the library is open.</param>
/// <param name="scopes">Where services come from.</param>
/// <param name="log">Where faults are written down.</param>
internal abstract partial class StoredWork<TProgress>(
    string kind,
    string doing,
    string subject,
    LibraryState library,
    IServiceScopeFactory scopes,
    ILogger log
) : BackgroundService
    where TProgress : class, IWorkProgress<TProgress>
{
    private static readonly TimeSpan ReportEvery = TimeSpan.FromSeconds(1);

    /// <summary>So long is waited where the library cannot be read or written, as on a full disk.</summary>
    private static readonly TimeSpan WaitAfterFault = TimeSpan.FromSeconds(5);

    /// <summary>Work that was begun so often and never ended is not begun again.</summary>
    private const int MostStarts = 2;
    private readonly Channel<bool> asked = Channel.CreateBounded<bool>(
        new BoundedChannelOptions(1) { FullMode = BoundedChannelFullMode.DropWrite }
    );
    private readonly ConcurrentDictionary<long, CancellationTokenSource> running = new();
    private readonly ConcurrentDictionary<long, TProgress> last = new();
    private readonly ConcurrentDictionary<Channel<TProgress>, long> listeners = new();

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
    public async IAsyncEnumerable<TProgress> Follow(long id, Works works, [EnumeratorCancellation] CancellationToken stop)
    {
        var channel = Channel.CreateBounded<TProgress>(new BoundedChannelOptions(4) { FullMode = BoundedChannelFullMode.DropOldest });
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

    /// <summary>Asks for work on a revision of something, or finds the same that has not ended.</summary>
    protected async Task<TProgress> Ask(string about, int revision, int of, Works works, CancellationToken stop)
    {
        ArgumentNullException.ThrowIfNull(works);
        var row = await works.Ask(kind, about, revision, of, stop);
        asked.Writer.TryWrite(true);
        return last.GetValueOrDefault(row.Id) ?? ProgressOf(row);
    }

    /// <summary>How work stands by its row.</summary>
    protected abstract TProgress ProgressOf(WorkRow row);

    /// <summary>
    /// Does work, telling how it comes on.
    /// </summary>
    /// <returns>How it ended; null when what it is about is no longer as it was asked for.</returns>
    protected abstract Task<TProgress?> Do(WorkRow row, TProgress progress, IServiceProvider services, CancellationToken stop);

    /// <summary>Tells how work comes on.</summary>
    protected void Tell(TProgress progress)
    {
        ArgumentNullException.ThrowIfNull(progress);
        last[progress.WorkId] = progress;
        foreach (var (channel, _) in listeners.Where(l => l.Value == progress.WorkId))
        {
            channel.Writer.TryWrite(progress);
        }
    }

    /// <inheritdoc/>
    protected override async Task ExecuteAsync(CancellationToken stoppingToken)
    {
        await library.Opened.WaitAsync(stoppingToken);
        while (!stoppingToken.IsCancellationRequested)
        {
            try
            {
                await using var scope = scopes.CreateAsyncScope();
                var works = scope.ServiceProvider.GetRequiredService<Works>();
                if (await works.Next(kind, stoppingToken) is not { } row)
                {
                    await asked.Reader.ReadAsync(stoppingToken);
                    continue;
                }

                await Begin(row, works, scope.ServiceProvider, stoppingToken);
            }
            catch (Exception fault) when (fault is not OperationCanceledException)
            {
                // A full disk, say: the application goes on, and what waits is tried again.
                Waiting(log, fault);
                await Task.Delay(WaitAfterFault, stoppingToken);
            }
        }
    }

    private async Task Begin(WorkRow row, Works works, IServiceProvider services, CancellationToken stopping)
    {
        using var source = CancellationTokenSource.CreateLinkedTokenSource(stopping);
        running[row.Id] = source;
        var progress = ProgressOf(row).In(WorkState.Running);
        try
        {
            var starts = await works.Begin(row.Id, stopping);
            if (starts > MostStarts)
            {
                var ended = $"{doing} ended the application twice. Change something of the {subject}, or start it again.";
                await End(progress.In(WorkState.Failed, ended), works, stopping);
                return;
            }

            var done = starts == 0 ? null : await Watched(row, progress, works, services, source);
            await End(done ?? progress.In(WorkState.Stopped), works, stopping);
        }
        catch (OperationCanceledException) when (stopping.IsCancellationRequested)
        {
            await works.PutBack(row.Id, CancellationToken.None);
            throw;
        }
        catch (OperationCanceledException)
        {
            Tell((last.GetValueOrDefault(row.Id) ?? progress).In(WorkState.Stopped));
        }
        catch (Exception fault) when (fault is not OperationCanceledException)
        {
            Failing(log, kind, row.Subject, fault);
            var why = Gate.IsOurs(fault)
                ? $"{doing} stopped by a fault of the application. Change something of the {subject}, or start it again."
                : $"{doing} stopped: the library could not be read or written. Is the disk full? Make room, then start it again.";
            await Fail(progress.In(WorkState.Failed, why), works, stopping);
        }
        finally
        {
            running.TryRemove(row.Id, out _);
            last.TryRemove(row.Id, out _);
        }
    }

    /// <summary>Does work while its progress is written down, and ends it when it is not wanted any more.</summary>
    private async Task<TProgress?> Watched(
        WorkRow row,
        TProgress progress,
        Works works,
        IServiceProvider services,
        CancellationTokenSource source
    )
    {
        Tell(progress);
        // Works and what the work itself reads do not share a context.
        await using var own = services.CreateAsyncScope();
        var all = Task.Run(() => Do(row, progress, own.ServiceProvider, source.Token), source.Token);
        while (await Task.WhenAny(all, Task.Delay(ReportEvery, CancellationToken.None)) != all)
        {
            if (!await works.Report(row.Id, (last.GetValueOrDefault(row.Id) ?? progress).Done, WorkState.Running, stop: source.Token))
            {
                await source.CancelAsync();
            }
        }

        return await all;
    }

    /// <summary>Tells that work failed, also where that cannot be written down.</summary>
    private async Task Fail(TProgress progress, Works works, CancellationToken stop)
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

    private async Task End(TProgress progress, Works works, CancellationToken stop)
    {
        await works.Report(progress.WorkId, progress.Done, progress.State, progress.Problem, stop);
        Tell(progress);
    }

    [LoggerMessage(Level = LogLevel.Error, Message = "Long work waits: the library cannot be read or written")]
    private static partial void Waiting(ILogger log, Exception fault);

    [LoggerMessage(Level = LogLevel.Error, Message = "Long work ({Kind}) on {Subject} failed")]
    private static partial void Failing(ILogger log, string kind, string subject, Exception fault);
}
