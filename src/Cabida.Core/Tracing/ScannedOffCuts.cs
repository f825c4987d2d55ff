using Cabida.Core.Geometry;

namespace Cabida.Core.Tracing;

/// <summary>An off-cut that was scanned.</summary>
/// <param name="Rings">Its outline and then its holes, from its lower left; millimetres, y up.</param>
/// <param name="LiesAt">Where that lower left lies from the loading corner of its carrier; null where no mark was on the scan.</param>
public sealed record ScannedOffCut(IReadOnlyList<IReadOnlyList<PlanePoint>> Rings, PlanePoint? LiesAt);

/// <summary>Off-cuts found on a scan, as they lie on their carrier (calculations 6.9).</summary>
public static class ScannedOffCuts
{
    /// <summary>The rings may lie this far from what was found; well within the margin that is kept at edges anyway; millimetres.</summary>
    private const double Error = 0.1;

    /// <summary>Less than this is dirt; square millimetres.</summary>
    private const double LeastArea = 400;

    /// <summary>The off-cuts, the largest first.</summary>
    /// <param name="found">What was found on the scan, none of it straightened.</param>
    public static IReadOnlyList<ScannedOffCut> Of(TraceResult found)
    {
        ArgumentNullException.ThrowIfNull(found);
        var outlines = found.Outlines.Where(o => o.Problem is null && !o.IsLine && o.Rings.Count > 0).ToList();
        var marks = outlines.ToDictionary(o => o, o => o.Rings.Count == 1 ? CornerMark.Of(o.Rings[0]) : null);
        var mark = marks.Values.FirstOrDefault(m => m is not null);
        return [.. outlines.Where(o => marks[o] is null && o.Area >= LeastArea).Select(o => Lying(o, mark))];
    }

    private static ScannedOffCut Lying(FoundOutline outline, CornerMark? mark)
    {
        var rings = outline.Rings.Select(r => r.Select(p => mark?.FromCorner(p) ?? p).ToList()).ToList();
        var corner = new PlanePoint(rings[0].Min(p => p.X), rings[0].Min(p => p.Y));
        return new ScannedOffCut(
            [
                .. rings
                    .Select(r => Outlines.Thinned([.. r, r[0]], Error).SkipLast(1).Select(p => Rounded(p.X - corner.X, p.Y - corner.Y)))
                    .Select(r => (IReadOnlyList<PlanePoint>)[.. r])
                    .Where(r => r.Count >= 3),
            ],
            mark is null ? null : Rounded(corner.X, corner.Y)
        );
    }

    private static PlanePoint Rounded(double x, double y) => new(Math.Round(x, 2), Math.Round(y, 2));
}
