using Cabida.Core.Plans;
using Cabida.Core.Runs;
using Cabida.Core.Steps;
using Cabida.Store;
using Cabida.Web.Plans;
using Cabida.Web.Runs;

namespace Cabida.Web.Making;

/// <summary>What of a run lies on a load, and how far it is.</summary>
/// <param name="Id">The run.</param>
/// <param name="Name">What it is called.</param>
/// <param name="Pieces">Its pieces on the load.</param>
/// <param name="Waits">How many of them are not as far as the load, since something of them lies on another.</param>
internal sealed record RunOnLoad(string Id, string Name, IReadOnlyList<StagedPiece> Pieces, int Waits);

/// <summary>A released load at the bench.</summary>
/// <param name="Stage">How far it is.</param>
/// <param name="IsCut">Whether it was cut.</param>
/// <param name="Runs">The runs on it that are still there.</param>
internal sealed record LoadBenchView(PieceStage Stage, bool IsCut, IReadOnlyList<RunOnLoad> Runs);

/// <summary>Ticks what lies on a load, of all its runs at once, as one change.</summary>
internal sealed class LoadTicker(
    Cabida.Store.Library library,
    LibraryIndex index,
    ReleasedLoads released,
    RunReader runs,
    RunMakings makings,
    MakingReader making
)
{
    /// <summary>How far a load is; null where it is not there.</summary>
    public async Task<LoadBenchView?> Of(string loadId, CancellationToken stop)
    {
        if (await library.Find(DocumentKinds.Load, loadId, stop) is not { } load)
        {
            return null;
        }

        var (on, stage) = (new List<RunOnLoad>(), PieceStage.Packed);
        foreach (var runId in load.Document.RunIds())
        {
            if (await runs.Find(runId, stop) is not { } run)
            {
                continue;
            }

            var there = PiecesOf(load.Document, runId);
            var ticked = (await library.Find(DocumentKinds.Making, runId, stop))?.Document.LoadsTicked.GetValueOrDefault(loadId) ?? default;
            stage = ticked < stage ? ticked : stage;
            List<StagedPiece> pieces = [.. (await making.Of(run, stop)).Pieces.Where(p => there.Contains(p.Id))];
            on.Add(new RunOnLoad(runId, run.Run.Name, pieces, pieces.Count(p => p.Stage < ticked)));
        }

        var isCut = load.Document.Cuts.Count > 0;
        return new LoadBenchView(on.Count == 0 || stage <= PieceStage.Cut ? (isCut ? PieceStage.Cut : PieceStage.Taken) : stage, isCut, on);
    }

    /// <summary>Ticks a load as far as a stage.</summary>
    public async Task Tick(string loadId, PieceStage stage, bool isBack, CancellationToken stop)
    {
        var all = await released.All(index, library, stop);
        var cut = new CutCounts(all);
        var unit = new UnitOfWork(isBack ? "Take a load back" : "Tick a load");
        foreach (var runId in all.First(l => l.Id == loadId).Load.RunIds())
        {
            if (await runs.Find(runId, stop) is not { } run)
            {
                continue;
            }

            var made = (await makings.Of(run, stop)).Pieces.ToDictionary(p => p.Id, StringComparer.Ordinal);
            var loads = all.Select(l => new LoadOfRun(l.Id, PiecesOf(l.Load, runId))).Where(l => l.Pieces.Count > 0).ToList();
            var stored = await library.Find(DocumentKinds.Making, runId, stop);
            var now = LoadTicks.Tick(stored?.Document ?? Core.Runs.Making.None, loads, loadId, stage, isBack, p =>
                made.TryGetValue(p, out var piece) && cut.IsCut(runId, piece)
            );
            unit.Put(DocumentKinds.Making, runId, now, stored?.Revision ?? await library.RevisionOf(DocumentKinds.Making, runId, stop));
        }

        await library.Make(unit, stop);
    }

    private static HashSet<string> PiecesOf(ReleasedLoad load, string runId) =>
        load.Items.Where(i => i.Id.Run == runId).Select(i => i.Id.Piece).ToHashSet(StringComparer.Ordinal);
}
