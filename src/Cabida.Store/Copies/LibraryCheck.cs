using System.Globalization;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;

namespace Cabida.Store;

/// <summary>Looks whether a library's file is whole and of a form that is known, before anything of it is used.</summary>
public static class LibraryCheck
{
    private const int SqlitePerm = 3;
    private const int SqliteReadOnly = 8;
    private const int SqliteIoError = 10;
    private const int SqliteCorrupt = 11;
    private const int SqliteCannotOpen = 14;
    private const int SqliteAuthorization = 23;
    private const int SqliteNotADatabase = 26;

    /// <summary>What is wrong with a library that is about to be opened; null where nothing is.</summary>
    /// <param name="path">Its file.</param>
    /// <param name="stop">Ends it.</param>
    public static Task<LibraryFault?> OfLibrary(string path, CancellationToken stop = default) =>
        Of(path, SqliteOpenMode.ReadWrite, "PRAGMA quick_check(5)", stop);

    /// <summary>
    /// What is wrong with a copy; null where nothing is. Every index is held against its table, and every reference against what it
    /// refers to. The copy is not changed.
    /// </summary>
    /// <param name="path">Its file.</param>
    /// <param name="stop">Ends it.</param>
    public static Task<LibraryFault?> OfCopy(string path, CancellationToken stop = default) =>
        Of(path, SqliteOpenMode.ReadOnly, "PRAGMA integrity_check(5)", stop);

    /// <summary>What SQLite said as a fault of the file; null where it is none of the file's.</summary>
    public static LibraryFault? FaultOf(SqliteException fault)
    {
        ArgumentNullException.ThrowIfNull(fault);
        return fault.SqliteErrorCode switch
        {
            SqliteCorrupt or SqliteNotADatabase => new(LibraryFaultKind.Damaged, fault.Message),
            SqlitePerm or SqliteReadOnly or SqliteCannotOpen or SqliteAuthorization or SqliteIoError => new(
                LibraryFaultKind.Closed,
                fault.Message
            ),
            _ => null,
        };
    }

    private static async Task<LibraryFault?> Of(string path, SqliteOpenMode mode, string check, CancellationToken stop)
    {
        var file = new FileInfo(path);
        if (!file.Exists)
        {
            return new(LibraryFaultKind.Missing, "");
        }

        // A library in use may hold all that it has in its log.
        if (file.Length == 0 && !(new FileInfo(path + "-wal") is { Exists: true, Length: > 0 }))
        {
            return new(LibraryFaultKind.Empty, "");
        }

        try
        {
            await using var connection = LibraryConnection.Open(path, mode);
            var said = await Rows(connection, check, stop);
            if (said is not ["ok"])
            {
                return new(LibraryFaultKind.Damaged, string.Join("; ", said));
            }

            if (await Rows(connection, "PRAGMA foreign_key_check", stop) is { Count: > 0 } loose)
            {
                return new(LibraryFaultKind.Damaged, $"{loose.Count} rows of {loose[0]} belong to changes that are not there");
            }

            return await Newer(connection, stop);
        }
        catch (SqliteException fault) when (FaultOf(fault) is { } told)
        {
            return told;
        }
        catch (Exception fault) when (fault is UnauthorizedAccessException or IOException)
        {
            return new(LibraryFaultKind.Closed, fault.Message);
        }
    }

    /// <summary>A form or a migration that this version does not know.</summary>
    private static async Task<LibraryFault?> Newer(SqliteConnection connection, CancellationToken stop)
    {
        var form = int.Parse((await Rows(connection, "PRAGMA user_version", stop))[0], CultureInfo.InvariantCulture);
        if (form > LibraryForm.Current)
        {
            return new(
                LibraryFaultKind.Newer,
                string.Create(CultureInfo.InvariantCulture, $"form {form}; this version knows up to {LibraryForm.Current}")
            );
        }

        var tables = await Rows(connection, "SELECT name FROM sqlite_master WHERE type = 'table'", stop);
        if (!tables.Contains("__EFMigrationsHistory"))
        {
            // A start that was cut off before its first table leaves a database without any.
            return tables.Count == 0 ? null : new(LibraryFaultKind.Damaged, "it holds tables that are not a library's");
        }

        await using var db = new CabidaContext(new DbContextOptionsBuilder<CabidaContext>().UseSqlite(connection).Options);
        var known = db.Database.GetMigrations().ToHashSet(StringComparer.Ordinal);
        var unknown = (await Rows(connection, "SELECT MigrationId FROM __EFMigrationsHistory ORDER BY MigrationId", stop)).Where(m =>
            !known.Contains(m)
        );
        return unknown.FirstOrDefault() is { } first ? new(LibraryFaultKind.Newer, first) : null;
    }

    private static async Task<List<string>> Rows(SqliteConnection connection, string sql, CancellationToken stop)
    {
        await using var command = connection.CreateCommand();
        command.CommandText = sql;
        await using var reader = await command.ExecuteReaderAsync(stop);
        var rows = new List<string>();
        while (await reader.ReadAsync(stop))
        {
            rows.Add(Convert.ToString(reader.GetValue(0), CultureInfo.InvariantCulture) ?? "");
        }

        return rows;
    }
}
