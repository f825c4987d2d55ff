using System.IO.Compression;
using System.Security.Cryptography;
using System.Text;
using Cabida.Core.Motifs;
using Cabida.Store.Rows;
using Microsoft.EntityFrameworkCore;

namespace Cabida.Store;

/// <summary>Keeps the outlines of graphics, each once.</summary>
public sealed class KeptOutlines(CabidaContext db, TimeProvider clock)
{
    /// <summary>The forms that outlines were ever written in; they are kept by the hash of their text and never written again.</summary>
    private static readonly Forms Forms = Forms.First;

    /// <summary>Keeps the pieces of a graphic; ones that are there already are not kept again.</summary>
    public async Task<GraphicOutlines> Add(IReadOnlyList<GraphicPiece> pieces, CancellationToken stop = default)
    {
        ArgumentNullException.ThrowIfNull(pieces);
        var json = Encoding.UTF8.GetBytes(DocumentJson.Write(pieces));
        var id = Convert.ToHexStringLower(SHA256.HashData(json).AsSpan(0, 16));
        if (!await db.Outlines.AsNoTracking().AnyAsync(o => o.Id == id, stop))
        {
            using var packed = new MemoryStream();
            await using (var brotli = new BrotliStream(packed, CompressionLevel.Fastest))
            {
                await brotli.WriteAsync(json, stop);
            }

            db.Outlines.Add(
                new OutlinesRow
                {
                    Id = id,
                    Form = Forms.Current,
                    Packed = packed.ToArray(),
                    AddedAt = clock.GetUtcNow().UtcDateTime,
                }
            );
            await Once.Keep(db, stop);
        }

        return new GraphicOutlines(id, pieces);
    }

    /// <summary>Outlines by their id; null when there are none.</summary>
    public GraphicOutlines? Find(string id)
    {
        if (db.Outlines.AsNoTracking().FirstOrDefault(o => o.Id == id) is not { } row)
        {
            return null;
        }

        using var brotli = new BrotliStream(new MemoryStream(row.Packed), CompressionMode.Decompress);
        using var json = new MemoryStream();
        brotli.CopyTo(json);
        return new GraphicOutlines(id, DocumentJson.Read<List<GraphicPiece>>(Forms, row.Form, Encoding.UTF8.GetString(json.ToArray())));
    }
}
