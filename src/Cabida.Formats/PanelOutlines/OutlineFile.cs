using Cabida.Core.Blanks;
using Cabida.Core.Geometry;
using Cabida.Core.Wording;
using NetTopologySuite.Geometries;

namespace Cabida.Formats.PanelOutlines;

/// <summary>Closed outlines of a drawing file in millimetres, y up, and what is worth saying of how they were read.</summary>
/// <param name="Loops">The outlines.</param>
/// <param name="Remark">How the size was understood, where the file leaves it open; else empty.</param>
internal sealed record FileLoops(IReadOnlyList<IReadOnlyList<PlanePoint>> Loops, string Remark);

/// <summary>Reads the outline of a panel from an SVG or DXF file: the largest closed shape, and what lies in it as holes.</summary>
public static class OutlineFile
{
    /// <summary>Larger files are not drawings of one panel.</summary>
    private const int MostBytes = 20_000_000;

    /// <summary>What encloses less than this is no outline; square millimetres.</summary>
    private const double LeastArea = 1;

    /// <summary>A drawing file is trusted to this; millimetres.</summary>
    private const double Uncertainty = 0.05;

    private const double LargestSide = 5000;

    /// <summary>Reads a file.</summary>
    /// <param name="name">Its name, for what is said about it.</param>
    /// <param name="file">Its bytes.</param>
    public static Outcome<DrawnOutline> Read(string name, byte[] file)
    {
        ArgumentNullException.ThrowIfNull(file);
        if (file.Length is 0 or > MostBytes)
        {
            return Outcome<DrawnOutline>.Fail(file.Length == 0 ? Phrase.Say($"{name:strong} is empty.") : Phrase.Say($"{name:strong} is larger than {MostBytes / 1e6:0} MB; an outline is a much smaller file."));
        }

        var start = System.Text.Encoding.UTF8.GetString(file, 0, Math.Min(file.Length, 4000));
        var read = start.Contains("<svg", StringComparison.OrdinalIgnoreCase) ? SvgOutline.Read(file)
            : start.Contains("SECTION", StringComparison.Ordinal) ? DxfOutline.Read(System.Text.Encoding.UTF8.GetString(file))
            : Outcome<FileLoops>.Fail(Phrase.Say($"{name:strong} is neither an SVG nor a DXF drawing."));
        if (read.Problem is { } problem)
        {
            return Outcome<DrawnOutline>.Fail(problem);
        }

        var loops = read.Value.Loops.Where(l => l.Count >= 3).Select(l => (Points: l, Ring: Outlines.Ring(l))).Where(l => Math.Abs(l.Ring.Area) >= LeastArea).OrderByDescending(l => l.Ring.Area).ToList();
        if (loops.Count == 0)
        {
            return Outcome<DrawnOutline>.Fail(Phrase.Say($"{name:strong} holds no closed outline."));
        }

        var outer = loops[0];
        var box = Box.Of(outer.Ring)!.Value;
        if (box.Width > LargestSide || box.Height > LargestSide)
        {
            return Outcome<DrawnOutline>.Fail(Phrase.Say($"The outline in {name:strong} is {Core.Measures.Length.Mm(box.Width)} × {Core.Measures.Length.Mm(box.Height)}. Does the file name the right unit?"));
        }

        var inside = loops.Skip(1).Where(l => Holds(outer.Ring, l.Points[0])).ToList();
        // What lies in a hole is waste, not another hole.
        var holes = inside.Where(l => !inside.Any(o => o != l && o.Ring.Area > l.Ring.Area && Holds(o.Ring, l.Points[0]))).ToList();
        var aside = loops.Count - 1 - inside.Count;
        var remark = read.Value.Remark + (aside > 0 ? $"; {aside} smaller {(aside == 1 ? "shape" : "shapes")} beside it left out" : "");
        return Outcome<DrawnOutline>.Of(new DrawnOutline([outer.Points, .. holes.Select(h => h.Points)], name + remark, Uncertainty));
    }

    private static bool Holds(Polygon ring, PlanePoint p) =>
        NetTopologySuite.Algorithm.PointLocation.IsInRing(new Coordinate(p.X, p.Y), ring.ExteriorRing.Coordinates);
}
