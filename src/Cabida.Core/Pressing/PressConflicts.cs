using Cabida.Core.Stock;
using Cabida.Core.Wording;

namespace Cabida.Core.Pressing;

/// <summary>Why layers cannot be pressed, and what would mend it.</summary>
/// <param name="Films">The films that exclude each other; one alone where goods or press exclude it.</param>
/// <param name="Why">It in words.</param>
/// <param name="Mends">What would mend it, each by itself.</param>
public sealed record PressConflict(IReadOnlyList<string> Films, Phrase Why, IReadOnlyList<Phrase> Mends);

/// <summary>Finds the fewest layers that exclude each other, and what would mend that.</summary>
internal static class PressConflicts
{
    /// <summary>Other orders are tried of so many layers at most.</summary>
    private const int MostOrdered = 5;

    /// <summary>As many films of the stock are named.</summary>
    private const int MostNamed = 3;

    public static PressConflict Of(IReadOnlyList<PressLayer> layers, HeatBounds bounds, IReadOnlyList<PressLayer> stock)
    {
        var core = Core(layers, bounds.Ceiling);
        var films = core.Select(l => l.Film).ToList();
        if (core.Count == 1)
        {
            return new PressConflict(films, Alone(core[0], bounds), [.. FromStock(core[0], layers, bounds, stock)]);
        }

        var lower = core.FirstOrDefault(l => CanWith(core, l, n => n with { Most = HeatPlan.MostSeconds }, bounds.Ceiling));
        var cooler = core.FirstOrDefault(l => CanWith(core, l, n => n with { MostHeat = double.PositiveInfinity }, bounds.Ceiling))
            ?? core.FirstOrDefault(l =>
                Hotter(core, l).Needs.From > l.Needs.MostHeat
                && CanWith(core, l, n => n with { MostHeat = double.PositiveInfinity, Most = HeatPlan.MostSeconds }, bounds.Ceiling)
            );
        var why = (lower, cooler) switch
        {
            ({ } l, _) => TooLong(core, l, bounds.Ceiling),
            (_, { } l) => Phrase.Say(
                $"{l.Film:strong} bears {l.Needs.MostHeat:0.#} °C, and {Hotter(core, l).Film:strong}, pressed after it, sets from "
                    + $"{Hotter(core, l).Needs.From:0.#} °C."
            ),
            _ => Phrase.Say($"{string.Join(" and ", films):strong} exclude each other: each needs more than another bears."),
        };
        return new PressConflict(films, why, [.. Mends(layers, core, lower ?? cooler, bounds, stock)]);
    }

    /// <summary>The fewest layers that cannot be pressed, each of which is needed for that.</summary>
    private static List<PressLayer> Core(IReadOnlyList<PressLayer> layers, double ceiling)
    {
        var core = layers.ToList();
        foreach (var layer in layers)
        {
            var without = core.Where(l => !ReferenceEquals(l, layer)).ToList();
            if (without.Count > 0 && PressPlanning.Best(without, ceiling) is null)
            {
                core = without;
            }
        }

        return core;
    }

    private static bool CanWith(IReadOnlyList<PressLayer> core, PressLayer one, Func<HeatNeeds, HeatNeeds> eased, double ceiling) =>
        PressPlanning.Best(Instead(core, one, one with { Needs = eased(one.Needs) }), ceiling) is not null;

    private static List<PressLayer> Instead(IReadOnlyList<PressLayer> of, PressLayer one, PressLayer other) =>
        [.. of.Select(l => ReferenceEquals(l, one) ? other : l)];

    private static Phrase Alone(PressLayer layer, HeatBounds bounds)
    {
        var sets = Phrase.Say($"{layer.Film:strong} sets from {layer.Needs.From:0.#} °C");
        return bounds.GoodsBear is { } bear && bear < layer.Needs.From
                ? Phrase.Say($"{sets}, and {bounds.Goods} bears {bear:0.#} °C: less than any way to press it.")
            : bounds.PressReaches is { } reach && reach < layer.Needs.From
                ? Phrase.Say($"{sets}, and {bounds.Press:strong} reaches {reach:0.#} °C.")
            : Phrase.Say($"{layer.Film:strong} bears {layer.Needs.Most} s, and needs more by itself.");
    }

    /// <summary>That a layer gets too much from those after it, with how much it would be at the least.</summary>
    private static Phrase TooLong(IReadOnlyList<PressLayer> core, PressLayer lower, double ceiling)
    {
        var eased = lower with { Needs = lower.Needs with { Most = HeatPlan.MostSeconds } };
        var plan = PressPlanning.Best(Instead(core, lower, eased), ceiling)!;
        var seconds = plan.SecondsOf(plan.Layers.ToList().IndexOf(eased));
        var others = string.Join(" and ", core.Where(l => !ReferenceEquals(l, lower)).Select(l => l.Film));
        return Phrase.Say(
            $"{lower.Film:strong} bears {lower.Needs.Most} s, and with {others:strong} pressed after it gets {seconds} s at the least."
        );
    }

    private static PressLayer Hotter(IReadOnlyList<PressLayer> core, PressLayer lower) =>
        core.Where(l => !ReferenceEquals(l, lower)).OrderByDescending(l => l.Needs.From).First();

    /// <summary>
    /// Another order or another film, each tried before it is named; and a press from the other side, of which nothing can be said before.
    /// </summary>
    private static IEnumerable<Phrase> Mends(
        IReadOnlyList<PressLayer> layers,
        List<PressLayer> core,
        PressLayer? lower,
        HeatBounds bounds,
        IReadOnlyList<PressLayer> stock
    )
    {
        if (layers.Count <= MostOrdered)
        {
            var ordered = PressPlanning
                .Orders(layers)
                .Select(o => PressPlanning.Best(o, bounds.Ceiling))
                .OfType<PressPlan>()
                .OrderBy(p => (p.Seconds, p.Changes))
                .FirstOrDefault();
            if (ordered is not null)
            {
                var names = string.Join(", then ", ordered.Layers.Select(l => l.Film));
                yield return Phrase.Say(
                    $"In another order it can be done, in {ordered.Seconds} s: {names:strong}. The artwork has to allow it."
                );
            }
        }

        foreach (var phrase in core.SelectMany(l => FromStock(l, layers, bounds, stock)))
        {
            yield return phrase;
        }

        if (lower is not null && core.All(l => l.Face == core[0].Face))
        {
            var upper = core.Last(l => !ReferenceEquals(l, lower));
            yield return Phrase.Say(
                $"Where the goods are thin, {upper.Film:strong} can be pressed from the other side, through them. How much heat "
                    + $"comes through is not known: try it on a scrap."
            );
        }
    }

    private static IEnumerable<Phrase> FromStock(
        PressLayer one,
        IReadOnlyList<PressLayer> layers,
        HeatBounds bounds,
        IReadOnlyList<PressLayer> stock
    )
    {
        var can = stock
            .Where(s => layers.All(l => l.Film != s.Film))
            .Where(s => PressPlanning.Best(Instead(layers, one, s with { Face = one.Face }), bounds.Ceiling) is not null)
            .Take(MostNamed)
            .Select(s => s.Film)
            .ToList();
        if (can.Count > 0)
        {
            yield return Phrase.Say($"Take {string.Join(" or ", can):strong} instead of {one.Film:strong}.");
        }
    }
}
