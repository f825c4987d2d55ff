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
            db.Outlines.Add(
                new OutlinesRow
                {
                    Id = id,
                    Form = Forms.Current,
                    Packed = Packing.Pack(json),
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

        var json = Encoding.UTF8.GetString(Packing.Unpack(row.Packed));
        return new GraphicOutlines(id, DocumentJson.Read<List<GraphicPiece>>(Forms, row.Form, json));
    }
}
