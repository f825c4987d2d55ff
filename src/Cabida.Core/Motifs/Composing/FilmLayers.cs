using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using Cabida.Core.Type;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Motifs;

/// <summary>Placed parts → ink by film: each part, in order, does to the ink of its film and ply what its action says.</summary>
internal sealed class FilmLayers
{
    private readonly Dictionary<FilmPly, IReadOnlyList<PlacedInk>> layers = [];
    private readonly List<FilmPly> order = [];
    private readonly Scales scales;
    private readonly LayerInk ink;

    private FilmLayers(Scales scales, InkCache? cache) => (this.scales, ink) = (scales, new LayerInk(cache));

    /// <summary>The ink by film, in the order in which the films lie: the lowest first.</summary>
    /// <param name="parts">The parts in place, in order.</param>
    /// <param name="scales">The scales they are drawn at.</param>
    /// <param name="cache">Where results are kept; null to keep none.</param>
    /// <param name="failing">What becomes of parts that cannot be joined or cut; null where they end the work.</param>
    public static IReadOnlyList<FilmInk> Of(IReadOnlyList<PlacedPart> parts, Scales scales, InkCache? cache, FailingParts? failing = null)
    {
        var all = new FilmLayers(scales, cache);
        for (var i = 0; i < parts.Count; i++)
        {
            var (part, before) = (parts[i], parts.Take(i));
            foreach (
                var (film, ink) in (failing ?? new FailingParts(areLeftOut: false)).Try(part.Part.Id, () => all.Taken(part, before)) ?? []
            )
            {
                all.layers[film] = ink;
            }
        }

        return [.. all.order.Where(f => all.layers[f].Count > 0).Select(f => new FilmInk(f, all.layers[f]))];
    }

    /// <summary>All films' ink as one area.</summary>
    public static Area Joined(IReadOnlyList<FilmInk> films) =>
        films.Count switch
        {
            0 => Outlines.Empty,
            1 => films[0].Ink,
            _ => Outlines.Join([.. films.SelectMany(f => Outlines.PolygonsOf(f.Ink))]),
        };

    /// <summary>The films that a part changes, as they are after it.</summary>
    private List<(FilmPly Film, IReadOnlyList<PlacedInk> Ink)> Taken(PlacedPart placed, IEnumerable<PlacedPart> before)
    {
        switch (placed.Part)
        {
            case BackingPart backing:
                return Back(backing, [.. before]);
            case MatPart or { Action: PartAction.Adds }:
                return [.. placed.Ink.Select(own => (own.Film, ink.With(Layer(own.Film, order.Count), own.Pieces)))];
            default:
                // What takes away acts on whole films, whatever films its drawing is of.
                var own = new FilmPly(placed.Part.FilmId, placed.Part.Ply);
                _ = Layer(own, order.Count);
                return
                [
                    .. order
                        .Where(f => placed.Part.TakesFrom(f) || f == own)
                        .Select(f => (f, Taken(layers[f], placed, placed.Part.TakesFrom(f), f == own))),
                ];
        }
    }

    /// <summary>The ink of a film so far; one that is new lies at a place among the others.</summary>
    private IReadOnlyList<PlacedInk> Layer(FilmPly film, int at)
    {
        if (layers.TryGetValue(film, out var before))
        {
            return before;
        }

        order.Insert(at, film);
        return layers[film] = [];
    }

    /// <summary>A film's ink after a part that takes away.</summary>
    /// <param name="before">The ink before it.</param>
    /// <param name="placed">The part.</param>
    /// <param name="takes">Whether it takes from this film.</param>
    /// <param name="stands">Whether it stands in this film itself, where it clears around.</param>
    private IReadOnlyList<PlacedInk> Taken(IReadOnlyList<PlacedInk> before, PlacedPart placed, bool takes, bool stands)
    {
        var own = ink.With([], placed.Ink.SelectMany(i => i.Pieces));
        var left = !takes
            ? before
            : placed.Part.Action switch
            {
                PartAction.CutsThrough => ink.Without(before, own),
                PartAction.Confines => ink.Within(before, own),
                _ => ink.Without(before, ink.Grown(own, placed.Part.Clearance.At(scales, LengthRange.Margin), solid: false)),
            };
        return stands && placed.Part.Action == PartAction.ClearsAround ? ink.With(left, own) : left;
    }

    private List<(FilmPly Film, IReadOnlyList<PlacedInk> Ink)> Back(BackingPart backing, List<PlacedPart> before)
    {
        var from = before
            .Where(p =>
                p.Part is not BackingPart
                && p.Part.Action is PartAction.Adds or PartAction.ClearsAround
                && (backing.Of.Count == 0 || backing.Of.Contains(p.Part.Id))
            )
            .ToList();
        if (from.Count == 0)
        {
            return [];
        }

        // It lies under the films it is grown from.
        var film = new FilmPly(backing.FilmId, backing.Ply);
        var lowest = from.SelectMany(p => p.Body.Ink.Select(x => order.IndexOf(x.Film)))
            .Where(x => x >= 0)
            .DefaultIfEmpty(order.Count)
            .Min();
        var under = ink.Grown(
            ink.With([], from.SelectMany(p => p.Ink).SelectMany(i => i.Pieces)),
            backing.By.At(scales, LengthRange.Margin),
            backing.Solid
        );
        // What goes through other films than its own is in what lies under them, too: a hole in a plate is in its backing.
        foreach (var through in before.Where(p => p.Part.ActsOn != ActsOn.Own && p.Part.TakesFrom(film)))
        {
            under = Taken(under, through, takes: true, stands: false);
        }

        return [(film, ink.With(Layer(film, lowest), under))];
    }
}
