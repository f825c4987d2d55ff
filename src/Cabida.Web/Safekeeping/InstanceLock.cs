using System.Globalization;
using System.Text.Json;
using Cabida.Web.Serving;
using Microsoft.Data.Sqlite;

namespace Cabida.Web.Safekeeping;

/// <summary>Another Cabida has the library open.</summary>
internal sealed class LibraryInUseException(string message) : Exception(message);

/// <summary>
/// Lets one process at a time have a library open. It is a lock of the operating system's on a file beside the library, which goes with
/// its process however that ends; so whoever holds it knows that a lock which migrations left in the library itself belongs to a process
/// that is gone, and takes it away.
/// </summary>
internal sealed class InstanceLock(DataFolder folder) : IDisposable
{
    /// <summary>So long one that is just ending is waited for.</summary>
    private static readonly TimeSpan Patience = TimeSpan.FromSeconds(5);
    private static readonly TimeSpan Between = TimeSpan.FromMilliseconds(100);

    private FileStream? held;

    private string Note => folder.Lock + ".json";

    /// <summary>Who holds it, for whoever comes second.</summary>
    private sealed record Holder(int Process, string At, DateTime Since);

    /// <summary>Takes it; does nothing where this process has it.</summary>
    /// <param name="address">Where this one answers.</param>
    /// <param name="now">When, in UTC.</param>
    /// <exception cref="LibraryInUseException">Another has it.</exception>
    public async Task Take(string address, DateTime now)
    {
        for (var waited = TimeSpan.Zero; held is null; waited += Between)
        {
            try
            {
                held = new FileStream(folder.Lock, FileMode.OpenOrCreate, FileAccess.ReadWrite, FileShare.None);
                // What is locked cannot be read: who holds it is told beside it.
                File.WriteAllBytes(Note, JsonSerializer.SerializeToUtf8Bytes(new Holder(Environment.ProcessId, address, now)));
            }
            catch (IOException fault) when (IsTaken(fault))
            {
                if (waited >= Patience)
                {
                    throw new LibraryInUseException(Told());
                }

                await Task.Delay(Between);
            }
        }
    }

    /// <summary>Takes away the lock that a migration left which was cut off.</summary>
    public async Task FreeMigrations()
    {
        await using var connection = new SqliteConnection(folder.ConnectionString);
        await connection.OpenAsync();
        await using var command = connection.CreateCommand();
        command.CommandText = "SELECT COUNT(*) FROM sqlite_master WHERE type = 'table' AND name = '__EFMigrationsLock'";
        if (Convert.ToInt64(await command.ExecuteScalarAsync(), CultureInfo.InvariantCulture) > 0)
        {
            command.CommandText = "DELETE FROM \"__EFMigrationsLock\"";
            await command.ExecuteNonQueryAsync();
        }
    }

    public void Dispose() => held?.Dispose();

    /// <summary>A lock that another has (EWOULDBLOCK), as against a folder that cannot be written.</summary>
    private static bool IsTaken(IOException fault) => fault.HResult is 11 or unchecked((int)0x80070020);

    private string Told()
    {
        var at = "";
        try
        {
            if (JsonSerializer.Deserialize<Holder>(File.ReadAllBytes(Note)) is { } holder)
            {
                at = $" at {holder.At} since {holder.Since.ToLocalTime():yyyy-MM-dd HH:mm} (process {holder.Process})";
            }
        }
        catch (Exception fault) when (fault is IOException or UnauthorizedAccessException or JsonException)
        {
            // It only says less.
        }

        return $"Another Cabida has the library in {Path.GetFullPath(folder.Path)} open{at}. "
            + "Use that one, or stop it and start this one again.";
    }
}
