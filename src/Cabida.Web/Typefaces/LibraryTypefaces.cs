using System.Collections.Concurrent;
using Cabida.Core.Type;
using Cabida.Store;
using Cabida.Store.Rows;
using Cabida.Typography;

namespace Cabida.Web.Typefaces;

/// <summary>The typefaces that ship with the application and those the maker added.</summary>
internal sealed class LibraryTypefaces(ShippedTypefaces shipped) : ITypefaces, IDisposable
{
    private readonly ConcurrentDictionary<string, (OpenTypeface Face, string Licence)> added = new(StringComparer.Ordinal);
    private volatile IReadOnlyList<TypefaceInfo> all = shipped.All;

    /// <inheritdoc/>
    public IReadOnlyList<TypefaceInfo> All => all;

    /// <inheritdoc/>
    public ITypeface? Find(string id) => shipped.Find(id) ?? (added.TryGetValue(id, out var found) ? found.Face : null);

    /// <summary>What is known of a face's licence; null for a face that is not here.</summary>
    public string? LicenceOf(string id) => ShippedTypefaces.LicenceOf(id) ?? (added.TryGetValue(id, out var found) ? found.Licence : null);

    /// <summary>
    /// Takes over what the library holds now. Faces that were taken away are not offered, but old revisions still find them.
    /// </summary>
    public async Task Reload(AddedTypefaces store, CancellationToken stop)
    {
        var rows = await store.All(stop);
        foreach (var row in rows)
        {
            added.GetOrAdd(row.Id, _ => (Open(row), row.Licence));
        }

        all = [.. shipped.All, .. rows.Where(r => r.TakenAwayAt is null).Select(r => added[r.Id].Face.Info)];
    }

    /// <inheritdoc/>
    public void Dispose()
    {
        shipped.Dispose();
        foreach (var (face, _) in added.Values)
        {
            face.Dispose();
        }
    }

    private static OpenTypeface Open(TypefaceRow row) =>
        new(new TypefaceInfo(row.Id, row.Name, row.Kind) { Added = true }, row.Revision, row.Bytes, row.FaceIndex);
}
