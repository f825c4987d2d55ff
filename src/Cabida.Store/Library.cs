using Cabida.Store.Rows;
using Microsoft.EntityFrameworkCore;

namespace Cabida.Store;

/// <summary>A document with its place in the library.</summary>
/// <param name="Id">Which one.</param>
/// <param name="Revision">Its revision.</param>
/// <param name="CreatedAt">When it was first kept, in UTC.</param>
/// <param name="ChangedAt">When it was last changed, in UTC.</param>
/// <param name="Document">The document.</param>
public sealed record Stored<T>(string Id, int Revision, DateTime CreatedAt, DateTime ChangedAt, T Document);

/// <summary>Why a write was refused.</summary>
public enum Refusal
{
    /// <summary>There is no such document.</summary>
    Missing,

    /// <summary>It was changed meanwhile.</summary>
    Stale,

    /// <summary>Something refers to it.</summary>
    InUse,

    /// <summary>There is nothing to undo or redo.</summary>
    NothingThere,
}

/// <summary>What became of a write.</summary>
/// <param name="Stored">The document as it stands now; null when there is none.</param>
/// <param name="Refused">Why it was not written, when it was not.</param>
/// <param name="UsedBy">Names of what refers to it, when that is why.</param>
public sealed record Written<T>(Stored<T>? Stored, Refusal? Refused = null, IReadOnlyList<string>? UsedBy = null);

/// <summary>
/// Reads and writes documents. Every write adds a revision and a change-set in the same transaction as the document and
/// its references, so that any state can be brought back and a run can name the revision it was made with.
/// </summary>
public sealed class Library(CabidaContext db, TimeProvider clock)
{
    /// <summary>All documents of a kind, the oldest first.</summary>
    public async Task<IReadOnlyList<Stored<T>>> All<T>(DocumentKind<T> kind, CancellationToken stop = default)
    {
        ArgumentNullException.ThrowIfNull(kind);
        var rows = await db.Documents.AsNoTracking().Where(d => d.Kind == kind.Kind).OrderBy(d => d.CreatedAt).ThenBy(d => d.Id).ToListAsync(stop);
        return [.. rows.Select(Read<T>)];
    }

    /// <summary>A document as it stands.</summary>
    public async Task<Stored<T>?> Find<T>(DocumentKind<T> kind, string id, CancellationToken stop = default)
    {
        ArgumentNullException.ThrowIfNull(kind);
        return await db.Documents.AsNoTracking().FirstOrDefaultAsync(d => d.Kind == kind.Kind && d.Id == id, stop) is { } row ? Read<T>(row) : null;
    }

    /// <summary>A document as it was at a revision; also one that was removed since.</summary>
    public async Task<T?> At<T>(DocumentKind<T> kind, string id, int revision, CancellationToken stop = default)
        where T : class
    {
        ArgumentNullException.ThrowIfNull(kind);
        var row = await db.Revisions.AsNoTracking().FirstOrDefaultAsync(r => r.Kind == kind.Kind && r.Id == id && r.Revision == revision, stop);
        return row?.Json is { } json ? DocumentJson.Read<T>(row.Form, json) : null;
    }

    /// <summary>Adds a document.</summary>
    public async Task<Stored<T>> Add<T>(DocumentKind<T> kind, T document, string? id = null, CancellationToken stop = default)
    {
        ArgumentNullException.ThrowIfNull(kind);
        id ??= Guid.NewGuid().ToString("N")[..12];
        var written = await Write(kind, id, document, $"Add {kind.NameOf(document)}", null, stop);
        return written.Stored!;
    }

    /// <summary>Replaces a document, if it still stands as it did when the change was made from it.</summary>
    public async Task<Written<T>> Save<T>(DocumentKind<T> kind, string id, int madeFrom, T document, CancellationToken stop = default)
    {
        ArgumentNullException.ThrowIfNull(kind);
        var now = await Find(kind, id, stop);
        return now is null ? new(null, Refusal.Missing)
            : now.Revision != madeFrom ? new(now, Refusal.Stale)
            : DocumentJson.Write(now.Document) == DocumentJson.Write(document) ? new(now)
            : await Write(kind, id, document, $"Change {kind.NameOf(document)}", null, stop, madeFrom);
    }

    /// <summary>Removes a document that nothing refers to; its revisions stay.</summary>
    public async Task<Written<T>> Remove<T>(DocumentKind<T> kind, string id, CancellationToken stop = default)
    {
        ArgumentNullException.ThrowIfNull(kind);
        if (await Find(kind, id, stop) is not { } now)
        {
            return new(null, Refusal.Missing);
        }

        var usedBy = await UsedBy(kind, id, stop);
        return usedBy.Count > 0 ? new(now, Refusal.InUse, usedBy) : await Write(kind, id, default, $"Remove {kind.NameOf(now.Document)}", null, stop);
    }

    /// <summary>Names of the documents that refer to one.</summary>
    public Task<IReadOnlyList<string>> UsedBy<T>(DocumentKind<T> kind, string id, CancellationToken stop = default)
    {
        ArgumentNullException.ThrowIfNull(kind);
        return UsedBy(kind.Kind, id, stop);
    }

    /// <summary>Names of the documents that refer to something of a kind.</summary>
    public async Task<IReadOnlyList<string>> UsedBy(string kind, string id, CancellationToken stop = default)
    {
        return await db.References.AsNoTracking().Where(r => r.ToKind == kind && r.ToId == id)
            .Join(db.Documents, r => new { Kind = r.FromKind, Id = r.FromId }, d => new { d.Kind, d.Id }, (r, d) => d.Name)
            .OrderBy(n => n).ToListAsync(stop);
    }

    /// <summary>Brings back the state before the last change that is not undone yet; also of a removed document.</summary>
    public async Task<Written<T>> Undo<T>(DocumentKind<T> kind, string id, CancellationToken stop = default)
    {
        ArgumentNullException.ThrowIfNull(kind);
        var current = await CurrentState(kind.Kind, id, stop);
        return current?.Replaced is { } before
            ? await Restore(kind, id, before, "Undo", stop)
            : new(await Find(kind, id, stop), Refusal.NothingThere);
    }

    /// <summary>Brings back the state that was undone last, as long as nothing else was changed since.</summary>
    public async Task<Written<T>> Redo<T>(DocumentKind<T> kind, string id, CancellationToken stop = default)
    {
        ArgumentNullException.ThrowIfNull(kind);
        var current = await CurrentState(kind.Kind, id, stop);
        var next = current is null ? null : await db.Revisions.AsNoTracking()
            .Where(r => r.Kind == kind.Kind && r.Id == id && r.Restored == null && r.Replaced == current.Revision)
            .OrderByDescending(r => r.Revision).FirstOrDefaultAsync(stop);
        return next is null ? new(await Find(kind, id, stop), Refusal.NothingThere) : await Restore(kind, id, next.Revision, "Redo", stop);
    }

    private async Task<Written<T>> Restore<T>(DocumentKind<T> kind, string id, int revision, string word, CancellationToken stop)
    {
        var row = await db.Revisions.AsNoTracking().FirstAsync(r => r.Kind == kind.Kind && r.Id == id && r.Revision == revision, stop);
        var document = row.Json is { } json ? DocumentJson.Read<T>(row.Form, json) : default;
        return await Write(kind, id, document, document is null ? word : $"{word} {kind.NameOf(document)}", revision, stop);
    }

    /// <summary>The revision that first held the state the document is in now: an undo leads back to an older one.</summary>
    private async Task<RevisionRow?> CurrentState(string kind, string id, CancellationToken stop)
    {
        var last = await LastRevision(kind, id, stop);
        return last?.Restored is { } restored
            ? await db.Revisions.AsNoTracking().FirstAsync(r => r.Kind == kind && r.Id == id && r.Revision == restored, stop)
            : last;
    }

    private Task<RevisionRow?> LastRevision(string kind, string id, CancellationToken stop) =>
        db.Revisions.AsNoTracking().Where(r => r.Kind == kind && r.Id == id).OrderByDescending(r => r.Revision).FirstOrDefaultAsync(stop);

    private async Task<Written<T>> Write<T>(DocumentKind<T> kind, string id, T? document, string words, int? restored, CancellationToken stop, int? madeFrom = null)
    {
        // SQLite lets one writer in at a time; what is read from here on cannot change under us.
        await using var transaction = await db.Database.BeginTransactionAsync(stop);
        var now = clock.GetUtcNow().UtcDateTime;
        var replaced = await CurrentState(kind.Kind, id, stop);
        var last = (await LastRevision(kind.Kind, id, stop))?.Revision ?? 0;
        if (madeFrom is { } expected && expected != last)
        {
            await transaction.RollbackAsync(stop);
            return new(await Find(kind, id, stop), Refusal.Stale);
        }

        var revision = last + 1;
        var json = document is null ? null : DocumentJson.Write(document);
        var change = new ChangeSetRow { At = now, Words = words };
        db.ChangeSets.Add(change);
        await db.SaveChangesAsync(stop);
        db.Revisions.Add(new RevisionRow
        {
            Kind = kind.Kind,
            Id = id,
            Revision = revision,
            Replaced = replaced?.Revision,
            Restored = restored,
            Form = DocumentJson.CurrentForm,
            Json = json,
            ChangeSetId = change.Id,
        });

        var row = await db.Documents.FirstOrDefaultAsync(d => d.Kind == kind.Kind && d.Id == id, stop);
        db.References.RemoveRange(await db.References.Where(r => r.FromKind == kind.Kind && r.FromId == id).ToListAsync(stop));
        if (json is null || document is null)
        {
            db.Documents.RemoveRange(row is null ? [] : [row]);
        }
        else
        {
            if (row is null)
            {
                db.Documents.Add(row = new DocumentRow { Kind = kind.Kind, Id = id, Name = "", Json = "", CreatedAt = now });
            }

            (row.Name, row.Json, row.Revision, row.Form, row.ChangedAt) = (kind.NameOf(document), json, revision, DocumentJson.CurrentForm, now);
            db.References.AddRange(kind.ReferencesOf(document).Distinct()
                .Select(r => new ReferenceRow { FromKind = kind.Kind, FromId = id, ToKind = r.Kind, ToId = r.Id }));
        }

        await db.SaveChangesAsync(stop);
        await transaction.CommitAsync(stop);
        db.ChangeTracker.Clear();
        return new(json is null ? null : new Stored<T>(id, revision, row!.CreatedAt, now, document!));
    }

    private static Stored<T> Read<T>(DocumentRow row) =>
        new(row.Id, row.Revision, row.CreatedAt, row.ChangedAt, DocumentJson.Read<T>(row.Form, row.Json));
}
