using System.Collections.Concurrent;
using Cabida.Core.Fitting;
using Cabida.Core.Geometry;
using Cabida.Core.Runs;
using Cabida.Formats.Svg;

namespace Cabida.Web.Runs;

/// <summary>A fitted piece with its ink as path data; millimetres, y up, the zone's coordinates.</summary>
internal sealed record FittedPiece(PieceFit Fit, string InkPath);

/// <summary>
/// Fitted pieces, kept by what they depend on, so that a piece is set once for its board, its strip, its load and its
/// card. Bounded: past its budget it starts again empty.
/// </summary>
internal sealed class FittedPieces
{
    private const long BudgetBytes = 256L << 20;
    private const int BytesPerVertex = 60;
    private readonly ConcurrentDictionary<string, FittedPiece> kept = new(StringComparer.Ordinal);
    private long held;

    /// <summary>A piece of a run that lacks nothing.</summary>
    public FittedPiece Of(ReadRun run, Piece piece)
    {
        var key = $"{run.GroundKey} {piece.Id} {piece.Name}";
        if (kept.TryGetValue(key, out var found))
        {
            return found;
        }

        var fit = PieceFit.Of(piece, run.Ground!);
        var made = new FittedPiece(fit, SvgPath.Of(fit.Ink, Tolerances.File));
        if (Interlocked.Add(ref held, 2000 + (BytesPerVertex * (long)fit.Ink.NumPoints) + (2L * made.InkPath.Length)) > BudgetBytes)
        {
            kept.Clear();
            Interlocked.Exchange(ref held, 0);
        }

        kept[key] = made;
        return made;
    }
}
