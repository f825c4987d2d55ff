using System.Globalization;
using Cabida.Store;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;

namespace Cabida.Trust.Tests.Kills;

/// <summary>
/// What was acknowledged, and the check that all of it is there: each state under its revision, in order, and nothing loose.
/// </summary>
public sealed class Kept
{
    private readonly Dictionary<(string Id, int Revision), string> acknowledged = [];
    private bool isClosed;

    /// <summary>How many changes were acknowledged.</summary>
    public int Count => acknowledged.Count;

    /// <summary>Notes that a film was answered to be called so at a revision.</summary>
    public void Add(string id, int revision, string name)
    {
        lock (acknowledged)
        {
            if (!isClosed)
            {
                acknowledged[(id, revision)] = name;
            }
        }
    }

    /// <summary>All that was acknowledged so far.</summary>
    public IReadOnlyDictionary<(string Id, int Revision), string> Now()
    {
        lock (acknowledged)
        {
            return acknowledged.ToDictionary();
        }
    }

    /// <summary>
    /// From now on only what was acknowledged then is asked for: what is answered while a copy takes the place of the library may be of
    /// before it or after.
    /// </summary>
    public void CloseAt(IReadOnlyDictionary<(string Id, int Revision), string> then)
    {
        lock (acknowledged)
        {
            isClosed = true;
            acknowledged.Clear();
            foreach (var (key, name) in then)
            {
                acknowledged[key] = name;
            }
        }
    }

    /// <summary>Notes go on.</summary>
    public void Open() => isClosed = false;

    /// <summary>Holds the library in a folder, that nobody has open, against it.</summary>
    /// <param name="data">The folder.</param>
    /// <param name="when">When, for whoever reads of a failure.</param>
    public async Task IsAllThere(string data, string when)
    {
        var path = Path.Combine(data, "cabida.db");
        (await LibraryCheck.OfLibrary(path)).ShouldBeNull(when);
        await using var connection = new SqliteConnection($"Data Source={path};Pooling=False");
        await connection.OpenAsync();
        (await Told(connection, "PRAGMA integrity_check")).ShouldBe("ok", when);
        // Every document stands at its last revision; every revision follows the one before it.
        (
            await Told(
                connection,
                """
                SELECT COUNT(*) FROM Documents d WHERE d.Revision <>
                    (SELECT MAX(r.Revision) FROM Revisions r WHERE r.Kind = d.Kind AND r.Id = d.Id)
                """
            )
        ).ShouldBe("0", when);
        (
            await Told(connection, "SELECT COUNT(*) FROM (SELECT 1 FROM Revisions GROUP BY Kind, Id HAVING COUNT(*) <> MAX(Revision))")
        ).ShouldBe("0", when);
        await using var db = new CabidaContext(new DbContextOptionsBuilder<CabidaContext>().UseSqlite(connection).Options);
        var library = new Library(db, TimeProvider.System);
        foreach (var ((id, revision), name) in acknowledged)
        {
            (await library.At(DocumentKinds.Film, id, revision))
                .ShouldNotBeNull($"{when}: {id} {revision} “{name}” was answered and is lost")
                .Name.ShouldBe(name, when);
        }
    }

    private static async Task<string> Told(SqliteConnection connection, string sql)
    {
        await using var command = connection.CreateCommand();
        command.CommandText = sql;
        return Convert.ToString(await command.ExecuteScalarAsync(), CultureInfo.InvariantCulture) ?? "";
    }
}
