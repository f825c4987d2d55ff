using Cabida.Store.Rows;
using Microsoft.EntityFrameworkCore;

namespace Cabida.Store;

/// <summary>
/// What follows from the library and is kept so that it need not be worked out again after a start. It lies in a file of its own, which may
/// be lost or thrown away at any time.
/// </summary>
public sealed class DerivedContext(DbContextOptions<DerivedContext> options) : DbContext(options)
{
    /// <summary>Counts the forms of the file; one of another form is thrown away.</summary>
    private const int Form = 1;

    /// <summary>Documents as lists show them.</summary>
    public DbSet<CardRow> Cards => Set<CardRow>();

    /// <summary>Fitted pieces as the board shows them.</summary>
    public DbSet<FitRow> Fits => Set<FitRow>();

    /// <summary>Makes the file; one that cannot be read, or is of another form, is made anew.</summary>
    public async Task Prepare(CancellationToken stop = default)
    {
        if (!await IsWhole(stop))
        {
            await Database.EnsureDeletedAsync(stop);
        }

        await Database.EnsureCreatedAsync(stop);
        await Told(FormattableString.Invariant($"PRAGMA user_version = {Form}"), stop);
        await Told("PRAGMA journal_mode = WAL", stop);
    }

    /// <inheritdoc/>
    protected override void OnModelCreating(ModelBuilder modelBuilder)
    {
        ArgumentNullException.ThrowIfNull(modelBuilder);
        modelBuilder.Entity<CardRow>().HasKey(c => new { c.Kind, c.Id });
        modelBuilder.Entity<FitRow>(e =>
        {
            e.HasKey(f => f.Key);
            e.HasIndex(f => f.KeptAt);
        });
    }

    private async Task<bool> IsWhole(CancellationToken stop)
    {
        try
        {
            return await Told("PRAGMA user_version", stop) is (long)Form && await Told("PRAGMA quick_check(1)", stop) is "ok";
        }
        catch (Microsoft.Data.Sqlite.SqliteException)
        {
            return false;
        }
    }

    private async Task<object?> Told(string pragma, CancellationToken stop)
    {
        await Database.OpenConnectionAsync(stop);
        try
        {
            await using var command = Database.GetDbConnection().CreateCommand();
            command.CommandText = pragma;
            return await command.ExecuteScalarAsync(stop);
        }
        finally
        {
            await Database.CloseConnectionAsync();
        }
    }
}
