using System.Globalization;
using Cabida.Core.Orders;
using Cabida.Core.Runs;
using Cabida.Store;
using Cabida.Web.Library;
using Cabida.Web.Making;

namespace Cabida.Web.Jobs;

/// <summary>Reads where all jobs are, from what is kept of their runs: a list of many jobs works nothing out that did not change.</summary>
internal sealed class WeekReader(Cabida.Store.Library library, LibraryIndex index, JobStages stages, TimeProvider clock)
{
    /// <summary>All jobs.</summary>
    public async Task<WeekView> All(CancellationToken stop)
    {
        var away = (await stages.Away(stop)).Jobs;
        var all = await library.ListSome(
            DocumentKinds.Job,
            (await index.Headings(DocumentKinds.Job, stop)).Select(j => j.Id).Where(j => !away.Contains(j)),
            stop
        );
        var jobs = all.Where(j => j.Read.Ok).Select(j => j.Read.Value).ToList();
        var orders = (await library.List(DocumentKinds.Order, stop)).Where(o => o.Read.Ok).Select(o => o.Read.Value).ToList();
        var there = jobs.Select(j => j.Id).Concat(away).ToHashSet(StringComparer.Ordinal);
        var states = orders.ToDictionary(
            o => o.Id,
            o => o.Document.StateWith(o.Document.Taken is { } taken && there.Contains(taken.JobId)),
            StringComparer.Ordinal
        );
        return new WeekView(
            clock.GetLocalNow().ToString("yyyy-MM-dd", CultureInfo.InvariantCulture),
            await Rows(jobs, states, stop),
            [.. all.Where(j => !j.Read.Ok).Select(j => new BrokenCard(j.Id, j.Revision, j.Name, j.Read.Problem!))],
            states.Values.Count(s => s == OrderState.Waiting),
            states.Values.Count(s => s is OrderState.Corrected or OrderState.TakenInPart),
            away.Count
        );
    }

    /// <summary>One job; null where it is not there.</summary>
    public async Task<JobRow?> Of(string id, CancellationToken stop)
    {
        if (await library.Find(DocumentKinds.Job, id, stop) is not { } job)
        {
            return null;
        }

        var order = job.Document.OrderId.Length > 0 ? await library.Find(DocumentKinds.Order, job.Document.OrderId, stop) : null;
        var states = new Dictionary<string, OrderState>(StringComparer.Ordinal);
        if (order is not null)
        {
            states[order.Id] = order.Document.StateWith(order.Document.Taken?.JobId == id);
        }

        return (await Rows([job], states, stop))[0];
    }

    private async Task<IReadOnlyList<JobRow>> Rows(
        IReadOnlyList<Stored<Job>> jobs,
        Dictionary<string, OrderState> states,
        CancellationToken stop
    )
    {
        var ofJob = await index.Referring(DocumentKinds.Run, DocumentKinds.Job, stop);
        // Of a job that is put away nothing is left to do, and nothing is worked out.
        var runs = await stages.Open(stop);
        var places = runs.Select((r, i) => (r.Id, i)).ToDictionary(r => r.Id, r => r.i, StringComparer.Ordinal);
        var views = await stages.OfAll(stop);
        return
        [
            .. jobs.OrderBy(j => j.Document.Due.Length == 0)
                .ThenBy(j => j.Document.Due, StringComparer.Ordinal)
                .ThenBy(j => j.CreatedAt)
                .Select(j =>
                    Row(
                        j,
                        [
                            .. ofJob[j.Id]
                                .Where(places.ContainsKey)
                                .OrderBy(r => places[r])
                                .Select(r => RunOf(runs[places[r]], views.GetValueOrDefault(r))),
                        ],
                        ofJob[j.Id].Sum(r => views.GetValueOrDefault(r)?.Awaits ?? 0),
                        states
                    )
                ),
        ];
    }

    private static JobRow Row(Stored<Job> job, IReadOnlyList<RunProgress> runs, int awaits, Dictionary<string, OrderState> states)
    {
        var (id, document) = (job.Id, job.Document);
        var all = runs.SelectMany(r => r.Stages)
            .GroupBy(s => s.Stage)
            .OrderBy(g => g.Key)
            .Select(g => new StageCount(g.Key, g.Sum(s => s.Copies)))
            .ToList();
        return new JobRow(
            id,
            document.Name,
            document.Customer,
            document.Due,
            document.DueAt,
            runs,
            all,
            // A run without names is as far as it was taken.
            runs.Any(r => r.Pieces == 0)
            || all.Count == 0
                ? PieceStage.Taken
                : all[0].Stage,
            runs.Sum(r => r.HandsLeft),
            awaits,
            document.OrderId,
            states.GetValueOrDefault(document.OrderId, OrderState.Taken)
        );
    }

    private static RunProgress RunOf(Heading run, MakingView? view) =>
        new(
            run.Id,
            run.Name,
            view?.Pieces.Sum(p => p.Copies) ?? 0,
            [.. (view?.Pieces ?? []).GroupBy(p => p.Stage).OrderBy(g => g.Key).Select(g => new StageCount(g.Key, g.Sum(p => p.Copies)))],
            view?.HandsLeft ?? 0,
            view?.Next ?? "",
            view is { Steps.Count: > 0, Pieces.Count: > 0 },
            view is null
        );
}
