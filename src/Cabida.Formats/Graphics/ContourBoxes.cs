using Cabida.Core.Geometry;

namespace Cabida.Formats.Graphics;

/// <summary>The boxes round outlines.</summary>
internal static class ContourBoxes
{
    /// <summary>The box round outlines; of no size where there are none.</summary>
    /// <param name="contours">The outlines.</param>
    /// <param name="within">How far their curves may bow beyond it.</param>
    public static Box Around(IEnumerable<Contour> contours, double within = Tolerances.Ink)
    {
        var (minX, minY, maxX, maxY) = (double.MaxValue, double.MaxValue, double.MinValue, double.MinValue);
        foreach (var p in contours.SelectMany(c => CurveFlattening.Flatten(c, within, Tolerances.InkTurn)))
        {
            (minX, minY, maxX, maxY) = (Math.Min(minX, p.X), Math.Min(minY, p.Y), Math.Max(maxX, p.X), Math.Max(maxY, p.Y));
        }

        return minX <= maxX ? new Box(minX, minY, maxX, maxY) : default;
    }
}
