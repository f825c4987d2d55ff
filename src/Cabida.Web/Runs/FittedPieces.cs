using System.Collections.Concurrent;
using Cabida.Core.Fitting;
using Cabida.Core.Pieces;
using Cabida.Core.Runs;
using Cabida.Core.Wording;
using Cabida.Web.Serving;

namespace Cabida.Web.Runs;

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
    public static readonly TimeSpan AtOnce = TimeSpan.FromSeconds(0.4);

    private readonly SetScales setScales = new();
    private long held;

    /// <summary>A piece of a run that lacks nothing, if it was fitted before.</summary>
    public FittedPiece? Find(ReadRun run, Piece piece) => kept.GetValueOrDefault(KeyOf(run, piece))?.As(piece);

    /// <summary>A piece of a run that lacks nothing.</summary>
    public FittedPiece Of(ReadRun run, Piece piece)
    {
        var key = KeyOf(run, piece);
        return kept.TryGetValue(key, out var found) ? found.As(piece) : Keep(key, Made(run, piece));
    }

    /// <summary>The pieces that a page of a run is of.</summary>
    public static IEnumerable<Piece> Wanted(ReadRun run, int from, int count) =>
        run.Run.Pieces.Skip(Math.Max(0, from)).Take(Math.Clamp(count, 1, MostAtOnce));

    /// <summary>Some pieces of a run, in the list's order. A page is short rather than late: what is missing is asked for next.</summary>
    public List<FittedPiece> Page(ReadRun run, int from, int count, CancellationToken stop)
    {
        var pieces = new List<FittedPiece>();
        var until = DateTime.UtcNow + AtOnce;
        foreach (var piece in Wanted(run, from, count))
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
                .Run.Pieces.Select(piece =>
                {
                    stop.ThrowIfCancellationRequested();
                    return Find(run, piece) ?? (DateTime.UtcNow < until ? Of(run, piece) : null);
                })
                .OfType<FittedPiece>(),
        ];
    }

    /// <summary>A piece fitted; one over which the application stumbles says so, and takes no other of its run with it.</summary>
    private FittedPiece Made(ReadRun run, Piece piece)
    {
        try
        {
            return FittedPiece.Of(run, piece, SetScaleOf(run));
        }
        catch (NotWorkableException fault)
        {
            return FittedPiece.NotWorkedOut(run, piece, fault.Reason);
        }
        catch (Exception fault) when (Gate.IsOurs(fault))
        {
            Gate.Stumbling(log, piece.Name, fault);
            return FittedPiece.NotWorkedOut(run, piece, Gate.StumbledOver);
        }
    }

    private FittedPiece Keep(string key, FittedPiece made)
    {
        var size = 4000 + made.Fits.Sum(f => BytesPerVertex * (long)f.Ink.NumPoints);
        if (Interlocked.Add(ref held, size) > BudgetBytes)
        {
            kept.Clear();
            Interlocked.Exchange(ref held, 0);
        }

        kept[key] = made;
        return made;
    }

    /// <summary>Tells a fitted piece apart by all that it depends on.</summary>
    public string KeyOf(ReadRun run, Piece piece) => OwnKeyOf(run, piece) + $" {SetScaleOf(run):R}";

    /// <summary>
    /// Tells a piece apart by all that its fit depends on but what it shares with its set: rows that say the same are fitted once.
    /// </summary>
    private static string OwnKeyOf(ReadRun run, Piece piece)
    {
        var own = run.Surface!.Sides.Select(s => piece.OwnOn(s.Side.Id).Key).Prepend(piece.Own.Key);
        var values = piece.Values.OrderBy(v => v.Key, StringComparer.Ordinal).SelectMany(v => new[] { v.Key, v.Value });
        // Each with its length: what was typed into one field never reads as two.
        return string.Concat(values.Prepend(piece.Name).Concat(own).Prepend(run.TermsKey).Select(w => $"{w?.Length}:{w} "));
    }

    /// <summary>What the first side of a piece is fitted on, with what is equal across its set.</summary>
    public FitBasis BasisOf(ReadRun run, Piece piece) => run.SurfaceOf(piece).Basis with { EqualScale = SetScaleOf(run) };

    private double? SetScaleOf(ReadRun run) => setScales.Of(run, p => OwnKeyOf(run, p));
}
