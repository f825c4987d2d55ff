using Cabida.Core.Wording;
using Microsoft.EntityFrameworkCore;

namespace Cabida.Store;

/// <summary>A state that a document was in.</summary>
/// <param name="Revision">Its revision.</param>
/// <param name="At">When it came to be, in UTC, by the clock of then.</param>
/// <param name="Words">What was done, in a few words.</param>
/// <param name="IsGone">Whether the document was removed by it.</param>
/// <param name="Also">How many other documents the same change was of.</param>
public sealed record PastState(int Revision, DateTime At, string Words, bool IsGone, int Also);

/// <summary>A document that was removed.</summary>
/// <param name="Kind">What it was.</param>
/// <param name="Id">Which one.</param>
/// <param name="Name">What it was called last; empty where that cannot be read any more.</param>
/// <param name="Revision">The revision by which it went.</param>
/// <param name="Last">The last revision in which it was there.</param>
/// <param name="At">When it went, in UTC.</param>
public sealed record RemovedDocument(string Kind, string Id, string Name, int Revision, int Last, DateTime At);

/// <summary>Tells what documents were, and which there were.</summary>
public sealed class DocumentPast(CabidaContext db)
{
    private readonly RevisionTexts texts = new(db);

    /// <summary>All states of a document, the newest first; none where it never was.</summary>
    public async Task<IReadOnlyList<PastState>> Of(DocumentKind kind, string id, CancellationToken stop = default)
    {
        ArgumentNullException.ThrowIfNull(kind);
        var kinds = kind.Rows.Select(r => r.Kind).ToList();
        var rows = await db
            .Revisions.AsNoTracking()
            .Where(r => kinds.Contains(r.Kind) && r.Id == id)
            .Join(
                db.ChangeSets,
                r => r.ChangeSetId,
                c => c.Id,
                (r, c) =>
                    new
                    {
                        r.Kind,
                        r.Revision,
                        r.Gone,
                        Set = c.Id,
                        c.At,
                        c.Words,
                    }
            )
            .ToListAsync(stop);
        var also = await AlsoOf(kinds, id, stop);
        var (standing, past) = (new Dictionary<string, int>(StringComparer.Ordinal), new List<PastState>());
        foreach (var set in rows.GroupBy(r => r.Set).OrderBy(s => s.Key))
        {
            foreach (var row in set)
            {
                standing[row.Kind] = row.Revision;
            }

            var first = set.First();
            past.Add(
                new PastState(
                    standing.Values.Sum(),
                    // SQLite keeps no kind of time; all of it is UTC.
                    DateTime.SpecifyKind(first.At, DateTimeKind.Utc),
                    first.Words,
                    set.Any(r => r.Kind == kind.Kind && r.Gone),
                    also.GetValueOrDefault(set.Key)
                )
            );
        }

        past.Reverse();
        return past;
    }

    /// <summary>The documents that were removed and have not come back, those that went last first.</summary>
    /// <param name="most">No more than so many.</param>
    /// <param name="stop">Ends it.</param>
    public async Task<IReadOnlyList<RemovedDocument>> Removed(int most, CancellationToken stop = default)
    {
        var kinds = DocumentKinds.All.Where(k => k.IsSeen).ToDictionary(k => k.Kind, StringComparer.Ordinal);
        var names = kinds.Keys.ToList();
        var gone = await db
            .Revisions.AsNoTracking()
            .Where(r => r.Gone && names.Contains(r.Kind))
            .Where(r => !db.Documents.Any(d => d.Kind == r.Kind && d.Id == r.Id))
            .Where(r => !db.Revisions.Any(l => l.Kind == r.Kind && l.Id == r.Id && l.Revision > r.Revision))
            .OrderByDescending(r => r.ChangeSetId)
            .ThenBy(r => r.Id)
            .Take(most)
            .ToListAsync(stop);
        var removed = new List<RemovedDocument>();
        foreach (var row in gone)
        {
            var past = await Of(kinds[row.Kind], row.Id, stop);
            removed.Add(
                new RemovedDocument(
                    row.Kind,
                    row.Id,
                    await LastNameOf(kinds[row.Kind], row.Id, stop),
                    past[0].Revision,
                    past.FirstOrDefault(p => !p.IsGone)?.Revision ?? 0,
                    past[0].At
                )
            );
        }

        return removed;
    }

    /// <summary>What a document was called last; empty where that cannot be read any more.</summary>
    public async Task<string> LastNameOf(DocumentKind kind, string id, CancellationToken stop = default)
    {
        ArgumentNullException.ThrowIfNull(kind);
        var last = await db
            .Revisions.AsNoTracking()
            .Where(r => r.Kind == kind.Kind && r.Id == id && !r.Gone)
            .OrderByDescending(r => r.Revision)
            .FirstOrDefaultAsync(stop);
        return
            last is not null
            && await texts.Of(last, stop) is { } json
            && Outcome<string>.Try(() => kind.Rows[0].NameIn(last.Form, json)) is { Ok: true } name
            ? name.Value
            : "";
    }

    /// <summary>How many other documents each change of one was of.</summary>
    private async Task<Dictionary<long, int>> AlsoOf(List<string> kinds, string id, CancellationToken stop)
    {
        var others = await db
            .Revisions.AsNoTracking()
            .Where(r => db.Revisions.Any(o => o.ChangeSetId == r.ChangeSetId && o.Id == id && kinds.Contains(o.Kind)))
            .Where(r => r.Id != id || !kinds.Contains(r.Kind))
            .Select(r => new
            {
                r.ChangeSetId,
                r.Kind,
                r.Id,
            })
            .ToListAsync(stop);
        return others
            .GroupBy(o => o.ChangeSetId)
            .ToDictionary(g => g.Key, g => g.Select(o => (DocumentKinds.OfRow(o.Kind).Document.Kind, o.Id)).Distinct().Count());
    }
}
