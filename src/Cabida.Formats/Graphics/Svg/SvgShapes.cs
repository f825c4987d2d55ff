using Cabida.Core.Geometry;

namespace Cabida.Formats.Graphics.Svg;

/// <summary>Paths and basic shapes as they are drawn, in their own coordinates, y down.</summary>
internal static class SvgShapes
{
    /// <summary>The names of the elements that draw.</summary>
    public static readonly HashSet<string> Names = new(StringComparer.Ordinal)
    {
        "path",
        "rect",
        "circle",
        "ellipse",
        "line",
        "polyline",
        "polygon",
    };

    /// <summary>The lines of an element.</summary>
    /// <param name="node">The element.</param>
    /// <param name="style">Its style, which may say where it stands as well.</param>
    /// <param name="port">What percentages are of.</param>
    /// <param name="mistake">Takes what is wrong with it, in words.</param>
    public static IReadOnlyList<DrawnLine> Of(SvgNode node, SvgStyle style, (double Width, double Height) port, Action<string> mistake)
    {
        string Text(string name) => style.Values.ContainsKey(name) ? style.Of(name) : node.Of(name);
        double Length(string name, double whole)
        {
            var text = Text(name);
            if (text.Length > 0 && text != "auto" && SvgValues.UnitOf(text) is null)
            {
                mistake($"a length that is not understood (“{(text.Length > 30 ? text[..30] + "…" : text)}”)");
            }

            return SvgValues.Length(text, whole);
        }

        double X(string name) => Length(name, port.Width);
        double Y(string name) => Length(name, port.Height);
        double R(string name) => Length(name, Math.Sqrt(((port.Width * port.Width) + (port.Height * port.Height)) / 2));
        bool Has(string name) => Text(name) is { Length: > 0 } and not "auto";
        switch (node.Name)
        {
            case "path":
                var (lines, wrong) = SvgPathData.Read(node.Of("d"));
                if (wrong is not null)
                {
                    mistake("what stands behind a mistake in a path");
                }

                return lines;
            case "rect" when X("width") > 0 && Y("height") > 0:
                var (rx, ry) = (Has("rx") ? X("rx") : Y("ry"), Has("ry") ? Y("ry") : X("rx"));
                return
                [
                    Rectangle(
                        X("x"),
                        Y("y"),
                        X("width"),
                        Y("height"),
                        Math.Clamp(rx, 0, X("width") / 2),
                        Math.Clamp(ry, 0, Y("height") / 2)
                    ),
                ];
            case "circle" when R("r") > 0:
                return [Ellipse(X("cx"), Y("cy"), R("r"), R("r"))];
            case "ellipse":
                var (ex, ey) = (Has("rx") ? X("rx") : Y("ry"), Has("ry") ? Y("ry") : X("rx"));
                return ex > 0 && ey > 0 ? [Ellipse(X("cx"), Y("cy"), ex, ey)] : [];
            case "line":
                return [new DrawnLine(new Contour(new(X("x1"), Y("y1")), [new LineSegmentTo(new(X("x2"), Y("y2")))]), false)];
            case "polygon" or "polyline" when SvgValues.Numbers(node.Of("points")) is { Length: >= 4 } n:
                if (n.Length % 2 != 0)
                {
                    mistake("a point that has no second figure");
                }

                return
                [
                    new DrawnLine(
                        new Contour(
                            new(n[0], n[1]),
                            [.. Enumerable.Range(1, (n.Length / 2) - 1).Select(i => new LineSegmentTo(new(n[2 * i], n[(2 * i) + 1])))]
                        ),
                        node.Name == "polygon"
                    ),
                ];
            default:
                return [];
        }
    }

    private static DrawnLine Ellipse(double cx, double cy, double rx, double ry) =>
        new(new Contour(new(cx + rx, cy), [.. ArcCubics.Of(0, 2 * Math.PI, new Motion(rx, 0, cx, 0, ry, cy), new(cx + rx, cy))]), true);

    private static DrawnLine Rectangle(double x, double y, double w, double h, double rx, double ry)
    {
        var (right, foot) = (x + w, y + h);
        if (rx == 0 || ry == 0)
        {
            return new(
                new Contour(
                    new(x, y),
                    [new LineSegmentTo(new(right, y)), new LineSegmentTo(new(right, foot)), new LineSegmentTo(new(x, foot))]
                ),
                true
            );
        }

        IEnumerable<CurveSegment> Corner(double cx, double cy, double from, PlanePoint to) =>
            ArcCubics.Of(from, Math.PI / 2, new Motion(rx, 0, cx, 0, ry, cy), to);
        return new(
            new Contour(
                new(x + rx, y),
                [
                    new LineSegmentTo(new(right - rx, y)),
                    .. Corner(right - rx, y + ry, -Math.PI / 2, new(right, y + ry)),
                    new LineSegmentTo(new(right, foot - ry)),
                    .. Corner(right - rx, foot - ry, 0, new(right - rx, foot)),
                    new LineSegmentTo(new(x + rx, foot)),
                    .. Corner(x + rx, foot - ry, Math.PI / 2, new(x, foot - ry)),
                    new LineSegmentTo(new(x, y + ry)),
                    .. Corner(x + rx, y + ry, Math.PI, new(x + rx, y)),
                ]
            ),
            true
        );
    }
}
