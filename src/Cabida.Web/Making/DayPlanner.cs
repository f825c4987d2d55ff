using System.Globalization;
using Cabida.Core.Measures;
using Cabida.Core.Runs;
using Cabida.Core.Steps;
using Cabida.Core.Stock;
using Cabida.Store;

namespace Cabida.Web.Making;

/// <summary>Plans the steps of all runs that are due, over the workshop's hours.</summary>
internal sealed class DayPlanner(Cabida.Store.Library library, LibraryIndex index, JobStages stages, TimeProvider clock)
{
    /// <summary>It plans so far ahead, and back: days.</summary>
    private const int Horizon = 60;

    private sealed record Todo(Heading Run, Job Job, MakingView Making, double Due);

    /// <summary>The plan, as late as can be or from now on.</summary>
    public async Task<DayView> Of(bool fromNow, CancellationToken stop)
    {
        var now = clock.GetLocalNow().DateTime;
        var midnight = now.Date;
        var workshop = (await library.Find(DocumentKinds.Workshop, Workshop.Only, stop))?.Document ?? Workshop.Unnamed;
        var away = (await stages.Away(stop)).Jobs;
        var open = (await index.Headings(DocumentKinds.Job, stop)).Select(j => j.Id).Where(j => !away.Contains(j));
        var jobs = (await library.Some(DocumentKinds.Job, open, stop)).ToDictionary(j => j.Id, j => j.Document, StringComparer.Ordinal);
        var ofJob = await index.Referring(DocumentKinds.Run, DocumentKinds.Job, stop);
        var jobOf = jobs
            .Keys.SelectMany(j => ofJob[j].Select(r => (Run: r, Job: j)))
            .ToDictionary(p => p.Run, p => jobs[p.Job], StringComparer.Ordinal);
        var runs = (await stages.Open(stop)).Where(r => jobOf.ContainsKey(r.Id)).ToList();
        var made = await stages.OfAll(stop);
        var (todo, leftOut) = (new List<Todo>(), new List<LeftOut>());
        foreach (var run in runs.Where(r => made.ContainsKey(r.Id)))
        {
            var view = made[run.Id];
            var job = jobOf[run.Id];
            if (view.Steps.Count == 0 || view.Pieces.Count == 0)
            {
                leftOut.Add(new LeftOut(run.Id, run.Name, "its set-up is not complete"));
            }
            else if (DueOf(job, workshop, midnight) is not { } due)
            {
                leftOut.Add(new LeftOut(run.Id, run.Name, "its job has no day set"));
            }
            else
            {
                todo.Add(new Todo(run, job, view, due));
            }
        }

        var chains = todo.ConvertAll(t => new BenchChain(
            t.Run.Id,
            [.. t.Making.Steps.Where(s => s.IsOpen).Select(s => new BenchTask(t.Run.Id, s.Step.Id, s.Hands, s.Wait))],
            t.Due
        ));
        var hours = Open(workshop, midnight);
        var at = (now - midnight).TotalMinutes;
        var plan = fromNow ? StepPlanning.FromNow(chains, hours, at) : StepPlanning.Backwards(chains, hours, at);
        return View(plan, todo, workshop, now, fromNow || plan.Late.Count > 0, runs.Count(r => !made.ContainsKey(r.Id)), leftOut);
    }

    /// <summary>When a job is due, in minutes from midnight of today; null where it has no day.</summary>
    private static double? DueOf(Job job, Workshop workshop, DateTime midnight)
    {
        if (!DateTime.TryParseExact(job.Due, "yyyy-MM-dd", CultureInfo.InvariantCulture, DateTimeStyles.None, out var day))
        {
            return null;
        }

        var minutes = WorkHours.Minutes(job.DueAt).ValueOrDefault ?? workshop.HoursOf(DayOf(day)).Read()?.To ?? 0;
        return (day - midnight).TotalMinutes + minutes;
    }

    /// <summary>The day of the week, Monday being 0.</summary>
    private static int DayOf(DateTime day) => ((int)day.DayOfWeek + 6) % WorkHours.Days;

    private static OpenHours Open(Workshop workshop, DateTime midnight) =>
        new([
            .. Enumerable
                .Range(-Horizon, 2 * Horizon)
                .Select(d => (Day: d, Hours: workshop.HoursOf(DayOf(midnight.AddDays(d))).Read()))
                .Where(d => d.Hours is not null)
                .Select(d => new Stretch((d.Day * 24 * 60) + d.Hours!.Value.From, (d.Day * 24 * 60) + d.Hours.Value.To)),
        ]);

    private static DayView View(
        StepPlan plan,
        IReadOnlyList<Todo> todo,
        Workshop workshop,
        DateTime now,
        bool isFromNow,
        int pending,
        IReadOnlyList<LeftOut> leftOut
    )
    {
        var midnight = now.Date;
        string At(double minutes) => Local(midnight.AddMinutes(Math.Round(minutes)));
        var byRun = todo.ToDictionary(t => t.Run.Id, StringComparer.Ordinal);
        List<PlannedStep> steps =
        [
            .. plan.Tasks.Select(p =>
            {
                var of = byRun[p.Task.Run];
                var step = of.Making.Steps.First(s => s.Step.Id == p.Task.Step);
                return new PlannedStep(
                    of.Run.Id,
                    of.Run.Name,
                    of.Job.Name,
                    step.Step.Id,
                    step.Called,
                    step.Step.Kind,
                    [.. p.Hands.Select(h => new DayStretch(At(h.From), At(h.To)))],
                    p.Task.Hands,
                    At(p.Ready),
                    p.Task.Wait
                );
            }),
        ];
        var days = plan.Tasks.SelectMany(t => t.Hands).Select(h => midnight.AddMinutes(h.From).Date).Append(midnight).Distinct().Order();
        return new DayView(
            Local(now),
            [
                .. days.Select(d => (Day: d, Hours: workshop.HoursOf(DayOf(d)).Read()))
                    .Where(d => d.Hours is not null)
                    .Select(d => new DayStretch(Local(d.Day.AddMinutes(d.Hours!.Value.From)), Local(d.Day.AddMinutes(d.Hours.Value.To)))),
            ],
            steps,
            [
                .. plan.Late.Select(l => new LateView(
                    l.Run,
                    byRun[l.Run].Run.Name,
                    byRun[l.Run].Job.Name,
                    double.IsPositiveInfinity(l.By) ? "" : TypedDuration.Say(l.By)
                )),
            ],
            leftOut,
            plan.IsBest,
            isFromNow,
            pending
        );
    }

    private static string Local(DateTime at) => at.ToString("yyyy-MM-ddTHH:mm", CultureInfo.InvariantCulture);
}
