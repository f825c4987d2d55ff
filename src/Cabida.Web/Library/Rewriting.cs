using Cabida.Store;

namespace Cabida.Web.Library;

/// <summary>
/// Changes a document that is kept beside others and that nobody holds open, such as what the workshop remembers: whatever else is written
/// at the same time, the change is made to what there is then.
/// </summary>
internal static class Rewriting
{
    private const int Tries = 20;

    /// <summary>Changes a document, or begins it.</summary>
    /// <param name="library">The library.</param>
    /// <param name="kind">The kind of document.</param>
    /// <param name="id">Which one.</param>
    /// <param name="what">What is done, for its history.</param>
    /// <param name="none">What it is before there is one.</param>
    /// <param name="to">The change.</param>
    /// <param name="stop">Ends it.</param>
    public static async Task Rewrite<T>(
        this Cabida.Store.Library library,
        DocumentKind<T> kind,
        string id,
        string what,
        T none,
        Func<T, T> to,
        CancellationToken stop
    )
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

        throw new InvalidOperationException($"{what}: it was changed at the same time again and again.");
    }
}
