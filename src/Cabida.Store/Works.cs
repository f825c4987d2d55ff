using Cabida.Store.Rows;
using Microsoft.EntityFrameworkCore;

namespace Cabida.Store;

/// <summary>Long work as rows: asked for, reported on, stopped, and taken up again after a restart.</summary>
public sealed class Works(CabidaContext db, TimeProvider clock)
{
    /// <summary>Work that ended is kept so long for its record.</summary>
    private static readonly TimeSpan Kept = TimeSpan.FromDays(7);

    /// <summary>
    /// Asks for work. The same work that has not ended yet is not asked for twice; older work on the same subject is stopped.
    /// </summary>
    /// <param name="kind">What kind.</param>
    /// <param name="subject">What about.</param>
    /// <param name="revision">Of which revision of it.</param>
    /// <param name="of">How much there is to do.</param>
    /// <param name="stop">Stops the asking.</param>
    public async Task<WorkRow> Ask(string kind, string subject, int revision, int of, CancellationToken stop = default)
    {
        var open = await db.Works.Where(w => w.Kind == kind && w.Subject == subject && w.State <= WorkState.Running).ToListAsync(stop);
        if (open.FirstOrDefault(w => w.Revision == revision) is { } same)
        {
            return same;
        }

        var now = clock.GetUtcNow().UtcDateTime;
        foreach (var old in open)
        {
            (old.State, old.ChangedAt) = (WorkState.Stopped, now);
        }

        var before = now - Kept;
        await db.Works.Where(w => w.State > WorkState.Running && w.ChangedAt < before).ExecuteDeleteAsync(stop);
        var row = new WorkRow
        {
            Kind = kind,
            Subject = subject,
            Revision = revision,
            Of = of,
            AskedAt = now,
            ChangedAt = now,
        };
        db.Works.Add(row);
        await db.SaveChangesAsync(stop);
        return row;
    }

    /// <summary>Work by its id.</summary>
    public Task<WorkRow?> Find(long id, CancellationToken stop = default) =>
        db.Works.AsNoTracking().FirstOrDefaultAsync(w => w.Id == id, stop);

    /// <summary>The next work of a kind: what a restart interrupted first, then what waits longest.</summary>
    public Task<WorkRow?> Next(string kind, CancellationToken stop = default) =>
        db
            .Works.AsNoTracking()
            .Where(w => w.Kind == kind && w.State <= WorkState.Running)
            .OrderByDescending(w => w.State)
            .ThenBy(w => w.Id)
            .FirstOrDefaultAsync(stop);

    /// <summary>Notes that work is begun, or begun again.</summary>
    /// <returns>How often it was begun, this time included; 0 when it is not wanted any more.</returns>
    public async Task<int> Begin(long id, CancellationToken stop = default)
    {
        var now = clock.GetUtcNow().UtcDateTime;
        await db
            .Works.Where(w => w.Id == id && w.State <= WorkState.Running)
            .ExecuteUpdateAsync(
                w =>
                    w.SetProperty(x => x.State, WorkState.Running)
                        .SetProperty(x => x.Starts, x => x.Starts + 1)
                        .SetProperty(x => x.ChangedAt, now),
                stop
            );
        return await Find(id, stop) is { State: WorkState.Running } row ? row.Starts : 0;
    }

    /// <summary>Puts work back that was begun and is left in good order, as when the application is closed.</summary>
    public Task PutBack(long id, CancellationToken stop = default) =>
        db
            .Works.Where(w => w.Id == id && w.State <= WorkState.Running)
            .ExecuteUpdateAsync(w => w.SetProperty(x => x.Starts, x => x.Starts - 1), stop);

    /// <summary>Reports on work that has not ended; what was stopped meanwhile stays stopped.</summary>
    /// <returns>Whether it is still wanted.</returns>
    public async Task<bool> Report(long id, int done, WorkState state, string problem = "", CancellationToken stop = default)
    {
        var now = clock.GetUtcNow().UtcDateTime;
        return await db
                .Works.Where(w => w.Id == id && w.State <= WorkState.Running)
                .ExecuteUpdateAsync(
                    w =>
                        w.SetProperty(x => x.Done, done)
                            .SetProperty(x => x.State, state)
                            .SetProperty(x => x.Problem, problem)
                            .SetProperty(x => x.ChangedAt, now),
                    stop
                ) > 0;
    }

    /// <summary>Stops work that has not ended.</summary>
    public Task Stop(long id, CancellationToken stop = default) =>
        db
            .Works.Where(w => w.Id == id && w.State <= WorkState.Running)
            .ExecuteUpdateAsync(
                w => w.SetProperty(x => x.State, WorkState.Stopped).SetProperty(x => x.ChangedAt, clock.GetUtcNow().UtcDateTime),
                stop
            );
}
