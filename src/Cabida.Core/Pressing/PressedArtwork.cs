using Cabida.Core.Blanks;
using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using Cabida.Core.Pieces;
using Cabida.Core.Stock;
using Cabida.Core.Wording;

namespace Cabida.Core.Pressing;

/// <summary>Where a platen is laid on one face of one size, so that the artwork of every name of it is pressed.</summary>
/// <param name="Size">The size of the goods.</param>
/// <param name="Face">The face, by its word.</param>
/// <param name="Plan">The positions; null where there are none.</param>
/// <param name="Notes">What is to be known of them.</param>
public sealed record PressedArtwork(string Size, string Face, PlatenPlan? Plan, IReadOnlyList<Phrase> Notes)
{
    /// <summary>The positions on every size that has artwork on a face.</summary>
    internal static IEnumerable<PressedArtwork> Of(ReadRun run, PressFace face, Press press)
    {
        foreach (var (size, box, letter) in face.Artwork)
        {
            yield return On(run.SurfaceOf(size), face, box, letter, press) with
            {
                Size = size,
            };
        }
    }

    /// <summary>The positions on one size of the goods.</summary>
    private static PressedArtwork On(ReadSurface on, PressFace face, Box box, Box letter, Press press)
    {
        double Side(TypedLength typed) => typed.OrZero(LengthRange.Object).Millimetres;
        if (face.IsWall != (press.Shape == PressShape.Round))
        {
            var words = face.IsWall
                ? Phrase.Say($"{press.Name:strong} is flat, and these goods are round: take one that goes round them.")
                : Phrase.Say($"{press.Name:strong} goes round, and these goods are flat: take one with a platen.");
            return new PressedArtwork("", face.Word, null, [words]);
        }

        var platen = new Platen(Side(press.PlatenWidth), Side(press.PlatenHeight), press.OverlapOr);
        if (Math.Min(platen.Width, platen.Height) <= platen.Overlap)
        {
            return new PressedArtwork("", face.Word, null, [Phrase.Say($"The platen of {press.Name:strong} is not measured.")]);
        }

        var laid = PlatenPositions.Of(box, platen, face.IsWall ? [] : Obstacles(on, face.Key));
        if (laid.ValueOrDefault is not { } plan)
        {
            return new PressedArtwork("", face.Word, null, [laid.Problem!]);
        }

        var notes = new List<Phrase>();
        if (
            Math.Max(letter.Width, letter.Height) > Math.Max(platen.Width, platen.Height)
            || Math.Min(letter.Width, letter.Height) > Math.Min(platen.Width, platen.Height)
        )
        {
            notes.Add(
                Phrase.Say(
                    $"One part of the artwork is {Length.Mm(letter.Width)} × {Length.Mm(letter.Height)}, larger than the platen: its edge "
                        + $"lies on it and may mark it."
                )
            );
        }

        if (plan.EdgeOn.Count > 0)
        {
            notes.Add(
                Phrase.Say($"The platen’s edge lies on {string.Join(", ", plan.EdgeOn):strong}, wherever it is laid: put a pad beneath.")
            );
        }
        else if (plan.Covered.Count > 0)
        {
            notes.Add(
                Phrase.Say($"{string.Join(", ", plan.Covered):strong} lies under the platen: put a pad beneath, so that it presses evenly.")
            );
        }

        return new PressedArtwork("", face.Word, plan, notes);
    }

    /// <summary>What stays clear on a face and is no hole: buttons, seams, pockets. Bands end where the goods end.</summary>
    private static List<PressObstacle> Obstacles(ReadSurface on, FaceKey face)
    {
        var goods = on.Sheet.PanelOf(face) is { } panel ? Box.Of(panel.Nominal) : null;
        return
        [
            .. on
                .Sheet.Places.Where(p => p.Face == face && !p.IsHole)
                .Select(p => (p.Name, Box: Box.Of(p.Area)!.Value))
                .Where(p => goods is not { } g || g.Meets(p.Box))
                .Select(p => new PressObstacle(p.Name, goods is { } g ? Within(p.Box, g) : p.Box)),
        ];
    }

    private static Box Within(Box box, Box other) =>
        new(Math.Max(box.MinX, other.MinX), Math.Max(box.MinY, other.MinY), Math.Min(box.MaxX, other.MaxX), Math.Min(box.MaxY, other.MaxY));
}
