using Cabida.Core.Geometry;
using SkiaSharp;

namespace Cabida.Formats.Graphics.Svg;

/// <summary>Strokes as their styles say.</summary>
internal static class SvgStrokes
{
    /// <summary>The outline of a stroke; empty when nothing is drawn, null when it has too many dashes.</summary>
    /// <param name="lines">The lines.</param>
    /// <param name="style">The style of the stroke.</param>
    /// <param name="pathLength">What the author takes the lines to be long; zero where that is not said.</param>
    /// <param name="diagonal">What percentages are of.</param>
    /// <param name="scale">How much larger it will be seen.</param>
    public static IReadOnlyList<Contour>? Of(
        IReadOnlyList<DrawnLine> lines,
        SvgStyle style,
        double pathLength,
        double diagonal,
        double scale
    )
    {
        var width = SvgValues.Length(style.Of("stroke-width", "1"), diagonal, 1);
        if (width <= 0)
        {
            return [];
        }

        var dashes = Dashes(style.Of("stroke-dasharray"), diagonal);
        // Lengths along a line count as its author takes it to be long.
        var by = dashes.Count > 0 && pathLength > 0 ? StrokeOutlines.LengthOf(lines) / pathLength : 1;
        return StrokeOutlines.Of(
            lines,
            new StrokeSetting(
                width,
                style.Of("stroke-linecap") switch
                {
                    "round" => SKStrokeCap.Round,
                    "square" => SKStrokeCap.Square,
                    _ => SKStrokeCap.Butt,
                },
                style.Of("stroke-linejoin") switch
                {
                    "round" => SKStrokeJoin.Round,
                    "bevel" => SKStrokeJoin.Bevel,
                    _ => SKStrokeJoin.Miter,
                },
                SvgValues.Length(style.Of("stroke-miterlimit", "4"), 1, 4),
                [.. dashes.Select(d => d * by)],
                SvgValues.Length(style.Of("stroke-dashoffset"), diagonal) * by
            ),
            scale
        );
    }

    private static IReadOnlyList<double> Dashes(string text, double diagonal) =>
        text is "" or "none"
            ? []
            :
            [
                .. text.Split([' ', ',', '\t', '\n', '\r'], StringSplitOptions.RemoveEmptyEntries)
                    .Select(x => SvgValues.Length(x, diagonal)),
            ];
}
