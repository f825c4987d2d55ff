using Cabida.Core.Findings;
using Cabida.Core.Measures;
using Cabida.Core.Wording;

namespace Cabida.Core.Blanks;

/// <summary>Reads what narrows every zone on a flat face: the rim that stays clear, and on a garment what the press covers.</summary>
internal static class ReadLimits
{
    /// <summary>The limits of a face.</summary>
    /// <param name="blank">The blank.</param>
    /// <param name="typedRim">The rim of the face that stays clear, as typed.</param>
    /// <param name="findings">Takes what cannot be read.</param>
    public static PanelZone.Limits Of(Blank blank, TypedLength typedRim, List<Finding> findings)
    {
        var rim = Rim(typedRim, findings);
        if (blank.Surface != SurfaceKind.Garment)
        {
            return new PanelZone.Limits(rim, null);
        }

        var width = Read(blank.Garment.PlatenWidth, LengthRange.Object, "Width the press covers", findings);
        var height = Read(blank.Garment.PlatenHeight, LengthRange.Object, "Height the press covers", findings);
        return new PanelZone.Limits(rim, width is { } w && height is { } h ? (w, h) : null);
    }

    /// <summary>How far inside the edge of a face nothing lies, in millimetres; nought where none was typed.</summary>
    /// <param name="typed">As typed.</param>
    /// <param name="findings">Takes what cannot be read.</param>
    public static double Rim(TypedLength typed, List<Finding> findings) =>
        Read(typed, LengthRange.Margin, "Rim that stays clear", findings) ?? 0;

    private static double? Read(TypedLength typed, LengthRange range, string what, List<Finding> findings)
    {
        var read = typed.Read(range);
        if (!typed.IsEmpty && read.Problem is { } problem)
        {
            findings.Add(BlankFindings.Cannot([], Phrase.Say($"{what:strong}. {problem}")));
        }

        return read.ValueOrDefault?.Value.Millimetres;
    }
}
