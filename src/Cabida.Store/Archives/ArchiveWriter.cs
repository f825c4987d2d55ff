using System.IO.Compression;
using System.Runtime.CompilerServices;
using System.Security.Cryptography;
using System.Text;
using System.Text.Json;
using Cabida.Store.Rows;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;

namespace Cabida.Store;

/// <summary>
/// Writes a whole library as one archive: documents as they stand and as they ever were, pictures, typefaces, outlines, layouts and the
/// files of released loads. All of it is of one moment, while others go on writing; the same library gives the same bytes.
/// </summary>
public sealed class ArchiveWriter(CabidaContext db)
{
    /// <summary>Files have no time of their own.</summary>
    private static readonly DateTimeOffset NoTime = new(1980, 1, 1, 0, 0, 0, TimeSpan.Zero);

    private readonly RevisionTexts texts = new(db);
    private readonly List<ArchiveEntry> entries = [];

    /// <summary>Writes it.</summary>
    public async Task Write(Stream to, CancellationToken stop = default)
    {
        await db.Database.OpenConnectionAsync(stop);
        try
        {
            // A deferred transaction that only reads sees one state and holds no writer up.
            await using var moment = ((SqliteConnection)db.Database.GetDbConnection()).BeginTransaction(deferred: true);
            await db.Database.UseTransactionAsync(moment, stop);
            using var zip = new ZipArchive(to, ZipArchiveMode.Create, leaveOpen: true);
            await Changes(zip, stop);
            await Documents(zip, stop);
            await Histories(zip, stop);
            await Kept(zip, stop);
            var last = await db
                .ChangeSets.AsNoTracking()
                .OrderByDescending(c => c.Id)
                .Select(c => (DateTime?)c.At)
                .FirstOrDefaultAsync(stop);
            var manifest = new ArchiveManifest(ArchiveForm.Name, ArchiveForm.Version, LibraryForm.Current, Utc(last), entries);
            await Add(zip, ArchiveForm.Manifest, JsonSerializer.SerializeToUtf8Bytes(manifest, ArchiveForm.Json));
            await db.Database.UseTransactionAsync(null, stop);
        }
        finally
        {
            await db.Database.CloseConnectionAsync();
        }
    }

    private async Task Changes(ZipArchive zip, CancellationToken stop)
    {
        using var lines = new MemoryStream();
        var count = 0;
        await foreach (var change in db.ChangeSets.AsNoTracking().OrderBy(c => c.Id).AsAsyncEnumerable().WithCancellation(stop))
        {
            JsonSerializer.Serialize(lines, new ArchivedChange(change.Id, Utc(change.At), change.Words), ArchiveForm.Json);
            lines.WriteByte((byte)'\n');
            count++;
        }

        await Add(zip, ArchiveForm.Changes, lines.ToArray(), new ChangesAbout(count));
    }

    private async Task Documents(ZipArchive zip, CancellationToken stop)
    {
        await foreach (
            var row in db.Documents.AsNoTracking().OrderBy(d => d.Kind).ThenBy(d => d.Id).AsAsyncEnumerable().WithCancellation(stop)
        )
        {
            await Add(
                zip,
                $"documents/{row.Kind}/{Safe(row.Id)}.json",
                Encoding.UTF8.GetBytes(row.Json),
                new DocumentAbout(row.Kind, row.Id, row.Name, row.Revision, row.Form, Utc(row.CreatedAt), Utc(row.ChangedAt))
            );
        }
    }

    private async Task Histories(ZipArchive zip, CancellationToken stop)
    {
        var all = await db
            .Revisions.AsNoTracking()
            .GroupBy(r => new { r.Kind, r.Id })
            .Select(g => new
            {
                g.Key.Kind,
                g.Key.Id,
                Count = g.Count(),
            })
            .OrderBy(g => g.Kind)
            .ThenBy(g => g.Id)
            .ToListAsync(stop);
        foreach (var of in all)
        {
            using var lines = new MemoryStream();
            await StateLines.Write(StatesOf(of.Kind, of.Id, stop), lines);
            await Add(zip, $"history/{of.Kind}/{Safe(of.Id)}.ndjson", lines.ToArray(), new HistoryAbout(of.Kind, of.Id, of.Count));
        }
    }

    private async IAsyncEnumerable<ArchivedState> StatesOf(string kind, string id, [EnumeratorCancellation] CancellationToken stop)
    {
        var rows = await db.Revisions.AsNoTracking().Where(r => r.Kind == kind && r.Id == id).OrderBy(r => r.Revision).ToListAsync(stop);
        foreach (var row in rows)
        {
            yield return new ArchivedState(row.Revision, row.Replaced, row.Restored, row.Form, row.ChangeSetId, await texts.Of(row, stop));
        }
    }

    /// <summary>What is kept beside documents.</summary>
    private async Task Kept(ZipArchive zip, CancellationToken stop)
    {
        foreach (var id in await db.Pictures.AsNoTracking().OrderBy(p => p.Id).Select(p => p.Id).ToListAsync(stop))
        {
            var p = await db.Pictures.AsNoTracking().FirstAsync(x => x.Id == id, stop);
            await Add(
                zip,
                $"pictures/{id}.{(p.MediaType == "image/png" ? "png" : "jpg")}",
                p.Bytes,
                new PictureAbout(id, p.MediaType, p.Width, p.Height, p.DotsPerInch, p.Proven, Utc(p.AddedAt))
            );
        }

        foreach (var id in await db.Typefaces.AsNoTracking().OrderBy(t => t.Id).Select(t => t.Id).ToListAsync(stop))
        {
            var t = await db.Typefaces.AsNoTracking().FirstAsync(x => x.Id == id, stop);
            await Add(
                zip,
                $"typefaces/{Safe(id)}{FontEnding(t.Bytes)}",
                t.Bytes,
                new TypefaceAbout(id, t.Name, t.Kind, t.Revision, t.FaceIndex, t.Licence, Utc(t.AddedAt), Utc(t.TakenAwayAt))
            );
        }

        foreach (var id in await db.Outlines.AsNoTracking().OrderBy(o => o.Id).Select(o => o.Id).ToListAsync(stop))
        {
            var o = await db.Outlines.AsNoTracking().FirstAsync(x => x.Id == id, stop);
            await Add(zip, $"outlines/{id}.json", Packing.Unpack(o.Packed), new OutlinesAbout(id, o.Form, Utc(o.AddedAt)));
        }

        await foreach (
            var l in db.Layouts.AsNoTracking().OrderBy(l => l.PlanId).ThenBy(l => l.Key).AsAsyncEnumerable().WithCancellation(stop)
        )
        {
            var name = Convert.ToHexStringLower(SHA256.HashData(Encoding.UTF8.GetBytes(l.Key)).AsSpan(0, 8));
            await Add(
                zip,
                $"layouts/{Safe(l.PlanId)}-{name}.json",
                Packing.Unpack(l.Packed),
                new LayoutAbout(l.PlanId, l.Key, Utc(l.FoundAt))
            );
        }

        foreach (var id in await db.CutFiles.AsNoTracking().OrderBy(f => f.Id).Select(f => f.Id).ToListAsync(stop))
        {
            CutFileRow f = await db.CutFiles.AsNoTracking().FirstAsync(x => x.Id == id, stop);
            await Add(zip, $"loads/{id}.cut", Packing.Unpack(f.Packed), new CutFileAbout(id, Utc(f.AddedAt)));
        }
    }

    private async Task Add(ZipArchive zip, string path, byte[] bytes, ArchiveAbout? about = null)
    {
        var entry = zip.CreateEntry(path, CompressionLevel.Optimal);
        entry.LastWriteTime = NoTime;
        await using (var stream = await entry.OpenAsync())
        {
            await stream.WriteAsync(bytes);
        }

        if (about is not null)
        {
            entries.Add(new ArchiveEntry(path, bytes.Length, Convert.ToHexStringLower(SHA256.HashData(bytes)), about));
        }
    }

    /// <summary>An id as a part of a name.</summary>
    private static string Safe(string id) => Uri.EscapeDataString(id).Replace("..", "%2E%2E", StringComparison.Ordinal);

    /// <summary>How the file of a typeface is called, by its first bytes (OpenType 1.9).</summary>
    private static string FontEnding(byte[] bytes) =>
        bytes.AsSpan().StartsWith("OTTO"u8) ? ".otf"
        : bytes.AsSpan().StartsWith("ttcf"u8) ? ".ttc"
        : ".ttf";

    /// <summary>SQLite keeps no kind of time; all of it is UTC.</summary>
    private static DateTime Utc(DateTime at) => DateTime.SpecifyKind(at, DateTimeKind.Utc);

    private static DateTime? Utc(DateTime? at) => at is { } t ? Utc(t) : null;
}
