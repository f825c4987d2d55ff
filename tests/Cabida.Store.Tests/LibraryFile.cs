using Cabida.Core.Measures;
using Cabida.Core.Runs;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;

namespace Cabida.Store.Tests;

/// <summary>A library in a file of its own, that several may write at once.</summary>
public sealed class LibraryFile : IDisposable
{
    public LibraryFile()
    {
        using var db = Open();
        db.Database.Migrate();
    }

    /// <summary>The file.</summary>
    public string Path { get; } = System.IO.Path.Combine(System.IO.Path.GetTempPath(), $"cabida-{Guid.NewGuid():N}.db");

    public void Dispose()
    {
        SqliteConnection.ClearAllPools();
        File.Delete(Path);
    }

    public CabidaContext Open() => new(new DbContextOptionsBuilder<CabidaContext>().UseSqlite($"Data Source={Path}").Options);

    public Library Library() => new(Open(), TimeProvider.System);

    public async Task<string> AddJob(string name = "Job") => (await Library().Add(DocumentKinds.Job, new Job(name, "", ""))).Id;

    /// <summary>A run with nothing chosen.</summary>
    public static Run RunOf(string jobId, string names = "", string name = "Run") =>
        new(
            new RunSetUp(name, jobId, null, null, null, null, Sizing.EachLargest, TypedLength.Empty, TypedLength.Mm(5)),
            new RunList(names, [.. names.Split('\n').Select((n, i) => new Piece($"{i}", n))]),
            RunVerdicts.None
        );
}
