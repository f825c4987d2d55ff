using Cabida.Core.Motifs;
using SkiaSharp;

namespace Cabida.Formats.Graphics.Svg;

/// <summary>Something drawn, in the coordinates of the page; y down.</summary>
/// <param name="Path">Its outline, closed by filling.</param>
/// <param name="Colour">Its colour.</param>
/// <param name="Rule">How it is filled.</param>
internal sealed record SvgDrawn(SKPath Path, string Colour, FillRule Rule);

/// <summary>
/// The third pass: elements → what is drawn. Groups, transforms, copies, nested view boxes and clip paths are resolved,
/// strokes become outlines.
/// </summary>
internal sealed class SvgWalk
{
    /// <summary>More points than this are refused.</summary>
    public const int MostPoints = 500_000;

    /// <summary>Elements drawn, copies counted each time.</summary>
    private const int MostDrawn = 200_000;

    private const int DeepestCopies = 32;

    /// <summary>Strokes are outlined as finely as they would have to be at this many units of the page.</summary>
    private const double FineUnits = 4000;

    private readonly Dictionary<string, SvgNode> byId;
    private readonly SvgStyles styles;
    private readonly SvgPaints paints;
    private readonly double resolution;
    private readonly bool linesOnly;
    private int points;
    private int visited;

    public SvgWalk(SvgNode root, double pageSize, bool linesOnly)
    {
        this.linesOnly = linesOnly;
        byId = root.All().Where(n => n.Of("id").Length > 0).GroupBy(n => n.Of("id"), StringComparer.Ordinal).ToDictionary(g => g.Key, g => g.First(), StringComparer.Ordinal);
        styles = SvgStyles.Of(root);
        paints = new SvgPaints(byId, styles, LeftOut);
        resolution = Math.Max(1, FineUnits / Math.Max(pageSize, 1e-3));
    }

    /// <summary>What is drawn, the lowest first.</summary>
    public List<SvgDrawn> Drawn { get; } = [];

    /// <summary>What was left out, in words.</summary>
    public SortedSet<string> LeftOut { get; } = new(StringComparer.Ordinal);

    /// <summary>Whether there is more than is read.</summary>
    public bool TooMuch => points > MostPoints || visited > MostDrawn;

    /// <summary>Whether a coordinate is no finite number.</summary>
    public bool NotFinite { get; private set; }

    /// <summary>Draws what stands in the outermost element.</summary>
    public void Draw(SvgNode root, SKMatrix page, double width, double height)
    {
        var style = styles.Of(root, null);
        foreach (var child in root.Children)
        {
            Draw(child, page, style, null, (width, height), 0);
        }
    }

    private void Draw(SvgNode node, SKMatrix outer, SvgStyle outerStyle, SKPath? outerClip, (double Width, double Height) port, int copies)
    {
        if (TooMuch || NotFinite || ++visited > MostDrawn)
        {
            return;
        }

        var style = styles.Of(node, outerStyle);
        if (style.Of("display") == "none" || style.Of("opacity") is "0" or "0%")
        {
            return;
        }

        var matrix = outer.PreConcat(SvgValues.Transform(node.Attributes.TryGetValue("transform", out var own) ? own : style.Of("transform")));
        switch (node.Name)
        {
            case "g" or "a" or "switch":
                Children(node, matrix, style, Clipped(style, matrix, outerClip, port), port, copies);
                break;
            case "svg":
                Nested(node, matrix, style, Clipped(style, matrix, outerClip, port), port, copies, node.Of("width"), node.Of("height"));
                break;
            case "use":
                Copy(node, matrix, style, Clipped(style, matrix, outerClip, port), port, copies);
                break;
            case "text" or "tspan":
                LeftOut.Add("text (letter it anew, or turn it into outlines first)");
                break;
            case "image":
                LeftOut.Add("a picture inside it");
                break;
            case "foreignObject":
                LeftOut.Add("what is no drawing");
                break;
            default:
                if (SvgShapes.Names.Contains(node.Name))
                {
                    Shape(node, matrix, style, Clipped(style, matrix, outerClip, port), port);
                }

                break;
        }

        Note(node, style);
    }

    private void Note(SvgNode node, SvgStyle style)
    {
        if (style.Of("mask") is { Length: > 0 } mask && mask != "none")
        {
            LeftOut.Add("masks");
        }

        if (style.Of("filter") is { Length: > 0 } filter && filter != "none")
        {
            LeftOut.Add("filters");
        }

        if (node.Of("marker-end").Length + node.Of("marker-start").Length + node.Of("marker-mid").Length > 0)
        {
            LeftOut.Add("markers at the ends of lines");
        }
    }

    private void Children(SvgNode node, SKMatrix matrix, SvgStyle style, SKPath? clip, (double Width, double Height) port, int copies)
    {
        foreach (var child in node.Children)
        {
            Draw(child, matrix, style, clip, port, copies);
        }
    }

    private void Nested(SvgNode node, SKMatrix matrix, SvgStyle style, SKPath? clip, (double Width, double Height) port, int copies, string widthText, string heightText)
    {
        var (x, y) = (SvgValues.Length(node.Of("x"), port.Width), SvgValues.Length(node.Of("y"), port.Height));
        var (w, h) = (SvgValues.Length(widthText, port.Width, port.Width), SvgValues.Length(heightText, port.Height, port.Height));
        var inner = matrix.PreConcat(SvgValues.ViewBox(node.Of("viewBox"), node.Of("preserveAspectRatio"), x, y, w, h));
        var inside = SvgValues.Numbers(node.Of("viewBox")) is [_, _, var vw, var vh] ? (vw, vh) : (w, h);
        using var window = Rectangle(x, y, w, h);
        window.Transform(matrix);
        Children(node, inner, style, node.Of("overflow") == "visible" ? clip : Both(clip, window), inside, copies);
    }

    private void Copy(SvgNode node, SKMatrix matrix, SvgStyle style, SKPath? clip, (double Width, double Height) port, int copies)
    {
        var reference = node.Of("href");
        if (!reference.StartsWith('#') || !byId.TryGetValue(reference[1..], out var of))
        {
            LeftOut.Add(reference.StartsWith('#') ? "copies of something that is not in it" : "copies of something outside the file, which is never fetched");
            return;
        }

        if (copies >= DeepestCopies)
        {
            LeftOut.Add("copies of copies without end");
            return;
        }

        var moved = matrix.PreConcat(SKMatrix.CreateTranslation((float)SvgValues.Length(node.Of("x"), port.Width), (float)SvgValues.Length(node.Of("y"), port.Height)));
        if (of.Name is "symbol" or "svg")
        {
            var ownStyle = styles.Of(of, style);
            Nested(of, moved, ownStyle, clip, port, copies + 1, node.Of("width") is { Length: > 0 } w ? w : of.Of("width"), node.Of("height") is { Length: > 0 } h ? h : of.Of("height"));
        }
        else
        {
            Draw(of, moved, style, clip, port, copies + 1);
        }
    }

    private void Shape(SvgNode node, SKMatrix matrix, SvgStyle style, SKPath? clip, (double Width, double Height) port)
    {
        if (style.Of("visibility") is "hidden" or "collapse")
        {
            return;
        }

        // Two numbers make at least a point, so what is far too long need not be read to be refused.
        if (points + ((SvgValues.Count(node.Of("d")) + SvgValues.Count(node.Of("points"))) / 2) > MostPoints)
        {
            points = MostPoints + 1;
            return;
        }

        using var path = SvgShapes.PathOf(node, port.Width, port.Height);
        if (path is null || path.IsEmpty)
        {
            // A path with a number that is none is dropped whole by the library; it is told instead.
            NotFinite |= SvgValues.Numbers(node.Of("d")).Concat(SvgValues.Numbers(node.Of("points"))).Any(n => !float.IsFinite((float)n));
            return;
        }

        if (!path.Bounds.Standardized.IsFinite() || !matrix.MapRect(path.Bounds).IsFinite())
        {
            NotFinite = true;
            return;
        }

        points += path.PointCount;
        if (linesOnly)
        {
            var line = new SKPath(path);
            line.Transform(matrix);
            Add(line, "#000000", FillRule.NonZero, clip);
            return;
        }

        if (paints.Of(style, "fill", "black") is { } fill && !(node.Name == "line"))
        {
            var drawn = new SKPath(path);
            drawn.Transform(matrix);
            Add(drawn, fill, style.Of("fill-rule") == "evenodd" ? FillRule.EvenOdd : FillRule.NonZero, clip);
        }

        if (paints.Of(style, "stroke", "none") is { } stroke)
        {
            var diagonal = Math.Sqrt(((port.Width * port.Width) + (port.Height * port.Height)) / 2);
            var rigid = style.Of("vector-effect") == "non-scaling-stroke";
            using var along = new SKPath(path);
            if (rigid)
            {
                along.Transform(matrix);
            }

            var size = Math.Sqrt(Math.Abs((matrix.ScaleX * matrix.ScaleY) - (matrix.SkewX * matrix.SkewY)));
            if (SvgShapes.Stroked(along, style, diagonal, resolution * Math.Max(size, 1e-3)) is { } outline)
            {
                if (!rigid)
                {
                    outline.Transform(matrix);
                }

                points += outline.PointCount;
                Add(outline, stroke, FillRule.NonZero, clip);
            }
        }
    }

    private void Add(SKPath path, string colour, FillRule rule, SKPath? clip)
    {
        path.FillType = rule == FillRule.EvenOdd ? SKPathFillType.EvenOdd : SKPathFillType.Winding;
        if (clip is not null)
        {
            var cut = path.Op(clip, SKPathOp.Intersect);
            if (cut is null)
            {
                LeftOut.Add("a clipping that could not be followed");
            }
            else
            {
                path.Dispose();
                (path, rule) = (cut, cut.FillType == SKPathFillType.EvenOdd ? FillRule.EvenOdd : FillRule.NonZero);
            }
        }

        if (!path.IsEmpty)
        {
            Drawn.Add(new SvgDrawn(path, colour, rule));
        }
    }

    /// <summary>The clip that holds for an element: what held outside it, and its own.</summary>
    private SKPath? Clipped(SvgStyle style, SKMatrix matrix, SKPath? outer, (double Width, double Height) port)
    {
        var value = style.Of("clip-path");
        if (!value.StartsWith("url(", StringComparison.OrdinalIgnoreCase))
        {
            return outer;
        }

        var id = value[4..].TrimEnd(')', ' ').Trim(' ', '"', '\'').TrimStart('#');
        if (!byId.TryGetValue(id, out var clip) || clip.Name != "clipPath")
        {
            return outer;
        }

        if (clip.Of("clipPathUnits") == "objectBoundingBox")
        {
            LeftOut.Add("clipping by shares of a box");
            return outer;
        }

        using var all = new SKPathBuilder();
        var inside = matrix.PreConcat(SvgValues.Transform(clip.Of("transform")));
        foreach (var child in clip.Children)
        {
            var shape = child.Name == "use" && child.Of("href").StartsWith('#') && byId.TryGetValue(child.Of("href")[1..], out var used) ? used : child;
            if (!SvgShapes.Names.Contains(shape.Name) || SvgShapes.PathOf(shape, port.Width, port.Height) is not { } path)
            {
                continue;
            }

            var move = shape == child ? SKMatrix.Identity : SvgValues.Transform(child.Of("transform")).PreConcat(SKMatrix.CreateTranslation((float)SvgValues.Length(child.Of("x"), port.Width), (float)SvgValues.Length(child.Of("y"), port.Height)));
            path.FillType = styles.Of(shape, styles.Of(clip, null)).Of("clip-rule") == "evenodd" ? SKPathFillType.EvenOdd : SKPathFillType.Winding;
            path.Transform(inside.PreConcat(move).PreConcat(SvgValues.Transform(shape.Of("transform"))));
            all.AddPath(path.Simplify() ?? path);
            points += path.PointCount;
        }

        return Both(outer, all.Detach());
    }

    private static SKPath Both(SKPath? one, SKPath other) => one is null ? new SKPath(other) : one.Op(other, SKPathOp.Intersect) ?? one;

    private static SKPath Rectangle(double x, double y, double w, double h)
    {
        using var built = new SKPathBuilder();
        built.AddRect(SKRect.Create((float)x, (float)y, (float)w, (float)h));
        return built.Detach();
    }
}

/// <summary>Whether a rectangle is made of finite numbers.</summary>
internal static class FiniteRectangles
{
    public static bool IsFinite(this SKRect r) => float.IsFinite(r.Left) && float.IsFinite(r.Top) && float.IsFinite(r.Right) && float.IsFinite(r.Bottom);
}
