using System.Collections.Concurrent;
using Cabida.Core.Checking;
using Cabida.Core.Fitting;
using Cabida.Core.Geometry;
using Cabida.Core.Motifs;
using Cabida.Core.Runs;
using Cabida.Core.Wording;
using Cabida.Web.Inks;
using Cabida.Web.Serving;

namespace Cabida.Web.Runs;

/// <summary>A side of a fitted piece, with its ink as it lies in the coordinates of the first side's zone.</summary>
/// <param name="Side">The side.</param>
/// <param name="Fit">The piece on it.</param>
/// <param name="Films">Its ink by film, seen from the first side.</param>
/// <param name="Findings">What was noticed on it, saying where; places as seen from the first side.</param>
internal sealed record FittedSide(ReadSide Side, PieceFit Fit, IReadOnlyList<FilmInk> Films, IReadOnlyList<Finding> Findings);

/// <summary>A fitted piece with its ink as path data; millimetres, y up, the zone's coordinates.</summary>
/// <param name="Fit">The piece.</param>
/// <param name="Sides">Its other sides.</param>
/// <param name="Inks">The ink of all sides by film, the lowest first.</param>
/// <param name="Between">What was noticed between its sides.</param>
internal sealed record FittedPiece(
    PieceFit Fit,
    IReadOnlyList<FittedSide> Sides,
    IReadOnlyList<InkView> Inks,
    IReadOnlyList<Finding> Between
)
{
    /// <summary>All its fits, the first side first.</summary>
    public IEnumerable<PieceFit> Fits => Sides.Select(s => s.Fit).Prepend(Fit);

    /// <summary>The worst state of its sides.</summary>
    public FitState State { get; } = Sides.Select(s => s.Fit.State).Prepend(Fit.State).Max();

    /// <summary>Whether all its sides may be cut.</summary>
    public bool MayBeCut => Fits.All(f => f.MayBeCut);

    /// <summary>What was noticed on any side, most serious first.</summary>
    public IReadOnlyList<Finding> Findings { get; } =
    [.. Fit.Findings.Concat(Sides.SelectMany(s => s.Findings)).Concat(Between).OrderBy(f => f.Severity)];

    /// <summary>The ink of all sides as one, by film and side.</summary>
    public IEnumerable<FilmInk> Films => Fit.Films.Concat(Sides.SelectMany(s => s.Films));

    /// <summary>The ink of the sides that lie on a wall.</summary>
    /// <param name="first">What the first side stands on.</param>
    public IEnumerable<FilmInk> OnWall(RunGround first) =>
        (first.Wall is null ? [] : Fit.Films).Concat(Sides.Where(s => s.Side.Ground.Wall is not null).SelectMany(s => s.Films));

    /// <summary>Tells its ink apart from any other.</summary>
    public string Hash { get; } = Sides.Count == 0 ? Fit.Hash : string.Join('-', Sides.Select(s => s.Fit.Hash).Prepend(Fit.Hash));
}

/// <summary>
/// Fitted pieces, kept by what they depend on, so that a piece is set once for its board, its strip, its load and its
/// card. Bounded: past its budget it starts again empty.
/// </summary>
internal sealed class FittedPieces(ILogger<FittedPieces> log)
{
    private const long BudgetBytes = 384L << 20;
    private const int BytesPerVertex = 60;
    private readonly ConcurrentDictionary<string, FittedPiece> kept = new(StringComparer.Ordinal);

    /// <summary>How many pieces are on a page at most.</summary>
    private const int MostAtOnce = 50;

    /// <summary>How long an answer may take to fit names that are not fitted yet.</summary>
    private static readonly TimeSpan AtOnce = TimeSpan.FromSeconds(0.4);

    private readonly SetScales setScales = new();
    private long held;

    /// <summary>A piece of a run that lacks nothing, if it was fitted before.</summary>
    public FittedPiece? Find(ReadRun run, Piece piece) => kept.GetValueOrDefault(KeyOf(run, piece)) is { } found ? Of(piece, found) : null;

    /// <summary>A piece of a run that lacks nothing.</summary>
    public FittedPiece Of(ReadRun run, Piece piece)
    {
        var key = KeyOf(run, piece);
        return kept.TryGetValue(key, out var found) ? Of(piece, found) : Keep(key, Made(run, piece));
    }

    /// <summary>Some pieces of a run, in the list's order. A page is short rather than late: what is missing is asked for next.</summary>
    public List<FittedPiece> Page(ReadRun run, int from, int count, CancellationToken stop)
    {
        var pieces = new List<FittedPiece>();
        var until = DateTime.UtcNow + AtOnce;
        foreach (var piece in run.Run.Document.Pieces.Skip(Math.Max(0, from)).Take(Math.Clamp(count, 1, MostAtOnce)))
        {
            stop.ThrowIfCancellationRequested();
            var found = Find(run, piece);
            if (found is null && pieces.Count > 0 && DateTime.UtcNow > until)
            {
                break;
            }

            pieces.Add(found ?? Of(run, piece));
        }

        return pieces;
    }

    /// <summary>Those pieces of a run that are fitted, with as many more as can be fitted at once.</summary>
    public List<FittedPiece> SoFar(ReadRun run, CancellationToken stop)
    {
        var until = DateTime.UtcNow + AtOnce;
        return
        [
            .. run
                .Run.Document.Pieces.Select(piece =>
                {
                    stop.ThrowIfCancellationRequested();
                    return Find(run, piece) ?? (DateTime.UtcNow < until ? Of(run, piece) : null);
                })
                .OfType<FittedPiece>(),
        ];
    }

    /// <summary>A kept piece as its row has it now: how many are made and what was said of it do not change its ink.</summary>
    private static FittedPiece Of(Piece piece, FittedPiece kept) =>
        ReferenceEquals(kept.Fit.Piece, piece) ? kept : kept with { Fit = kept.Fit with { Piece = piece } };

    /// <summary>A piece fitted; one over which the application stumbles says so, and takes no other of its run with it.</summary>
    private FittedPiece Made(ReadRun run, Piece piece)
    {
        try
        {
            return Fitted(run, piece);
        }
        catch (NotWorkableException fault)
        {
            return Without(fault.Reason);
        }
        catch (Exception fault) when (Gate.IsOurs(fault))
        {
            Gate.Stumbling(log, piece.Name, fault);
            return Without(Gate.StumbledOver);
        }

        FittedPiece Without(Phrase why) => new(PieceFit.NotWorkedOut(piece, run.SurfaceOf(piece).Ground, why), [], [], []);
    }

    private FittedPiece Fitted(ReadRun run, Piece piece)
    {
        var on = run.SurfaceOf(piece);
        var ground = on.Ground;
        var fit = PieceFit.Of(piece, GroundOf(run, piece));
        var sides = on.Sides.Select(s => SideOf(s, piece, on.MotionOf(s))).ToList();
        // What several sides have of one film is seen as one.
        var all = fit.Films.Concat(sides.SelectMany(s => s.Films)).ToList();
        return new FittedPiece(fit, sides, [.. all.Select(f => InkView.Of(f, ground.FilmOf(f.Film.FilmId)))], [.. Between()]);

        IEnumerable<Finding> Between() =>
            sides.Count == 0
                ? []
                : SidesOverlap.Look(
                    piece.Name,
                    [
                        new SideInk(on.Laid.Spec.Name, on.Laid.Face.Own, [fit.Ink]),
                        .. sides.Select(s => new SideInk(
                            s.Side.Laid.Spec.Name,
                            s.Side.Laid.Face.Own,
                            [.. on.MotionsOf(s.Side).Select(m => Outlines.Moved(s.Fit.Ink, m))]
                        )),
                    ]
                );
    }

    private static FittedSide SideOf(ReadSide side, Piece piece, Motion motion)
    {
        var fit = PieceFit.Of(piece with { Own = piece.OwnOn(side.Side.Id) }, side.Ground);
        return new FittedSide(
            side,
            fit,
            [.. fit.Films.Select(f => f.Moved(motion))],
            [
                .. fit.Findings.Select(f =>
                    f with
                    {
                        Side = side.Side.Id,
                        Place = f.Place is { } at ? motion.Of(at) : null,
                        Message = Phrase.Say($"{side.Laid.Spec.Name}: {f.Message}"),
                    }
                ),
            ]
        );
    }

    private FittedPiece Keep(string key, FittedPiece made)
    {
        var size = 4000 + made.Fits.Sum(f => BytesPerVertex * (long)f.Ink.NumPoints) + made.Inks.Sum(i => 2L * i.Path.Length);
        if (Interlocked.Add(ref held, size) > BudgetBytes)
        {
            kept.Clear();
            Interlocked.Exchange(ref held, 0);
        }

        kept[key] = made;
        return made;
    }

    private string KeyOf(ReadRun run, Piece piece) => OwnKeyOf(run, piece) + $" {SetScaleOf(run):R}";

    /// <summary>
    /// Tells a piece apart by all that its fit depends on but what it shares with its set: rows that say the same are fitted once.
    /// </summary>
    private static string OwnKeyOf(ReadRun run, Piece piece)
    {
        var own = run.Surface!.Sides.Select(s => piece.OwnOn(s.Side.Id).Key).Prepend(piece.Own.Key);
        var values = piece.Values.OrderBy(v => v.Key, StringComparer.Ordinal).SelectMany(v => new[] { v.Key, v.Value });
        // Each with its length: what was typed into one field never reads as two.
        return string.Concat(values.Prepend(piece.Name).Concat(own).Prepend(run.GroundHash).Select(w => $"{w?.Length}:{w} "));
    }

    /// <summary>What the first side of a piece is fitted on, with what is equal across its set.</summary>
    public RunGround GroundOf(ReadRun run, Piece piece) => run.SurfaceOf(piece).Ground with { EqualScale = SetScaleOf(run) };

    private double? SetScaleOf(ReadRun run) => setScales.Of(run, p => OwnKeyOf(run, p));
}
