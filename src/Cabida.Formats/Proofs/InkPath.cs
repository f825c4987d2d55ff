using Cabida.Core.Geometry;
using NetTopologySuite.Simplify;
using SkiaSharp;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Formats.Proofs;

/// <summary>Areas as paths to be filled.</summary>
internal static class InkPath
{
    /// <summary>The path of an area, holes left open.</summary>
    /// <param name="area">The area.</param>
    /// <param name="within">No point of its outline is left out that lies further than this from what is drawn; millimetres.</param>
    public static SKPath Of(Area area, double within = 0)
    {
        using var path = new SKPathBuilder { FillType = SKPathFillType.EvenOdd };
        foreach (var ring in Outlines.RingsOf(area))
        {
            var seen = within > 0 ? DouglasPeuckerLineSimplifier.Simplify(ring.Coordinates, within) : ring.Coordinates;
            path.AddPoly([.. (seen.Length > 3 ? seen : ring.Coordinates).Select(c => new SKPoint((float)c.X, (float)c.Y))], close: true);
        }

        return path.Detach();
    }

    /// <summary>Fills ink in its colour.</summary>
    public static void Fill(SKCanvas canvas, ColouredInk ink, double within = 0)
    {
        using var path = Of(ink.Ink, within);
        using var paint = new SKPaint { Color = Colour(ink.Colour), IsAntialias = true };
        canvas.DrawPath(path, paint);
    }

    /// <summary>A colour; dark where it cannot be read.</summary>
    public static SKColor Colour(string colour) => SKColor.TryParse(colour, out var read) ? read : new SKColor(0x23, 0x28, 0x2c);
}
