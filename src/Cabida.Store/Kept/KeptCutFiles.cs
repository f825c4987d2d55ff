using System.Security.Cryptography;
using Cabida.Store.Rows;
using Microsoft.EntityFrameworkCore;

namespace Cabida.Store;

/// <summary>Keeps the files of released loads, each once, so that a load is cut again to the byte.</summary>
public sealed class KeptCutFiles(CabidaContext db, TimeProvider clock)
{
    /// <summary>Keeps a file; one that is there already is not kept again.</summary>
    /// <returns>The hash by which it is found.</returns>
    public async Task<string> Add(byte[] bytes, CancellationToken stop = default)
    {
        ArgumentNullException.ThrowIfNull(bytes);
        var id = Convert.ToHexStringLower(SHA256.HashData(bytes));
        if (!await db.CutFiles.AsNoTracking().AnyAsync(f => f.Id == id, stop))
        {
            db.CutFiles.Add(
                new CutFileRow
                {
                    Id = id,
                    Packed = Packing.Pack(bytes),
                    AddedAt = clock.GetUtcNow().UtcDateTime,
                }
            );
            await Once.Keep(db, stop);
        }

        return id;
    }

    /// <summary>A file by its hash; null when it is not there, or is not what it was.</summary>
    public async Task<byte[]?> Find(string hash, CancellationToken stop = default)
    {
        if (await db.CutFiles.AsNoTracking().FirstOrDefaultAsync(f => f.Id == hash, stop) is not { } row)
        {
            return null;
        }

        var bytes = Packing.Unpack(row.Packed);
        return Convert.ToHexStringLower(SHA256.HashData(bytes)) == hash ? bytes : null;
    }
}
