using Cabida.Core.Wording;

namespace Cabida.Core.Pressing;

/// <summary>
/// The plan with the fewest seconds, and among those the one with the fewest changes of heat, by trying closings from the last to the first
/// (branch and bound; what was reached better before is not followed again).
///
/// Of heats only the lower ends of the films' windows are tried: a heat that is lowered to the nearest one below it still lies in every
/// window in which it lay, and under every ceiling. Where all windows meet, one heat counts for every film, so fewest seconds and one heat
/// never exclude each other.
/// </summary>
internal sealed class PressSearch
{
    /// <summary>More layers than this are planned by nobody.</summary>
    public const int MostLayers = 8;

    private const int MostNodes = 2_000_000;
    private readonly IReadOnlyList<PressLayer> layers;
    private readonly double[] heats;
    private readonly double[] ceilings;
    private readonly Stack<Closing> chosen = new();
    private readonly Dictionary<UInt128, (int, int)> reached = [];
    private (int Seconds, int Changes)? best;
    private Closing[] found = [];
    private int nodes;

    private PressSearch(IReadOnlyList<PressLayer> layers, double ceiling)
    {
        this.layers = layers;
        heats = [.. layers.Select(l => l.Needs.From).Distinct().Order()];
        ceilings = new double[layers.Count];
        for (var (i, most) = (0, ceiling); i < layers.Count; i++)
        {
            ceilings[i] = most = Math.Min(most, layers[i].Needs.MostHeat);
        }
    }

    /// <summary>The plan for layers in this order; null where there is none.</summary>
    /// <param name="layers">The layers, those beneath first.</param>
    /// <param name="ceiling">The most heat that goods and press allow; degrees Celsius.</param>
    /// <exception cref="TooMuchWorkException">There are too many.</exception>
    public static PressPlan? Best(IReadOnlyList<PressLayer> layers, double ceiling)
    {
        if (layers.Count > MostLayers)
        {
            throw TooMany(layers.Count);
        }

        var search = new PressSearch(layers, ceiling);
        var needed = new State([.. layers.Select(l => l.Needs.Seconds)], [.. layers.Select(l => l.Needs.Second == 0)], 0, 0, double.NaN);
        search.Close(layers.Count - 1, needed, peeled: true);
        return search.best is null ? null : new PressPlan(layers, HeatWithin.Centred(layers, search.found, ceiling));
    }

    private static TooMuchWorkException TooMany(int count) =>
        new(Phrase.Say($"{count} layers of film are more than can be planned; the most is {MostLayers}."));

    /// <summary>What is still needed before the closings that were chosen so far, which are the last ones.</summary>
    /// <param name="Lacks">Seconds that each layer still lacks.</param>
    /// <param name="Pressed">Whether each has its second press, or needs none.</param>
    /// <param name="Seconds">The seconds chosen so far.</param>
    /// <param name="Changes">The changes of heat so far.</param>
    /// <param name="Heat">The heat of the earliest closing chosen so far.</param>
    private sealed record State(int[] Lacks, bool[] Pressed, int Seconds, int Changes, double Heat);

    /// <summary>Chooses the closings of a layer and those before it.</summary>
    /// <param name="at">The layer.</param>
    /// <param name="state">What comes after.</param>
    /// <param name="peeled">Whether its second press is to be chosen before the closing that lays it.</param>
    private void Close(int at, State state, bool peeled)
    {
        if (best is { } b && (state.Seconds + Tacks(at), state.Changes).CompareTo(b) >= 0)
        {
            return;
        }

        if (at < 0)
        {
            (best, found) = ((state.Seconds, state.Changes), [.. chosen]);
            return;
        }

        if (++nodes > MostNodes)
        {
            throw TooMany(layers.Count);
        }

        if (!IsNew(at, state, peeled))
        {
            return;
        }

        var needs = layers[at].Needs;
        if (peeled && state.Pressed[at])
        {
            Close(at, state, peeled: false);
            return;
        }

        foreach (var heat in heats.Where(h => needs.SetsAt(h) && h <= ceilings[at]))
        {
            var least = peeled ? needs.Second : Math.Max(needs.Tack, state.Lacks[at]);
            var most = Math.Min(Math.Max(least, UsefulTo(at, heat, state)), needs.Most - state.Seconds);
            for (var seconds = least; seconds <= most; seconds++)
            {
                chosen.Push(new Closing(at, peeled, heat, seconds));
                var after = After(at, heat, seconds, state, peeled);
                Close(peeled ? at : at - 1, after, peeled: !peeled);
                chosen.Pop();
            }
        }
    }

    /// <summary>The least seconds that the layers up to one still take.</summary>
    private int Tacks(int upTo) => Enumerable.Range(0, upTo + 1).Sum(i => layers[i].Needs.Tack) * (upTo < 0 ? 0 : 1);

    /// <summary>Longer than this serves no layer beneath.</summary>
    private int UsefulTo(int at, double heat, State state) =>
        Enumerable
            .Range(0, at + 1)
            .Where(i => layers[i].Face == layers[at].Face && layers[i].Needs.SetsAt(heat))
            .Max(i => Math.Max(state.Lacks[i], state.Pressed[i] ? 0 : layers[i].Needs.Second));

    private State After(int at, double heat, int seconds, State state, bool isSecond)
    {
        var (lacks, pressed) = ((int[])state.Lacks.Clone(), (bool[])state.Pressed.Clone());
        for (var i = 0; i <= at; i++)
        {
            if (layers[i].Face == layers[at].Face && layers[i].Needs.SetsAt(heat))
            {
                // A second press comes on top of what its own film needs.
                lacks[i] = i < at || !isSecond ? Math.Max(0, lacks[i] - seconds) : lacks[i];
                pressed[i] |= (i < at || isSecond) && seconds >= layers[i].Needs.Second;
            }
        }

        var changes = state.Changes + (double.IsNaN(state.Heat) || state.Heat == heat ? 0 : 1);
        return new State(lacks, pressed, state.Seconds + seconds, changes, heat);
    }

    /// <summary>
    /// Whether the same was not reached as well before. What follows depends on the lacks of the layers beneath alone, and fewer seconds
    /// leave more of what they bear.
    /// </summary>
    private bool IsNew(int at, State state, bool peeled)
    {
        // Ten bits for seconds of each layer, one for its second press, the heat, the layer.
        var key = (UInt128)(uint)((at * 2) + (peeled ? 1 : 0));
        key = (key << 5) + (UInt128)(uint)(Array.IndexOf(heats, state.Heat) + 1);
        for (var i = 0; i <= at; i++)
        {
            key = (key << 11) + (UInt128)(uint)((state.Lacks[i] * 2) + (state.Pressed[i] ? 1 : 0));
        }

        var now = (state.Seconds, state.Changes);
        if (reached.TryGetValue(key, out var before) && now.CompareTo(before) >= 0)
        {
            return false;
        }

        reached[key] = now;
        return true;
    }
}
