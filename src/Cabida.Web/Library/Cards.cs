using System.Text.Json;
using Cabida.Core.Wording;
using Cabida.Store;
using Cabida.Store.Rows;
using Cabida.Web.Serving;

namespace Cabida.Web.Library;

/// <summary>
/// Documents as lists show them. Each card is kept with what it was made from, so a list reads and works out only what changed
/// since it was last looked at.
/// </summary>
internal sealed partial class Cards(
    Cabida.Store.Library library,
    LibraryIndex index,
    KeptCards kept,
    Listings listings,
    Workings workings,
    ILogger<Cards> log
)
{
    /// <summary>All documents of a kind as cards.</summary>
    /// <param name="kind">The kind.</param>
    /// <param name="cardOf">What is shown of one.</param>
    /// <param name="used">A card with the names of what uses its document.</param>
    /// <param name="follows">Whether it shows what it refers to as that is now.</param>
    /// <param name="stop">Ends it.</param>
    public async Task<Listing<TCard>> Of<T, TCard>(
        DocumentKind<T> kind,
        Func<Stored<T>, Task<TCard>> cardOf,
        Func<TCard, IReadOnlyList<string>, TCard> used,
        bool follows,
        CancellationToken stop
    )
        where T : class
        where TCard : class
    {
        var there = await Kept(kind, stop);
        var (users, followed) = (await index.Users(kind, stop), follows ? await index.Followed(kind, stop) : null);
        var (cards, broken) = (new List<TCard>(), new List<BrokenCard>());
        foreach (var of in there.Headings)
        {
            var card = there.Find<TCard>(of, followed?[of.Id]) ?? await Make(there, of, followed?[of.Id], cardOf, stop);
            if (card.Ok)
            {
                cards.Add(used(card.Value, [.. users[of.Id]]));
            }
            else
            {
                broken.Add(new BrokenCard(of.Id, of.Revision, of.Name, card.Problem!));
            }
        }

        return new Listing<TCard>(cards, broken);
    }

    /// <summary>What is kept of the documents of a kind.</summary>
    public async Task<KeptOfKind<T>> Kept<T>(DocumentKind<T> kind, CancellationToken stop)
        where T : class
    {
        var (headings, rows) = (await index.Headings(kind, stop), await kept.Of(kind, stop));
        if (rows.Count > headings.Count)
        {
            await kept.Drop(kind, rows.Keys.Except(headings.Select(h => h.Id)), stop);
        }

        return new KeptOfKind<T>(kind, headings, rows, workings.Version);
    }

    /// <summary>What is kept of some documents of a kind.</summary>
    public async Task<KeptOfKind<T>> Kept<T>(DocumentKind<T> kind, IReadOnlyCollection<string> ids, CancellationToken stop)
        where T : class =>
        new(kind, [.. (await index.Headings(kind, stop)).Where(h => ids.Contains(h.Id))], await kept.Of(kind, ids, stop), workings.Version);

    /// <summary>Works a card out and keeps it; that it cannot be worked out is kept as well.</summary>
    public async Task<Outcome<TCard>> Make<T, TCard>(
        KeptOfKind<T> there,
        Heading of,
        IEnumerable<string>? followed,
        Func<Stored<T>, Task<TCard>> cardOf,
        CancellationToken stop
    )
        where T : class
        where TCard : class
    {
        var made = await listings.Try(
            async () =>
                await cardOf(
                    await library.Find(there.Kind, of.Id, stop) ?? throw new NotWorkableException(Phrase.Say($"It is not here any more."))
                ),
            stop
        );
        var text = JsonSerializer.Serialize(new KeptCard<TCard>(made.ValueOrDefault, made.Problem), ApiJson.Options);
        var row = new CardRow
        {
            Kind = there.Kind.Kind,
            Id = of.Id,
            MadeFrom = there.MadeFrom(of, followed),
            Text = text,
        };
        try
        {
            await kept.Keep(row, stop);
        }
        catch (Microsoft.Data.Sqlite.SqliteException fault)
        {
            // What is only kept to be quick may be lost.
            NotKept(log, fault);
        }

        return made;
    }

    [LoggerMessage(Level = LogLevel.Warning, Message = "A card could not be kept")]
    private static partial void NotKept(ILogger log, Exception fault);
}

/// <summary>A card as it is kept: what is shown, or why nothing can be.</summary>
internal sealed record KeptCard<TCard>(TCard? Card, Phrase? Problem);

/// <summary>The cards that are kept of a kind of document.</summary>
/// <param name="Kind">The kind.</param>
/// <param name="Headings">All its documents, the oldest first.</param>
/// <param name="Rows">What is kept of them.</param>
/// <param name="Version">The version of what works them out.</param>
internal sealed record KeptOfKind<T>(
    DocumentKind<T> Kind,
    IReadOnlyList<Heading> Headings,
    IReadOnlyDictionary<string, CardRow> Rows,
    string Version
)
    where T : class
{
    /// <summary>What the card of a document is made from.</summary>
    /// <param name="of">The document.</param>
    /// <param name="followed">What it refers to, where it stands now.</param>
    public string MadeFrom(Heading of, IEnumerable<string>? followed) =>
        string.Join('\n', (followed ?? []).Prepend(FormattableString.Invariant($"{of.Revision}")).Prepend(Version));

    /// <summary>The card of a document as it stands; null when it has to be made.</summary>
    public Outcome<TCard>? Find<TCard>(Heading of, IEnumerable<string>? followed)
        where TCard : class
    {
        if (!Rows.TryGetValue(of.Id, out var row) || row.MadeFrom != MadeFrom(of, followed))
        {
            return null;
        }

        try
        {
            return JsonSerializer.Deserialize<KeptCard<TCard>>(row.Text, ApiJson.Options) switch
            {
                { Card: { } card } => Outcome<TCard>.Of(card),
                { Problem: { } problem } => Outcome<TCard>.Fail(problem),
                _ => null,
            };
        }
        catch (JsonException)
        {
            return null;
        }
    }
}
