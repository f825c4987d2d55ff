using Cabida.Store.Rows;
using Microsoft.EntityFrameworkCore;

namespace Cabida.Store;

/// <summary>Keeps the typefaces that the maker adds.</summary>
public sealed class AddedTypefaces(CabidaContext db, TimeProvider clock)
{
    /// <summary>All there ever were, in the order they came.</summary>
    public async Task<IReadOnlyList<TypefaceRow>> All(CancellationToken stop = default) =>
        await db.Typefaces.AsNoTracking().OrderBy(t => t.AddedAt).ThenBy(t => t.Id).ToListAsync(stop);

    /// <summary>Keeps a typeface; one that was taken away is offered again.</summary>
    public async Task<TypefaceRow> Add(TypefaceRow face, CancellationToken stop = default)
    {
        ArgumentNullException.ThrowIfNull(face);
        var there = await db.Typefaces.FirstOrDefaultAsync(t => t.Id == face.Id, stop);
        if (there is null)
        {
            face.AddedAt = clock.GetUtcNow().UtcDateTime;
            db.Typefaces.Add(face);
        }
        else
        {
            there.TakenAwayAt = null;
        }

        await Once.Keep(db, stop);
        return there ?? face;
    }

    /// <summary>Takes a typeface away, or offers it again; false when there is none of the id.</summary>
    public async Task<bool> Offer(string id, bool offered, CancellationToken stop = default)
    {
        var away = offered ? (DateTime?)null : clock.GetUtcNow().UtcDateTime;
        return await db.Typefaces.Where(t => t.Id == id).ExecuteUpdateAsync(t => t.SetProperty(x => x.TakenAwayAt, away), stop) > 0;
    }
}
