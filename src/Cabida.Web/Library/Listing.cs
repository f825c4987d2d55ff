using Cabida.Core.Wording;
using Cabida.Store;
using Cabida.Web.Serving;

namespace Cabida.Web.Library;

/// <summary>A document of a list that cannot be worked out.</summary>
/// <param name="Id">Which one.</param>
/// <param name="Revision">Its revision, for undoing.</param>
/// <param name="Name">What it is called.</param>
/// <param name="Reason">Why it cannot.</param>
internal sealed record BrokenCard(string Id, int Revision, string Name, Phrase Reason);

/// <summary>All documents of a kind as their place shows them; one that cannot be worked out takes no other with it.</summary>
/// <param name="Cards">Those that can.</param>
/// <param name="Broken">Those that cannot, and why.</param>
internal sealed record Listing<TCard>(IReadOnlyList<TCard> Cards, IReadOnlyList<BrokenCard> Broken);

/// <summary>Makes listings, each item by itself and within bounds of its own.</summary>
internal sealed partial class Listings(Cabida.Store.Library library, ILogger<Listings> log)
{
    /// <summary>All documents of a kind, in the library's order or another.</summary>
    /// <param name="kind">The kind.</param>
    /// <param name="cardOf">What is shown of one.</param>
    /// <param name="stop">Ends it.</param>
    /// <param name="order">Another order.</param>
    public async Task<Listing<TCard>> Of<T, TCard>(
        DocumentKind<T> kind,
        Func<Stored<T>, Task<TCard>> cardOf,
        CancellationToken stop,
        Func<IEnumerable<Stored<T>>, IEnumerable<Stored<T>>>? order = null
    )
        where T : class
    {
        var all = await library.List(kind, stop);
        var broken = all.Where(l => !l.Read.Ok).Select(l => new BrokenCard(l.Id, l.Revision, l.Name, l.Read.Problem!)).ToList();
        var readable = all.Where(l => l.Read.Ok).Select(l => l.Read.Value);
        var names = all.ToDictionary(l => l.Id, l => l.Name, StringComparer.Ordinal);
        var cards = new List<TCard>();
        foreach (var stored in order is null ? readable : order(readable))
        {
            var card = await Try(() => cardOf(stored), stop);
            if (card.Ok)
            {
                cards.Add(card.Value);
            }
            else
            {
                broken.Add(new BrokenCard(stored.Id, stored.Revision, names[stored.Id], card.Problem!));
            }
        }

        return new Listing<TCard>(cards, broken);
    }

    /// <summary>Works one thing out among others: its failing is its own.</summary>
    public async Task<Outcome<T>> Try<T>(Func<Task<T>> work, CancellationToken stop)
    {
        try
        {
            using (Effort.Within(Effort.Small, stop))
            {
                return Outcome<T>.Of(ApiJson.Writable(await work()));
            }
        }
        catch (NotWorkableException fault)
        {
            return Outcome<T>.Fail(fault.Reason);
        }
        catch (Exception fault) when (Gate.IsOurs(fault))
        {
            Gate.Stumbling(log, typeof(T).Name, fault);
            return Outcome<T>.Fail(Gate.StumbledOver);
        }
    }
}
