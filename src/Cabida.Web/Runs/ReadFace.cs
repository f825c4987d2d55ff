using Cabida.Core.Blanks;
using Cabida.Core.Drawings;
using Cabida.Core.Fitting;
using Cabida.Core.Geometry;
using Cabida.Core.Pieces;
using Cabida.Core.Wording;

namespace Cabida.Web.Runs;

/// <summary>
/// A face of a thing that a run is on, looked at closely: a wall is one, of a flat or cloth thing there are a front and a back, and each
/// face
/// with an outline of its own, such as a lid, is another.
/// </summary>
/// <param name="Key">A word that tells it apart.</param>
/// <param name="Name">What it is called.</param>
/// <param name="IsWall">Whether it goes round.</param>
/// <param name="Flat">It laid flat, seen through a window where its zones are small.</param>
/// <param name="ZoneBox">The box round the cautious zones on it, in the coordinates of its first side.</param>
/// <param name="Sides">The run's sides on it; the first side has no id.</param>
/// <param name="Sums">Where the figures of its first zone come from.</param>
internal sealed record ReadFace(
    string Key,
    string Name,
    bool IsWall,
    Drawing Flat,
    Box ZoneBox,
    IReadOnlyList<string> Sides,
    IReadOnlyList<Phrase> Sums
)
{
    /// <summary>The faces of a surface that a run's sides are on, that of its first side first.</summary>
    /// <param name="on">The surface.</param>
    /// <param name="whole">Whether all of each is drawn, however small its zones are on it.</param>
    public static IReadOnlyList<ReadFace> Of(ReadSurface on, bool whole = false)
    {
        ArgumentNullException.ThrowIfNull(on);
        // A thing that has no back is one face whatever its zones say.
        FaceKey FaceOf(LaidZone laid) => on.Sheet.Back is null && !laid.Face.IsOwn ? FaceKey.Front : laid.Face;
        return [.. on.All.GroupBy(s => FaceOf(s.Laid)).Select(f => Of(on, f.Key, [.. f], whole))];
    }

    private static ReadFace Of(ReadSurface on, FaceKey key, IReadOnlyList<(string Id, LaidZone Laid, FitBasis Basis)> sides, bool whole)
    {
        var first = sides[0].Laid;
        var motions = on.Sides.ToDictionary(s => s.Side.Id, on.MotionOf, StringComparer.Ordinal);
        var box = Box.Around(
            sides.Select(s => Box.Of(Outlines.Moved(s.Basis.Zone.Cautious.Outline, motions.GetValueOrDefault(s.Id, Motion.None)))!.Value)
        )!.Value;
        var name =
            key.IsOwn ? first.Panel!.Name
            : first.Wall is not null ? "wall"
            : key.Facing == Facing.Back ? "back"
            : "front";
        LaidZone[] others = [.. sides.Skip(1).Select(s => s.Laid)];
        return new ReadFace(
            key.Word,
            name,
            first.Wall is not null,
            whole ? FlatDrawing.Whole(first, on.Sheet, others) : FlatDrawing.Of(first, on.Sheet, others),
            box,
            [.. sides.Select(s => s.Id)],
            first.Zone!.Sums
        );
    }

    /// <summary>
    /// What brings each face's zones beside those of the face before, middle to middle: pieces on paper need no cloth between.
    /// </summary>
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
