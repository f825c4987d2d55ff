using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;

namespace Cabida.Store;

/// <summary>Keeps what is kept once by the hash of its content: two who bring the same at the same time both have it.</summary>
internal static class Once
{
    private const int SqliteConstraint = 19;

    /// <summary>Writes what was added; where another was first with the same, theirs is it.</summary>
    public static async Task Keep(CabidaContext db, CancellationToken stop)
    {
        try
        {
            await db.SaveChangesAsync(stop);
        }
        catch (DbUpdateException raced) when (raced.InnerException is SqliteException { SqliteErrorCode: SqliteConstraint })
        {
            // The same content is there under the same id.
        }
        finally
        {
            db.ChangeTracker.Clear();
        }
    }
}
