using Cabida.Store;
using Microsoft.Data.Sqlite;

namespace Cabida.Web.Safekeeping;

/// <summary>Faults of the disk and the library's file, as against those of a request or of the application.</summary>
internal static class StorageFault
{
    /// <summary>No space left on device (errno 28).</summary>
    private const int NoSpace = 28;

    private const int SqliteFull = 13;

    /// <summary>What of the library's file an exception tells of, however deep; null where it tells of something else.</summary>
    public static LibraryFault? Of(Exception? fault) =>
        fault switch
        {
            null => null,
            SqliteException sqlite => LibraryCheck.FaultOf(sqlite),
            UnauthorizedAccessException or IOException { InnerException: not System.Net.Sockets.SocketException } => new LibraryFault(
                LibraryFaultKind.Closed,
                WithoutPath(fault.Message)
            ),
            _ => Of(fault.InnerException),
        };

    /// <summary>Whether there is no room on the disk; all of what was to be written together is left as it was then.</summary>
    public static bool IsDiskFull(Exception? fault) =>
        fault is SqliteException { SqliteErrorCode: SqliteFull } or IOException { HResult: NoSpace }
        || (fault?.InnerException is { } inner && IsDiskFull(inner));

    /// <summary>What the system says names files in quotes; which is in the log.</summary>
    private static string WithoutPath(string message) =>
        System.Text.RegularExpressions.Regex.Replace(message, "'[^']*/([^'/]*)'", "$1", default, TimeSpan.FromSeconds(1));
}
