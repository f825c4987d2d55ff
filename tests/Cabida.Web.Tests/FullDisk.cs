using System.Data.Common;
using Microsoft.EntityFrameworkCore.Diagnostics;

namespace Cabida.Web.Tests;

/// <summary>A disk that can fill up: as long as it is full, the library's file grows by no page (SQLite's own limit of pages).</summary>
public sealed class FullDisk : DbConnectionInterceptor
{
    /// <summary>Whether it is full.</summary>
    public bool IsFull { get; set; }

    public override void ConnectionOpened(DbConnection connection, ConnectionEndEventData eventData) => Limit(connection);

    public override Task ConnectionOpenedAsync(
        DbConnection connection,
        ConnectionEndEventData eventData,
        CancellationToken cancellationToken = default
    )
    {
        Limit(connection);
        return Task.CompletedTask;
    }

    private void Limit(DbConnection connection)
    {
        // Less than there are is taken for as many as there are.
        using var command = connection.CreateCommand();
        command.CommandText = $"PRAGMA max_page_count = {(IsFull ? 1 : 1_000_000_000)}";
        command.ExecuteNonQuery();
    }
}
