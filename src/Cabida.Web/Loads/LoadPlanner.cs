using Cabida.Core.Checking;
using Cabida.Core.Findings;
using Cabida.Core.Geometry;
using Cabida.Core.Loads;
using Cabida.Core.Measures;
using Cabida.Core.Pieces;
using Cabida.Core.Runs;
using Cabida.Core.Stock;
using Cabida.Core.Wording;
using Cabida.Formats;
using Cabida.Store;
using Cabida.Web.Runs;
using Cabida.Web.Weeding;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Web.Loads;

/// <summary>A side of a piece as it is cut on a load; the first side is 0.</summary>
internal sealed record CutPlacement(FittedPiece Piece, int Side, Box Box, bool Turned, Area Ink);

/// <summary>A load with its film, its ink and the name of its file.</summary>
internal sealed record PlannedLoad(
    Load Load,
    Film Film,
    double ReachWidth,
    double ReachHeight,
    string FileName,
    IReadOnlyList<CutPlacement> Pieces,
    LoadWeeds Weeds
);

/// <summary>A piece that is on no load.</summary>
/// <param name="Name">Its name.</param>
/// <param name="Why">What holds it back.</param>
internal sealed record HeldPiece(string Name, Finding Why);

/// <summary>The loads of a run.</summary>
internal sealed record PlannedRun(
    ReadRun Run,
    Job Job,
    IReadOnlyList<FittedPiece> All,
    double ScissorsRoom,
    IReadOnlyList<PlannedLoad> Loads,
    IReadOnlyList<HeldPiece> Held,
    IReadOnlyList<Finding> Lacks,
    WeedingBook Book
);

/// <summary>Fits a run and lays its pieces out for its cutter, a film after the other.</summary>
internal sealed class LoadPlanner(
    Cabida.Store.Library library,
    RunReader reader,
    FittedPieces fitted,
    InkFactsCache facts,
    LayOut layOut,
    WeedingMemory memory
)
{
    public async Task<PlannedRun?> Plan(string id, CancellationToken stop)
    {
        if (await reader.Find(id, stop) is not { } run)
        {
            return null;
        }

        var job = (await library.Find(DocumentKinds.Job, run.Run.SetUp.JobId, stop))?.Document ?? new Job("", "", "");
        var gap = run.Run.SetUp.ScissorsRoom.Read(LengthRange.Margin);
        List<Finding> lacks = [.. run.Lacks];
        if (run.Cutter is null)
        {
            lacks.Add(Finding.Lacking("cutter", Phrase.Say($"Choose a cutter, so that its reach is known.")));
        }
        else if (FilmsOf(run).FirstOrDefault(f => run.Cutter.ReachOf(f) is null) is { } unread)
        {
            lacks.Add(
                Finding.Lacking(
                    "cutter",
                    Phrase.Say(
                        $"The reach of {run.Cutter.Name:strong} or the sheet of {unread.Name:strong} cannot be read. Mend it in the "
                            + $"stock, then take the newer one here."
                    )
                )
            );
        }

        if (gap.Problem is { } unreadable)
        {
            lacks.Add(Finding.Lacking("scissorsRoom", unreadable));
        }

        lacks.AddRange(
            FilmIdsOf(run)
                .SelectMany(f => run.Run.SetUp.WaysOf(f.Id).Problems.Select(p => (f.Name, Problem: p)))
                .Select(f => Finding.Lacking("weeding", Phrase.Say($"How the waste of {f.Name:strong} is cut: {f.Problem.Message}")))
        );
        if (lacks.Count > 0)
        {
            return new PlannedRun(run, job, [], 0, [], [], lacks, WeedingBook.Empty);
        }

        var all = run
            .Run.Pieces.Select(p =>
            {
                stop.ThrowIfCancellationRequested();
                return fitted.Of(run, p);
            })
            .ToList();
        var mayBeCut = all.ToLookup(p =>
        {
            stop.ThrowIfCancellationRequested();
            return CheckedPiece.MayBeCut(run, p, facts);
        });
        var held = mayBeCut[false].Select(p => WhyHeld(CheckedPiece.Of(run, p, facts))).ToList();
        var (loads, tooLarge) = layOut.Of(run, [.. mayBeCut[true]], gap.Value.Value.Millimetres, stop);
        held.AddRange(tooLarge);
        return new PlannedRun(run, job, all, gap.Value.Value.Millimetres, Named(loads, run, job), held, [], await memory.Read(stop));
    }

    /// <summary>The films of a run by id; its own has none.</summary>
    private static IEnumerable<(string Id, string Name)> FilmIdsOf(ReadRun run) =>
        (run.Basis?.Films.Select(f => (f.Key, f.Value.Name)) ?? []).Prepend(("", run.Film?.Name ?? ""));

    /// <summary>The films that the run's motif is cut from.</summary>
    private static IEnumerable<Film> FilmsOf(ReadRun run) =>
        run.Basis is { } basis ? basis.Films.Values.Prepend(basis.Film).Distinct()
        : run.Film is { } film ? [film]
        : [];

    private static List<PlannedLoad> Named(List<PlannedLoad> loads, ReadRun run, Job job) =>
        [
            .. loads.Select(
                (l, i) =>
                    l with
                    {
                        Load = l.Load with { Number = i + 1 },
                        FileName = FileNames.OfLoad(job.Name, run.Run.Name, i + 1, loads.Count, l.Film.Name, l.Film.Mirrored),
                    }
            ),
        ];

    private static HeldPiece WhyHeld(CheckedPiece piece) =>
        new(
            piece.Piece.Fit.Piece.Name,
            (piece.Findings.FirstOrDefault(f => f.Stops) ?? Finding.Lacking("", Phrase.Say($"There is nothing to cut."))) with
            {
                Piece = piece.Piece.Fit.Piece.Id,
            }
        );
}
