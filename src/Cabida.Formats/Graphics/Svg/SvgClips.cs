using Cabida.Core.Geometry;
using Cabida.Core.Motifs;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Formats.Graphics.Svg;

/// <summary>
/// Clip paths as areas of the page, and drawn outlines cut by them. What lies whole inside or outside keeps its curves; only what is
/// cut is flattened, to well within the tolerance of ink, and fitted with curves again.
/// </summary>
/// <param name="byId">The elements of the file by id.</param>
/// <param name="styles">Their styles.</param>
/// <param name="leftOut">Takes what is not followed.</param>
internal sealed class SvgClips(Dictionary<string, SvgNode> byId, SvgStyles styles, SortedSet<string> leftOut)
{
    /// <summary>How far cut outlines may lie from their curves, in pixels: an eighth of what ink may.</summary>
    private const double Within = Tolerances.Ink / 8 / SvgValues.MillimetresPerUnit;

    private const int Deepest = 16;

    /// <summary>What an element's clip path leaves of the page; null when it has none.</summary>
    /// <param name="style">The style of the element.</param>
    /// <param name="matrix">How its coordinates come to the page.</param>
    /// <param name="port">The view that it is drawn in.</param>
    /// <param name="ownBox">The box of what it draws, in its own coordinates.</param>
    public Area? Of(SvgStyle style, Motion matrix, (double Width, double Height) port, Func<Box> ownBox) =>
        Of(style, matrix, port, ownBox, 0);

    private Area? Of(SvgStyle style, Motion matrix, (double Width, double Height) port, Func<Box> ownBox, int depth)
    {
        var value = style.Of("clip-path");
        if (value is "" or "none")
        {
            return null;
        }

        if (!value.StartsWith("url(", StringComparison.OrdinalIgnoreCase))
        {
            leftOut.Add("clipping by a shape that only a style names");
            return null;
        }

        var id = value[4..].Split(')')[0].Trim(' ', '"', '\'').TrimStart('#');
        if (!byId.TryGetValue(id, out var clip) || clip.Name != "clipPath")
        {
            return null;
        }

        if (depth >= Deepest)
        {
            leftOut.Add("clip paths of clip paths without end");
            return null;
        }

        var own = styles.Of(clip, null);
        var shares = clip.Of("clipPathUnits") == "objectBoundingBox";
        var units = shares && ownBox() is var box ? new Motion(box.Width, 0, box.MinX, 0, box.Height, box.MinY) : Motion.None;
        var inside = units.Then(SvgTransforms.Of(clip, own, port, ownBox)).Then(matrix);
        var all = Outlines.Join([.. clip.Children.SelectMany(c => Outlines.PolygonsOf(OfChild(c, own, inside, port, depth)))]);
        return Of(own, matrix, port, ownBox, depth + 1) is { } outer ? Outlines.Within(all, outer) : all;
    }

    private Area OfChild(SvgNode child, SvgStyle outer, Motion inside, (double Width, double Height) port, int depth)
    {
        var style = styles.Of(child, outer);
        var shape =
            child.Name == "use" && child.Of("href").StartsWith('#') && byId.TryGetValue(child.Of("href")[1..], out var used) ? used : child;
        if (shape.Name == "text" || shape.Name == "tspan")
        {
            leftOut.Add("clipping by text");
        }

        if (!SvgShapes.Names.Contains(shape.Name) || style.Of("display") == "none")
        {
            return Outlines.Empty;
        }

        var (move, drawn) = (SvgTransforms.Of(child, style, port, () => default), style);
        if (shape != child)
        {
            drawn = styles.Of(shape, style);
            move = SvgTransforms
                .Of(shape, drawn, port, () => default)
                .Then(Motion.Move(SvgValues.Length(child.Of("x"), port.Width), SvgValues.Length(child.Of("y"), port.Height)))
                .Then(move);
        }

        if (drawn.Of("visibility") is "hidden" or "collapse")
        {
            return Outlines.Empty;
        }

        var matrix = move.Then(inside);
        var lines = SvgShapes.Of(shape, drawn, port, m => leftOut.Add(m));
        var area = Filled(
            [.. lines.Select(l => l.Line.Moved(matrix))],
            drawn.Of("clip-rule") == "evenodd" ? FillRule.EvenOdd : FillRule.NonZero
        );
        return Of(style, matrix, port, () => ContourBoxes.Around(lines.Select(l => l.Line)), depth + 1) is { } own
            ? Outlines.Within(area, own)
            : area;
    }

    /// <summary>The outlines of something drawn that lie in an area; null when nothing does.</summary>
    public static SvgDrawn? Cut(SvgDrawn drawn, Area area)
    {
        var (box, page) = (ContourBoxes.Around(drawn.Contours), Box.Of(area));
        if (page is not { } clip || !box.Meets(clip))
        {
            return null;
        }

        // Most clip paths are rectangles round all that they clip.
        if (area is NetTopologySuite.Geometries.Polygon { IsRectangle: true } && clip.Holds(box))
        {
            return drawn;
        }

        var left = Outlines.Within(Filled(drawn.Contours, drawn.Rule), area);
        return left.IsEmpty
            ? null
            : drawn with
            {
                Contours = [.. Outlines.RingsOf(left).Select(r => CurveFitting.Fit(r, Within))],
                Rule = FillRule.EvenOdd,
            };
    }

    /// <summary>A rectangle of a view as an area of the page.</summary>
    public static Area Window(double x, double y, double width, double height, Motion matrix) =>
        Outlines.Moved(Outlines.Rectangle(new Box(x, y, x + width, y + height)), matrix);

    private static Area Filled(IReadOnlyList<Contour> contours, FillRule rule) =>
        Outlines.FromContours(contours, Within, Tolerances.InkTurn, rule == FillRule.EvenOdd);
}
