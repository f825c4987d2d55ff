using Cabida.Core.Runs;
using Cabida.Core.Stock;
using Cabida.Store;
using Cabida.Web.Library;

namespace Cabida.Web.Weeding;

/// <summary>
/// What the workshop remembers of weeding. It is kept beside what it came from, never as one change with it: taking back a step in one run
/// must not fail for what was typed in another.
/// </summary>
internal sealed class WeedingMemory(Cabida.Store.Library library)
{
    /// <summary>All that is remembered.</summary>
    public async Task<WeedingBook> Read(CancellationToken stop) =>
        (await library.Find(DocumentKinds.WeedingBook, WeedingBook.Only, stop))?.Document ?? WeedingBook.Empty;

    /// <summary>Changes what is remembered, whatever else is at the same time.</summary>
    public Task Change(Func<WeedingBook, WeedingBook> to, CancellationToken stop) =>
        library.Rewrite(DocumentKinds.WeedingBook, WeedingBook.Only, "Remember weeding", WeedingBook.Empty, to, stop);

    /// <summary>A set-up in which films that it names and says nothing of are cut as they were cut last.</summary>
    public async Task<RunSetUp> Recalled(RunSetUp setUp, CancellationToken stop)
    {
        var unsaid = setUp.NamedFilms().Where(id => !setUp.Weeding.Any(w => w.FilmId == id)).ToList();
        if (unsaid.Count == 0)
        {
            return setUp;
        }

        var book = await Read(stop);
        List<FilmWays> recalled =
        [
            .. unsaid.Select(id => (id, Ways: book.WaysOf(id))).Where(w => w.Ways is not null).Select(w => new FilmWays(w.id, w.Ways!)),
        ];
        return recalled.Count == 0 ? setUp : setUp with { Weeding = [.. setUp.Weeding, .. recalled] };
    }

    /// <summary>Remembers what a run changed of how its films are cut; what cannot be used is not remembered.</summary>
    public async Task Note(RunSetUp now, RunSetUp before, CancellationToken stop)
    {
        var changed = now.Weeding.Where(w => w.Ways.Problems.Count == 0 && !before.Weeding.Contains(w)).ToList();
        if (changed.Count > 0)
        {
            await Change(book => changed.Aggregate(book, (b, w) => b.Remembering(w.FilmId, w.Ways)), stop);
        }
    }
}
