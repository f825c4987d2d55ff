using Cabida.Core.Findings;
using Cabida.Core.Geometry;
using Cabida.Core.Wording;

namespace Cabida.Core.Blanks;

/// <summary>Lays the places that stay clear on the faces that they are on: a hole on both sides of what it goes through.</summary>
internal static class KeptClearPlaces
{
    /// <summary>The places of a size on its faces.</summary>
    /// <param name="wall">The wall of the thing itself, if it has one.</param>
    /// <param name="panel">Its front, if that is flat.</param>
    /// <param name="back">Its back, where something is on it.</param>
    /// <param name="own">Its faces with an outline of their own.</param>
    /// <param name="kept">The places as they were read.</param>
    /// <param name="findings">Takes what wants looking at.</param>
    public static List<ClearPlace> Of(
        Wall? wall,
        Panel? panel,
        Panel? back,
        IReadOnlyList<FaceSheet> own,
        IReadOnlyList<ReadClear> kept,
        List<Finding> findings
    )
    {
        var faces = new List<(FaceKey Face, Datums Datums, Panel? Panel)>();
        if (wall is { StraightGirth.Value.Millimetres: var girth })
        {
            faces.Add((FaceKey.Front, Datums.Of(new Box(-girth / 2, 0, girth / 2, wall.Height.Value.Millimetres)), null));
        }

        faces.AddRange(own.Select(f => f.Panel).Prepend(back).Prepend(panel).OfType<Panel>().Select(p => (p.Face, p.Datums, (Panel?)p)));
        // What has no back bears on its one face whatever was said to be on either.
        bool Bears(FaceKey face, KeptClear place) => place.IsOn(face) || (back is null && !face.IsOwn && !place.On.IsOwn);
        var places = new List<ClearPlace>();
        foreach (var (clear, (face, from, on)) in kept.SelectMany(k => faces.Where(f => Bears(f.Face, k.Spec)).Select(f => (k, f))))
        {
            var area = ClearShapes.Of(clear, from, 0);
            if (area.Problem is { } problem)
            {
                findings.Add(BlankFindings.Cannot([], problem));
                continue;
            }

            if (ClearShapes.Off(clear, area.Value, on is null ? wall : null, on) is { } off)
            {
                findings.Add(BlankFindings.LookAt([], off));
            }

            // Holes that run into one another are one hole, or one of them was measured in wrongly.
            var met = clear.Spec.IsHole ? places.FirstOrDefault(p => p.IsHole && p.Face == face && Overlay.Meet(p.Area, area.Value)) : null;
            if (met is { } other)
            {
                findings.Add(
                    BlankFindings.LookAt(
                        [],
                        Phrase.Say(
                            $"{clear.Spec.Name:strong} runs into {other.Name:strong}. Look at where both are measured from, and at "
                                + $"their sizes."
                        )
                    )
                );
            }

            places.Add(new ClearPlace(clear.Spec.Name, clear.Spec.IsHole, area.Value, face));
        }

        foreach (var lost in kept.Where(k => k.Spec.Face.Length > 0 && own.All(f => f.Spec.Id != k.Spec.Face)))
        {
            findings.Add(
                BlankFindings.LookAt(
                    [],
                    Phrase.Say(
                        $"{lost.Spec.Name:strong} lies on a face that is not there any more: it keeps nothing clear. Choose "
                            + $"another, or remove it."
                    )
                )
            );
        }

        return places;
    }
}
