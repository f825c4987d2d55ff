using Cabida.Store;
using Cabida.Web.Plans;

namespace Cabida.Web.Making;

/// <summary>How far all runs are, once for a request.</summary>
internal sealed class JobStages(
    Cabida.Store.Library library,
    LibraryIndex index,
    RunMakings makings,
    MakingMemory memory,
    ReleasedLoads released
)
{
    private Dictionary<string, MakingView>? all;
    private IReadOnlyList<Heading>? open;
    private PutAway? away;

    /// <summary>How far all runs are, by id, however long it takes to work them out.</summary>
    public async Task<IReadOnlyDictionary<string, MakingView>> Whole(CancellationToken stop)
    {
        var (there, before) = (await Open(stop), -1);
        while ((all?.Count ?? 0) is var known && known < there.Count && known > before)
        {
            (before, all) = (known, null);
            await OfAll(stop);
        }

        return await OfAll(stop);
    }

    /// <summary>What is put away.</summary>
    public async Task<PutAway> Away(CancellationToken stop) => away ??= await index.PutAway(stop);

    /// <summary>The runs of jobs that are not put away, the oldest first.</summary>
    public async Task<IReadOnlyList<Heading>> Open(CancellationToken stop)
    {
        var runs = (await Away(stop)).Runs;
        return open ??= [.. (await index.Headings(DocumentKinds.Run, stop)).Where(r => !runs.Contains(r.Id))];
    }

    /// <summary>How far runs are, by id; those that are not worked out in time are missing.</summary>
    public async Task<IReadOnlyDictionary<string, MakingView>> OfAll(CancellationToken stop)
    {
        if (all is not null)
        {
            return all;
        }

        var made = await makings.Of(await Open(stop), stop);
        var ticked = (await library.Some(DocumentKinds.Making, made.Keys, stop)).ToDictionary(m => m.Id, StringComparer.Ordinal);
        var (book, cut) = (await memory.Book(stop), new CutCounts(await released.All(index, library, stop)));
        return all = made.ToDictionary(
            m => m.Key,
            m =>
            {
                var stored = ticked.GetValueOrDefault(m.Key);
                return MakingView.Of(m.Value, m.Key, stored?.Document ?? Core.Runs.Making.None, stored?.Revision ?? 0, book, cut);
            },
            StringComparer.Ordinal
        );
    }
}
