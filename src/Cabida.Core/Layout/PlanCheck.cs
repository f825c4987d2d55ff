using Cabida.Core.Geometry;
using NetTopologySuite.Algorithm.Locate;
using NetTopologySuite.Geometries;
using NetTopologySuite.Operation.Distance;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Layout;

/// <summary>What is wrong with a plan.</summary>
/// <param name="Kind">What.</param>
/// <param name="Id">The thing it is about.</param>
/// <param name="Other">The other one, of two; else the same.</param>
/// <param name="By">By how much, in millimetres: what is lacking of the room, how far it stands out; 0 where that says nothing.</param>
public sealed record PlanFault(PlanFaultKind Kind, ItemId Id, ItemId Other, double By);

/// <summary>What can be wrong with a plan.</summary>
public enum PlanFaultKind
{
    /// <summary>A thing is neither laid nor among what found no room.</summary>
    Missing,

    /// <summary>A thing is there more than once.</summary>
    Twice,

    /// <summary>A thing is none of those that were to be laid.</summary>
    Unknown,

    /// <summary>Two things overlap, or are nearer than the scissors room.</summary>
    TooNear,

    /// <summary>A thing stands out of the ground.</summary>
    Outside,

    /// <summary>More loads of a place than there are of it.</summary>
    TooMany,

    /// <summary>A thing is turned as its film must not be.</summary>
    Turned,

    /// <summary>A thing that is pinned lies elsewhere.</summary>
    Moved,
}

/// <summary>
/// Whether a plan can be cut, told from the outlines as they are and by nothing that the search uses: overlaps, distances and cover are
/// those of the exact overlay.
/// </summary>
public static class PlanCheck
{
    /// <summary>All that is wrong with a plan; nothing for a good one.</summary>
    /// <param name="items">What was to be laid.</param>
    /// <param name="places">Where.</param>
    /// <param name="terms">How.</param>
    /// <param name="plan">The plan.</param>
    public static IReadOnlyList<PlanFault> Of(IReadOnlyList<LayItem> items, IReadOnlyList<LayPlace> places, LayTerms terms, LayPlan plan)
    {
        ArgumentNullException.ThrowIfNull(items);
        ArgumentNullException.ThrowIfNull(places);
        ArgumentNullException.ThrowIfNull(terms);
        ArgumentNullException.ThrowIfNull(plan);
        var byId = items.ToDictionary(i => i.Id);
        return
        [
            .. Counted(byId, plan),
            .. plan
                .Loads.GroupBy(l => l.Place)
                .Where(g => g.Key < 0 || g.Key >= places.Count || g.Count() > places[g.Key].Count)
                .Select(g => new PlanFault(PlanFaultKind.TooMany, default, default, 0)),
            .. plan.Loads.SelectMany(
                (load, number) =>
                    load
                        .Items.Where(i => byId.ContainsKey(i.Id))
                        .SelectMany(i => OfOne(byId[i.Id], i, number, places[load.Place].Ground, terms))
            ),
            .. plan.Loads.SelectMany(load => TooNear(byId, load, terms.ScissorsRoom)),
        ];
    }

    private static IEnumerable<PlanFault> Counted(Dictionary<ItemId, LayItem> items, LayPlan plan)
    {
        var there = plan.Loads.SelectMany(l => l.Items).Select(i => i.Id).Concat(plan.NotLaid).ToList();
        var known = there.ToHashSet();
        return
        [
            .. items.Keys.Where(id => !known.Contains(id)).Select(id => new PlanFault(PlanFaultKind.Missing, id, id, 0)),
            .. there.GroupBy(id => id).Where(g => g.Count() > 1).Select(g => new PlanFault(PlanFaultKind.Twice, g.Key, g.Key, 0)),
            .. known.Where(id => !items.ContainsKey(id)).Select(id => new PlanFault(PlanFaultKind.Unknown, id, id, 0)),
        ];
    }

    private static IEnumerable<PlanFault> OfOne(LayItem item, LaidItem laid, int load, Area ground, LayTerms terms)
    {
        if (item.Pinned is { } pin && (pin.Load != load || pin.At != laid.At))
        {
            yield return new PlanFault(PlanFaultKind.Moved, item.Id, item.Id, 0);
        }

        if (item.Pinned is null && Turn(laid.At.Degrees, terms.Turning) > 0)
        {
            yield return new PlanFault(PlanFaultKind.Turned, item.Id, item.Id, 0);
        }

        var there = Outlines.Moved(item.Outline, laid.At.Motion);
        var left = Outlines
            .RingsOf(Outlines.Without(there, Outlines.Grown(ground, Tolerances.Fit, Tolerances.Fit / 10)))
            .SelectMany(r => r.Coordinates)
            .Select(c => new DistanceOp(ground, Outlines.Factory.CreatePoint(c)).Distance())
            .DefaultIfEmpty(0)
            .Max();
        if (left > Tolerances.Fit)
        {
            yield return new PlanFault(PlanFaultKind.Outside, item.Id, item.Id, left);
        }
    }

    private static double Turn(double degrees, LayTurning turning) =>
        turning switch
        {
            LayTurning.None => Math.Abs(Math.IEEERemainder(degrees, 360)),
            LayTurning.Quarter => Math.Abs(Math.IEEERemainder(degrees, 90)),
            _ => 0,
        };

    private static IEnumerable<PlanFault> TooNear(Dictionary<ItemId, LayItem> items, LaidLoad load, double room)
    {
        var there = load
            .Items.Where(i => items.ContainsKey(i.Id))
            .Select(i => (i.Id, Area: Outlines.Moved(items[i.Id].Outline, i.At.Motion)))
            .ToList();
        List<Envelope> boxes = there.ConvertAll(t => t.Area.EnvelopeInternal.Copy());
        boxes.ForEach(b => b.ExpandBy(room / 2));
        foreach (var (i, j) in Clusters.Meeting(boxes))
        {
            var (a, b) = (there[i].Area, there[j].Area);
            var apart = Within(a, b) || Within(b, a) ? 0 : IndexedFacetDistance.Distance(a, b);
            if (apart < room - Tolerances.Fit)
            {
                yield return new PlanFault(PlanFaultKind.TooNear, there[i].Id, there[j].Id, room - apart);
            }
            else if (apart == 0 && Overlay.Intersection(a, b).Area is var common && common > Tolerances.Fit * Math.Min(a.Length, b.Length))
            {
                yield return new PlanFault(PlanFaultKind.TooNear, there[i].Id, there[j].Id, common / Math.Min(a.Length, b.Length));
            }
        }
    }

    /// <summary>Whether a corner of any part of an area lies within another.</summary>
    private static bool Within(Area inner, Area outer)
    {
        var locator = new IndexedPointInAreaLocator(outer);
        return Outlines
            .PolygonsOf(inner)
            .Any(p =>
                locator.Locate(p.Coordinate) == Location.Interior && p.Shell.Coordinates.All(c => locator.Locate(c) != Location.Exterior)
            );
    }
}
