using Cabida.Core.Runs;
using Cabida.Store;
using Cabida.Web.Library;

namespace Cabida.Web.Making;

/// <summary>
/// What is ticked and timed at the bench: the making of each run, and what the workshop remembers of its pace. Both are kept beside the
/// run.
/// </summary>
internal sealed class MakingMemory(Cabida.Store.Library library)
{
    /// <summary>The making of a run as it stands.</summary>
    public async Task<Core.Runs.Making> Of(string runId, CancellationToken stop) =>
        (await library.Find(DocumentKinds.Making, runId, stop))?.Document ?? Core.Runs.Making.None;

    /// <summary>What the workshop remembers of its pace.</summary>
    public async Task<BenchBook> Book(CancellationToken stop) =>
        (await library.Find(DocumentKinds.BenchBook, BenchBook.Only, stop))?.Document ?? BenchBook.Empty;

    /// <summary>Changes the making of a run.</summary>
    public Task Change(string runId, string what, Func<Core.Runs.Making, Core.Runs.Making> to, CancellationToken stop) =>
        library.Rewrite(DocumentKinds.Making, runId, what, Core.Runs.Making.None, to, stop);

    /// <summary>Changes what is remembered of the pace.</summary>
    public Task ChangeBook(Func<BenchBook, BenchBook> to, CancellationToken stop) =>
        library.Rewrite(DocumentKinds.BenchBook, BenchBook.Only, "Remember the pace", BenchBook.Empty, to, stop);
}
