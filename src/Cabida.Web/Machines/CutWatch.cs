using System.Collections.Concurrent;
using System.Globalization;
using Cabida.Core.Measures;
using Cabida.Core.Plans;
using Cabida.Devices.Cutting;
using Cabida.Store;

namespace Cabida.Web.Machines;

/// <summary>
/// Looks after what was sent to cutters: it remembers how far a load was when its cutter went away, and writes beside a released load that
/// it was cut, whether anybody looks at it or not.
/// </summary>
internal sealed partial class CutWatch(ConnectedMachines machines, IServiceScopeFactory scopes, TimeProvider clock, ILogger<CutWatch> log)
    : BackgroundService
{
    private static readonly TimeSpan Between = TimeSpan.FromSeconds(1);

    /// <summary>So many loads that were left half-way are remembered.</summary>
    private const int MostUnfinished = 20;

    private readonly ConcurrentDictionary<string, Seen> seen = new(StringComparer.Ordinal);
    private readonly SemaphoreSlim wake = new(1, 1);

    /// <summary>What was written is not written again, though the maker takes it away and the cutter still tells of it.</summary>
    private readonly HashSet<string> noted = new(StringComparer.Ordinal);

    /// <summary>How far a cutter is, as it says now.</summary>
    public async Task<MachineView> Look(ICutter machine, CancellationToken stop)
    {
        try
        {
            return Heard(machine, await machine.Look(stop));
        }
        catch (CutterAwayException e)
        {
            return Away(machine, e.Message);
        }
    }

    /// <summary>What a cutter said, kept and passed on; from then on it is looked after.</summary>
    public MachineView Heard(ICutter machine, CutterAnswer answer)
    {
        var view = Remembered(machine, answer);
        if (answer.Jobs.Count > 0)
        {
            Wake();
        }

        return view;
    }

    private MachineView Remembered(ICutter machine, CutterAnswer answer)
    {
        var kept = seen.AddOrUpdate(machine.Id, _ => new Seen(answer, []), (_, before) => before.Then(answer));
        return new MachineView(machine.Id, machine.Name, "", answer, kept.Unfinished);
    }

    /// <summary>A cutter that does not answer, with what it said last.</summary>
    public MachineView Away(ICutter machine, string why)
    {
        var kept = seen.AddOrUpdate(machine.Id, _ => new Seen(null, []), (_, before) => before.Gone());
        return new MachineView(machine.Id, machine.Name, why, kept.Answer, kept.Unfinished);
    }

    protected override async Task ExecuteAsync(CancellationToken stoppingToken)
    {
        try
        {
            while (true)
            {
                await wake.WaitAsync(stoppingToken);
                while (await LookAtAll(stoppingToken))
                {
                    await Task.Delay(Between, clock, stoppingToken);
                }
            }
        }
        catch (OperationCanceledException)
        {
            // The server stops.
        }
    }

    /// <summary>Looks at every cutter once; whether any has still something to do.</summary>
    private async Task<bool> LookAtAll(CancellationToken stop)
    {
        var isBusy = false;
        foreach (var machine in machines.All)
        {
            CutterAnswer answer;
            try
            {
                Remembered(machine, answer = await machine.Look(stop));
            }
            catch (CutterAwayException e)
            {
                Away(machine, e.Message);
                continue;
            }

            isBusy |= answer.State != CutterState.Idle;
            foreach (var job in answer.Jobs.Where(j => j is { State: CutJobState.Done, IsTest: false }))
            {
                try
                {
                    await Note(machine, job, stop);
                }
                catch (Exception e) when (e is not OperationCanceledException)
                {
                    // One that cannot be written keeps no other from being.
                    LogNotNoted(job.Name, e);
                }
            }
        }

        return isBusy;
    }

    /// <summary>Writes beside a released load that it was cut, once.</summary>
    private async Task Note(ICutter machine, JobInCutter job, CancellationToken stop)
    {
        if (noted.Contains(job.Id) || SentLoads.LoadOf(job.Id) is not (var id, false))
        {
            return;
        }

        await using var scope = scopes.CreateAsyncScope();
        var library = scope.ServiceProvider.GetRequiredService<Cabida.Store.Library>();
        if (await library.Find(DocumentKinds.Load, id, stop) is not { } load || load.Document.Cuts.Any(c => c.JobId == job.Id))
        {
            return;
        }

        var took = TimeSpan.FromSeconds(Math.Round(job.Seconds));
        var done = new CutDone(
            clock.GetLocalNow().ToString("yyyy-MM-dd HH:mm", CultureInfo.InvariantCulture),
            string.Create(
                CultureInfo.InvariantCulture,
                $"{machine.Name}, {(int)took.TotalMinutes} min {took.Seconds} s, {job.Lines} lines"
            ),
            TypedLength.Empty,
            TypedLength.Empty,
            ""
        )
        {
            JobId = job.Id,
        };
        var written = await library.Make(
            new UnitOfWork("Cut on " + machine.Name).Put(
                DocumentKinds.Load,
                id,
                load.Document with
                {
                    Cuts = [.. load.Document.Cuts, done],
                },
                load.Revision
            ),
            stop
        );
        if (written.Refused is null)
        {
            noted.Add(job.Id);
        }
    }

    private void Wake()
    {
        try
        {
            wake.Release();
        }
        catch (SemaphoreFullException)
        {
            // It is awake.
        }
    }

    public override void Dispose()
    {
        wake.Dispose();
        base.Dispose();
    }

    [LoggerMessage(Level = LogLevel.Error, Message = "That {Name} was cut could not be noted.")]
    private partial void LogNotNoted(string name, Exception why);

    /// <summary>What a cutter said last, and the loads that it forgot half-way.</summary>
    private sealed record Seen(CutterAnswer? Answer, IReadOnlyList<JobInCutter> Unfinished)
    {
        public Seen Then(CutterAnswer next)
        {
            var known = next.Jobs.Select(j => j.Id).ToHashSet(StringComparer.Ordinal);
            return new Seen(next, Kept([.. Unfinished, .. Begun(Answer)], j => !known.Contains(j.Id)));
        }

        public Seen Gone() =>
            new(
                Answer is { } a ? a with { State = CutterState.Idle, IsDown = false } : null,
                Kept([.. Unfinished, .. Begun(Answer)], _ => true)
            );

        private static IEnumerable<JobInCutter> Begun(CutterAnswer? answer) =>
            answer?.Jobs.Where(j => j is { State: CutJobState.First, IsTest: false, Cut: > 0 }) ?? [];

        /// <summary>The last that was seen of each.</summary>
        private static IReadOnlyList<JobInCutter> Kept(IEnumerable<JobInCutter> jobs, Func<JobInCutter, bool> isKept) =>
            [.. jobs.Where(isKept).GroupBy(j => j.Id, StringComparer.Ordinal).Select(g => g.Last()).TakeLast(MostUnfinished)];
    }
}
