using Cabida.Core.Runs;
using Cabida.Store;

namespace Cabida.Web.Making;

/// <summary>
/// What is ticked and timed at the bench: the making of each run, and what the workshop remembers of its pace. Both are kept beside the
/// run.
/// </summary>
internal sealed class MakingMemory(Cabida.Store.Library library)
{
    private const int Tries = 20;

    /// <summary>The making of a run as it stands.</summary>
    public async Task<Core.Runs.Making> Of(string runId, CancellationToken stop) =>
        (await library.Find(DocumentKinds.Making, runId, stop))?.Document ?? Core.Runs.Making.None;

    /// <summary>What the workshop remembers of its pace.</summary>
    public async Task<BenchBook> Book(CancellationToken stop) =>
        (await library.Find(DocumentKinds.BenchBook, BenchBook.Only, stop))?.Document ?? BenchBook.Empty;

    /// <summary>Changes the making of a run.</summary>
    public Task Change(string runId, string what, Func<Core.Runs.Making, Core.Runs.Making> to, CancellationToken stop) =>
        Change(DocumentKinds.Making, runId, what, Core.Runs.Making.None, to, stop);

    /// <summary>Changes what is remembered of the pace.</summary>
    public Task ChangeBook(Func<BenchBook, BenchBook> to, CancellationToken stop) =>
        Change(DocumentKinds.BenchBook, BenchBook.Only, "Remember the pace", BenchBook.Empty, to, stop);

    private async Task Change<T>(DocumentKind<T> kind, string id, string what, T none, Func<T, T> to, CancellationToken stop)
        where T : class
    {
        for (var i = 0; i < Tries; i++)
        {
            // What was taken away by undo is begun again.
            var stored = await library.Find(kind, id, stop);
            var at = stored?.Revision ?? await library.RevisionOf(kind, id, stop);
            if ((await library.Make(new UnitOfWork(what).Put(kind, id, to(stored?.Document ?? none), at), stop)).Refused is null)
            {
                return;
            }
        }

        throw new InvalidOperationException("What is ticked at the bench was changed at the same time again and again.");
    }
}
