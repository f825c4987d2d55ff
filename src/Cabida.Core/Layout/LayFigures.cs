using Cabida.Core.Geometry;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Layout;

/// <summary>How well a plan uses its places.</summary>
/// <param name="Density">
/// The area of all outlines grown by half of the scissors room, over that of the places used, grown as well; of the last load, as far up as
/// it is used.
/// </param>
/// <param name="LeastLoads">Fewer loads than this are not possible: the areas alone take so many.</param>
/// <param name="Length">How far up the last load is used; millimetres.</param>
public sealed record LayFigures(double Density, int LeastLoads, double Length)
{
    /// <summary>The figures of a plan.</summary>
    public static LayFigures Of(IReadOnlyList<LayItem> items, IReadOnlyList<LayPlace> places, LayTerms terms, LayPlan plan)
    {
        ArgumentNullException.ThrowIfNull(items);
        ArgumentNullException.ThrowIfNull(places);
        ArgumentNullException.ThrowIfNull(terms);
        ArgumentNullException.ThrowIfNull(plan);
        var half = terms.ScissorsRoom / 2;
        double Grown(Area area) => half == 0 ? area.Area : Outlines.Grown(area, half, Tolerances.Check).Area;
        var byKind = items.GroupBy(i => i.Kind).Where(g => g.Key.Length > 0).ToDictionary(g => g.Key, g => Grown(g.First().Outline));
        var areas = items.ToDictionary(i => i.Id, i => i.Kind.Length > 0 ? byKind[i.Kind] : Grown(i.Outline));
        var laid = plan.Loads.SelectMany(l => l.Items).Sum(i => areas[i.Id]);
        var grounds = plan.Loads.Select(l => places[l.Place].Ground).ToList();
        var used = grounds.Select((g, i) => i == grounds.Count - 1 ? Grown(Below(g, plan.Length)) : Grown(g)).Sum();
        return new LayFigures(used > 0 ? laid / used : 0, LeastOf(areas.Values.Sum(), places, Grown), plan.Length);
    }

    /// <summary>The part of a ground up to a height above its foot.</summary>
    private static Area Below(Area ground, double length)
    {
        var box = Box.Of(ground)!.Value;
        return Outlines.Within(ground, Outlines.Rectangle(box with { MaxY = box.MinY + length }));
    }

    /// <summary>So many loads at least: the places of the largest area first, until they hold all.</summary>
    private static int LeastOf(double area, IReadOnlyList<LayPlace> places, Func<Area, double> grown)
    {
        var (left, loads) = (area, 0);
        foreach (var (ground, count) in places.Select(p => (Area: grown(p.Ground), p.Count)).OrderByDescending(p => p.Area))
        {
            // A hair's width of area more, as from the corners of what is grown, asks for no other load.
            var takes = (int)Math.Min(count, Math.Ceiling((left / ground) - 1e-6));
            (left, loads) = (left - (takes * ground), loads + takes);
            if (left <= area * 1e-6)
            {
                break;
            }
        }

        return loads;
    }
}
