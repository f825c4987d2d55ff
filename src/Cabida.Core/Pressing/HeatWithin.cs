namespace Cabida.Core.Pressing;

/// <summary>
/// Moves the heats of a plan to the middle of where they may lie, so that a press that is a little off does no harm: closings that share a
/// heat keep sharing it, and none leaves a window in which it lies or goes over what lies beneath bears.
/// </summary>
internal static class HeatWithin
{
    /// <summary>Closings with their heats in the middle, to the whole degree where one lies there.</summary>
    public static IReadOnlyList<Closing> Centred(IReadOnlyList<PressLayer> layers, IReadOnlyList<Closing> closings, double ceiling)
    {
        var centred = new List<Closing>();
        for (var from = 0; from < closings.Count; )
        {
            var group = closings.Skip(from).TakeWhile(c => c.Celsius == closings[from].Celsius).ToList();
            var (low, high) = (0.0, ceiling);
            foreach (var (closing, beneath) in group.SelectMany(c => layers.Take(c.Layer + 1).Select(l => (c, l))))
            {
                high = Math.Min(high, beneath.Needs.MostHeat);
                if (beneath.Face == layers[closing.Layer].Face && beneath.Needs.SetsAt(closing.Celsius))
                {
                    (low, high) = (Math.Max(low, beneath.Needs.From), Math.Min(high, beneath.Needs.To));
                }
            }

            var middle = (low + high) / 2;
            var whole = Math.Round(middle, MidpointRounding.ToZero);
            var heat = whole >= low && whole <= high ? whole : middle;
            centred.AddRange(group.Select(c => c with { Celsius = heat }));
            from += group.Count;
        }

        return centred;
    }
}
