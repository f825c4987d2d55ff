using Cabida.Core.Blanks;
using Cabida.Core.Drawings;
using Cabida.Core.Geometry;
using Cabida.Core.Wording;

namespace Cabida.Web.Runs;

/// <summary>A face of a thing that a run is on, looked at closely: a wall or a panel is one, of a cloth thing there are a front and a back.</summary>
/// <param name="Facing">Which, where there are two.</param>
/// <param name="Flat">It laid flat, seen through a window where its zones are small.</param>
/// <param name="ZoneBox">The box round the cautious zones on it, in the coordinates of the first side.</param>
/// <param name="Sides">The run's sides on it; the first side has no id.</param>
/// <param name="Sums">Where the figures of its first zone come from.</param>
internal sealed record ReadFace(Facing Facing, Drawing Flat, Box ZoneBox, IReadOnlyList<string> Sides, IReadOnlyList<Phrase> Sums)
{
    /// <summary>The faces of a surface that a run's sides are on, that of its first side first.</summary>
    public static IReadOnlyList<ReadFace> Of(ReadSurface on)
    {
        var all = on.Sides.Select(s => (s.Side.Id, s.Laid)).Prepend(("", on.Laid)).GroupBy(s => s.Laid.Spec.Facing).ToList();
        return on.Sheet.Back is null || all.Count == 1
            ? [new ReadFace(on.Laid.Spec.Facing, on.Flat(), on.ZoneBox(), ["", .. on.Sides.Select(s => s.Side.Id)], on.Ground.Zone.Sums)]
            : [.. all.Select(f => f.ToList()).Select(f => new ReadFace(
                f[0].Laid.Spec.Facing, FlatDrawing.Of(f[0].Laid, on.Sheet, [.. f.Skip(1).Select(s => s.Laid)]),
                Box.Around(f.Select(s => s.Laid.Zone!.Cautious.Bounds))!.Value, [.. f.Select(s => s.Item1)], f[0].Laid.Zone!.Sums))];
    }

    /// <summary>What brings each face's zones beside those of the face before, middle to middle: pieces on paper need no cloth between.</summary>
    public static IReadOnlyList<Motion> Beside(IReadOnlyList<ReadFace> faces)
    {
        ArgumentNullException.ThrowIfNull(faces);
        var first = faces[0].ZoneBox;
        var right = first.MaxX;
        var motions = new List<Motion> { Motion.None };
        foreach (var box in faces.Skip(1).Select(f => f.ZoneBox))
        {
            right += Between * Math.Max(first.Width, box.Width);
            motions.Add(Motion.Move(right - box.MinX, first.CentreY - box.CentreY));
            right += box.Width;
        }

        return motions;
    }

    /// <summary>The gap between zones of two faces, as a share of the wider one.</summary>
    private const double Between = 0.12;
}
