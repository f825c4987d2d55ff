using Cabida.Core.Wording;
using Cabida.Store.Rows;
using Microsoft.EntityFrameworkCore;

namespace Cabida.Store;

/// <summary>
/// Brings a whole archive into a library that has nothing in it yet, so that it is the library that the archive was written of.
/// </summary>
public static class ArchiveWhole
{
    /// <summary>Whether a library has nothing in it, and never had.</summary>
    public static async Task<bool> Suits(CabidaContext db, CancellationToken stop = default)
    {
        ArgumentNullException.ThrowIfNull(db);
        return !await db.ChangeSets.AnyAsync(stop) && !await db.Documents.AnyAsync(stop);
    }

    /// <summary>Brings it in: all of it or nothing.</summary>
    /// <param name="db">The library.</param>
    /// <param name="archive">The archive.</param>
    /// <param name="gate">What is wrong with a file, as it is looked at when it comes in by itself; null where nothing is.</param>
    /// <param name="stop">Ends it.</param>
    /// <exception cref="NotWorkableException">Something of it cannot be read. A document that cannot be is what it was there, and is told
    /// of on its card.</exception>
    public static async Task Bring(
        CabidaContext db,
        Archive archive,
        Func<ArchiveAbout, byte[], Phrase?> gate,
        CancellationToken stop = default
    )
    {
        ArgumentNullException.ThrowIfNull(db);
        ArgumentNullException.ThrowIfNull(archive);
        await using var transaction = await db.Database.BeginTransactionAsync(stop);
        foreach (var change in archive.Changes().Values.OrderBy(c => c.Id))
        {
            db.ChangeSets.Add(
                new ChangeSetRow
                {
                    Id = change.Id,
                    At = change.At,
                    Words = change.Words,
                }
            );
        }

        await Flush(db, stop);
        foreach (var (kind, id) in archive.Histories)
        {
            var last = await StateRows.Add(db, kind, id, archive.States(kind, id), c => c, stop);
            var standing = archive.Documents.Where(d => d.Kind == kind && d.Id == id).ToList();
            if (standing is [var about] != (last is { Gone: false }))
            {
                throw new NotWorkableException(Phrase.Say($"What it says of {kind} {id} does not go together: it was changed or damaged."));
            }
        }

        foreach (var entry in archive.Manifest.Entries.Where(e => e.About is DocumentAbout))
        {
            var about = (DocumentAbout)entry.About;
            // What stands there follows from its past; that the file beside it is whole is looked at all the same.
            archive.Bytes(entry);
            await StateRows.Stand(db, about.Kind, about.Id, about.Name, about.CreatedAt, about.ChangedAt, stop);
        }

        await ArchiveKept.Add(db, archive, _ => true, gate, stop);
        await transaction.CommitAsync(stop);
        db.ChangeTracker.Clear();

        static async Task Flush(CabidaContext db, CancellationToken stop)
        {
            await db.SaveChangesAsync(stop);
            db.ChangeTracker.Clear();
        }
    }
}
