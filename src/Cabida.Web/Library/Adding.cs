using Cabida.Store;
using Cabida.Web.Serving;

namespace Cabida.Web.Library;

/// <summary>Adds documents, worked out before they are kept.</summary>
internal static class Adding
{
    /// <summary>Adds a document and answers with what its page shows; what cannot be worked out is not kept.</summary>
    public static async Task<TView> AddShown<T, TView>(this Cabida.Store.Library library, DocumentKind<T> kind, T document, IViews<T, TView> views, CancellationToken stop)
    {
        TView? view = default;
        await library.Add(kind, document, proof: async s => view = ApiJson.Writable(await views.Of(s, stop)), stop: stop);
        return view!;
    }
}
