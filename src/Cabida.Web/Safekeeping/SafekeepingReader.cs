using System.Collections.Concurrent;
using System.Globalization;
using Cabida.Store;
using Cabida.Web.Serving;

namespace Cabida.Web.Safekeeping;

/// <summary>Reads how the library is kept safe.</summary>
internal sealed class SafekeepingReader(DataFolder folder, LibraryState state, Copying copying, MachineFile machine, TimeProvider clock)
{
    /// <summary>What is counted of a library, with its words for one and for several.</summary>
    private static readonly (string Kind, string One, string Many)[] Counted =
    [
        (DocumentKinds.Job.Kind, "job", "jobs"),
        (DocumentKinds.Run.Kind, "run", "runs"),
        (DocumentKinds.Blank.Kind, "blank", "blanks"),
        (DocumentKinds.Motif.Kind, "motif", "motifs"),
        (DocumentKinds.Film.Kind, "film", "films"),
    ];

    /// <summary>A clock that is set by seconds is none that was set back.</summary>
    private const int FewMinutes = 5;

    /// <summary>A copy never changes under its name and size, so it is read once.</summary>
    private readonly ConcurrentDictionary<LibraryCopy, LibraryContents> read = new();

    public SafekeepingView Read()
    {
        var second = copying.Second;
        var own = copying.Own.All();
        var elsewhere = second?.All() ?? [];
        var now = LibraryContents.Of(folder.Library, isCopy: false);
        var copies = own.Select(c => Of(c, copying.Own, elsewhere.Any(e => e.Name == c.Name), now))
            .Concat(elsewhere.Where(e => own.All(o => o.Name != e.Name)).Select(c => Of(c, second!, true, now)))
            .OrderByDescending(c => c.MadeAt)
            .ToList();
        return new SafekeepingView(
            state.Held is { } held ? new HeldView(held.By, held.Title, held.Why, held.Advice) : null,
            folder.Path,
            SizeOf(folder.Library) + SizeOf(folder.Library + "-wal"),
            now is null ? "" : HoldsOf(now),
            copies,
            own.Sum(c => c.Bytes),
            FreeAt(folder.Path),
            copying.Problem,
            machine.Current.SecondFolder,
            copying.SecondProblem,
            Behind(now),
            Aside()
        );
    }

    private CopyView Of(LibraryCopy copy, CopyShelf shelf, bool isSecond, LibraryContents? now)
    {
        var contents = read.GetValueOrDefault(copy) ?? LibraryContents.Of(shelf.PathOf(copy), isCopy: true);
        if (contents is not null)
        {
            read[copy] = contents;
        }

        return new CopyView(
            copy.Name,
            copy.MadeAt,
            copy.Occasion,
            copy.Bytes,
            contents is null ? "" : HoldsOf(contents),
            contents?.LastChange,
            shelf == copying.Own,
            isSecond,
            contents is not null && contents.Stamp == now?.Stamp
        );
    }

    private static string HoldsOf(LibraryContents contents)
    {
        var counts = Counted
            .Select(c => (c.One, c.Many, Count: contents.Documents.GetValueOrDefault(c.Kind)))
            .Where(c => c.Count > 0)
            .Select(c => string.Create(CultureInfo.InvariantCulture, $"{c.Count} {(c.Count == 1 ? c.One : c.Many)}"))
            .ToList();
        return counts.Count > 0 ? string.Join(", ", counts) : "nothing yet";
    }

    private int Behind(LibraryContents? now)
    {
        var minutes = now?.LastChange is { } last ? (last - clock.GetUtcNow().UtcDateTime).TotalMinutes : 0;
        return minutes > FewMinutes ? (int)Math.Min(minutes, int.MaxValue) : 0;
    }

    private List<AsideView> Aside()
    {
        var aside = new DirectoryInfo(Path.Combine(folder.Path, LibraryRestore.Aside));
        return aside.Exists
            ?
            [
                .. aside
                    .EnumerateDirectories()
                    .OrderByDescending(d => d.Name, StringComparer.Ordinal)
                    .Select(d => new AsideView(d.Name, d.EnumerateFiles().Sum(f => f.Length))),
            ]
            : [];
    }

    private static long SizeOf(string file) => new FileInfo(file) is { Exists: true, Length: var length } ? length : 0;

    private static long FreeAt(string path)
    {
        try
        {
            return new DriveInfo(Path.GetFullPath(path)).AvailableFreeSpace;
        }
        catch (IOException)
        {
            return 0;
        }
    }
}
