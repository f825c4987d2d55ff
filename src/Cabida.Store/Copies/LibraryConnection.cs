using Microsoft.Data.Sqlite;

namespace Cabida.Store;

/// <summary>Opens a library's file by itself: nothing of the connection is kept once it is closed, so that the file may be moved.</summary>
internal static class LibraryConnection
{
    /// <summary>Opens it.</summary>
    public static SqliteConnection Open(string path, SqliteOpenMode mode)
    {
        var connection = new SqliteConnection(
            new SqliteConnectionStringBuilder
            {
                DataSource = path,
                Mode = mode,
                Pooling = false,
            }.ToString()
        );
        try
        {
            connection.Open();
            return connection;
        }
        catch
        {
            connection.Dispose();
            throw;
        }
    }
}
