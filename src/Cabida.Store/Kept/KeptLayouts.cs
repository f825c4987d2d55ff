using System.Text;
using Cabida.Core.Plans;
using Cabida.Core.Wording;
using Cabida.Store.Rows;
using Microsoft.EntityFrameworkCore;

namespace Cabida.Store;

/// <summary>Keeps how plans came to lie: of each plan the last ones, so that a step taken back finds again what lay there.</summary>
public sealed class KeptLayouts(CabidaContext db, TimeProvider clock)
{
    /// <summary>So many are kept of each plan.</summary>
    private const int Most = 12;
    private static readonly Forms Forms = Forms.First;

    /// <summary>The layout of a plan for what is to be laid now; null when there is none.</summary>
    public async Task<PlanLayout?> Find(string planId, string key, CancellationToken stop = default) =>
        Read(await db.Layouts.AsNoTracking().FirstOrDefaultAsync(l => l.PlanId == planId && l.Key == key, stop));

    /// <summary>The last layout of a plan, whatever it was for; null when there is none.</summary>
    public async Task<PlanLayout?> Last(string planId, CancellationToken stop = default) =>
        Read(
            await db
                .Layouts.AsNoTracking()
                .Where(l => l.PlanId == planId)
                .OrderByDescending(l => l.FoundAt)
                .ThenBy(l => l.Key)
                .FirstOrDefaultAsync(stop)
        );

    /// <summary>Keeps a layout, in place of what was kept for the same.</summary>
    public async Task Keep(string planId, PlanLayout layout, CancellationToken stop = default)
    {
        ArgumentNullException.ThrowIfNull(layout);
        var packed = Packing.Pack(Encoding.UTF8.GetBytes(DocumentJson.Write(layout)));
        var now = clock.GetUtcNow().UtcDateTime;
        var there = await db
            .Layouts.Where(l => l.PlanId == planId && l.Key == layout.Key)
            .ExecuteUpdateAsync(l => l.SetProperty(x => x.Packed, packed).SetProperty(x => x.FoundAt, now), stop);
        if (there == 0)
        {
            db.Layouts.Add(
                new LayoutRow
                {
                    PlanId = planId,
                    Key = layout.Key,
                    Packed = packed,
                    FoundAt = now,
                }
            );
            await Once.Keep(db, stop);
        }

        var old = await db
            .Layouts.Where(l => l.PlanId == planId)
            .OrderByDescending(l => l.FoundAt)
            .Skip(Most)
            .Select(l => l.Key)
            .ToListAsync(stop);
        await db.Layouts.Where(l => l.PlanId == planId && old.Contains(l.Key)).ExecuteDeleteAsync(stop);
    }

    /// <summary>Forgets how a plan came to lie, so that it is laid afresh.</summary>
    public Task Forget(string planId, CancellationToken stop = default) =>
        db.Layouts.Where(l => l.PlanId == planId).ExecuteDeleteAsync(stop);

    private static PlanLayout? Read(LayoutRow? row)
    {
        try
        {
            return row is null
                ? null
                : DocumentJson.Read<PlanLayout>(Forms, Forms.Current, Encoding.UTF8.GetString(Packing.Unpack(row.Packed)));
        }
        catch (Exception fault) when (fault is NotWorkableException or InvalidDataException)
        {
            // What cannot be read is laid again.
            return null;
        }
    }
}
