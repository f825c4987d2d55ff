using System.Globalization;
using System.Text.Json;
using System.Text.Json.Nodes;
using Cabida.Core.Wording;
using Cabida.Store.Rows;
using Microsoft.EntityFrameworkCore;

namespace Cabida.Store;

/// <summary>
/// Brings a library to the form of now: its tables, and what is divided among rows otherwise than it was. Single documents are brought up
/// when they are read. All of it is done or none, and it may be done again.
/// </summary>
public static class LibraryUpgrade
{
    /// <summary>Brings the library up; returns how many revisions were divided.</summary>
    public static async Task<int> Run(CabidaContext db, CancellationToken stop = default)
    {
        ArgumentNullException.ThrowIfNull(db);
        await db.Database.MigrateAsync(stop);
        await using var transaction = await db.Database.BeginTransactionAsync(stop);
        var divided = await DivideRuns(db, stop);
        await transaction.CommitAsync(stop);
        db.ChangeTracker.Clear();
        await db.Database.ExecuteSqlRawAsync(
            string.Create(CultureInfo.InvariantCulture, $"PRAGMA user_version = {LibraryForm.Current}"),
            stop
        );
        return divided;
    }

    /// <summary>Whether a library was last written by an earlier version that left it in another form.</summary>
    public static async Task<bool> IsNeeded(CabidaContext db, CancellationToken stop = default)
    {
        ArgumentNullException.ThrowIfNull(db);
        var applied = (await db.Database.GetAppliedMigrationsAsync(stop)).ToList();
        return applied.Count > 0
            && (
                applied.Count < db.Database.GetMigrations().Count()
                || await db.Database.SqlQueryRaw<int>("SELECT user_version AS Value FROM pragma_user_version").SingleAsync(stop)
                    < LibraryForm.Current
            );
    }

    /// <summary>
    /// Every state that a run was ever in becomes a set-up, a list and verdicts of the same change, so that undo leads back through all of
    /// them. A text that cannot be read stays as it is, to be told of by its name.
    /// </summary>
    private static async Task<int> DivideRuns(CabidaContext db, CancellationToken stop)
    {
        var kind = DocumentKinds.Run.Kind;
        var (texts, rows, divided) = (new RevisionTexts(db), DocumentKinds.Run.Rows, 0);
        var ids = await db
            .Revisions.AsNoTracking()
            .Where(r => r.Kind == kind && r.Form <= RunForms.LastWhole)
            .Select(r => r.Id)
            .Distinct()
            .ToListAsync(stop);
        foreach (var id in ids)
        {
            var whole = await db
                .Revisions.Where(r => r.Kind == kind && r.Id == id && r.Form <= RunForms.LastWhole)
                .OrderBy(r => r.Revision)
                .ToListAsync(stop);
            foreach (var row in whole)
            {
                var text = await texts.Of(row, stop);
                if (!row.Gone && Parsed(text) is not { } run)
                {
                    continue;
                }

                await Add(rows[1], row, text, RunForms.ListOf);
                await Add(rows[2], row, text, RunForms.VerdictsOf);
                // The state it replaced is read from the row as it was; it keeps its number.
                (row.Form, row.Json, row.BasedOn) = (rows[0].Forms.Current, null, null);
                row.Packed = text is null ? null : RevisionTexts.Whole(Text(rows[0], RunForms.SetUpOf(JsonNode.Parse(text)!)));
                divided++;
                await db.SaveChangesAsync(stop);
            }

            db.ChangeTracker.Clear();
            await Stand(db, texts, id, stop);
        }

        return divided;

        async Task Add(RowKind part, RevisionRow of, string? text, Func<JsonNode, JsonNode> take)
        {
            var last = await DocumentHistory.Last(db, part.Kind, of.Id, stop);
            var packed = text is null ? default : await texts.Pack(part.Kind, of.Id, last, Text(part, take(JsonNode.Parse(text)!)), stop);
            db.Revisions.Add(
                new RevisionRow
                {
                    Kind = part.Kind,
                    Id = of.Id,
                    Revision = of.Revision,
                    Replaced = of.Replaced,
                    Restored = of.Restored,
                    Form = 1,
                    Gone = text is null,
                    Packed = packed.Packed,
                    BasedOn = packed.BasedOn,
                    ChangeSetId = of.ChangeSetId,
                }
            );
            await db.SaveChangesAsync(stop);
        }
    }

    /// <summary>Has the rows of a run stand as its revisions say; one that is gone, or cannot be read, stands as it did.</summary>
    private static async Task Stand(CabidaContext db, RevisionTexts texts, string id, CancellationToken stop)
    {
        var kind = DocumentKinds.Run.Kind;
        if (await db.Documents.FirstOrDefaultAsync(d => d.Kind == kind && d.Id == id, stop) is not { } standing)
        {
            return;
        }

        foreach (var row in DocumentKinds.Run.Rows)
        {
            var last = await db
                .Revisions.AsNoTracking()
                .Where(r => r.Kind == row.Kind && r.Id == id && r.Form == row.Forms.Current && !r.Gone)
                .OrderByDescending(r => r.Revision)
                .FirstOrDefaultAsync(stop);
            if (last is null || (row.Kind == kind && last.Revision != standing.Revision) || await texts.Of(last, stop) is not { } json)
            {
                continue;
            }

            if (row.Kind == kind)
            {
                (standing.Json, standing.Form) = (json, last.Form);
            }
            else
            {
                db.Documents.Add(
                    new DocumentRow
                    {
                        Kind = row.Kind,
                        Id = id,
                        Name = "",
                        Json = json,
                        Form = last.Form,
                        Revision = last.Revision,
                        CreatedAt = standing.CreatedAt,
                        ChangedAt = standing.ChangedAt,
                    }
                );
            }

            db.References.RemoveRange(await db.References.Where(r => r.FromKind == row.Kind && r.FromId == id).ToListAsync(stop));
            await db.SaveChangesAsync(stop);
            db.References.AddRange(UnitWriter.RowsOf(row.Kind, id, row.ReferencesIn(last.Form, json)));
            await db.SaveChangesAsync(stop);
        }

        db.ChangeTracker.Clear();
    }

    private static JsonObject? Parsed(string? text)
    {
        try
        {
            return text is null ? null : JsonNode.Parse(text) as JsonObject;
        }
        catch (JsonException)
        {
            return null;
        }
    }

    /// <summary>
    /// A text as it would be written now, so that what is saved unchanged is no change; as it is where it cannot be read.
    /// </summary>
    private static string Text(RowKind row, JsonNode node)
    {
        var text = node.ToJsonString(DocumentJson.Plain);
        return Outcome<string>.Try(() => row.StateOf(row.Forms.Current, text).Json) is { Ok: true } read ? read.Value : text;
    }
}
