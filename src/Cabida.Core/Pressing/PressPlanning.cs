using Cabida.Core.Wording;

namespace Cabida.Core.Pressing;

/// <summary>How layers are pressed, or why they cannot be.</summary>
/// <param name="Plan">The plan; null where there is none.</param>
/// <param name="Conflict">What excludes what, where there is none.</param>
public sealed record PressAnswer(PressPlan? Plan, PressConflict? Conflict);

/// <summary>Plans how the layers of a piece are pressed, front and back (calculations 6.13).</summary>
public static class PressPlanning
{
    /// <summary>The faces whose order is tried in every way; more are pressed in the order in which they come.</summary>
    private const int MostFacesTried = 4;

    /// <summary>
    /// The plan with the fewest seconds, and of those the one with the fewest changes of heat. The second face is pressed with the first
    /// face down, so the first's films bear it; whichever order of faces is better is taken. Bare goods are pressed before.
    /// </summary>
    /// <param name="layers">The layers, those of a face together, those beneath first.</param>
    /// <param name="bounds">What goods and press allow.</param>
    /// <param name="stock">Other films that are pressed on, from which one is named where it would mend what cannot be.</param>
    /// <exception cref="TooMuchWorkException">There are too many layers.</exception>
    public static PressAnswer Of(IReadOnlyList<PressLayer> layers, HeatBounds bounds, IReadOnlyList<PressLayer> stock)
    {
        ArgumentNullException.ThrowIfNull(layers);
        ArgumentNullException.ThrowIfNull(bounds);
        ArgumentNullException.ThrowIfNull(stock);
        var plan = Best(layers, bounds.Ceiling);
        return plan is not null ? new PressAnswer(plan, null) : new PressAnswer(null, PressConflicts.Of(layers, bounds, stock));
    }

    /// <summary>The best plan over all orders of faces; null where there is none.</summary>
    internal static PressPlan? Best(IReadOnlyList<PressLayer> layers, double ceiling)
    {
        PressPlan? best = null;
        foreach (var order in FaceOrders(layers))
        {
            var plan = PressSearch.Best([.. order.SelectMany(f => layers.Where(l => l.Face == f))], ceiling);
            if (plan is not null && (best is null || (plan.Seconds, plan.Changes).CompareTo((best.Seconds, best.Changes)) < 0))
            {
                best = plan;
            }
        }

        return best;
    }

    private static IEnumerable<IReadOnlyList<int>> FaceOrders(IReadOnlyList<PressLayer> layers)
    {
        var faces = layers.Select(l => l.Face).Distinct().ToList();
        return faces.Count > MostFacesTried ? [faces] : Orders(faces);
    }

    /// <summary>All orders of a few things, as they stand first.</summary>
    internal static IEnumerable<IReadOnlyList<T>> Orders<T>(IReadOnlyList<T> of) =>
        of.Count == 0
            ?
            [
                [],
            ]
            : of.SelectMany((first, i) => Orders([.. of.Where((_, j) => j != i)]).Select(rest => (IReadOnlyList<T>)[first, .. rest]));
}
