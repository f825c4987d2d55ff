using Cabida.Core.Wording;
using Cabida.Store;
using Cabida.Web.Serving;

namespace Cabida.Web.Library;

/// <summary>Adds documents, worked out before they are kept.</summary>
internal static class Adding
{
    /// <summary>
    /// What the page of a document shows, before it is kept: within what its page and its card in a list may cost later, and such that it
    /// can be
    /// written. So nothing is kept that they could not show.
    /// </summary>
    public static async Task<TView> Proven<T, TView>(this IViews<T, TView> views, Stored<T> stored, CancellationToken stop)
    {
        using var bound = Effort.Within(Effort.Small, stop);
        return ApiJson.Writable(await views.Of(stored, stop));
    }

    /// <summary>Adds a document and answers with what its page shows; what cannot be worked out is not kept.</summary>
    public static async Task<TView> AddShown<T, TView>(
        this Cabida.Store.Library library,
        DocumentKind<T> kind,
        T document,
        IViews<T, TView> views,
        CancellationToken stop
    )
        where T : class
    {
        TView? view = default;
        await library.Add(kind, document, proof: async s => view = await views.Proven(s, stop), stop: stop);
        return view!;
    }
}
