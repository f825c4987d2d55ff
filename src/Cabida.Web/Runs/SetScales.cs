using System.Collections.Concurrent;
using System.Runtime.CompilerServices;
using Cabida.Core.Fitting;
using Cabida.Core.Pieces;
using Cabida.Core.Runs;
using Cabida.Core.Wording;

namespace Cabida.Web.Runs;

/// <summary>
/// The scales of what is equal across sets. What each piece takes by itself is kept, so that a changed row costs one piece
/// and not the list; past its bound it starts again empty.
/// </summary>
internal sealed class SetScales
{
    private const int MostKept = 50_000;
    private readonly ConcurrentDictionary<string, double?> own = new(StringComparer.Ordinal);
    private readonly ConditionalWeakTable<ReadRun, Once<double?>> runs = [];

    /// <summary>The scale for a run; null when nothing is equal across its set.</summary>
    /// <param name="run">A run that lacks nothing.</param>
    /// <param name="key">Tells a piece of it apart by all that its own scale depends on.</param>
    public double? Of(ReadRun run, Func<Piece, string> key) =>
        SetScale.Matters(run.Basis!) ? runs.GetValue(run, r => new Once<double?>(() => Least(r, key))).Value : null;

    private double? Least(ReadRun run, Func<Piece, string> key)
    {
        if (own.Count > MostKept)
        {
            own.Clear();
        }

        return SetScale.Of([.. run.Run.Pieces.Select(p => own.GetOrAdd(key(p), _ => SetScale.OwnOf(p, run.SurfaceOf(p).Basis)))]);
    }
}
