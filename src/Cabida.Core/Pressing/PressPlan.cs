using Cabida.Core.Stock;

namespace Cabida.Core.Pressing;

/// <summary>A film that is pressed on, in the order in which films go on: those beneath come first.</summary>
/// <param name="Film">What it is called.</param>
/// <param name="Face">The face of the goods that it is on, from 0.</param>
/// <param name="Needs">What it needs and bears.</param>
public sealed record PressLayer(string Film, int Face, HeatNeeds Needs);

/// <summary>One closing of the press.</summary>
/// <param name="Layer">The layer that it is for, as the layers of its plan are ordered.</param>
/// <param name="IsSecond">Whether it is the second press of a layer that was peeled.</param>
/// <param name="Celsius">How hot it is; degrees Celsius.</param>
/// <param name="Seconds">For how long.</param>
public sealed record Closing(int Layer, bool IsSecond, double Celsius, int Seconds);

/// <summary>How all layers of a piece are pressed (calculations 6.13).</summary>
/// <param name="Layers">The layers in the order in which they go on, face after face.</param>
/// <param name="Closings">The closings in order.</param>
public sealed record PressPlan(IReadOnlyList<PressLayer> Layers, IReadOnlyList<Closing> Closings)
{
    /// <summary>The seconds of all closings.</summary>
    public int Seconds => Closings.Sum(c => c.Seconds);

    /// <summary>How often the press is set to another heat on the way.</summary>
    public int Changes => Closings.Zip(Closings.Skip(1)).Count(p => p.First.Celsius != p.Second.Celsius);

    /// <summary>For how long a layer is pressed in all, also from the other face.</summary>
    public int SecondsOf(int layer) => Closings.Where(c => c.Layer >= layer).Sum(c => c.Seconds);

    /// <summary>
    /// For how long it is pressed on its own face at a heat at which it sets: what comes through the goods from the other face is not
    /// known, and counts for nothing; nor does its own second press, which comes on top of what it needs.
    /// </summary>
    public int SettingSecondsOf(int layer) =>
        Closings
            .Where(c => c.Layer > layer || (c.Layer == layer && !c.IsSecond))
            .Where(c => Layers[c.Layer].Face == Layers[layer].Face && Layers[layer].Needs.SetsAt(c.Celsius))
            .Sum(c => c.Seconds);

    /// <summary>
    /// Whether every layer gets what it needs and nothing gets more than it bears; the plan's proof, by the definition alone.
    /// </summary>
    /// <param name="ceiling">The most heat that goods and press allow; degrees Celsius.</param>
    public bool Holds(double ceiling) =>
        Closings.All(c =>
            Layers[c.Layer].Needs.SetsAt(c.Celsius)
            && c.Celsius <= ceiling
            && Layers.Take(c.Layer + 1).All(l => c.Celsius <= l.Needs.MostHeat)
            && c.Seconds >= (c.IsSecond ? Layers[c.Layer].Needs.Second : Layers[c.Layer].Needs.Tack)
        )
        && Layers
            .Select((l, i) => (l.Needs, i))
            .All(l =>
                Closings.Count(c => c.Layer == l.i && !c.IsSecond) == 1
                && SettingSecondsOf(l.i) >= l.Needs.Seconds
                && SecondsOf(l.i) <= l.Needs.Most
                && (l.Needs.Second == 0 || Closings.Any(c => IsSecondOf(c, l.i)))
            );

    /// <summary>
    /// Whether a closing is, or serves as, the second press of a layer: on its face, once it was peeled, hot and long enough.
    /// </summary>
    private bool IsSecondOf(Closing closing, int layer) =>
        (closing.Layer == layer ? closing.IsSecond : closing.Layer > layer && Layers[closing.Layer].Face == Layers[layer].Face)
        && closing.Seconds >= Layers[layer].Needs.Second
        && Layers[layer].Needs.SetsAt(closing.Celsius);
}
