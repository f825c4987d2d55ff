using Cabida.Core.Pressing;

namespace Cabida.Core.Tests.Pressing;

/// <summary>The best plan of a press by trying all there are: what a search is held against.</summary>
internal static class EveryPressPlan
{
    /// <summary>Fewest seconds and changes over all orders of faces, whole heats and seconds; null where nothing holds.</summary>
    public static (int Seconds, int Changes)? Best(PressLayer[] layers, double ceiling)
    {
        (int Seconds, int Changes)? best = null;
        foreach (
            var order in (int[][])
                [
                    [0, 1],
                    [1, 0],
                ]
        )
        {
            var ordered = order.SelectMany(f => layers.Where(l => l.Face == f)).ToList();
            Try(ordered, 0, [], 0, 0);
            if (layers.All(l => l.Face == layers[0].Face))
            {
                break;
            }
        }

        return best;

        void Try(List<PressLayer> ordered, int at, List<Closing> closings, int seconds, int changes)
        {
            // All of it is borne by the first layer.
            if (seconds > ordered[0].Needs.Most || (best is { } b && (seconds, changes).CompareTo(b) >= 0))
            {
                return;
            }

            if (at == 2 * ordered.Count)
            {
                if (new PressPlan(ordered, closings).Holds(ceiling))
                {
                    best = (seconds, changes);
                }

                return;
            }

            var (layer, isSecond) = (at / 2, at % 2 == 1);
            if (isSecond)
            {
                Try(ordered, at + 1, closings, seconds, changes);
                if (ordered[layer].Needs.Second == 0)
                {
                    return;
                }
            }

            for (var heat = ordered[layer].Needs.From; heat <= ordered[layer].Needs.To; heat++)
            {
                for (var s = 1; s <= 3; s++)
                {
                    var change = closings.Count > 0 && closings[^1].Celsius != heat ? 1 : 0;
                    Try(ordered, at + 1, [.. closings, new Closing(layer, isSecond, heat, s)], seconds + s, changes + change);
                }
            }
        }
    }
}
