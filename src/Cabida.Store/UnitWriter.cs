using Cabida.Core.Wording;
using Cabida.Store.Rows;
using Microsoft.EntityFrameworkCore;

namespace Cabida.Store;

/// <summary>A row to be written.</summary>
/// <param name="Kind">Its kind.</param>
/// <param name="Id">The document.</param>
/// <param name="State">It as it is to stand; null to take it away.</param>
/// <param name="Restored">The revision whose state is brought back, when it is an undo or redo.</param>
internal sealed record RowChange(RowKind Kind, string Id, RowState? State, int? Restored = null);

/// <summary>
/// Writes a change: rows, revisions and references in one transaction, after which nothing refers to what is not there. SQLite lets one
/// writer in at a time, from the first statement on, so that what is looked at here cannot change before it is written.
/// </summary>
internal sealed class UnitWriter(CabidaContext db, DateTime now)
{
    private readonly RevisionTexts texts = new(db);
    private readonly List<RowChange> written = [];
    private readonly Dictionary<(string, string), IReadOnlyList<Reference>> before = [];

    /// <summary>Writes rows as one change. Nothing is saved for good before the transaction about it ends.</summary>
    public async Task Write(string words, IReadOnlyList<RowChange> changes, CancellationToken stop)
    {
        var set = new ChangeSetRow { At = now, Words = words };
        db.ChangeSets.Add(set);
        await db.SaveChangesAsync(stop);
        foreach (var change in changes)
        {
            await Write(change, set.Id, stop);
        }

        await db.SaveChangesAsync(stop);
        db.ChangeTracker.Clear();
    }

    /// <summary>What of the change would leave a reference to nothing; null where all is well.</summary>
    public async Task<UnitWritten?> Fault(CancellationToken stop)
    {
        foreach (var change in written)
        {
            var (kind, id) = (change.Kind.Kind, change.Id);
            if (change.State is null && await Users.Of(db, kind, id, stop) is { Count: > 0 } usedBy)
            {
                return new UnitWritten(Refusal.InUse, kind, id, usedBy);
            }

            var missing = new List<Dangling>();
            foreach (var to in (change.State?.References ?? []).Except(before[(kind, id)]))
            {
                if (!await IsThere(to, stop))
                {
                    missing.Add(new Dangling(to, await LastName(to, stop)));
                }
            }

            if (missing.Count > 0)
            {
                return new UnitWritten(Refusal.Dangling, kind, id, Missing: missing);
            }
        }

        return null;
    }

    private async Task Write(RowChange change, long changeSet, CancellationToken stop)
    {
        var (kind, id, state) = (change.Kind.Kind, change.Id, change.State);
        var last = await DocumentHistory.Last(db, kind, id, stop);
        var revision = (last?.Revision ?? 0) + 1;
        var packed = state is null ? default : await texts.Pack(kind, id, last, state.Json, stop);
        db.Revisions.Add(
            new RevisionRow
            {
                Kind = kind,
                Id = id,
                Revision = revision,
                Replaced = last is null ? null : last.Restored ?? last.Revision,
                Restored = change.Restored,
                Form = change.Kind.Forms.Current,
                Gone = state is null,
                Packed = packed.Packed,
                BasedOn = packed.BasedOn,
                ChangeSetId = changeSet,
            }
        );
        var row = await db.Documents.FirstOrDefaultAsync(d => d.Kind == kind && d.Id == id, stop);
        written.Add(change);
        before[(kind, id)] = row is null ? [] : change.Kind.ReferencesIn(row.Form, row.Json);
        db.References.RemoveRange(await db.References.Where(r => r.FromKind == kind && r.FromId == id).ToListAsync(stop));
        if (state is null)
        {
            db.Documents.RemoveRange(row is null ? [] : [row]);
            return;
        }

        if (row is null)
        {
            row = new DocumentRow
            {
                Kind = kind,
                Id = id,
                Name = "",
                Json = "",
                CreatedAt = now,
            };
            db.Documents.Add(row);
        }

        (row.Name, row.Json, row.Revision, row.Form, row.ChangedAt) = (state.Name, state.Json, revision, change.Kind.Forms.Current, now);
        db.References.AddRange(RowsOf(kind, id, state.References));
    }

    /// <summary>References as rows.</summary>
    public static IEnumerable<ReferenceRow> RowsOf(string kind, string id, IEnumerable<Reference> references) =>
        references
            .DistinctBy(r => (r.Kind, r.Id))
            .Select(r => new ReferenceRow
            {
                FromKind = kind,
                FromId = id,
                ToKind = r.Kind,
                ToId = r.Id,
            });

    private async Task<bool> IsThere(Reference to, CancellationToken stop) =>
        to.Kind switch
        {
            // One that ships is in no table, and one that was taken away can still be set with.
            DocumentKinds.Typeface => true,
            DocumentKinds.Picture => await db.Pictures.AnyAsync(p => p.Id == to.Id, stop),
            _ => await db.Documents.AnyAsync(d => d.Kind == to.Kind && d.Id == to.Id, stop)
                && (
                    to.Revision is not { } pinned
                    || await db.Revisions.AnyAsync(r => r.Kind == to.Kind && r.Id == to.Id && r.Revision == pinned && !r.Gone, stop)
                ),
        };

    private async Task<string> LastName(Reference to, CancellationToken stop) =>
        await db
            .Revisions.AsNoTracking()
            .Where(r => r.Kind == to.Kind && r.Id == to.Id && !r.Gone)
            .OrderByDescending(r => r.Revision)
            .FirstOrDefaultAsync(stop)
            is { } last
        && await texts.Of(last, stop) is { } json
        && DocumentKinds.RowOf(to.Kind) is { } row
        && Outcome<string>.Try(() => row.NameIn(last.Form, json)) is { Ok: true } name
            ? name.Value
            : "";
}
