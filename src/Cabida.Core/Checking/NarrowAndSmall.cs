using Cabida.Core.Geometry;
using Cabida.Core.Stock;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Checking;

/// <summary>What of ink is narrower or smaller than its film bears; each place in one list alone.</summary>
/// <param name="Strokes">Strokes, or webs of a stencil.</param>
/// <param name="Gaps">Gaps, or openings of a stencil.</param>
/// <param name="Specks">Separate parts.</param>
/// <param name="Counters">Holes.</param>
/// <param name="Doubled">Outlines that lie on one another.</param>
internal sealed record NarrowAndSmall(
    IReadOnlyList<NarrowPlace> Strokes,
    IReadOnlyList<NarrowPlace> Gaps,
    IReadOnlyList<SmallArea> Specks,
    IReadOnlyList<SmallArea> Counters,
    IReadOnlyList<NarrowPlace> Doubled
)
{
    public static NarrowAndSmall Of(Area ink, FilmLimits limits)
    {
        if (ink.IsEmpty)
        {
            return new([], [], [], [], []);
        }

        using var grid = new SegmentGrid(ink);
        var stencil = limits.Purpose == FilmPurpose.Loose;
        var inInk = new RollingDisc(grid, stencil ? limits.Gap : limits.Stroke, outside: false);
        var inWaste = new RollingDisc(grid, stencil ? limits.Stroke : limits.Gap, outside: true);
        var (within, between) = (NarrowPlaces.Find(inInk), NarrowPlaces.Find(inWaste));
        var specks = SmallAreas.Find(ink, grid, holes: false, limits.SpeckArea, limits.SpeckAcross, inInk);
        var counters = SmallAreas.Find(ink, grid, holes: true, limits.SpeckArea, limits.SpeckAcross, inWaste);
        // A dot that is too small is that, and no thin stroke; a line thin throughout that is long enough to hold is no dot.
        var dots = specks.Where(s => s.Area < limits.SpeckArea).Select(s => s.Ring).ToHashSet();
        var lines = within.Where(w => w.Kind == NarrowKind.Throughout).SelectMany(w => w.Rings).ToHashSet();
        var strokes = within.Where(w => w.Kind != NarrowKind.Throughout || !w.Rings.Any(dots.Contains)).OrderBy(w => w.Width).ToList();
        var small = specks.Where(s => dots.Contains(s.Ring) || !lines.Contains(s.Ring)).OrderBy(s => s.Inscribed).ToList();
        // The inside of a V runs out to a point, and its waste comes out with what is wide; a slit keeps its own.
        var apart = between.Where(w => stencil || w.Kind != NarrowKind.Tip || w.IsBlunt).OrderBy(w => w.Width).ToList();
        return new(
            stencil ? apart : strokes,
            stencil ? strokes : apart,
            small,
            [.. counters.OrderBy(c => c.Inscribed)],
            DoubledOf(grid, within, between)
        );
    }

    /// <summary>What is so narrow, and so long, is looked for only where something that narrow was found.</summary>
    private static List<NarrowPlace> DoubledOf(SegmentGrid grid, List<NarrowPlace> within, List<NarrowPlace> between)
    {
        IEnumerable<NarrowPlace> Of(List<NarrowPlace> found, bool outside)
        {
            var near = found.FindAll(f => f.Width < DoubledCuts.Near && f.Length > DoubledCuts.Along);
            return near.Count == 0
                ? []
                : NarrowPlaces
                    .Find(new RollingDisc(grid, DoubledCuts.Near, outside, near.SelectMany(f => f.Rings).ToHashSet()))
                    .Where(d => d.Length > DoubledCuts.Along);
        }

        return [.. Of(within, outside: false).Concat(Of(between, outside: true)).OrderBy(d => d.Width)];
    }
}
