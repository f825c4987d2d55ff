using System.Globalization;
using Microsoft.Data.Sqlite;

namespace Cabida.Web.Serving;

/// <summary>
/// Lets one process at a time bring a library to its current form. It is a lock of the operating system's on a file beside
/// the library, which goes with its process however that ends; so whoever holds it knows that a lock which migrations left
/// in the library itself belongs to a process that is gone, and takes it away.
/// </summary>
internal sealed class StartLock : IDisposable
{
    private const string FileName = "cabida.starting";
    private static readonly TimeSpan Patience = TimeSpan.FromSeconds(60);
    private static readonly TimeSpan Between = TimeSpan.FromMilliseconds(100);

    private readonly FileStream held;

    private StartLock(FileStream held) => this.held = held;

    /// <summary>Waits until no other process starts on the folder.</summary>
    /// <exception cref="TimeoutException">Another has been starting on it for a minute.</exception>
    public static async Task<StartLock> Take(string folder)
    {
        var path = Path.Combine(folder, FileName);
        for (var waited = TimeSpan.Zero; ; waited += Between)
        {
            try
            {
                var file = new FileStream(path, FileMode.OpenOrCreate, FileAccess.ReadWrite, FileShare.None);
                file.SetLength(0);
                file.Write(System.Text.Encoding.ASCII.GetBytes(Environment.ProcessId.ToString(CultureInfo.InvariantCulture)));
                file.Flush();
                return new StartLock(file);
            }
            catch (IOException) when (File.Exists(path) && waited < Patience)
            {
                await Task.Delay(Between);
            }
            catch (IOException) when (waited >= Patience)
            {
                throw new TimeoutException(
                    $"Another Cabida has been starting on {Path.GetFullPath(folder)} for a minute. Stop it, then start this one again."
                );
            }
        }
    }

    /// <summary>Takes away the lock that a migration left which was cut off.</summary>
    public static async Task FreeMigrations(string connectionString)
    {
        await using var connection = new SqliteConnection(connectionString);
        await connection.OpenAsync();
        await using var command = connection.CreateCommand();
        command.CommandText = "SELECT COUNT(*) FROM sqlite_master WHERE type = 'table' AND name = '__EFMigrationsLock'";
        if (Convert.ToInt64(await command.ExecuteScalarAsync(), CultureInfo.InvariantCulture) > 0)
        {
            command.CommandText = "DELETE FROM \"__EFMigrationsLock\"";
            await command.ExecuteNonQueryAsync();
        }
    }

    public void Dispose() => held.Dispose();
}
