using System.Security.Cryptography;
using Cabida.Store.Rows;
using Microsoft.EntityFrameworkCore;

namespace Cabida.Store;

/// <summary>A picture without its bytes.</summary>
/// <param name="Id">Which one.</param>
/// <param name="Width">Pixels across.</param>
/// <param name="Height">Pixels down.</param>
/// <param name="DotsPerInch">As the file or scanner states; null when it does not.</param>
/// <param name="Proven">Whether a scanner vouches for that; what stands in a file may be anything.</param>
public sealed record PictureFacts(string Id, int Width, int Height, double? DotsPerInch, bool Proven);

/// <summary>Keeps pictures and scans, each once.</summary>
public sealed class Pictures(CabidaContext db, TimeProvider clock)
{
    /// <summary>Keeps a picture; one that is there already is not kept again.</summary>
    public async Task<PictureFacts> Add(
        byte[] bytes,
        string mediaType,
        int width,
        int height,
        double? dotsPerInch,
        bool proven = false,
        CancellationToken stop = default
    )
    {
        ArgumentNullException.ThrowIfNull(bytes);
        var id = Convert.ToHexStringLower(SHA256.HashData(bytes).AsSpan(0, 16));
        if (
            await db
                .Pictures.AsNoTracking()
                .Where(p => p.Id == id)
                .Select(p => new PictureFacts(p.Id, p.Width, p.Height, p.DotsPerInch, p.Proven))
                .FirstOrDefaultAsync(stop) is
            { } there
        )
        {
            if (proven && !there.Proven)
            {
                await db
                    .Pictures.Where(p => p.Id == id)
                    .ExecuteUpdateAsync(p => p.SetProperty(x => x.Proven, true).SetProperty(x => x.DotsPerInch, dotsPerInch), stop);
                return there with { Proven = true, DotsPerInch = dotsPerInch };
            }

            return there;
        }

        db.Pictures.Add(
            new PictureRow
            {
                Id = id,
                MediaType = mediaType,
                Width = width,
                Height = height,
                DotsPerInch = dotsPerInch,
                Proven = proven,
                Bytes = bytes,
                AddedAt = clock.GetUtcNow().UtcDateTime,
            }
        );
        await Once.Keep(db, stop);
        return new PictureFacts(id, width, height, dotsPerInch, proven);
    }

    /// <summary>A picture; null when there is none of the id.</summary>
    public Task<PictureRow?> Find(string id, CancellationToken stop = default) =>
        db.Pictures.AsNoTracking().FirstOrDefaultAsync(p => p.Id == id, stop);
}
