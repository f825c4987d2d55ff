using System.Globalization;
using Cabida.Core.Wording;
using Microsoft.Data.Sqlite;

namespace Cabida.Store;

/// <summary>
/// A folder of copies. A copy is made by SQLite's own online backup, beside writers that go on writing; it has its name only once it was
/// opened and found whole, so that whatever has a copy's name is one.
/// </summary>
/// <param name="folder">The folder; it is made when the first copy is.</param>
public sealed class CopyShelf(string folder)
{
    /// <summary>So much is left free on the disk when a copy is made: a full disk stops the maker's work.</summary>
    private const long LeftFree = 64_000_000;

    /// <summary>Where it is.</summary>
    public string Folder { get; } = folder;

    /// <summary>All copies, the newest first.</summary>
    public IReadOnlyList<LibraryCopy> All() =>
        Directory.Exists(Folder)
            ?
            [
                .. new DirectoryInfo(Folder)
                    .EnumerateFiles("*.db")
                    .Select(LibraryCopy.Of)
                    .OfType<LibraryCopy>()
                    .OrderByDescending(c => c.Number),
            ]
            : [];

    /// <summary>A copy by its name; null where there is none.</summary>
    public LibraryCopy? Find(string name) => All().FirstOrDefault(c => c.Name == name);

    /// <summary>The file of a copy.</summary>
    public string PathOf(LibraryCopy copy)
    {
        ArgumentNullException.ThrowIfNull(copy);
        return Path.Combine(Folder, copy.Name);
    }

    /// <summary>Makes a copy of a library.</summary>
    /// <param name="library">The library's file.</param>
    /// <param name="occasion">Why.</param>
    /// <param name="now">When, in UTC.</param>
    /// <param name="stop">Ends it; there is no copy then.</param>
    /// <exception cref="NotWorkableException">There is no room, or what came of it is not whole.</exception>
    public async Task<LibraryCopy> Make(string library, CopyOccasion occasion, DateTime now, CancellationToken stop = default)
    {
        Directory.CreateDirectory(Folder);
        Sweep();
        HasRoomFor(new[] { library, library + "-wal" }.Where(File.Exists).Sum(f => new FileInfo(f).Length));
        var name = LibraryCopy.NameOf(NextNumber(), now, occasion);
        var part = Path.Combine(Folder, name + Durable.PartEnding);
        try
        {
            await Task.Run(() => Back(library, part), stop);
            return await Take(part, name, stop);
        }
        finally
        {
            Remove(part);
        }
    }

    /// <summary>Has a copy of another shelf here as well, under its name.</summary>
    /// <exception cref="NotWorkableException">There is no room, or what came of it is not whole.</exception>
    public async Task<LibraryCopy> Bring(string copy, string name, CancellationToken stop = default)
    {
        Directory.CreateDirectory(Folder);
        Sweep();
        HasRoomFor(new FileInfo(copy).Length);
        var part = Path.Combine(Folder, name + Durable.PartEnding);
        try
        {
            await Task.Run(() => Durable.Copy(copy, part), stop);
            return await Take(part, name, stop);
        }
        finally
        {
            Remove(part);
        }
    }

    /// <summary>Takes away the copies that need not stay.</summary>
    /// <returns>Those that went.</returns>
    public IReadOnlyList<LibraryCopy> Prune(TimeZoneInfo zone)
    {
        var all = All();
        var going = all.Except(CopyKeeping.Staying(all, zone)).ToList();
        foreach (var copy in going)
        {
            File.Delete(PathOf(copy));
        }

        return going;
    }

    private static void Back(string library, string part)
    {
        using var source = LibraryConnection.Open(library, SqliteOpenMode.ReadWrite);
        using var target = LibraryConnection.Open(part, SqliteOpenMode.ReadWriteCreate);
        source.BackupDatabase(target);
        // A copy needs no log beside it.
        using var command = target.CreateCommand();
        command.CommandText = "PRAGMA journal_mode = DELETE";
        command.ExecuteNonQuery();
    }

    private async Task<LibraryCopy> Take(string part, string name, CancellationToken stop)
    {
        if (await LibraryCheck.OfCopy(part, stop) is { } fault)
        {
            throw new NotWorkableException(
                Phrase.Say(
                    $"The copy was made and is not whole ({fault.Detail}). That is told of the library, too: do not trust this disk."
                )
            );
        }

        Durable.Flush(part);
        var path = Path.Combine(Folder, name);
        Durable.Rename(part, path);
        return LibraryCopy.Of(new FileInfo(path))!;
    }

    private int NextNumber() => All().Select(c => c.Number).DefaultIfEmpty(0).Max() + 1;

    private void HasRoomFor(long bytes)
    {
        var free = new DriveInfo(Path.GetFullPath(Folder)).AvailableFreeSpace;
        if (free < bytes + LeftFree)
        {
            throw new NotWorkableException(
                Phrase.Say($"There is no room for a copy: it needs {Megabytes(bytes + LeftFree)} MB, and {Megabytes(free)} MB are free.")
            );
        }
    }

    private static string Megabytes(long bytes) => (bytes / 1_000_000).ToString(CultureInfo.InvariantCulture);

    /// <summary>Takes away what was begun and cut off.</summary>
    private void Sweep()
    {
        foreach (var left in Directory.EnumerateFiles(Folder, $"cabida-*.db{Durable.PartEnding}*"))
        {
            File.Delete(left);
        }
    }

    private static void Remove(string part)
    {
        foreach (var file in new[] { part, part + "-journal", part + "-wal", part + "-shm", part + Durable.PartEnding })
        {
            File.Delete(file);
        }
    }
}
