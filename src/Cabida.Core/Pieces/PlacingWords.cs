using Cabida.Core.Blanks;
using Cabida.Core.Measures;
using Cabida.Core.Wording;

namespace Cabida.Core.Pieces;

/// <summary>Where a side of a piece is placed, in a sentence for the hands at the bench.</summary>
public static class PlacingWords
{
    /// <summary>From where to measure in, in the words of the blank's own zone; nothing while it has no room.</summary>
    public static Phrase Of(LaidZone laid)
    {
        ArgumentNullException.ThrowIfNull(laid);
        if (laid.Zone is not { } zone)
        {
            return Phrase.Empty;
        }

        var across = laid.Stands?.Across ?? 0;
        var aside =
            Math.Abs(across) < 0.05
                ? Phrase.Empty
                : Phrase.Say($", {Length.Mm(Math.Abs(across))} to the {(across < 0 ? "left" : "right")} of it");
        if (laid.Wall is { } wall)
        {
            var opposite = wall.Handle is null ? "seam" : "handle";
            return RoundToHandle(wall, zone) is { } round
                ? Phrase.Say(
                    $"Middle of the ink on the line opposite the {opposite} ({Length.Mm(round)} round to either side). Measure each "
                        + $"piece down from the rim."
                )
                : Phrase.Say($"Middle of the ink from the line opposite the {opposite}{aside}. Measure each piece down from the rim.");
        }

        if (laid.Panel is { } panel)
        {
            var from = laid.Spec.Place.From;
            // Within a sentence a name begins small, unless it is an abbreviation.
            var isWord = panel.Name is [_, var next, ..] && char.IsLower(next);
            var named = isWord ? char.ToLowerInvariant(panel.Name[0]) + panel.Name[1..] : panel.Name;
            var line = panel.Face == FaceKey.Front ? "middle line" : $"middle line of the {named}";
            return laid.Spec.Height.IsEmpty
                || from is Datum.Middle or Datum.Top or Datum.Bottom
                || !panel.Datums.Heights.TryGetValue(from, out var datum)
                    ? Phrase.Say($"Middle of the ink on the {line}{aside}. Measure each piece down from the top edge.")
                : Datums.IsUpwards(from)
                    ? Phrase.Say(
                        $"Middle of the ink on the {line}{aside}; the zone begins {Length.Mm(zone.Nominal.Bounds.MinY - datum)} "
                            + $"above the {Datums.Name(from)}."
                    )
                : Phrase.Say(
                    $"Middle of the ink on the {line}{aside}; the zone begins {Length.Mm(datum - zone.Nominal.Bounds.MaxY)} below "
                        + $"the {Datums.Name(from)}."
                );
        }

        return Phrase.Say($"In the middle of the area that was measured; where that stands on the goods is not known.");
    }

    /// <summary>From the line opposite the handle round to it, to either side; null where the zone is not about that line.</summary>
    private static double? RoundToHandle(Wall? wall, Zone? zone) =>
        wall is null || zone is null || wall.Turn.Radians != 0
            ? null
            : (wall.GirthAt(zone.MiddleHeight).Value.Millimetres - (wall.Handle?.Value.Millimetres ?? 0)) / 2;
}
