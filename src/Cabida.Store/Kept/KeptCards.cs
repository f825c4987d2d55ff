using Cabida.Store.Rows;
using Microsoft.EntityFrameworkCore;

namespace Cabida.Store;

/// <summary>Documents as lists show them, kept with the documents: a list reads and works out only what has changed since.</summary>
public sealed class KeptCards(DerivedContext db)
{
    /// <summary>The kept cards of a kind, by document.</summary>
    public async Task<IReadOnlyDictionary<string, CardRow>> Of(DocumentKind kind, CancellationToken stop = default)
    {
        ArgumentNullException.ThrowIfNull(kind);
        return await db.Cards.AsNoTracking().Where(c => c.Kind == kind.Kind).ToDictionaryAsync(c => c.Id, StringComparer.Ordinal, stop);
    }

    /// <summary>The kept cards of some documents of a kind.</summary>
    public async Task<IReadOnlyDictionary<string, CardRow>> Of(
        DocumentKind kind,
        IReadOnlyCollection<string> ids,
        CancellationToken stop = default
    )
    {
        ArgumentNullException.ThrowIfNull(kind);
        return await db
            .Cards.AsNoTracking()
            .Where(c => c.Kind == kind.Kind && ids.Contains(c.Id))
            .ToDictionaryAsync(c => c.Id, StringComparer.Ordinal, stop);
    }

    /// <summary>Keeps a card instead of what was kept of its document before.</summary>
    public async Task Keep(CardRow card, CancellationToken stop = default)
    {
        ArgumentNullException.ThrowIfNull(card);
        // Two lists that are asked for at once keep the same.
        await db.Database.ExecuteSqlAsync(
            $"INSERT OR REPLACE INTO Cards (Kind, Id, MadeFrom, Text) VALUES ({card.Kind}, {card.Id}, {card.MadeFrom}, {card.Text})",
            stop
        );
    }

    /// <summary>Drops cards by their documents.</summary>
    public async Task Drop(DocumentKind kind, IEnumerable<string> ids, CancellationToken stop = default)
    {
        ArgumentNullException.ThrowIfNull(kind);
        foreach (var some in ids.Chunk(500))
        {
            await db.Cards.Where(c => c.Kind == kind.Kind && some.Contains(c.Id)).ExecuteDeleteAsync(stop);
        }
    }
}
