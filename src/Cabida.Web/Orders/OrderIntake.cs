using System.Globalization;
using Cabida.Core.Documents;
using Cabida.Core.Orders;
using Cabida.Core.Wording;
using Cabida.Store;

namespace Cabida.Web.Orders;

/// <summary>What became of the orders of a file.</summary>
/// <param name="New">The numbers of those that were not here.</param>
/// <param name="Corrected">Of those that say something else than before.</param>
/// <param name="Same">Of those that came before, saying the same.</param>
/// <param name="Older">Of those that say what they said before they were corrected.</param>
/// <param name="Notes">What was noticed, and what of it was not taken in.</param>
internal sealed record OrdersIn(
    IReadOnlyList<string> New,
    IReadOnlyList<string> Corrected,
    IReadOnlyList<string> Same,
    IReadOnlyList<string> Older,
    IReadOnlyList<Phrase> Notes
);

/// <summary>Takes orders in as they come; nothing is made of them before the maker takes them.</summary>
internal sealed class OrderIntake(Cabida.Store.Library library, TimeProvider clock)
{
    private const int Tries = 20;

    /// <summary>Takes in the orders of a file, each as a change of its own.</summary>
    /// <param name="came">The orders.</param>
    /// <param name="from">Where they came from.</param>
    /// <param name="stop">Ends it.</param>
    public async Task<OrdersIn> Take(CameOrders came, string from, CancellationToken stop)
    {
        var numbers = Enum.GetValues<ArrivalKind>().ToDictionary(k => k, _ => new List<string>());
        var notes = came.Notes.ToList();
        foreach (var order in came.Orders)
        {
            // What a page could not send is not taken in from a file either.
            if (DocumentGate.ProblemsOf(order) is [var problem, ..])
            {
                notes.Add(Phrase.Say($"Order {order.Number:strong} was not taken in.").Then(problem.Message));
                continue;
            }

            numbers[await Take(order, from, stop)].Add(order.Number);
        }

        return new OrdersIn(
            numbers[ArrivalKind.New],
            numbers[ArrivalKind.Corrected],
            numbers[ArrivalKind.Same],
            numbers[ArrivalKind.Older],
            notes
        );
    }

    private async Task<ArrivalKind> Take(CameOrder came, string from, CancellationToken stop)
    {
        var id = OrderKeys.IdOf(came.Number);
        var on = clock.GetLocalNow().ToString("yyyy-MM-dd HH:mm", CultureInfo.InvariantCulture);
        for (var i = 0; i < Tries; i++)
        {
            var stored = await library.Find(DocumentKinds.Order, id, stop);
            var at = stored?.Revision ?? await library.RevisionOf(DocumentKinds.Order, id, stop);
            var arrival = OrderArrival.Of(stored?.Document, came.Number, came.Sheet, from, on);
            if (arrival.Kind is ArrivalKind.Same or ArrivalKind.Older)
            {
                return arrival.Kind;
            }

            var unit = new UnitOfWork($"Take in order {came.Number}").Put(DocumentKinds.Order, id, arrival.Order, at);
            if ((await library.Make(unit, stop)).Refused is null)
            {
                return arrival.Kind;
            }
        }

        throw new NotWorkableException(Phrase.Say($"Order {came.Number} is being changed elsewhere. Bring the file in once more."));
    }
}
