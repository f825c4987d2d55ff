using Cabida.Core.Checking;
using Cabida.Core.Findings;
using Cabida.Core.Geometry;
using Cabida.Core.Loads;
using Cabida.Core.Measures;
using Cabida.Core.Motifs;
using Cabida.Core.Pieces;
using Cabida.Core.Runs;
using Cabida.Core.Stock;
using Cabida.Core.Wording;
using Cabida.Formats.Svg;
using Cabida.Store;
using Cabida.Web.Runs;
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
    IReadOnlyList<CutPlacement> Pieces
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
    IReadOnlyList<Finding> Lacks
);

/// <summary>Fits a run and lays its pieces out for its cutter, a film after the other.</summary>
internal sealed class LoadPlanner(Cabida.Store.Library library, RunReader reader, FittedPieces fitted, InkFactsCache facts)
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

        if (lacks.Count > 0)
        {
            return new PlannedRun(run, job, [], 0, [], [], lacks);
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
        var loads = LaidOut(run, [.. mayBeCut[true]], gap.Value.Value.Millimetres, held);
        return new PlannedRun(run, job, all, gap.Value.Value.Millimetres, Named(loads, run, job), held, []);
    }

    /// <summary>The films that the run's motif is cut from.</summary>
    private static IEnumerable<Film> FilmsOf(ReadRun run) =>
        run.Basis is { } basis ? basis.Films.Values.Prepend(basis.Film).Distinct()
        : run.Film is { } film ? [film]
        : [];

    private static List<PlannedLoad> LaidOut(ReadRun run, IReadOnlyList<FittedPiece> all, double gap, List<HeldPiece> held)
    {
        var cut = all.SelectMany(p =>
                Enumerable
                    .Range(1, p.Fit.Piece.Copies)
                    .SelectMany(copy =>
                        p.Fits.SelectMany(
                            (fit, side) =>
                                fit
                                    .Films.Where(f => !f.Ink.IsEmpty)
                                    .Select(f => new CutInk(p, f, run.Basis!.FilmOf(f.Film.FilmId), side, copy))
                        )
                    )
            )
            .ToList();
        var tooLarge = new Dictionary<string, HeldPiece>(StringComparer.Ordinal);
        List<(Film Film, (double Width, double Height) Area, LoadPlan Plan, Dictionary<string, CutInk> Inks)> Plans(
            Func<CutInk, bool> stays
        ) =>
            [
                .. cut.Where(stays)
                    .GroupBy(c => c.Film)
                    .Select(film =>
                    {
                        var area = run.Cutter!.ReachOf(film.Key)!.Value;
                        var inks = film.ToDictionary(c => c.Key, StringComparer.Ordinal);
                        return (film.Key, area, LoadPlan.Of([.. inks.Values.Select(ItemOf)], area.Width, area.Height, gap), inks);
                    }),
            ];

        foreach (var (film, area, plan, inks) in Plans(_ => true))
        {
            foreach (var item in plan.TooLarge)
            {
                var piece = inks[item.PieceId].Piece.Fit.Piece;
                tooLarge.TryAdd(
                    piece.Id,
                    new HeldPiece(
                        piece.Name,
                        new Finding(Rule.BeyondReach, Severity.Stop, BeyondReach.Said(item.Width, item.Height, film.Name, area))
                        {
                            Piece = piece.Id,
                        }
                    )
                );
            }
        }

        // A piece of which one film is too large is not cut in part.
        held.AddRange(tooLarge.Values);
        return
        [
            .. Plans(c => !tooLarge.ContainsKey(c.Piece.Fit.Piece.Id))
                .SelectMany(p =>
                    p.Plan.Loads.Select(l => new PlannedLoad(
                        l,
                        p.Film,
                        p.Area.Width,
                        p.Area.Height,
                        "",
                        [
                            .. l.Placements.Select(at =>
                            {
                                var ink = LoadInk.Placed(p.Inks[at.PieceId].Ink.Ink, at, p.Film.Mirrored ? p.Area.Width : null);
                                return new CutPlacement(
                                    p.Inks[at.PieceId].Piece,
                                    p.Inks[at.PieceId].Side,
                                    Box.Of(ink)!.Value,
                                    at.Turned,
                                    ink
                                );
                            }),
                        ]
                    ))
                ),
        ];
    }

    private static List<PlannedLoad> Named(List<PlannedLoad> loads, ReadRun run, Job job) =>
        [
            .. loads.Select(
                (l, i) =>
                    l with
                    {
                        Load = l.Load with { Number = i + 1 },
                        FileName = CutSvg.FileName(job.Name, run.Run.Name, i + 1, loads.Count, l.Film.Name, l.Film.Mirrored),
                    }
            ),
        ];

    /// <summary>The ink of one side and copy of a piece that is cut from one sheet of a film.</summary>
    private sealed record CutInk(FittedPiece Piece, FilmInk Ink, Film Film, int Side, int Copy)
    {
        public string Key => FormattableString.Invariant($"{Piece.Fit.Piece.Id} {Ink.Film.FilmId} {Ink.Film.Ply} {Side} {Copy}");
    }

    private static LoadItem ItemOf(CutInk cut)
    {
        var box = Box.Of(cut.Ink.Ink)!.Value;
        return new LoadItem(cut.Key, box.Width, box.Height);
    }

    private static HeldPiece WhyHeld(CheckedPiece piece) =>
        new(
            piece.Piece.Fit.Piece.Name,
            (piece.Findings.FirstOrDefault(f => f.Stops) ?? Finding.Lacking("", Phrase.Say($"There is nothing to cut."))) with
            {
                Piece = piece.Piece.Fit.Piece.Id,
            }
        );
}
