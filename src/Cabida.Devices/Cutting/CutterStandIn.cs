using Cabida.Core.Cutting;
using Cabida.Core.Geometry;

namespace Cabida.Devices.Cutting;

/// <summary>
/// A cutter that cuts a virtual sheet: it holds a queue, takes its time, runs out of film, and warns of what would spoil a sheet. It asks
/// for a test cut first. It is the machine alone; <see cref="CutterLine"/> is how it is spoken to.
/// </summary>
/// <param name="read">What it makes of a file: its lines in the order in which they are cut. Format and content.</param>
/// <param name="clock">Its clock.</param>
/// <param name="timesAsFast">How many times as fast as in life it goes.</param>
public sealed class CutterStandIn(
    Func<string, string, IReadOnlyList<IReadOnlyList<PlanePoint>>> read,
    TimeProvider clock,
    double timesAsFast = 1
)
{
    /// <summary>How it moves.</summary>
    public static CutSpeeds Speeds { get; } = new(200, 400, 2000, 0.05);

    /// <summary>It holds so many loads that wait.</summary>
    public const int MostWaiting = 50;
    private const int MostDone = 20;

    /// <summary>More lines than this are not a load.</summary>
    private const int MostLines = 200_000;

    /// <summary>The picture of what it cut is this true; millimetres.</summary>
    private const double PictureError = 0.05;

    private readonly Lock busy = new();
    private readonly List<Job> queue = [];
    private readonly List<Job> done = [];
    private readonly HashSet<string> tested = [];
    private CutterState state = CutterState.Idle;
    private string sheetIn = "";
    private string filmName = "";
    private double filmUntil;
    private long looked = clock.GetTimestamp();

    /// <summary>How far it is.</summary>
    public CutterAnswer Look()
    {
        lock (busy)
        {
            Advance();
            var first = queue.FirstOrDefault();
            var (at, isDown) = first is null ? (default, false) : first.Sheet.BladeAfter(first.Seconds);
            return new CutterAnswer(
                state,
                filmName,
                isDown && state == CutterState.Cutting,
                at,
                timesAsFast,
                [.. queue.Concat(done.AsEnumerable().Reverse()).Select(j => j.Seen(j == first))]
            );
        }
    }

    /// <summary>Puts a load at the end of the queue.</summary>
    /// <exception cref="CutterRefusedException">It is none, or no test cut was made of this film with these settings.</exception>
    public CutterAnswer Take(CutJob job)
    {
        ArgumentNullException.ThrowIfNull(job);
        lock (busy)
        {
            Advance();
            if (queue.Any(j => j.Sent.Id == job.Id))
            {
                return Look();
            }

            if (queue.Count >= MostWaiting)
            {
                throw new CutterRefusedException($"{MostWaiting} loads wait already. Let some of them be cut first.");
            }

            if (!job.IsTest && !job.WithoutTest && !tested.Contains(TestOf(job)))
            {
                throw new CutterRefusedException("No test cut was made of this film with these settings.") { WantsTest = true };
            }
        }

        // Read beside the lock: while a long file is put in order the machine answers.
        var made = new Job(job, new SheetCut(Read(job), job.ReachWidth, job.ReachLength, Speeds, job.From));
        lock (busy)
        {
            Advance();
            if (queue.All(j => j.Sent.Id != job.Id))
            {
                queue.Add(made);
                if (queue.Count == 1)
                {
                    // What is sent to an idle cutter lies in it.
                    PutIn(job.Film, job.Film.Until);
                    Begin();
                }
            }

            return Look();
        }
    }

    /// <summary>Does what it is told.</summary>
    /// <exception cref="CutterRefusedException">It cannot, now.</exception>
    public CutterAnswer Do(CutterOrder order)
    {
        ArgumentNullException.ThrowIfNull(order);
        lock (busy)
        {
            Advance();
            var job = queue.FirstOrDefault(j => j.Sent.Id == order.JobId)
                ?? throw new CutterRefusedException("It knows no such load, or that is cut already.");
            if (order.Command == CutterCommand.TakeBack)
            {
                var wasFirst = queue[0] == job;
                queue.Remove(job);
                Finish(job, CutJobState.TakenBack);
                if (wasFirst)
                {
                    Begin();
                }

                return Look();
            }

            if (queue[0] != job)
            {
                throw new CutterRefusedException("Another load is before it.");
            }

            switch (order.Command, state)
            {
                case (CutterCommand.Pause, CutterState.Cutting):
                    state = CutterState.Paused;
                    break;
                case (CutterCommand.GoOn, CutterState.Paused):
                    state = CutterState.Cutting;
                    break;
                case (CutterCommand.AllTheSame, CutterState.Held):
                    job.IsAllTheSame = true;
                    state = CutterState.Cutting;
                    break;
                case (CutterCommand.FilmIsIn, CutterState.WaitsForFilm):
                    PutIn(job.Sent.Film, order.Until ?? job.Sent.Film.Until);
                    Begin();
                    break;
                case (CutterCommand.FilmIsIn, CutterState.OutOfFilm):
                    PutIn(job.Sent.Film, order.Until ?? job.Sheet.Used!.Value.MaxY);
                    state = CutterState.Cutting;
                    break;
                default:
                    throw new CutterRefusedException("It is not in a state for that any more. Look at it once more.");
            }

            return Look();
        }
    }

    /// <summary>What it cuts of a load, in its order.</summary>
    /// <exception cref="CutterRefusedException">It knows no such load.</exception>
    public CutSheet SheetOf(string jobId)
    {
        lock (busy)
        {
            var job = queue.Concat(done.AsEnumerable().Reverse()).FirstOrDefault(j => j.Sent.Id == jobId)
                ?? throw new CutterRefusedException("It knows no such load.");
            return new CutSheet(
                jobId,
                [
                    .. job.Sheet.Lines.Select(l => new CutStroke(
                        [.. Outlines.Thinned(l.Points, PictureError).SelectMany(p => new[] { Round(p.X), Round(p.Y) })],
                        l.IsReached
                    )),
                ]
            );
        }
    }

    private static double Round(double value) => Math.Round(value, 2);

    private IReadOnlyList<IReadOnlyList<PlanePoint>> Read(CutJob job)
    {
        try
        {
            var lines = read(job.Format, job.Content);
            return
                lines.Count is > 0 and <= MostLines
                && lines.All(l => l.Count > 0 && l.All(p => double.IsFinite(p.X) && double.IsFinite(p.Y)))
                ? lines
                : throw new CutterRefusedException(
                    lines.Count == 0
                        ? "There is nothing in the file that could be cut."
                        : "The file holds more than can be cut, or no places."
                );
        }
        catch (Exception e) when (e is not CutterRefusedException)
        {
            // Whatever a file does to its reader, the machine goes on.
            throw new CutterRefusedException($"The file cannot be read: {e.Message}");
        }
    }

    private static string TestOf(CutJob job) => $"{job.Film.Film}\n{job.Settings}";

    private void PutIn(FilmIn film, double until) => (sheetIn, filmName, filmUntil) = (film.Sheet, film.Name, until);

    /// <summary>Begins with the first of the queue, if nothing stands against it.</summary>
    private void Begin() =>
        state =
            queue.Count == 0 ? CutterState.Idle
            : queue[0].Sent.Film.Sheet != sheetIn ? CutterState.WaitsForFilm
            : queue[0].IsHeld ? CutterState.Held
            : CutterState.Cutting;

    /// <summary>Cuts on for the time that went by since it was looked at last.</summary>
    private void Advance()
    {
        var now = clock.GetTimestamp();
        var left = clock.GetElapsedTime(looked, now).TotalSeconds * timesAsFast;
        looked = now;
        while (state == CutterState.Cutting && left > 0)
        {
            var job = queue[0];
            var stops = job.Sheet.OutOfFilm(filmUntil, job.Seconds);
            var step = Math.Min(left, Math.Max(0, (stops ?? job.Sheet.Seconds) - job.Seconds));
            job.Seconds += step;
            left -= step;
            if (stops is { } at && job.Seconds >= at)
            {
                state = CutterState.OutOfFilm;
            }
            else if (job.Seconds >= job.Sheet.Seconds)
            {
                queue.RemoveAt(0);
                Finish(job, CutJobState.Done);
                Begin();
            }
        }
    }

    private void Finish(Job job, CutJobState end)
    {
        job.State = end;
        done.Add(job);
        if (done.Count > MostDone)
        {
            done.RemoveAt(0);
        }

        if (end == CutJobState.Done && job.Sent.IsTest)
        {
            tested.Add(TestOf(job.Sent));
        }
    }

    private sealed class Job(CutJob sent, SheetCut sheet)
    {
        public CutJob Sent { get; } = sent;

        public SheetCut Sheet { get; } = sheet;

        public double Seconds { get; set; }

        public bool IsAllTheSame { get; set; }

        public CutJobState State { get; set; } = CutJobState.Queued;

        /// <summary>A test cut is made to see how deep it cuts; only where it cannot come it waits.</summary>
        public bool IsHeld => !IsAllTheSame && Warnings.Any(w => w.Holds && (!Sent.IsTest || w.Kind == CutterWarningKind.OutsideReach));

        public CutDepth? Depth { get; } = BladeDepth.Of(sent.Settings, sent.Film);

        public IReadOnlyList<CutterWarning> Warnings =>
            [
                .. Sheet.Outside > 0 ? new[] { new CutterWarning(CutterWarningKind.OutsideReach, Sheet.Outside, Sheet.Furthest) } : [],
                .. BladeDepth.Warning(Depth) is { } deep ? new[] { deep } : [],
            ];

        public JobInCutter Seen(bool isFirst) =>
            new(
                Sent.Id,
                Sent.Name,
                Sent.Film.Name,
                Sent.Format,
                Sent.IsTest,
                isFirst ? CutJobState.First : State,
                Sheet.Lines.Count,
                Sheet.CutAfter(Seconds),
                Sheet.ShareAfter(Seconds),
                Seconds,
                Math.Max(0, Sheet.Seconds - Seconds),
                Sheet.Used?.Width ?? 0,
                Sheet.Used?.Height ?? 0,
                Depth,
                Warnings
            );
    }
}
