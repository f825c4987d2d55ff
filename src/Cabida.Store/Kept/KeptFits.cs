using Microsoft.EntityFrameworkCore;

namespace Cabida.Store;

/// <summary>Fitted pieces that survive a restart. Bounded: the oldest go first.</summary>
public sealed class KeptFits(DerivedContext db, TimeProvider clock)
{
    /// <summary>So many bytes are kept.</summary>
    public const long Budget = 96L << 20;

    /// <summary>What is kept under some keys.</summary>
    public async Task<IReadOnlyDictionary<string, byte[]>> Find(IReadOnlyCollection<string> keys, CancellationToken stop = default) =>
        await db.Fits.AsNoTracking().Where(f => keys.Contains(f.Key)).ToDictionaryAsync(f => f.Key, f => f.Packed, stop);

    /// <summary>Keeps some, and lets the oldest go where there are too many.</summary>
    /// <param name="fits">What is kept, by its key.</param>
    /// <param name="budget">So many bytes are kept of all.</param>
    /// <param name="stop">Ends it.</param>
    public async Task Keep(IReadOnlyDictionary<string, byte[]> fits, long budget = Budget, CancellationToken stop = default)
    {
        ArgumentNullException.ThrowIfNull(fits);
        if (fits.Count == 0)
        {
            return;
        }

        await using var transaction = await db.Database.BeginTransactionAsync(stop);
        var now = clock.GetUtcNow().UtcTicks;
        foreach (var (key, packed) in fits)
        {
            await db.Database.ExecuteSqlAsync($"INSERT OR REPLACE INTO Fits (Key, Packed, KeptAt) VALUES ({key}, {packed}, {now})", stop);
        }

        await DropOldest(budget, stop);
        await transaction.CommitAsync(stop);
    }

    private async Task DropOldest(long budget, CancellationToken stop)
    {
        var over = await db.Fits.SumAsync(f => (long)f.Packed.Length, stop) - budget;
        if (over <= 0)
        {
            return;
        }

        // A quarter at once, so that it is not looked for with every page.
        var goal = over + (budget / 4);
        var until = 0L;
        await foreach (
            var row in db
                .Fits.AsNoTracking()
                .OrderBy(f => f.KeptAt)
                .Select(f => new { f.KeptAt, f.Packed.Length })
                .AsAsyncEnumerable()
                .WithCancellation(stop)
        )
        {
            until = row.KeptAt;
            goal -= row.Length;
            if (goal <= 0)
            {
                break;
            }
        }

        await db.Fits.Where(f => f.KeptAt <= until).ExecuteDeleteAsync(stop);
    }
}
