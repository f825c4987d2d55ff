using System.Security.Cryptography;
using Cabida.Store.Rows;
using Microsoft.EntityFrameworkCore;

namespace Cabida.Store;

/// <summary>A picture without its bytes.</summary>
/// <param name="Id">Which one.</param>
/// <param name="Width">Pixels across.</param>
/// <param name="Height">Pixels down.</param>
/// <param name="DotsPerInch">As the file or scanner states; null when it does not.</param>
public sealed record PictureFacts(string Id, int Width, int Height, double? DotsPerInch);

/// <summary>Keeps pictures and scans, each once.</summary>
public sealed class Pictures(CabidaContext db, TimeProvider clock)
{
    /// <summary>Keeps a picture; one that is there already is not kept again.</summary>
    public async Task<PictureFacts> Add(byte[] bytes, string mediaType, int width, int height, double? dotsPerInch, CancellationToken stop = default)
    {
        ArgumentNullException.ThrowIfNull(bytes);
        var id = Convert.ToHexStringLower(SHA256.HashData(bytes).AsSpan(0, 16));
        if (await db.Pictures.AsNoTracking().Where(p => p.Id == id).Select(p => new PictureFacts(p.Id, p.Width, p.Height, p.DotsPerInch)).FirstOrDefaultAsync(stop) is { } there)
        {
            return there;
        }

        db.Pictures.Add(new PictureRow
        {
            Id = id,
            MediaType = mediaType,
            Width = width,
            Height = height,
            DotsPerInch = dotsPerInch,
            Bytes = bytes,
            AddedAt = clock.GetUtcNow().UtcDateTime,
        });
        await Once.Keep(db, stop);
        return new PictureFacts(id, width, height, dotsPerInch);
    }

    /// <summary>A picture; null when there is none of the id.</summary>
    public Task<PictureRow?> Find(string id, CancellationToken stop = default) => db.Pictures.AsNoTracking().FirstOrDefaultAsync(p => p.Id == id, stop);
}
