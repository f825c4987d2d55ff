using Cabida.Core.Wording;
using Cabida.Store;

namespace Cabida.Web.Safekeeping;

/// <summary>Has a copy made at every start and once a day, of a library that was changed since the last.</summary>
internal sealed partial class DailyCopies(LibraryState state, Copying copying, TimeProvider clock, ILogger<DailyCopies> log)
    : BackgroundService
{
    /// <summary>How often is looked whether a day has gone by; what could not be copied is tried again then.</summary>
    private static readonly TimeSpan LookEvery = TimeSpan.FromMinutes(20);
    private static readonly TimeSpan Day = TimeSpan.FromHours(24);

    protected override async Task ExecuteAsync(CancellationToken stoppingToken)
    {
        await state.Opened.WaitAsync(stoppingToken);
        var since = await Make(CopyOccasion.Start, stoppingToken);
        while (true)
        {
            // By a clock that only goes on: one that is set does not matter here.
            await Task.Delay(LookEvery, clock, stoppingToken);
            if (copying.Problem.Length + copying.SecondProblem.Length > 0 || clock.GetElapsedTime(since) >= Day)
            {
                since = await Make(CopyOccasion.Day, stoppingToken);
            }
        }
    }

    private async Task<long> Make(CopyOccasion occasion, CancellationToken stop)
    {
        try
        {
            await copying.MakeIfChanged(occasion, stop);
        }
        catch (Exception fault) when (fault is not OperationCanceledException)
        {
            // It is told on the page; the maker's work goes on, and it is tried again.
            if (fault is not NotWorkableException)
            {
                Stumbled(log, fault);
            }
        }

        return clock.GetTimestamp();
    }

    [LoggerMessage(Level = LogLevel.Error, Message = "Copying the library failed")]
    private static partial void Stumbled(ILogger log, Exception fault);
}
