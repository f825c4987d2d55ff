using Cabida.Core.Geometry;
using SkiaSharp;

namespace Cabida.Formats.Graphics;

/// <summary>A line drawn without lifting the pen.</summary>
/// <param name="Line">Where it goes.</param>
/// <param name="Closed">Whether it is closed.</param>
internal sealed record DrawnLine(Contour Line, bool Closed);

/// <summary>How a line is stroked, in the coordinates of the line.</summary>
/// <param name="Width">How wide.</param>
/// <param name="Cap">How its ends look.</param>
/// <param name="Join">How its corners look.</param>
/// <param name="Miter">How far a pointed corner may reach, in widths.</param>
/// <param name="Dashes">Dashes and gaps in turn; empty for none.</param>
/// <param name="Offset">Where the dashes begin.</param>
internal sealed record StrokeSetting(
    double Width,
    SKStrokeCap Cap,
    SKStrokeJoin Join,
    double Miter,
    IReadOnlyList<double> Dashes,
    double Offset
);

/// <summary>The outlines of strokes along lines, their curves kept.</summary>
internal static class StrokeOutlines
{
    /// <summary>More dashes along one shape than this are refused.</summary>
    public const int MostDashes = 20_000;

    /// <summary>The outline of a stroke; empty when nothing is drawn, null when it has too many dashes.</summary>
    /// <param name="lines">The lines.</param>
    /// <param name="setting">How they are stroked.</param>
    /// <param name="scale">How much larger it will be seen, so that curves are followed finely enough.</param>
    public static IReadOnlyList<Contour>? Of(IReadOnlyList<DrawnLine> lines, StrokeSetting setting, double scale)
    {
        using var paint = new SKPaint
        {
            Style = SKPaintStyle.Stroke,
            StrokeWidth = (float)setting.Width,
            StrokeCap = setting.Cap,
            StrokeJoin = setting.Join,
            StrokeMiter = (float)setting.Miter,
        };
        using var path = PathOf(lines);
        var (dashes, period) = (setting.Dashes, setting.Dashes.Sum());
        if (period > 0 && dashes.All(d => d >= 0))
        {
            if (LengthOf(path) / period * dashes.Count > MostDashes)
            {
                return null;
            }

            using var effect = SKPathEffect.CreateDash(
                [.. (dashes.Count % 2 == 0 ? dashes : [.. dashes, .. dashes]).Select(d => (float)d)],
                (float)setting.Offset
            );
            paint.PathEffect = effect;
        }

        using var outline = paint.GetFillPath(path, (float)scale);
        return outline is null ? [] : PathContours.Of(outline);
    }

    /// <summary>How long lines are, all together.</summary>
    public static double LengthOf(IReadOnlyList<DrawnLine> lines)
    {
        using var path = PathOf(lines);
        return LengthOf(path);
    }

    private static double LengthOf(SKPath path)
    {
        using var measure = new SKPathMeasure(path);
        var length = 0.0;
        do
        {
            length += measure.Length;
        } while (measure.NextContour());
        return length;
    }

    private static SKPath PathOf(IReadOnlyList<DrawnLine> lines)
    {
        using var path = new SKPathBuilder();
        foreach (var (line, closed) in lines)
        {
            path.MoveTo(At(line.Start));
            foreach (var segment in line.Segments)
            {
                switch (segment)
                {
                    case CubicTo c:
                        path.CubicTo(At(c.Control1), At(c.Control2), At(c.End));
                        break;
                    case QuadraticTo q:
                        path.QuadTo(At(q.Control), At(q.End));
                        break;
                    default:
                        path.LineTo(At(segment.End));
                        break;
                }
            }

            if (closed)
            {
                path.Close();
            }
        }

        return path.Detach();

        static SKPoint At(PlanePoint p) => new((float)p.X, (float)p.Y);
    }
}
