using System.Collections.Concurrent;
using Cabida.Core.Layout;
using Cabida.Core.Plans;
using Cabida.Store;

namespace Cabida.Web.Plans;

/// <summary>What was released already: every load is read once, since it is frozen but for what was done with it since.</summary>
internal sealed class ReleasedLoads
{
    private readonly ConcurrentDictionary<(string Id, int Revision), ReleasedLoad> read = new();

    /// <summary>All released loads that can be read, the oldest first.</summary>
    public async Task<IReadOnlyList<(string Id, ReleasedLoad Load)>> All(
        LibraryIndex index,
        Cabida.Store.Library library,
        CancellationToken stop
    )
    {
        var headings = await index.Headings(DocumentKinds.Load, stop);
        var missing = headings.Where(h => !read.ContainsKey((h.Id, h.Revision))).Select(h => h.Id).ToList();
        if (missing.Count > 0)
        {
            foreach (var stored in await library.Some(DocumentKinds.Load, missing, stop))
            {
                read[(stored.Id, stored.Revision)] = stored.Document;
            }
        }

        return
        [
            .. headings
                .Select(h => (h.Id, Load: read.GetValueOrDefault((h.Id, h.Revision))))
                .Where(l => l.Load is not null)
                .Select(l => (l.Id, l.Load!)),
        ];
    }
}

/// <summary>What of a film was released, by thing: the last load each was on.</summary>
internal sealed class CutAlready
{
    private readonly Dictionary<ItemId, (string LoadId, ReleasedLoad Load, ReleasedItem Item)> items = [];

    public CutAlready(IEnumerable<(string Id, ReleasedLoad Load)> loads)
    {
        foreach (var (id, load) in loads)
        {
            foreach (var item in load.Items)
            {
                // What was parted is released whole: its sections are one thing.
                items[item.Id with { Section = 0 }] = (id, load, item);
            }
        }
    }

    /// <summary>Whether a thing, or any section of it, was released.</summary>
    public bool Has(ItemId id) => items.ContainsKey(id);

    /// <summary>All things with the load that each was on.</summary>
    public IEnumerable<(string LoadId, ReleasedLoad Load, ReleasedItem Item)> All => items.Values;
}
