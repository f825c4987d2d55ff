using Cabida.Core.Wording;
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
/// <param name="Changed">The fields that were changed elsewhere, when that is why.</param>
/// <param name="Revision">The revision there is now, also of what was removed; 0 when there never was any.</param>
public sealed record Written<T>(
    Stored<T>? Stored,
    Refusal? Refused = null,
    IReadOnlyList<string>? UsedBy = null,
    IReadOnlyList<string>? Changed = null,
    int Revision = 0
);

/// <summary>A document in a list: itself, or why it cannot be read.</summary>
/// <param name="Id">Which one.</param>
/// <param name="Name">What it is called.</param>
/// <param name="Revision">Its revision.</param>
/// <param name="Read">It, or why it cannot be read.</param>
public sealed record Listed<T>(string Id, string Name, int Revision, Outcome<Stored<T>> Read);

/// <summary>
/// Reads and writes documents. Every write adds a revision and a change-set in the same transaction as the document and
/// its references, so that any state can be brought back and a run can name the revision it was made with.
/// </summary>
public sealed class Library(CabidaContext db, TimeProvider clock)
{
    /// <summary>All documents of a kind that can be read, the oldest first.</summary>
    public async Task<IReadOnlyList<Stored<T>>> All<T>(DocumentKind<T> kind, CancellationToken stop = default) =>
        [.. (await List(kind, stop)).Where(l => l.Read.Ok).Select(l => l.Read.Value)];

    /// <summary>All documents of a kind, the oldest first; one that cannot be read takes no other with it.</summary>
    public async Task<IReadOnlyList<Listed<T>>> List<T>(DocumentKind<T> kind, CancellationToken stop = default)
    {
        ArgumentNullException.ThrowIfNull(kind);
        var rows = await db
            .Documents.AsNoTracking()
            .Where(d => d.Kind == kind.Kind)
            .OrderBy(d => d.CreatedAt)
            .ThenBy(d => d.Id)
            .ToListAsync(stop);
        return [.. rows.Select(r => new Listed<T>(r.Id, r.Name, r.Revision, Outcome<Stored<T>>.Try(() => Read<T>(r))))];
    }

    /// <summary>A document as it stands.</summary>
    public async Task<Stored<T>?> Find<T>(DocumentKind<T> kind, string id, CancellationToken stop = default)
    {
        ArgumentNullException.ThrowIfNull(kind);
        return await db.Documents.AsNoTracking().FirstOrDefaultAsync(d => d.Kind == kind.Kind && d.Id == id, stop) is { } row
            ? Read<T>(row)
            : null;
    }

    /// <summary>The last revision of a document, also of one that was removed; 0 when there never was any.</summary>
    public async Task<int> RevisionOf<T>(DocumentKind<T> kind, string id, CancellationToken stop = default)
    {
        ArgumentNullException.ThrowIfNull(kind);
        return (await LastRevision(kind.Kind, id, stop))?.Revision ?? 0;
    }

    /// <summary>A document as it was at a revision; also one that was removed since.</summary>
    public async Task<T?> At<T>(DocumentKind<T> kind, string id, int revision, CancellationToken stop = default)
        where T : class
    {
        ArgumentNullException.ThrowIfNull(kind);
        var row = await db
            .Revisions.AsNoTracking()
            .FirstOrDefaultAsync(r => r.Kind == kind.Kind && r.Id == id && r.Revision == revision, stop);
        return row?.Json is { } json ? DocumentJson.Read<T>(row.Form, json) : null;
    }

    /// <summary>Adds a document.</summary>
    /// <param name="kind">What it is.</param>
    /// <param name="document">The document.</param>
    /// <param name="id">Its id; a fresh one when none is given.</param>
    /// <param name="proof">Works it out before it is kept; what it throws is thrown, and nothing is kept then.</param>
    /// <param name="stop">Ends it.</param>
    public async Task<Stored<T>> Add<T>(
        DocumentKind<T> kind,
        T document,
        string? id = null,
        Func<Stored<T>, Task>? proof = null,
        CancellationToken stop = default
    )
    {
        ArgumentNullException.ThrowIfNull(kind);
        id ??= Guid.NewGuid().ToString("N")[..12];
        var now = Now;
        if (proof is not null)
        {
            await proof(new Stored<T>(id, 1, now, now, document));
        }

        var written = await Write(kind, id, document, new Change($"Add {kind.NameOf(document)}", now), stop);
        return written.Stored!;
    }

    /// <summary>
    /// Replaces a document, if it still stands as it did when the change was made from it. The same once more, as when its
    /// answer was lost on the way, is done already.
    /// </summary>
    /// <param name="kind">What it is.</param>
    /// <param name="id">Which one.</param>
    /// <param name="madeFrom">The revision that the change was made from.</param>
    /// <param name="document">The document.</param>
    /// <param name="proof">Works it out before it is kept; what it throws is thrown, and nothing is kept then.</param>
    /// <param name="stop">Ends it.</param>
    public async Task<Written<T>> Save<T>(
        DocumentKind<T> kind,
        string id,
        int madeFrom,
        T document,
        Func<Stored<T>, Task>? proof = null,
        CancellationToken stop = default
    )
    {
        ArgumentNullException.ThrowIfNull(kind);
        if (await RowOf(kind.Kind, id, stop) is not { } row)
        {
            return new(default, Refusal.Missing);
        }

        if (row.Form == DocumentJson.CurrentForm && row.Json == DocumentJson.Write(document))
        {
            return new(Read<T>(row), Revision: row.Revision);
        }

        if (row.Revision != madeFrom)
        {
            return await Stale<T>(kind, id, madeFrom, stop);
        }

        var now = Now;
        if (proof is not null)
        {
            await proof(new Stored<T>(id, madeFrom + 1, row.CreatedAt, now, document));
        }

        return await Write(kind, id, document, new Change($"Change {kind.NameOf(document)}", now) { MadeFrom = madeFrom }, stop);
    }

    /// <summary>Removes a document that nothing refers to; its revisions stay.</summary>
    /// <param name="kind">What it is.</param>
    /// <param name="id">Which one.</param>
    /// <param name="madeFrom">The revision that was seen; null for whatever it is.</param>
    /// <param name="stop">Ends it.</param>
    public async Task<Written<T>> Remove<T>(DocumentKind<T> kind, string id, int? madeFrom = null, CancellationToken stop = default)
    {
        ArgumentNullException.ThrowIfNull(kind);
        if (await RowOf(kind.Kind, id, stop) is not { } now)
        {
            return new(default, Refusal.Missing);
        }

        return await Write(kind, id, default, new Change($"Remove {now.Name}", Now) { MadeFrom = madeFrom }, stop);
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
        return await db
            .References.AsNoTracking()
            .Where(r => r.ToKind == kind && r.ToId == id)
            .Join(db.Documents, r => new { Kind = r.FromKind, Id = r.FromId }, d => new { d.Kind, d.Id }, (r, d) => d.Name)
            .OrderBy(n => n)
            .ToListAsync(stop);
    }

    /// <summary>Brings back the state before the last change that is not undone yet; also of a removed document.</summary>
    /// <param name="kind">What it is.</param>
    /// <param name="id">Which one.</param>
    /// <param name="madeFrom">The revision that was seen; null for whatever it is.</param>
    /// <param name="stop">Ends it.</param>
    public async Task<Written<T>> Undo<T>(DocumentKind<T> kind, string id, int? madeFrom = null, CancellationToken stop = default)
    {
        ArgumentNullException.ThrowIfNull(kind);
        var current = await CurrentState(kind.Kind, id, stop);
        return current?.Replaced is { } before ? await Restore(kind, id, before, "Undo", madeFrom, stop) : await Nothing(kind, id, stop);
    }

    /// <summary>Brings back the state that was undone last, as long as nothing else was changed since.</summary>
    /// <param name="kind">What it is.</param>
    /// <param name="id">Which one.</param>
    /// <param name="madeFrom">The revision that was seen; null for whatever it is.</param>
    /// <param name="stop">Ends it.</param>
    public async Task<Written<T>> Redo<T>(DocumentKind<T> kind, string id, int? madeFrom = null, CancellationToken stop = default)
    {
        ArgumentNullException.ThrowIfNull(kind);
        var current = await CurrentState(kind.Kind, id, stop);
        var next = current is null
            ? null
            : await db
                .Revisions.AsNoTracking()
                .Where(r => r.Kind == kind.Kind && r.Id == id && r.Restored == null && r.Replaced == current.Revision)
                .OrderByDescending(r => r.Revision)
                .FirstOrDefaultAsync(stop);
        return next is null ? await Nothing(kind, id, stop) : await Restore(kind, id, next.Revision, "Redo", madeFrom, stop);
    }

    private async Task<Written<T>> Nothing<T>(DocumentKind<T> kind, string id, CancellationToken stop) =>
        new(default, await LastRevision(kind.Kind, id, stop) is null ? Refusal.Missing : Refusal.NothingThere);

    private async Task<Written<T>> Restore<T>(
        DocumentKind<T> kind,
        string id,
        int revision,
        string word,
        int? madeFrom,
        CancellationToken stop
    )
    {
        var row = await db.Revisions.AsNoTracking().FirstAsync(r => r.Kind == kind.Kind && r.Id == id && r.Revision == revision, stop);
        var document = row.Json is { } json ? DocumentJson.Read<T>(row.Form, json) : default;
        return await Write(
            kind,
            id,
            document,
            new Change(document is null ? word : $"{word} {kind.NameOf(document)}", Now) { Restored = revision, MadeFrom = madeFrom },
            stop
        );
    }

    /// <summary>It was changed since: what in.</summary>
    private async Task<Written<T>> Stale<T>(DocumentKind<T> kind, string id, int madeFrom, CancellationToken stop)
    {
        var last = await LastRevision(kind.Kind, id, stop);
        var from = await db
            .Revisions.AsNoTracking()
            .FirstOrDefaultAsync(r => r.Kind == kind.Kind && r.Id == id && r.Revision == madeFrom, stop);
        return new(
            default,
            Refusal.Stale,
            Changed: last?.Json is { } now && from?.Json is { } then ? DocumentJson.Differing(then, now) : [],
            Revision: last?.Revision ?? 0
        );
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

    private Task<DocumentRow?> RowOf(string kind, string id, CancellationToken stop) =>
        db.Documents.AsNoTracking().FirstOrDefaultAsync(d => d.Kind == kind && d.Id == id, stop);

    private DateTime Now => clock.GetUtcNow().UtcDateTime;

    /// <summary>A change to be written.</summary>
    /// <param name="Words">What was done.</param>
    /// <param name="At">When.</param>
    private sealed record Change(string Words, DateTime At)
    {
        /// <summary>The revision whose state is brought back, when it is an undo or redo.</summary>
        public int? Restored { get; init; }

        /// <summary>The revision it was made from; null where that does not matter.</summary>
        public int? MadeFrom { get; init; }
    }

    private async Task<Written<T>> Write<T>(DocumentKind<T> kind, string id, T? document, Change made, CancellationToken stop)
    {
        // SQLite lets one writer in at a time; what is read from here on cannot change under us.
        await using var transaction = await db.Database.BeginTransactionAsync(stop);
        var replaced = await CurrentState(kind.Kind, id, stop);
        var last = (await LastRevision(kind.Kind, id, stop))?.Revision ?? 0;
        if (made.MadeFrom is { } expected && expected != last)
        {
            await transaction.RollbackAsync(stop);
            return await Stale<T>(kind, id, expected, stop);
        }

        if (document is null && await UsedBy(kind.Kind, id, stop) is { Count: > 0 } usedBy)
        {
            await transaction.RollbackAsync(stop);
            return new(default, Refusal.InUse, usedBy, Revision: last);
        }

        var revision = last + 1;
        var json = document is null ? null : DocumentJson.Write(document);
        var change = new ChangeSetRow { At = made.At, Words = made.Words };
        db.ChangeSets.Add(change);
        await db.SaveChangesAsync(stop);
        db.Revisions.Add(
            new RevisionRow
            {
                Kind = kind.Kind,
                Id = id,
                Revision = revision,
                Replaced = replaced?.Revision,
                Restored = made.Restored,
                Form = DocumentJson.CurrentForm,
                Json = json,
                ChangeSetId = change.Id,
            }
        );

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
                db.Documents.Add(
                    row = new DocumentRow
                    {
                        Kind = kind.Kind,
                        Id = id,
                        Name = "",
                        Json = "",
                        CreatedAt = made.At,
                    }
                );
            }

            (row.Name, row.Json, row.Revision, row.Form, row.ChangedAt) = (
                kind.NameOf(document),
                json,
                revision,
                DocumentJson.CurrentForm,
                made.At
            );
            db.References.AddRange(
                kind.ReferencesOf(document)
                    .Distinct()
                    .Select(r => new ReferenceRow
                    {
                        FromKind = kind.Kind,
                        FromId = id,
                        ToKind = r.Kind,
                        ToId = r.Id,
                    })
            );
        }

        await db.SaveChangesAsync(stop);
        await transaction.CommitAsync(stop);
        db.ChangeTracker.Clear();
        return new(json is null ? null : new Stored<T>(id, revision, row!.CreatedAt, made.At, document!), Revision: revision);
    }

    private static Stored<T> Read<T>(DocumentRow row) =>
        new(row.Id, row.Revision, row.CreatedAt, row.ChangedAt, DocumentJson.Read<T>(row.Form, row.Json));
}
