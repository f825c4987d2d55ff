using Cabida.Core.Geometry;
using Cabida.Core.Layout;
using Cabida.Core.Plans;
using Cabida.Core.Wording;
using Cabida.Formats;
using Cabida.Store;

namespace Cabida.Web.Plans;

/// <summary>Lays plans: as they were found to lie, or at once where nothing was found yet.</summary>
internal sealed class PlanLayer(KeptLayouts kept, Silhouettes silhouettes, LoadWeeding weeding)
{
    /// <summary>A plan with how it lies.</summary>
    public async Task<LaidPlan> Lay(ReadPlan read, CancellationToken stop)
    {
        // Many pieces of several jobs are more than one document is: a bound of their own.
        using var bound = Effort.Within(Effort.Large, stop);
        if (ProblemOf(read, stop) is not var (places, parted, problem) || problem is null)
        {
            return new LaidPlan(
                read,
                new PlanPlaces([], []),
                new PartedThings([], [], new Dictionary<ItemId, Phrase>()),
                null,
                null,
                [],
                []
            );
        }

        var layout = await kept.Find(read.Id, problem.Key, stop);
        if (layout is null)
        {
            layout = PlanLaying.First(problem, await kept.Last(read.Id, stop), stop);
            await kept.Keep(read.Id, layout, stop);
        }

        var things = parted.Things.ToDictionary(t => t.Id);
        var byStock = places.Places.GroupBy(p => p.Item.Id, StringComparer.Ordinal).ToDictionary(g => g.Key, g => g.First());
        var loads = layout.Loads.Select((l, i) => LoadOf(read, problem, byStock[l.StockId], l, things, i + 1, layout.Loads.Count)).ToList();
        return new LaidPlan(read, places, parted, problem, layout, loads, Faults(problem, layout, byStock));
    }

    /// <summary>What is laid of a plan, and where; no problem while something is lacking.</summary>
    public (PlanPlaces Places, PartedThings Parted, PlanProblem? Problem)? ProblemOf(ReadPlan read, CancellationToken stop)
    {
        if (read.Lacks.Count > 0 || read.Film is null || read.Cutter is null)
        {
            return null;
        }

        var places = PlanPlaces.Of(read.Plan, read.Film, read.Stock, read.Cutter);
        var parted = PartedThings.Of(read.Plan, read.Things, places.Places, PlanProblem.TurningOf(read.Plan, read.Film), stop);
        return (places, parted, PlanProblem.Of(read.Plan, read.Film, parted.Things, places.Places, read.ScissorsRoom, silhouettes));
    }

    private CutLoad LoadOf(
        ReadPlan read,
        PlanProblem problem,
        PlanPlace place,
        PlanLoad load,
        Dictionary<ItemId, CutThing> things,
        int number,
        int of
    )
    {
        var pieces = load
            .Items.Select(i =>
            {
                var thing = things[i.Id];
                var ink = Outlines.Moved(thing.Ink, i.At.Motion);
                return new CutPlacement(thing, i, ink, Box.Of(ink)!.Value, [.. thing.Marks.Select(i.At.Motion.Of)]);
            })
            .ToList();
        var outlines = problem.Items.ToDictionary(i => i.Id, i => i.Outline);
        var taken = load.Items.Select(i => Outlines.Moved(outlines[i.Id], i.At.Motion)).ToList();
        return new CutLoad(
            number,
            place,
            pieces,
            weeding.Of(problem, pieces, read.Film!),
            FileNameOf(read, pieces, number, of),
            StockAfter.CutOff(place, taken)
        );
    }

    private static string FileNameOf(ReadPlan read, List<CutPlacement> pieces, int number, int of)
    {
        var jobs = pieces.Select(p => p.Thing.Run.Run.SetUp.JobId).Distinct(StringComparer.Ordinal).Count();
        var runs = pieces.Select(p => p.Thing.Run).DistinctBy(r => r.Id).ToList();
        var job = read.Runs.FirstOrDefault(r => r.Run.Id == runs[0].Id)?.Job ?? "";
        return FileNames.OfLoad(
            jobs > 1 ? FormattableString.Invariant($"{jobs} jobs") : job,
            runs.Count > 1 ? FormattableString.Invariant($"{runs.Count} runs") : runs[0].Run.Name,
            number,
            of,
            read.Film!.Name,
            pieces.TrueForAll(p => p.Thing.IsMirrored) ? "mirrored"
                : pieces.Exists(p => p.Thing.IsMirrored) ? "partly-mirrored"
                : "",
            pieces.Exists(p => p.Thing.Section is not null)
        );
    }

    /// <summary>What was pinned where it cannot be cut. All else was verified as it was found.</summary>
    private static List<PlanFault> Faults(PlanProblem problem, PlanLayout layout, Dictionary<string, PlanPlace> places)
    {
        var pinned = problem.Plan.ByHand.Where(h => h.Pinned is not null).Select(h => h.Item).ToHashSet();
        var there = layout.Loads.Where(l => l.Items.Any(i => pinned.Contains(i.Id))).ToList();
        if (there.Count == 0)
        {
            return [];
        }

        List<string> ids = [.. there.Select(l => l.StockId).Distinct(StringComparer.Ordinal)];
        var laid = there.SelectMany(l => l.Items).Select(i => i.Id).ToHashSet();
        return
        [
            .. PlanCheck
                .Of(
                    [.. problem.Items.Where(i => laid.Contains(i.Id))],
                    [.. ids.Select(id => places[id].Ground.Place(int.MaxValue))],
                    problem.Terms,
                    new LayPlan(
                        [.. there.Select(l => new LaidLoad(ids.IndexOf(l.StockId), [.. l.Items.Select(i => new LaidItem(i.Id, i.At))]))],
                        [],
                        0
                    )
                )
                .Where(f => f.Kind is PlanFaultKind.Outside or PlanFaultKind.TooNear),
        ];
    }
}
