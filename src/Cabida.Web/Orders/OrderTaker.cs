using System.Globalization;
using Cabida.Core.Orders;
using Cabida.Core.Runs;
using Cabida.Core.Wording;
using Cabida.Store;
using Cabida.Web.Library;
using Cabida.Web.Runs;

namespace Cabida.Web.Orders;

/// <summary>Makes jobs of orders, and takes corrections into the jobs that there are: each order as one change, undone as one.</summary>
internal sealed class OrderTaker(
    Cabida.Store.Library library,
    OfferReader offers,
    OrderViews views,
    IViews<Run, RunView> runs,
    TimeProvider clock
)
{
    /// <summary>Takes an order as it says now.</summary>
    /// <param name="id">The order.</param>
    /// <param name="madeFrom">The revision that was seen; null for whatever it is.</param>
    /// <param name="stop">Ends it.</param>
    /// <returns>The job, or why it cannot be taken.</returns>
    public async Task<Outcome<string>> Take(string id, int? madeFrom, CancellationToken stop)
    {
        if (await library.Find(DocumentKinds.Order, id, stop) is not { } stored)
        {
            return Outcome<string>.Fail(Phrase.Say($"This order is not here any more."));
        }

        if (madeFrom is { } seen && seen != stored.Revision)
        {
            return Outcome<string>.Fail(
                Phrase.Say($"Order {stored.Document.Number} was changed since it was looked at. Look at it once more.")
            );
        }

        var (order, book) = (stored.Document, await offers.Book(stop));
        var read = ReadOrder.Of(order.Sheet, book);
        var job = await views.JobOf(order, stop);
        var unit = new UnitOfWork($"Take order {order.Number}");
        var taken = job.Length == 0 ? await Anew(unit, id, order, read, stop) : await Corrected(unit, job, order, read, book, stop);
        if (taken.Problem is { } problem)
        {
            return Outcome<string>.Fail(problem);
        }

        unit.Put(DocumentKinds.Order, id, order with { Taken = taken.Value, IsAside = false }, stored.Revision);
        var made = await library.Make(unit, stop);
        return made.Refused is null
            ? Outcome<string>.Of(taken.Value.JobId)
            : Outcome<string>.Fail(
                made.Refused == Refusal.Dangling
                    ? Phrase.Say(
                        $"What it is made of is not in the library any more: {string.Join(", ", (made.Missing ?? []).Select(m => m.Name))}."
                    )
                    : Phrase.Say($"Order {order.Number} was changed in another window meanwhile. Look at it once more.")
            );
    }

    private async Task<Outcome<TakenOrder>> Anew(UnitOfWork unit, string id, Order order, ReadOrder read, CancellationToken stop)
    {
        if (!read.Lines.Any(l => l.MayBeTaken))
        {
            return Outcome<TakenOrder>.Fail(Phrase.Say($"No line of order {order.Number} can be taken as it stands."));
        }

        var jobId = Cabida.Store.Library.FreshId();
        unit.Put(DocumentKinds.Job, jobId, new Job(order.Number, order.Sheet.Customer, DueOf(read), order.Sheet.Note) { OrderId = id });
        return Outcome<TakenOrder>.Of(TakenAs(jobId, order, read, await Added(unit, jobId, OrderedList.Of(read.Lines), [], stop)));
    }

    private async Task<Outcome<TakenOrder>> Corrected(
        UnitOfWork unit,
        string jobId,
        Order order,
        ReadOrder read,
        OfferBook book,
        CancellationToken stop
    )
    {
        var taken = order.Taken!;
        var (was, corrections) = OrderViews.Corrections(order, jobId, read, book);
        if (was is null || (await library.Find(DocumentKinds.Job, jobId, stop)) is not { } job)
        {
            return Outcome<TakenOrder>.Of(taken);
        }

        // What was changed by hand in the job since stays as it is.
        string Head(string inJob, string before, string now) => inJob == before ? now : inJob;
        unit.Put(
            DocumentKinds.Job,
            jobId,
            job.Document with
            {
                Customer = Head(job.Document.Customer, taken.Sheet.Customer, order.Sheet.Customer),
                Due = Head(job.Document.Due, DueOf(was), DueOf(read)),
                Note = Head(job.Document.Note, taken.Sheet.Note, order.Sheet.Note),
            },
            job.Revision
        );
        var known = new List<OfferRun>();
        foreach (var of in taken.Runs.GroupBy(r => r.OfferId, StringComparer.Ordinal))
        {
            var there = new List<Stored<Run>>();
            foreach (var run in of)
            {
                if (await library.Find(DocumentKinds.Run, run.RunId, stop) is { } stored)
                {
                    there.Add(stored);
                }
            }

            known.AddRange(there.Select(r => new OfferRun(of.Key, r.Id)));
            var lists = CorrectedLists.Of(of.Key, [.. there.Select(r => r.Document.List)], corrections);
            foreach (var (run, list) in there.Zip(lists.Lists).Where(p => p.Second is not null))
            {
                unit.Put(DocumentKinds.Run, run.Id, await With(run.Document, list!, stop), run.Revision);
            }

            known.AddRange(await Added(unit, jobId, lists.More, [.. known.Select(k => k.OfferId)], stop));
        }

        var fresh = corrections
            .Select(c => c.Is)
            .OfType<ReadLine>()
            .Where(l => l.MayBeTaken && taken.Runs.All(r => r.OfferId != l.Offer!.Id));
        known.AddRange(await Added(unit, jobId, OrderedList.Of(fresh), [.. known.Select(k => k.OfferId)], stop));
        return Outcome<TakenOrder>.Of(TakenAs(jobId, order, read, known));
    }

    /// <summary>Adds runs to a job.</summary>
    private async Task<IReadOnlyList<OfferRun>> Added(
        UnitOfWork unit,
        string jobId,
        IReadOnlyList<OrderedList> lists,
        IReadOnlyList<string> known,
        CancellationToken stop
    )
    {
        var (book, added, count) = (await offers.Book(stop), new List<OfferRun>(), known.ToList());
        foreach (var list in lists)
        {
            var offer = book.Of(list.OfferId)!.Offer;
            count.Add(list.OfferId);
            var nth = count.Count(o => o == list.OfferId);
            var setUp = await offers.SetUpOf(offer, nth > 1 ? $"{offer.Name} {nth}" : offer.Name, jobId, stop);
            var runId = Cabida.Store.Library.FreshId();
            unit.Put(DocumentKinds.Run, runId, await With(new Run(setUp, RunList.Empty, RunVerdicts.None), list, stop));
            added.Add(new OfferRun(list.OfferId, runId));
        }

        return added;
    }

    /// <summary>A run with a list as if its page had sent it: its pieces keep what belongs to them.</summary>
    private Task<Run> With(Run run, OrderedList list, CancellationToken stop) =>
        runs.Tidy(
            run with
            {
                List = run.List with { NamesTyped = list.Typed, Columns = list.Columns.Fields, HasHeading = list.Columns.HasHeading },
            },
            run,
            stop
        );

    private TakenOrder TakenAs(string jobId, Order order, ReadOrder read, IReadOnlyList<OfferRun> made)
    {
        // Lines that cannot be taken wait on: they come as corrections once they are mended.
        var lines = read.Lines.Where(l => l.MayBeTaken).ToList();
        return new TakenOrder(
            jobId,
            clock.GetLocalNow().ToString("yyyy-MM-dd HH:mm", CultureInfo.InvariantCulture),
            order.Sheet with
            {
                Lines = [.. lines.Select(l => l.Line)],
            },
            made
        )
        {
            Seen = OrderKeys.Of(order.Sheet),
            Meant = lines.DistinctBy(l => l.Line.Offer).ToDictionary(l => l.Line.Offer, l => l.Offer!.Id, StringComparer.Ordinal),
        };
    }

    private static string DueOf(ReadOrder read) => read.Due?.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture) ?? "";
}
