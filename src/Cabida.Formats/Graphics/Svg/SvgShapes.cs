using SkiaSharp;

namespace Cabida.Formats.Graphics.Svg;

/// <summary>Paths and basic shapes as they are drawn, in their own coordinates.</summary>
internal static class SvgShapes
{
    /// <summary>The names of the elements that draw.</summary>
    public static readonly HashSet<string> Names = new(StringComparer.Ordinal) { "path", "rect", "circle", "ellipse", "line", "polyline", "polygon" };

    /// <summary>The path of an element; null when it draws nothing.</summary>
    /// <param name="node">The element.</param>
    /// <param name="width">What a percentage across is of.</param>
    /// <param name="height">What a percentage down is of.</param>
    public static SKPath? PathOf(SvgNode node, double width, double height)
    {
        var diagonal = Math.Sqrt(((width * width) + (height * height)) / 2);
        float X(string name) => (float)SvgValues.Length(node.Of(name), width);
        float Y(string name) => (float)SvgValues.Length(node.Of(name), height);
        float R(string name) => (float)SvgValues.Length(node.Of(name), diagonal);
        using var built = new SKPathBuilder();
        switch (node.Name)
        {
            case "path":
                return SKPath.ParseSvgPathData(node.Of("d"));
            case "rect" when X("width") > 0 && Y("height") > 0:
                var (hasX, hasY) = (node.Of("rx").Length > 0 && node.Of("rx") != "auto", node.Of("ry").Length > 0 && node.Of("ry") != "auto");
                var (rx, ry) = (hasX ? X("rx") : Y("ry"), hasY ? Y("ry") : X("rx"));
                built.AddRoundRect(new SKRoundRect(SKRect.Create(X("x"), Y("y"), X("width"), Y("height")), Math.Min(rx, X("width") / 2), Math.Min(ry, Y("height") / 2)));
                return built.Detach();
            case "circle" when R("r") > 0:
                built.AddCircle(X("cx"), Y("cy"), R("r"));
                return built.Detach();
            case "ellipse" when X("rx") > 0 && Y("ry") > 0:
                built.AddOval(SKRect.Create(X("cx") - X("rx"), Y("cy") - Y("ry"), 2 * X("rx"), 2 * Y("ry")));
                return built.Detach();
            case "line":
                built.MoveTo(X("x1"), Y("y1"));
                built.LineTo(X("x2"), Y("y2"));
                return built.Detach();
            case "polygon" or "polyline" when SvgValues.Numbers(node.Of("points")) is { Length: >= 4 } n:
                built.AddPoly([.. Enumerable.Range(0, n.Length / 2).Select(i => new SKPoint((float)n[2 * i], (float)n[(2 * i) + 1]))], close: node.Name == "polygon");
                return built.Detach();
            default:
                return null;
        }
    }

    /// <summary>The outline of a stroke along a path, its curves kept.</summary>
    public static SKPath? Stroked(SKPath path, SvgStyle style, double diagonal, double scale)
    {
        var width = SvgValues.Length(style.Of("stroke-width", "1"), diagonal, 1);
        if (width <= 0)
        {
            return null;
        }

        using var paint = new SKPaint
        {
            Style = SKPaintStyle.Stroke,
            StrokeWidth = (float)width,
            StrokeCap = style.Of("stroke-linecap") switch { "round" => SKStrokeCap.Round, "square" => SKStrokeCap.Square, _ => SKStrokeCap.Butt },
            StrokeJoin = style.Of("stroke-linejoin") switch { "round" => SKStrokeJoin.Round, "bevel" => SKStrokeJoin.Bevel, _ => SKStrokeJoin.Miter },
            StrokeMiter = (float)SvgValues.Length(style.Of("stroke-miterlimit", "4"), 1, 4),
        };
        var dashes = style.Of("stroke-dasharray") is { Length: > 0 } d && d != "none" ? d.Split([' ', ','], StringSplitOptions.RemoveEmptyEntries).Select(x => (float)SvgValues.Length(x, diagonal)).ToArray() : [];
        if (dashes.Length > 0 && dashes.Sum() > 0 && dashes.All(x => x >= 0))
        {
            using var effect = SKPathEffect.CreateDash(dashes.Length % 2 == 0 ? dashes : [.. dashes, .. dashes], (float)SvgValues.Length(style.Of("stroke-dashoffset"), diagonal));
            paint.PathEffect = effect;
            return paint.GetFillPath(path, (float)scale);
        }

        return paint.GetFillPath(path, (float)scale);
    }
}
