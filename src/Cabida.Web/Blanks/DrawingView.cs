using Cabida.Core.Drawings;
using Cabida.Core.Geometry;
using Cabida.Formats.Svg;

namespace Cabida.Web.Blanks;

/// <summary>A line of a drawing as path data; millimetres, y up.</summary>
/// <param name="Kind">What it stands for.</param>
/// <param name="Path">Its path.</param>
/// <param name="Label">A word inside it, or at its foot.</param>
/// <param name="LabelAt">Where that word stands.</param>
internal sealed record StrokeView(StrokeKind Kind, string Path, string? Label, PlanePoint? LabelAt);

/// <summary>A measured drawing as the board draws it.</summary>
internal sealed record DrawingView(
    Box Box,
    IReadOnlyList<StrokeView> Strokes,
    IReadOnlyList<DimensionLine> Dimensions,
    IReadOnlyList<Callout> Callouts,
    bool Guessed,
    bool IsWindow
)
{
    public static DrawingView Of(Drawing drawing) =>
        new(
            drawing.Box,
            [
                .. drawing.Strokes.Select(s => new StrokeView(
                    s.Kind,
                    SvgPath.OfLine(s.Points, s.Closed),
                    s.Label,
                    s.Label is null ? null
                        : s.Kind == StrokeKind.Centre ? s.Points.MinBy(p => p.Y)
                        : Middle(s.Points)
                )),
            ],
            drawing.Dimensions,
            drawing.Callouts,
            drawing.Guessed,
            drawing.IsWindow
        );

    private static PlanePoint Middle(IReadOnlyList<PlanePoint> points) => new(points.Average(p => p.X), points.Average(p => p.Y));
}
