using Cabida.Core.Loads;
using Cabida.Core.Plans;
using Cabida.Core.Stock;
using Cabida.Core.Waste;
using WastePlan = Cabida.Core.Waste.WastePlan;

namespace Cabida.Web.Plans;

/// <summary>How loads are weeded: boxes round pieces moved with them, and boxes that pieces share planned where they lie.</summary>
internal sealed class LoadWeeding(FilmWasteCache waste, SharedBoxes boxes)
{
    public LoadWeeds Of(PlanProblem problem, IReadOnlyList<CutPlacement> pieces, Film film)
    {
        var limits = FilmLimits.Of(film);
        var wastes = pieces.Select(p => WasteOf(p.Thing, limits)).ToList();
        var shared = problem.Weeds.Per is WeedBox.Row or WeedBox.Load;
        var plans = shared
            ? Shared(problem, pieces, limits)
            : pieces.Zip(wastes, (p, w) => w.Plan?.Moved(p.Thing.AsCut.Then(p.At.At.Motion))).OfType<WastePlan>().ToList();
        return LoadWeeds.Of(
            shared ? problem.Weeds.Per
                : plans.Count > 0 ? WeedBox.Piece
                : WeedBox.None,
            plans,
            wastes,
            limits,
            [.. pieces.Select(p => p.Ink)]
        );
    }

    /// <summary>A thing as waste, in the coordinates of its side; a section has no weed box of its own.</summary>
    private FilmWaste WasteOf(CutThing thing, FilmLimits limits)
    {
        var key = thing.OnSide.Key;
        return thing.Section is { } section
            ? waste.Of($"{key} {section.Number} {thing.Box}", thing.Ink, thing.Ply, [], limits, WeedWays.Usual)!
            : waste.Of(key, thing.OnSide.Ink, thing.Ply, thing.Fit.Parts, limits, thing.Ways)!;
    }

    /// <summary>Boxes round several pieces, planned once for what lies in them.</summary>
    private List<WastePlan> Shared(PlanProblem problem, IReadOnlyList<CutPlacement> pieces, FilmLimits limits)
    {
        var ways = pieces.Select(p => p.Thing.Ways).First(w => w.Box == problem.Weeds.Per);
        var key = string.Join('|', pieces.Select(p => $"{p.Thing.InkKey} {p.Thing.Section?.Number} {p.Box} {p.At.At.Degrees} {p.At.Row}"));
        return
        [
            .. boxes.Of($"{ways} {limits.Purpose} {key}", () =>
                LoadWaste.Of(
                    [
                        .. pieces.Select(p => new WeededPiece(
                            new Placement(p.Thing.Name, p.Marked, p.At.At.Degrees != 0, p.At.Row),
                            p.Thing.InkAndMarks,
                            RowsOf(p.Thing)
                        )),
                    ],
                    problem.Weeds.Per,
                    WasteTerms.Of(ways, limits.Purpose)
                )
            ),
        ];
    }

    /// <summary>The rows of a thing as it is cut; with marks it is one, so that no box and no break goes through them.</summary>
    private static IReadOnlyList<InkRow> RowsOf(CutThing thing)
    {
        if (thing.Section is not null || thing.Marks.Count > 0)
        {
            return [new InkRow([new InkWord([new InkUnit(thing.InkAndMarks)])])];
        }

        var rows = InkRows.Of(thing.OnSide.Ink, thing.Ply, thing.Fit.Parts);
        return thing.IsMirrored ? [.. rows.Select(r => r.Mirrored())] : rows;
    }
}
