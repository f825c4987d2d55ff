using Cabida.Core.Geometry;

namespace Cabida.Formats.Graphics.Svg;

/// <summary>The boxes round what is drawn.</summary>
internal static class SvgBoxes
{
    private const double Finely = 0.01;

    /// <summary>The box round outlines; of no size where there are none.</summary>
    public static Box Around(IEnumerable<Contour> contours)
    {
        var (minX, minY, maxX, maxY) = (double.MaxValue, double.MaxValue, double.MinValue, double.MinValue);
        foreach (var p in contours.SelectMany(c => CurveFlattening.Flatten(c, Finely, Math.PI)))
        {
            (minX, minY, maxX, maxY) = (Math.Min(minX, p.X), Math.Min(minY, p.Y), Math.Max(maxX, p.X), Math.Max(maxY, p.Y));
        }

        return minX <= maxX ? new Box(minX, minY, maxX, maxY) : default;
    }
}
