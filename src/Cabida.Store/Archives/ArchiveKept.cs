using System.Security.Cryptography;
using Cabida.Core.Wording;
using Cabida.Store.Rows;
using Microsoft.EntityFrameworkCore;

namespace Cabida.Store;

/// <summary>Brings in what an archive holds beside documents: each is known by its content, so what is here already is the same.</summary>
internal static class ArchiveKept
{
    /// <summary>Adds what is wanted of it and not here yet.</summary>
    /// <param name="db">The library.</param>
    /// <param name="archive">The archive.</param>
    /// <param name="wanted">What of it is wanted.</param>
    /// <param name="gate">What is wrong with a file, as it is looked at when it comes in by itself; null where nothing is.</param>
    /// <param name="stop">Ends it.</param>
    public static async Task Add(
        CabidaContext db,
        Archive archive,
        Func<ArchiveAbout, bool> wanted,
        Func<ArchiveAbout, byte[], Phrase?> gate,
        CancellationToken stop
    )
    {
        foreach (var entry in archive.Manifest.Entries.Where(e => wanted(e.About)))
        {
            stop.ThrowIfCancellationRequested();
            if (await IsNew(db, entry.About, stop))
            {
                var bytes = archive.Bytes(entry);
                if (!IsItself(entry.About, bytes))
                {
                    throw new NotWorkableException(
                        Phrase.Say($"Of the archive, {entry.Path} is not what its name says: it was changed. Nothing of it was taken.")
                    );
                }

                if (gate(entry.About, bytes) is { } problem)
                {
                    throw new NotWorkableException(Phrase.Say($"Of the archive, {entry.Path} cannot be used. {problem}"));
                }

                db.Add(RowOf(entry.About, bytes));
                await db.SaveChangesAsync(stop);
                db.ChangeTracker.Clear();
            }
        }
    }

    private static async Task<bool> IsNew(CabidaContext db, ArchiveAbout about, CancellationToken stop) =>
        about switch
        {
            PictureAbout p => !await db.Pictures.AnyAsync(x => x.Id == p.Id, stop),
            TypefaceAbout t => !await db.Typefaces.AnyAsync(x => x.Id == t.Id, stop),
            OutlinesAbout o => !await db.Outlines.AnyAsync(x => x.Id == o.Id, stop),
            LayoutAbout l => !await db.Layouts.AnyAsync(x => x.PlanId == l.PlanId && x.Key == l.Key, stop),
            CutFileAbout f => !await db.CutFiles.AnyAsync(x => x.Id == f.Id, stop),
            _ => false,
        };

    /// <summary>What is known by its content is that content.</summary>
    private static bool IsItself(ArchiveAbout about, byte[] bytes)
    {
        var hash = Convert.ToHexStringLower(SHA256.HashData(bytes));
        return about switch
        {
            PictureAbout p => p.Id == hash[..32],
            OutlinesAbout o => o.Id == hash[..32],
            CutFileAbout f => f.Id == hash,
            _ => true,
        };
    }

    private static object RowOf(ArchiveAbout about, byte[] bytes) =>
        about switch
        {
            PictureAbout p => new PictureRow
            {
                Id = p.Id,
                MediaType = p.MediaType,
                Width = p.Width,
                Height = p.Height,
                DotsPerInch = p.DotsPerInch,
                Proven = p.Proven,
                Bytes = bytes,
                AddedAt = p.AddedAt,
            },
            TypefaceAbout t => new TypefaceRow
            {
                Id = t.Id,
                Name = t.Name,
                Kind = t.Kind,
                Revision = t.Revision,
                FaceIndex = t.FaceIndex,
                Licence = t.Licence,
                Bytes = bytes,
                AddedAt = t.AddedAt,
                TakenAwayAt = t.TakenAwayAt,
            },
            OutlinesAbout o => new OutlinesRow
            {
                Id = o.Id,
                Form = o.Form,
                Packed = Packing.Pack(bytes),
                AddedAt = o.AddedAt,
            },
            LayoutAbout l => new LayoutRow
            {
                PlanId = l.PlanId,
                Key = l.Key,
                Packed = Packing.Pack(bytes),
                FoundAt = l.FoundAt,
            },
            CutFileAbout f => new CutFileRow
            {
                Id = f.Id,
                Packed = Packing.Pack(bytes),
                AddedAt = f.AddedAt,
            },
            _ => throw new ArgumentOutOfRangeException(nameof(about)),
        };
}
