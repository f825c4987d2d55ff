using Cabida.Core.Measures;
using Cabida.Core.Wording;

namespace Cabida.Core.Stock;

/// <summary>What else changes when one film is taken instead of another: mirror, limits, what it is for, heat, sheet.</summary>
public static class FilmChange
{
    /// <summary>The differences in words; none when the films are alike but for name and colour.</summary>
    public static IReadOnlyList<Phrase> Between(Film from, Film to)
    {
        ArgumentNullException.ThrowIfNull(from);
        ArgumentNullException.ThrowIfNull(to);
        var changes = new List<Phrase>();
        if (from.Mirrored != to.Mirrored)
        {
            changes.Add(
                to.Mirrored
                    ? Phrase.Say($"{to.Name:strong} is cut {"mirrored":strong}, from the back.")
                    : Phrase.Say($"{to.Name:strong} is {"not":strong} mirrored: it is cut as it reads.")
            );
        }

        var (was, now) = (FilmLimits.Of(from), FilmLimits.Of(to));
        foreach (
            var (what, before, after) in new[]
            {
                ("thinnest stroke", was.Stroke, now.Stroke),
                ("narrowest gap", was.Gap, now.Gap),
                ("smallest dot or counter", was.SpeckAcross, now.SpeckAcross),
            }.Where(l => Math.Abs(l.Item2 - l.Item3) > 1e-9)
        )
        {
            changes.Add(Phrase.Say($"Its {what} is {Length.Mm(after):fine} instead of {Length.Mm(before):fine}."));
        }

        if (from.Purpose != to.Purpose)
        {
            changes.Add(
                to.Purpose switch
                {
                    FilmPurpose.PulledOff => Phrase.Say($"It is a mask: painted over and pulled off, so that ink and waste change places."),
                    FilmPurpose.Loose => Phrase.Say($"It is a loose stencil: islands fall out of it."),
                    _ => Phrase.Say($"It stays on the goods."),
                }
            );
        }

        if (from.Direction != to.Direction)
        {
            changes.Add(
                to.Direction switch
                {
                    FilmDirection.OneWay => Phrase.Say($"It has a direction: pieces of it are not turned on a load."),
                    FilmDirection.Any => Phrase.Say($"Pieces of it may be turned by any angle on a load."),
                    _ => Phrase.Say($"Pieces of it may be turned by quarters on a load."),
                }
            );
        }

        if (from.Material != to.Material)
        {
            changes.Add(
                Phrase.Say(
                    $"It is {Named(to.Material)} instead of {Named(from.Material)}; it gives {100 * to.Gives.Stretch:0.0} % instead "
                        + $"of {100 * from.Gives.Stretch:0.0} %."
                )
            );
        }

        changes.AddRange(Heat(from.Heat, to.Heat));
        var (w, h) = (to.Width.OrZero(LengthRange.Object), to.Length.OrZero(LengthRange.Object));
        if (w != from.Width.OrZero(LengthRange.Object) || h != from.Length.OrZero(LengthRange.Object))
        {
            changes.Add(Phrase.Say($"Its sheet is {w} × {h}."));
        }

        return changes;
    }

    private static IEnumerable<Phrase> Heat(HeatPlan from, HeatPlan to)
    {
        if (from.Window == to.Window)
        {
            yield break;
        }

        yield return (from.Window, to.Window) switch
        {
            ({ } before, { } now) => Phrase.Say(
                $"It is pressed at {FilmOnBlank.Degrees(now)} instead of {FilmOnBlank.Degrees(before)}; what lies under it has to "
                    + $"stand that."
            ),
            (null, { } now) => Phrase.Say($"It is pressed at {FilmOnBlank.Degrees(now)}; the other is not pressed."),
            ({ } before, null) => Phrase.Say($"It is not pressed; the other is pressed at {FilmOnBlank.Degrees(before)}."),
            _ => Phrase.Empty,
        };
    }

    private static string Named(FilmMaterial material) =>
        material switch
        {
            FilmMaterial.Vinyl => "self-adhesive vinyl",
            FilmMaterial.HeatTransfer => "heat-transfer film",
            FilmMaterial.Card => "card",
            FilmMaterial.Sheet => "stiff sheet",
            _ => throw new ArgumentOutOfRangeException(nameof(material)),
        };
}
