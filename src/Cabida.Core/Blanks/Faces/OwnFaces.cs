using Cabida.Core.Findings;
using Cabida.Core.Wording;

namespace Cabida.Core.Blanks;

/// <summary>
/// The faces of a thing that have an outline of their own, laid to the left of the thing itself, one after another: wherever on a
/// wall the zones are, and whether or not a back is laid at the right, nothing lies on anything else.
/// </summary>
internal static class OwnFaces
{
    /// <summary>
    /// How far from the thing's middle the first begins, in its girths or widths: a wall that is turned to a zone at its back
    /// reaches one girth.
    /// </summary>
    private const double Clear = 1.1;

    /// <summary>The gap before each, in its own widths.</summary>
    private const double Gap = 0.15;

    /// <summary>Where the first begins while the thing itself is not measured; millimetres.</summary>
    private const double Unmeasured = 400;

    /// <summary>Reads the faces of a size.</summary>
    /// <param name="blank">The blank.</param>
    /// <param name="rows">The readings of the size.</param>
    /// <param name="wall">The wall of the thing itself, if it has one.</param>
    /// <param name="panel">The front of the thing itself, if that is flat.</param>
    /// <param name="findings">Takes what wants looking at; what a face lacks stops nothing but the zones on it.</param>
    public static List<FaceSheet> Of(Blank blank, Estimates rows, Wall? wall, Panel? panel, List<Finding> findings)
    {
        var faces = new List<FaceSheet>();
        var left = -(
            wall is null
                ? panel is null
                    ? Unmeasured
                    : Clear * panel.Width.Value.Millimetres
                : Clear * Math.Max(wall.GirthAt(0).Value.Millimetres, wall.GirthAt(wall.Height.Value.Millimetres).Value.Millimetres)
        );
        foreach (var (spec, at) in blank.Faces.Select((f, i) => (f, i)))
        {
            if (blank.Faces.Take(at).Any(f => f.Id == spec.Id))
            {
                findings.Add(
                    BlankFindings.Cannot(
                        [],
                        Phrase.Say($"{spec.Name:strong} is a face by the same id as another. Remove it and add it again.")
                    )
                );
                continue;
            }

            var asked = new List<Finding>();
            var read = PanelReadings.Of(spec.Outline, rows.On(spec), asked);
            findings.AddRange(
                asked.Select(f =>
                    f with
                    {
                        Severity = Severity.Look,
                        Message = f.Rule == Rule.Unread ? f.Message : Phrase.Say($"{spec.Name:strong}. {f.Message}"),
                    }
                )
            );
            if (read is null)
            {
                faces.Add(new FaceSheet(spec, null));
                continue;
            }

            var width = read.Datums.Box.Width;
            var middle = left - ((Gap + 0.5) * width);
            left = middle - (width / 2);
            faces.Add(new FaceSheet(spec, read.At(middle, FaceKey.Of(Facing.Front, spec.Id), spec.Name)));
        }

        return faces;
    }
}
