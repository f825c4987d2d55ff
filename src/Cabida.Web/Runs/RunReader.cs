using Cabida.Core.Motifs;
using Cabida.Core.Pieces;
using Cabida.Core.Runs;
using Cabida.Core.Stock;
using Cabida.Store;

namespace Cabida.Web.Runs;

/// <summary>Loads what runs pin, and reads them.</summary>
internal sealed class RunReader(Cabida.Store.Library library, AtHand atHand)
{
    public async Task<ReadRun?> Find(string id, CancellationToken stop) =>
        await library.Find(DocumentKinds.Run, id, stop) is { } stored ? await Read(stored, stop) : null;

    public async Task<ReadRun> Read(Stored<Run> stored, CancellationToken stop) => Read(stored, await Pinned(stored.Document.SetUp, stop));

    public ReadRun Read(Stored<Run> stored, PinnedDocuments pinned) =>
        RunReading.Of(stored.Id, stored.Revision, stored.Document, pinned, atHand);

    /// <summary>A run as a change would have it; nothing of it is kept.</summary>
    public async Task<ReadRun> Read(ReadRun run, Run changed, CancellationToken stop) =>
        RunReading.Of(run.Id, run.Revision, changed, await Pinned(changed.SetUp, stop), atHand);

    /// <summary>What a set-up pins, as it was at the pinned revisions.</summary>
    public async Task<PinnedDocuments> Pinned(RunSetUp run, CancellationToken stop)
    {
        var films = new Dictionary<string, Film>(StringComparer.Ordinal);
        foreach (var named in run.Films)
        {
            if (await At(DocumentKinds.Film, named, stop) is { } film)
            {
                films[named.Id] = film;
            }
        }

        var sides = new List<Motif?>();
        foreach (var side in run.Sides)
        {
            sides.Add(await At(DocumentKinds.Motif, side.Motif, stop));
        }

        return new PinnedDocuments(
            await At(DocumentKinds.Blank, run.Blank, stop),
            await At(DocumentKinds.Motif, run.Motif, stop),
            await At(DocumentKinds.Film, run.Film, stop),
            await At(DocumentKinds.Cutter, run.Cutter, stop),
            films,
            sides
        );
    }

    private async Task<T?> At<T>(DocumentKind<T> kind, Pin? pin, CancellationToken stop)
        where T : class => pin is null ? null : await library.At(kind, pin.Id, pin.Revision, stop);
}
