using Cabida.Core.Wording;
using Cabida.Store.Rows;
using Microsoft.EntityFrameworkCore;

namespace Cabida.Store;

/// <summary>Writes states that came from elsewhere as revisions.</summary>
internal static class StateRows
{
    /// <summary>Adds the states of something that never was here, under their own revisions.</summary>
    /// <param name="db">The library.</param>
    /// <param name="kind">The row's kind.</param>
    /// <param name="id">The document.</param>
    /// <param name="states">Its states, the oldest first.</param>
    /// <param name="changeOf">A change of there → the change here.</param>
    /// <param name="stop">Ends it.</param>
    /// <returns>The last of them; null where there is none.</returns>
    public static async Task<RevisionRow?> Add(
        CabidaContext db,
        string kind,
        string id,
        IEnumerable<ArchivedState> states,
        Func<long, long> changeOf,
        CancellationToken stop
    )
    {
        var texts = new RevisionTexts(db);
        RevisionRow? last = null;
        foreach (var state in states)
        {
            var packed = state.Text is { } text ? await texts.Pack(kind, id, last, text, stop) : default;
            last = new RevisionRow
            {
                Kind = kind,
                Id = id,
                Revision = state.Revision,
                Replaced = state.Replaced,
                Restored = state.Restored,
                Form = state.Form,
                Gone = state.Text is null,
                Packed = packed.Packed,
                BasedOn = packed.BasedOn,
                ChangeSetId = changeOf(state.Change),
            };
            db.Revisions.Add(last);
            await db.SaveChangesAsync(stop);
            db.ChangeTracker.Clear();
        }

        return last;
    }

    /// <summary>Has a document stand as its last revision says, with what it refers to.</summary>
    /// <param name="db">The library.</param>
    /// <param name="kind">The row's kind.</param>
    /// <param name="id">The document.</param>
    /// <param name="name">What it is called where its text cannot be read.</param>
    /// <param name="createdAt">When it was first kept, in UTC.</param>
    /// <param name="changedAt">When it was last changed, in UTC.</param>
    /// <param name="stop">Ends it.</param>
    public static async Task Stand(
        CabidaContext db,
        string kind,
        string id,
        string name,
        DateTime createdAt,
        DateTime changedAt,
        CancellationToken stop
    )
    {
        var last = (await DocumentHistory.Last(db, kind, id, stop))!;
        var json = (await new RevisionTexts(db).Of(last, stop))!;
        var row = DocumentKinds.OfRow(kind).Row;
        await db.Documents.Where(d => d.Kind == kind && d.Id == id).ExecuteDeleteAsync(stop);
        await db.References.Where(r => r.FromKind == kind && r.FromId == id).ExecuteDeleteAsync(stop);
        db.Documents.Add(
            new DocumentRow
            {
                Kind = kind,
                Id = id,
                Name = Outcome<string>.Try(() => row.NameIn(last.Form, json)) is { Ok: true } called ? called.Value : name,
                Revision = last.Revision,
                Form = last.Form,
                Json = json,
                CreatedAt = createdAt,
                ChangedAt = changedAt,
            }
        );
        db.References.AddRange(UnitWriter.RowsOf(kind, id, row.ReferencesIn(last.Form, json)));
        await db.SaveChangesAsync(stop);
        db.ChangeTracker.Clear();
    }
}
