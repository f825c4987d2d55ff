using System.Globalization;
using Microsoft.Data.Sqlite;

namespace Cabida.Store;

/// <summary>What a library's file holds, in figures.</summary>
/// <param name="Documents">How many documents of each kind, by the kind's name.</param>
/// <param name="LastChange">When it was changed last, in UTC; null where it never was.</param>
/// <param name="Stamp">Differs as soon as anything was added or changed.</param>
public sealed record LibraryContents(IReadOnlyDictionary<string, int> Documents, DateTime? LastChange, string Stamp)
{
    /// <summary>Every table of which rows are only added, or which says when its rows were last touched.</summary>
    private const string StampOf = """
        SELECT (SELECT COALESCE(MAX(Id), 0) FROM ChangeSets)
            || ' ' || (SELECT COUNT(*) || ' ' || COALESCE(SUM(Proven), 0) FROM Pictures)
            || ' ' || (SELECT COUNT(*) FROM Outlines)
            || ' ' || (SELECT COUNT(*) || ' ' || COUNT(TakenAwayAt) FROM Typefaces)
            || ' ' || (SELECT COUNT(*) FROM CutFiles)
            || ' ' || (SELECT COUNT(*) || ' ' || COALESCE(MAX(FoundAt), '') FROM Layouts)
        """;

    /// <summary>The number of the last change in a library's file of any form; null where it cannot be read.</summary>
    public static long? LastChangeIn(string path, bool isCopy)
    {
        try
        {
            using var connection = Open(path, isCopy);
            using var command = connection.CreateCommand();
            command.CommandText = "SELECT COALESCE(MAX(Id), 0) FROM ChangeSets";
            return (long)command.ExecuteScalar()!;
        }
        catch (Exception fault) when (fault is SqliteException or IOException or UnauthorizedAccessException)
        {
            return null;
        }
    }

    /// <summary>Reads it from a file; null where it cannot be, as from one of an earlier form.</summary>
    public static LibraryContents? Of(string path, bool isCopy)
    {
        try
        {
            using var connection = Open(path, isCopy);
            using var command = connection.CreateCommand();
            command.CommandText = "SELECT Kind, COUNT(*) FROM Documents GROUP BY Kind";
            var documents = new Dictionary<string, int>(StringComparer.Ordinal);
            using (var reader = command.ExecuteReader())
            {
                while (reader.Read())
                {
                    documents[reader.GetString(0)] = reader.GetInt32(1);
                }
            }

            command.CommandText = "SELECT MAX(At) FROM ChangeSets";
            var last = command.ExecuteScalar() as string;
            command.CommandText = StampOf;
            return new LibraryContents(
                documents,
                last is null
                    ? null
                    : DateTime.Parse(last, CultureInfo.InvariantCulture, DateTimeStyles.AssumeUniversal | DateTimeStyles.AdjustToUniversal),
                (string)command.ExecuteScalar()!
            );
        }
        catch (Exception fault) when (fault is SqliteException or IOException or UnauthorizedAccessException or FormatException)
        {
            return null;
        }
    }

    private static SqliteConnection Open(string path, bool isCopy) =>
        LibraryConnection.Open(path, isCopy ? SqliteOpenMode.ReadOnly : SqliteOpenMode.ReadWrite);
}
