using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using Cabida.Core.Wording;

namespace Cabida.Core.Blanks;

/// <summary>
/// A bellied wall as its readings tell it. A film is laid on the cone through the ends of its zone, so every zone has a
/// development of its own.
/// </summary>
/// <param name="Belly">The profile.</param>
/// <param name="Height">Along the wall, base to rim.</param>
/// <param name="Handle">What the handle blocks; null without one.</param>
public sealed record BelliedWall(Belly Belly, Dimension Height, Dimension? Handle)
{
    /// <summary>The whole wall as a cone through its outermost readings, for drawing.</summary>
    public Wall Whole => Between(Belly.Lowest, Belly.Highest);

    /// <summary>The wall as the cone (or cylinder) through its girths at two heights.</summary>
    public Wall Between(double low, double high)
    {
        Dimension a = Belly.GirthWithin(low),
            b = Belly.GirthWithin(high);
        var lower = new Dimension(a.Value, a.Uncertainty);
        var length = new Dimension(Length.Mm(high - low), Height.Uncertainty);
        var equal = Math.Abs((a.Value - b.Value).Millimetres) <= Dimension.Combined(a.Uncertainty, b.Uncertainty).Millimetres;
        // Girths at both ends that cannot be told apart make a cylinder of the smaller of them: film laid so never gathers.
        return equal
            ? new Wall(null, a.Value < b.Value ? a : b, Height, Length.Zero, Handle) { Belly = Belly }
            : new Wall(new Cone(b, lower, length), lower, Height, Length.Mm(low), Handle) { Belly = Belly };
    }

    /// <summary>Lays a zone out within the heights that were read.</summary>
    internal WallZone.Laid Lay(ReadZone zone, IReadOnlyList<ReadClear> kept)
    {
        var notes = new List<Phrase>();
        var (low, high) = (zone.Bottom.Millimetres, (Height.Value - zone.Top).Millimetres);
        if (zone.Height is { } typed)
        {
            var y = Datums.Of(new Box(0, 0, 0, Height.Value.Millimetres)).Centre(zone.Spec.Place, typed).ValueOrDefault.Y;
            (low, high) = (Math.Max(low, y - (typed / 2)), Math.Min(high, y + (typed / 2)));
        }

        if (low < Belly.Lowest || high > Belly.Highest)
        {
            notes.Add(
                Phrase.Say(
                    $"{zone.Spec.Name:strong} ends where girths were read, {Length.Mm(Belly.Lowest)} to {Length.Mm(Belly.Highest)} "
                        + $"up the wall: beyond them its shape is not known."
                )
            );
            (low, high) = (Math.Max(low, Belly.Lowest), Math.Min(high, Belly.Highest));
        }

        if (high - low <= Height.Uncertainty.Millimetres)
        {
            return new WallZone.Laid(
                null,
                Whole,
                Phrase.Say(
                    $"The margins leave nothing of the heights at which girths were read, {Length.Mm(Belly.Lowest)} to "
                        + $"{Length.Mm(Belly.Highest)}."
                ),
                notes
            );
        }

        var laid = WallZone.Lay(
            Between(low, high),
            zone with
            {
                Bottom = Length.Mm(low),
                Top = Length.Mm(Height.Value.Millimetres - high),
                Height = zone.Height is null ? null : high - low,
                Spec = zone.Height is null
                    ? zone.Spec
                    : zone.Spec with
                    {
                        Place = zone.Spec.Place with { From = Datum.Bottom, Away = TypedLength.Mm(low) },
                    },
            },
            kept
        );
        return laid with { Notes = [.. notes, .. laid.Notes] };
    }
}
