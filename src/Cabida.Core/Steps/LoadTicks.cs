using Cabida.Core.Runs;

namespace Cabida.Core.Steps;

/// <summary>A released load as the making of one run sees it.</summary>
/// <param name="Id">The load.</param>
/// <param name="Pieces">The pieces of the run of which something lies on it, by id.</param>
public sealed record LoadOfRun(string Id, IReadOnlySet<string> Pieces);

/// <summary>
/// Pieces ticked by the load they lie on (6.17). A piece that lies on several loads, because it is of several films or is made several
/// times, is as far as the load that is least far.
/// </summary>
public static class LoadTicks
{
    /// <summary>A making with a load ticked as far as a stage, and with it the pieces that it holds whole.</summary>
    /// <param name="making">The making.</param>
    /// <param name="loads">All released loads of the run.</param>
    /// <param name="loadId">The load that is ticked.</param>
    /// <param name="stage">How far.</param>
    /// <param name="isBack">Whether it is set back to it.</param>
    /// <param name="isCut">Whether all of a piece is released and cut.</param>
    public static Making Tick(
        Making making,
        IReadOnlyList<LoadOfRun> loads,
        string loadId,
        PieceStage stage,
        bool isBack,
        Func<string, bool> isCut
    )
    {
        ArgumentNullException.ThrowIfNull(making);
        ArgumentNullException.ThrowIfNull(loads);
        ArgumentNullException.ThrowIfNull(isCut);
        var before = making.LoadsTicked.GetValueOrDefault(loadId);
        var ticked = new Dictionary<string, PieceStage>(making.LoadsTicked, StringComparer.Ordinal)
        {
            [loadId] = isBack || stage > before ? stage : before,
        };
        if (ticked[loadId] <= PieceStage.Cut)
        {
            // That it is cut is known without.
            ticked.Remove(loadId);
        }

        var with = making with { LoadsTicked = ticked };
        var on = loads.FirstOrDefault(l => l.Id == loadId)?.Pieces ?? new HashSet<string>();
        if (isBack)
        {
            return with.With(on.Where(p => with.Ticked.GetValueOrDefault(p) > stage), stage, true);
        }

        // A piece goes as far as the load that is least far, which this tick may have been waited for.
        PieceStage LeastOf(string piece) => loads.Where(l => l.Pieces.Contains(piece)).Min(l => ticked.GetValueOrDefault(l.Id));
        return on.Where(isCut)
            .GroupBy(LeastOf)
            .Where(g => g.Key > PieceStage.Cut)
            .Aggregate(with, (made, pieces) => made.With(pieces, pieces.Key, false));
    }
}
