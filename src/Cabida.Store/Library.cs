using Cabida.Core.Wording;
using Cabida.Store.Rows;
using Microsoft.EntityFrameworkCore;

namespace Cabida.Store;

/// <summary>
/// Reads and writes documents. Every write adds a revision and a change-set in the same transaction as the document and
/// its references, so that any state can be brought back and a run can name the revision it was made with.
/// </summary>
public sealed class Library(CabidaContext db, TimeProvider clock)
{
    private readonly RevisionTexts texts = new(db);

    /// <summary>All documents of a kind that can be read, the oldest first.</summary>
    public async Task<IReadOnlyList<Stored<T>>> All<T>(DocumentKind<T> kind, CancellationToken stop = default)
        where T : class => [.. (await List(kind, stop)).Where(l => l.Read.Ok).Select(l => l.Read.Value)];

    /// <summary>Those of some documents of a kind that can be read, the oldest first.</summary>
    public async Task<IReadOnlyList<Stored<T>>> Some<T>(DocumentKind<T> kind, IEnumerable<string> ids, CancellationToken stop = default)
        where T : class
    {
        var wanted = ids.Distinct(StringComparer.Ordinal).ToList();
        return [.. (await List(kind, wanted, stop)).Where(l => l.Read.Ok).Select(l => l.Read.Value)];
    }

    /// <summary>All documents of a kind, the oldest first; one that cannot be read takes no other with it.</summary>
    public Task<IReadOnlyList<Listed<T>>> List<T>(DocumentKind<T> kind, CancellationToken stop = default)
        where T : class => List(kind, null, stop);

    /// <summary>Some documents of a kind, the oldest first; one that cannot be read takes no other with it.</summary>
    public Task<IReadOnlyList<Listed<T>>> ListSome<T>(DocumentKind<T> kind, IEnumerable<string> ids, CancellationToken stop = default)
        where T : class => List(kind, [.. ids.Distinct(StringComparer.Ordinal)], stop);

    private async Task<IReadOnlyList<Listed<T>>> List<T>(DocumentKind<T> kind, List<string>? ids, CancellationToken stop)
        where T : class
    {
        ArgumentNullException.ThrowIfNull(kind);
        var kinds = kind.Rows.Select(r => r.Kind).ToList();
        var rows = await db
            .Documents.AsNoTracking()
            .Where(d => kinds.Contains(d.Kind) && (ids == null || ids.Contains(d.Id)))
            .ToListAsync(stop);
        return
        [
            .. rows.GroupBy(r => r.Id, StringComparer.Ordinal)
                .Select(g => g.ToList())
                .Where(g => g.Exists(r => r.Kind == kind.Kind))
                .Select(g => (Main: g.First(r => r.Kind == kind.Kind), Rows: g))
                .OrderBy(g => g.Main.CreatedAt)
                .ThenBy(g => g.Main.Id, StringComparer.Ordinal)
                .Select(g => new Listed<T>(
                    g.Main.Id,
                    g.Main.Name,
                    g.Rows.Sum(r => r.Revision),
                    Outcome<Stored<T>>.Try(() => Read(kind, g.Rows))
                )),
        ];
    }

    /// <summary>A document as it stands.</summary>
    public async Task<Stored<T>?> Find<T>(DocumentKind<T> kind, string id, CancellationToken stop = default)
        where T : class
    {
        ArgumentNullException.ThrowIfNull(kind);
        var rows = await RowsOf(kind, id, stop);
        return rows.Exists(r => r.Kind == kind.Kind) ? Read(kind, rows) : null;
    }

    /// <summary>The id of the document of a kind that was changed last; null when there is none.</summary>
    public async Task<string?> LastChanged(DocumentKind kind, CancellationToken stop = default)
    {
        ArgumentNullException.ThrowIfNull(kind);
        var kinds = kind.Rows.Select(r => r.Kind).ToList();
        return await db
            .Documents.AsNoTracking()
            .Where(d => kinds.Contains(d.Kind))
            .OrderByDescending(d => d.ChangedAt)
            .Select(d => d.Id)
            .FirstOrDefaultAsync(stop);
    }

    /// <summary>The last revision of a document, also of one that was removed; 0 when there never was any.</summary>
    public async Task<int> RevisionOf(DocumentKind kind, string id, CancellationToken stop = default)
    {
        ArgumentNullException.ThrowIfNull(kind);
        var kinds = kind.Rows.Select(r => r.Kind).ToList();
        return (
            await db
                .Revisions.AsNoTracking()
                .Where(r => kinds.Contains(r.Kind) && r.Id == id)
                .GroupBy(r => r.Kind)
                .Select(g => g.Max(r => r.Revision))
                .ToListAsync(stop)
        ).Sum();
    }

    /// <summary>A document as it was at a revision; also one that was removed since.</summary>
    public async Task<T?> At<T>(DocumentKind<T> kind, string id, int revision, CancellationToken stop = default)
        where T : class
    {
        ArgumentNullException.ThrowIfNull(kind);
        return await TextsAt(kind, id, revision, stop) is { } rows ? kind.Read(rows) : null;
    }

    /// <summary>Adds a document.</summary>
    /// <param name="kind">What it is.</param>
    /// <param name="document">The document.</param>
    /// <param name="id">Its id; a fresh one when none is given.</param>
    /// <param name="proof">Works it out before it is kept; what it throws is thrown, and nothing is kept then.</param>
    /// <param name="stop">Ends it.</param>
    /// <exception cref="NotWorkableException">It refers to something that is not there.</exception>
    public async Task<Stored<T>> Add<T>(
        DocumentKind<T> kind,
        T document,
        string? id = null,
        Func<Stored<T>, Task>? proof = null,
        CancellationToken stop = default
    )
        where T : class
    {
        ArgumentNullException.ThrowIfNull(kind);
        id ??= FreshId();
        var now = Now;
        if (proof is not null)
        {
            await proof(new Stored<T>(id, kind.Rows.Count, now, now, document));
        }

        var made = await Make(new UnitOfWork($"Add {kind.NameOf(document)}").Put(kind, id, document), stop);
        return made.Refused is null
            ? (await Find(kind, id, stop))!
            : throw new NotWorkableException(
                Phrase.Say($"It names something that is not here any more: {string.Join(", ", (made.Missing ?? []).Select(Said))}.")
            );
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
        where T : class
    {
        ArgumentNullException.ThrowIfNull(kind);
        var rows = await RowsOf(kind, id, stop);
        if (!rows.Exists(r => r.Kind == kind.Kind))
        {
            return new(default, Refusal.Missing);
        }

        var changed = Differing(kind, kind.StatesOf(document), rows);
        var revision = rows.Sum(r => r.Revision);
        if (changed == 0)
        {
            return new(Read(kind, rows), Revision: revision);
        }

        if (revision != madeFrom)
        {
            return await Stale(kind, id, madeFrom, stop);
        }

        if (proof is not null)
        {
            await proof(new Stored<T>(id, madeFrom + changed, rows.Min(r => r.CreatedAt), Now, document));
        }

        var made = await Make(new UnitOfWork($"Change {kind.NameOf(document)}").Put(kind, id, document, madeFrom), stop);
        return await Answer(kind, id, made, madeFrom, stop);
    }

    /// <summary>
    /// Has a document be again as it was at a revision, also one that was removed since. It is a change like any other and can be undone.
    /// </summary>
    /// <param name="kind">What it is.</param>
    /// <param name="id">Which one.</param>
    /// <param name="revision">The revision in which it was so.</param>
    /// <param name="madeFrom">The revision that was seen.</param>
    /// <param name="proof">Works it out before it is kept; what it throws is thrown, and nothing is kept then.</param>
    /// <param name="stop">Ends it.</param>
    public async Task<Written<T>> BringBack<T>(
        DocumentKind<T> kind,
        string id,
        int revision,
        int madeFrom,
        Func<Stored<T>, Task> proof,
        CancellationToken stop = default
    )
        where T : class
    {
        ArgumentNullException.ThrowIfNull(kind);
        ArgumentNullException.ThrowIfNull(proof);
        if (await At(kind, id, revision, stop) is not { } document)
        {
            return new(default, Refusal.Missing, Revision: await RevisionOf(kind, id, stop));
        }

        await proof(new Stored<T>(id, madeFrom + 1, Now, Now, document));
        var unit = new UnitOfWork($"Bring back {kind.NameOf(document)}").Put(kind, id, document, madeFrom);
        return await Answer(kind, id, await Make(unit, stop), madeFrom, stop);
    }

    /// <summary>Removes a document that nothing refers to; its revisions stay.</summary>
    /// <param name="kind">What it is.</param>
    /// <param name="id">Which one.</param>
    /// <param name="madeFrom">The revision that was seen; null for whatever it is.</param>
    /// <param name="stop">Ends it.</param>
    public async Task<Written<T>> Remove<T>(DocumentKind<T> kind, string id, int? madeFrom = null, CancellationToken stop = default)
        where T : class
    {
        ArgumentNullException.ThrowIfNull(kind);
        var name = (await RowsOf(kind, id, stop)).FirstOrDefault(r => r.Kind == kind.Kind)?.Name ?? "";
        var made = await Make(new UnitOfWork($"Remove {name}").Remove(kind, id, madeFrom), stop);
        return await Answer(kind, id, made, madeFrom, stop);
    }

    /// <summary>Makes a change of one or several documents: all of it, or none.</summary>
    /// <param name="unit">The change.</param>
    /// <param name="stop">Ends it.</param>
    public async Task<UnitWritten> Make(UnitOfWork unit, CancellationToken stop = default)
    {
        ArgumentNullException.ThrowIfNull(unit);
        await using var transaction = await db.Database.BeginTransactionAsync(stop);
        var changes = new List<RowChange>();
        foreach (var change in unit.Changes)
        {
            if (change.MadeFrom is { } expected && expected != await RevisionOf(change.Kind, change.Id, stop))
            {
                return new UnitWritten(Refusal.Stale, change.Kind.Kind, change.Id);
            }

            var rows = await RowsOf(change.Kind, change.Id, stop);
            if (change.States is null && rows.Count == 0)
            {
                return new UnitWritten(Refusal.Missing, change.Kind.Kind, change.Id);
            }

            changes.AddRange(
                change.Kind.Rows.Select((row, i) => new RowChange(row, change.Id, change.States?[i])).Where(c => IsChange(c, rows))
            );
        }

        if (changes.Count == 0)
        {
            return new UnitWritten();
        }

        return await Write(unit.Words, changes, transaction, stop);
    }

    /// <summary>Names of the documents that refer to one.</summary>
    public Task<IReadOnlyList<string>> UsedBy(DocumentKind kind, string id, CancellationToken stop = default)
    {
        ArgumentNullException.ThrowIfNull(kind);
        return UsedBy(kind.Kind, id, stop);
    }

    /// <summary>Names of the documents that refer to something of a kind.</summary>
    public Task<IReadOnlyList<string>> UsedBy(string kind, string id, CancellationToken stop = default) => Users.Of(db, kind, id, stop);

    /// <summary>
    /// Takes back the last change that is not undone yet, in all documents that it changed; also that a document was removed.
    /// </summary>
    /// <param name="kind">What it is.</param>
    /// <param name="id">Which one.</param>
    /// <param name="madeFrom">The revision that was seen; null for whatever it is.</param>
    /// <param name="stop">Ends it.</param>
    public Task<Written<T>> Undo<T>(DocumentKind<T> kind, string id, int? madeFrom = null, CancellationToken stop = default)
        where T : class => Travel(kind, id, undo: true, madeFrom, stop);

    /// <summary>Makes the change again that was undone last, as long as nothing else was changed since.</summary>
    /// <param name="kind">What it is.</param>
    /// <param name="id">Which one.</param>
    /// <param name="madeFrom">The revision that was seen; null for whatever it is.</param>
    /// <param name="stop">Ends it.</param>
    public Task<Written<T>> Redo<T>(DocumentKind<T> kind, string id, int? madeFrom = null, CancellationToken stop = default)
        where T : class => Travel(kind, id, undo: false, madeFrom, stop);

    private async Task<Written<T>> Travel<T>(DocumentKind<T> kind, string id, bool undo, int? madeFrom, CancellationToken stop)
        where T : class
    {
        ArgumentNullException.ThrowIfNull(kind);
        await using var transaction = await db.Database.BeginTransactionAsync(stop);
        var revision = await RevisionOf(kind, id, stop);
        if (madeFrom is { } expected && expected != revision)
        {
            return await Stale(kind, id, expected, stop);
        }

        var history = await DocumentHistory.Of(db, kind, id, stop);
        if ((undo ? history.ToUndo : history.ToRedo) is not { } set)
        {
            return new(default, revision == 0 ? Refusal.Missing : Refusal.NothingThere, Revision: revision);
        }

        var changes = new List<RowChange>();
        var overtaken = new List<string>();
        foreach (var step in await DocumentHistory.Of(db, set, stop))
        {
            var (from, to) = undo ? (step.Revision, step.Replaced ?? 0) : (step.Replaced ?? 0, step.Revision);
            var last = await DocumentHistory.Last(db, step.Kind, step.Id, stop);
            var (document, row) = DocumentKinds.OfRow(step.Kind);
            if ((last is null ? 0 : last.Restored ?? last.Revision) != from)
            {
                var name = await db
                    .Documents.Where(d => d.Kind == document.Kind && d.Id == step.Id)
                    .Select(d => d.Name)
                    .FirstOrDefaultAsync(stop);
                overtaken.Add(name ?? $"a {document.Kind}");
                continue;
            }

            changes.Add(new RowChange(row, step.Id, await StateAt(row, step.Id, to, stop), to));
        }

        if (overtaken.Count > 0)
        {
            return new(default, Refusal.OvertakenElsewhere, [.. overtaken.Distinct()], Revision: revision);
        }

        var called = changes.Select(c => c.State?.Name).FirstOrDefault(n => !string.IsNullOrEmpty(n));
        var made = await Write($"{(undo ? "Undo" : "Redo")} {called}".TrimEnd(), changes, transaction, stop);
        return await Answer(kind, id, made, madeFrom, stop);
    }

    private async Task<UnitWritten> Write(
        string words,
        IReadOnlyList<RowChange> changes,
        Microsoft.EntityFrameworkCore.Storage.IDbContextTransaction transaction,
        CancellationToken stop
    )
    {
        var writer = new UnitWriter(db, Now);
        try
        {
            await writer.Write(words, changes, stop);
            if (await writer.Fault(stop) is { } fault)
            {
                await transaction.RollbackAsync(stop);
                return fault;
            }

            await transaction.CommitAsync(stop);
            return new UnitWritten();
        }
        finally
        {
            // What was not kept must not be written along with what is next.
            db.ChangeTracker.Clear();
        }
    }

    private async Task<Written<T>> Answer<T>(DocumentKind<T> kind, string id, UnitWritten made, int? madeFrom, CancellationToken stop)
        where T : class
    {
        if (made.Refused == Refusal.Stale)
        {
            return await Stale(kind, id, madeFrom ?? 0, stop);
        }

        var revision = await RevisionOf(kind, id, stop);
        return made.Refused is null
            ? new(await Find(kind, id, stop), Revision: revision)
            : new(default, made.Refused, made.UsedBy, Revision: revision) { Lacking = made.Missing ?? [] };
    }

    /// <summary>It was changed since: what in.</summary>
    private async Task<Written<T>> Stale<T>(DocumentKind<T> kind, string id, int madeFrom, CancellationToken stop)
        where T : class
    {
        var revision = await RevisionOf(kind, id, stop);
        var (now, then) = (await TextsAt(kind, id, revision, stop), await TextsAt(kind, id, madeFrom, stop));
        return new(
            default,
            Refusal.Stale,
            Changed: now is null || then is null
                ? []
                : [.. now.Zip(then).SelectMany(t => DocumentJson.Differing(t.First.Json, t.Second.Json))],
            Revision: revision
        );
    }

    /// <summary>The texts of a document's rows at a revision; null where it was not there.</summary>
    private async Task<IReadOnlyList<(int Form, string Json)>?> TextsAt(DocumentKind kind, string id, int revision, CancellationToken stop)
    {
        // Most are kept in one row, and its revision is theirs.
        var at =
            kind.Rows.Count == 1
                ? new Dictionary<string, int>(StringComparer.Ordinal) { [kind.Kind] = revision }
                : (await DocumentHistory.Of(db, kind, id, stop)).At(revision);
        var all = new List<(int, string)>();
        foreach (var row in kind.Rows)
        {
            if (at is null || !at.TryGetValue(row.Kind, out var of) || await TextAt(row, id, of, stop) is not { } text)
            {
                return null;
            }

            all.Add(text);
        }

        return all;
    }

    private async Task<(int Form, string Json)?> TextAt(RowKind row, string id, int revision, CancellationToken stop) =>
        await db.Revisions.AsNoTracking().FirstOrDefaultAsync(r => r.Kind == row.Kind && r.Id == id && r.Revision == revision, stop)
            is { } kept
        && await texts.Of(kept, stop) is { } json
            ? (kept.Form, json)
            : null;

    private async Task<RowState?> StateAt(RowKind row, string id, int revision, CancellationToken stop) =>
        await TextAt(row, id, revision, stop) is { } text ? row.StateOf(text.Form, text.Json) : null;

    private Task<List<DocumentRow>> RowsOf(DocumentKind kind, string id, CancellationToken stop)
    {
        var kinds = kind.Rows.Select(r => r.Kind).ToList();
        return db.Documents.AsNoTracking().Where(d => kinds.Contains(d.Kind) && d.Id == id).ToListAsync(stop);
    }

    private static int Differing(DocumentKind kind, IReadOnlyList<RowState> states, List<DocumentRow> rows) =>
        kind.Rows.Where((row, i) => IsChange(new RowChange(row, "", states[i]), rows)).Count();

    private static bool IsChange(RowChange change, List<DocumentRow> rows) =>
        rows.Find(r => r.Kind == change.Kind.Kind) is not { } row
            ? change.State is not null
            : change.State is not { } state || row.Form != change.Kind.Forms.Current || row.Json != state.Json;

    private static Stored<T> Read<T>(DocumentKind<T> kind, List<DocumentRow> rows)
        where T : class
    {
        var all = kind
            .Rows.Select(k => rows.Find(r => r.Kind == k.Kind) ?? throw new NotWorkableException(Phrase.Say($"Its {k.Kind} is not there.")))
            .ToList();
        return new(
            all[0].Id,
            all.Sum(r => r.Revision),
            all.Min(r => r.CreatedAt),
            all.Max(r => r.ChangedAt),
            kind.Read(all.Select(r => (r.Form, r.Json)))
        );
    }

    /// <summary>What is lacking, in words: “the film Navy”.</summary>
    private static string Said(Dangling to) => $"the {to.To.Kind} {(to.Name.Length > 0 ? to.Name : to.To.Id)}";

    /// <summary>An id that nothing has yet.</summary>
    public static string FreshId() => Guid.NewGuid().ToString("N")[..12];

    private DateTime Now => clock.GetUtcNow().UtcDateTime;
}
