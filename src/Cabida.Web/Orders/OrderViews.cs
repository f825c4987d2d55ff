using System.Globalization;
using Cabida.Core.Findings;
using Cabida.Core.Lists;
using Cabida.Core.Orders;
using Cabida.Core.Runs;
using Cabida.Core.Wording;
using Cabida.Store;
using Cabida.Web.Library;
using Cabida.Web.Making;
using Cabida.Web.Runs;

namespace Cabida.Web.Orders;

internal sealed class OrderViews(
    Cabida.Store.Library library,
    LibraryIndex index,
    OfferReader offers,
    RunReader reader,
    MakingReader making
) : IViews<Order, OrderView>
{
    private HashSet<string>? jobs;

    public async Task<OrderView> Of(Stored<Order> stored, CancellationToken stop)
    {
        var (order, book) = (stored.Document, await offers.Book(stop));
        var read = ReadOrder.Of(order.Sheet, book);
        var job = await JobOf(order, stop);
        var (was, corrections) = Corrections(order, job, read, book);
        var takeable = read.Lines.Where(l => l.MayBeTaken).ToList();
        return new OrderView(
            stored.Id,
            stored.Revision,
            stored.ChangedAt,
            order,
            order.StateWith(job.Length > 0),
            Said(read.Due),
            [
                .. read.Lines.Select(l => new OrderLineView(
                    l.Offer?.Id ?? "",
                    l.Offer?.Offer.Name ?? "",
                    l.Copies,
                    FieldsOf(l.Offer),
                    l.Notes,
                    l.MayBeTaken
                )),
            ],
            takeable.Count,
            takeable.Sum(l => l.Copies),
            read.Notes,
            was is null ? [] : Heads(order.Taken!.Sheet, order.Sheet),
            corrections.Count == 0 ? [] : await Corrections(order.Taken!, corrections, stop),
            job
        );
    }

    /// <inheritdoc/>
    public Task<Order> Tidy(Order incoming, Order stored, CancellationToken stop) =>
        // A page changes what an order says; what came, and what was taken, it does not.
        Task.FromResult(stored with { Sheet = incoming.Sheet, IsAside = incoming.IsAside });

    /// <summary>An order among others, read no further than its card needs.</summary>
    public async Task<OrderCard> CardOf(Stored<Order> stored, CancellationToken stop)
    {
        var (order, book) = (stored.Document, await offers.Book(stop));
        // A list asks once for all of them.
        jobs ??= (await index.Headings(DocumentKinds.Job, stop)).Select(j => j.Id).ToHashSet(StringComparer.Ordinal);
        var job = order.Taken is { } taken && jobs.Contains(taken.JobId) ? taken.JobId : "";
        var state = order.StateWith(job.Length > 0);
        var read = ReadOrder.Of(order.Sheet, book);
        var takeable = read.Lines.Where(l => l.MayBeTaken).ToList();
        return new OrderCard(
            stored.Id,
            stored.Revision,
            order.Number,
            order.Sheet.Customer,
            Said(read.Due),
            order.From,
            order.On,
            state,
            read.Lines.Count,
            takeable.Count,
            takeable.Sum(l => l.Copies),
            [.. read.Lines.Select(l => l.Offer?.Offer.Name ?? l.Line.Offer).Where(n => n.Length > 0).Distinct(StringComparer.Ordinal)],
            state is OrderState.Taken or OrderState.Aside ? null : TroubleOf(read),
            state is OrderState.Corrected or OrderState.TakenInPart
                ? Corrections(order, job, read, book).Changed.Count(c => c.Is is not { MayBeTaken: false })
                : 0,
            job
        );
    }

    /// <summary>The job that an order became; empty where there is none, or it was removed.</summary>
    public async Task<string> JobOf(Order order, CancellationToken stop) =>
        order.Taken is { } taken && await library.Find(DocumentKinds.Job, taken.JobId, stop) is not null ? taken.JobId : "";

    /// <summary>What changed of an order since it was taken: both states read, and their differences.</summary>
    public static (ReadOrder? Was, IReadOnlyList<LineCorrection> Changed) Corrections(
        Order order,
        string job,
        ReadOrder now,
        OfferBook book
    )
    {
        if (order.Taken is not { } taken || order.StateWith(job.Length > 0) is OrderState.Waiting or OrderState.Taken)
        {
            return (null, []);
        }

        var was = ReadOrder.Of(taken.Sheet, book.At(taken.Meant));
        return (was, LineCorrection.Between(was, now));
    }

    private static Phrase? TroubleOf(ReadOrder read) =>
        read.Notes.FirstOrDefault(n => n.Severity == Severity.Stop)?.Message
        ?? read.Lines.FirstOrDefault(l => !l.MayBeTaken) switch
        {
            { } line => Phrase.Say($"Line {line.At + 1}:").Then(line.Notes[0].Message),
            null => null,
        };

    private static IReadOnlyList<string> FieldsOf(SoldOffer? offer) =>
        offer is null ? [] : [.. offer.Fields, .. offer.Sizes.Count > 0 ? [NameList.Size] : Array.Empty<string>()];

    private static string Said(DateOnly? day) => day?.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture) ?? "";

    private static List<Phrase> Heads(OrderSheet was, OrderSheet now)
    {
        var heads = new List<Phrase>();
        void Compare(string what, string before, string after)
        {
            if (before != after)
            {
                heads.Add(
                    before.Length == 0 ? Phrase.Say($"{what} is {after:strong} now; nothing was said before.")
                    : after.Length == 0 ? Phrase.Say($"{what} was {before:strong}; nothing is said any more.")
                    : Phrase.Say($"{what} was {before:strong} and is {after:strong} now.")
                );
            }
        }

        Compare("The customer", was.Customer, now.Customer);
        Compare("The day", was.Due, now.Due);
        Compare("The note", was.Note, now.Note);
        return heads;
    }

    private async Task<IReadOnlyList<CorrectionView>> Corrections(
        TakenOrder taken,
        IReadOnlyList<LineCorrection> corrections,
        CancellationToken stop
    )
    {
        var stages = new Dictionary<(string Offer, string Name), PieceStage>();
        var lost = new HashSet<LineCorrection>();
        foreach (var ofOffer in taken.Runs.GroupBy(r => r.OfferId, StringComparer.Ordinal))
        {
            var lists = new List<RunList>();
            foreach (var of in ofOffer)
            {
                if (await reader.Find(of.RunId, stop) is not { } run)
                {
                    continue;
                }

                lists.Add(run.Run.List);
                foreach (var piece in (await making.Of(run, stop)).Pieces)
                {
                    stages.TryAdd((ofOffer.Key, piece.Name), piece.Stage);
                }
            }

            lost.UnionWith(CorrectedLists.Of(ofOffer.Key, lists, corrections).NotFound);
        }

        return
        [
            .. corrections.Select(c => new CorrectionView(
                c.Was is { } was ? Said(was) : null,
                c.Is is { } now ? Said(now) : null,
                c.Was is { Offer: { } offer } known && stages.TryGetValue((offer.Id, known.Name), out var stage) ? stage : PieceStage.Taken,
                c.Is is { MayBeTaken: false } stopped ? stopped.Notes[0].Message
                    : lost.Contains(c) ? Phrase.Say($"Its row is not in the list of the run as it was taken: change it there by hand.")
                    : null
            )),
        ];
    }

    private static Phrase Said(ReadLine line)
    {
        var values = string.Concat(line.Values.OrderBy(v => v.Key, StringComparer.Ordinal).Select(v => $", {v.Key} {v.Value}"));
        var offer = line.Offer?.Offer.Name ?? line.Line.Offer;
        return line.Name == offer
            ? Phrase.Say($"{line.Copies} × {offer:strong}{values}")
            : Phrase.Say($"{line.Copies} × {line.Name:strong}{values}, {offer}");
    }
}
