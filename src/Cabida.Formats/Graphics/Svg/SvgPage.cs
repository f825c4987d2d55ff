using Cabida.Core.Geometry;

namespace Cabida.Formats.Graphics.Svg;

/// <summary>The page of a file, in the pixels of CSS, of which 96 are an inch; y down.</summary>
/// <param name="Width">Across.</param>
/// <param name="Height">Down.</param>
/// <param name="Inside">How the coordinates of the drawing come to the page.</param>
/// <param name="Port">What percentages in the drawing are of.</param>
/// <param name="PerUnit">Millimetres to a unit of the drawing where the size is stated, to a pixel where it is not.</param>
/// <param name="Stated">Whether the file says by a physical unit how large it is.</param>
internal sealed record SvgPage(double Width, double Height, Motion Inside, (double Width, double Height) Port, double PerUnit, bool Stated)
{
    private const double UsualWidth = 300;
    private const double UsualHeight = 150;

    /// <summary>The page of a drawing: its width and height, and how its view box lies on them.</summary>
    /// <param name="root">The outermost element.</param>
    /// <param name="style">Its style, which may give them as well.</param>
    public static SvgPage Of(SvgNode root, SvgStyle style)
    {
        string Text(string name) => style.Values.ContainsKey(name) ? style.Of(name) : root.Of(name);
        var box = SvgValues.Numbers(root.Of("viewBox")) is [_, _, > 0 and var w, > 0 and var h]
            ? (Width: w, Height: h)
            : ((double Width, double Height)?)null;
        var (width, height) = (Fixed(Text("width")), Fixed(Text("height")));
        var stated = new[] { ("width", width), ("height", height) }.Any(s =>
            s.Item2 is not null && SvgValues.Millimetres(SvgValues.UnitOf(Text(s.Item1)) ?? "") is not null
        );
        // A side that is left open follows the other in the shape of the view box.
        var across = width ?? (height is { } tall && box is { } a ? tall * a.Width / a.Height : box?.Width ?? UsualWidth);
        var down = height ?? (width is { } wide && box is { } b ? wide * b.Height / b.Width : box?.Height ?? UsualHeight);
        var inside = box is null ? Motion.None : SvgValues.ViewBox(root.Of("viewBox"), root.Of("preserveAspectRatio"), 0, 0, across, down);
        return new SvgPage(
            across,
            down,
            inside,
            box ?? (across, down),
            SvgValues.MillimetresPerUnit * (stated ? Math.Min(inside.A, inside.E) : 1),
            stated
        );
    }

    /// <summary>A length in pixels; null for none, or a share of what it is shown in.</summary>
    private static double? Fixed(string text) =>
        SvgValues.UnitOf(text) is { } unit && unit != "%" && SvgValues.Length(text, 0) is > 0 and var px ? px : null;
}
