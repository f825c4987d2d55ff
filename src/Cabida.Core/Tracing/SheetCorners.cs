using Cabida.Core.Geometry;

namespace Cabida.Core.Tracing;

/// <summary>
/// Finds the four corners of a sheet on a photograph: the largest bright place is parted from what it lies on by the threshold that parts
/// them best (Otsu 1979), its hull is brought to the four sides that enclose most of it, and each side is then fitted to the edge itself.
/// </summary>
public static class SheetCorners
{
    /// <summary>The sheet is looked for on a picture made this small, in pixels.</summary>
    private const int Coarse = 360;

    /// <summary>A sheet fills at least this share of the picture.</summary>
    private const double LeastShare = 0.12;

    /// <summary>The bright place must fill this share of its four sides, and they no more than of its hull; else it is no sheet.</summary>
    private const double Fills = 0.97;

    /// <summary>What is drawn on a sheet leaves at least this share of it bright.</summary>
    private const double Bright = 0.35;

    /// <summary>How far to either side of where a side should be it is looked for, in coarse pixels: at first, and then.</summary>
    private const double Far = 6;

    private const double Near = 1.5;

    /// <summary>The corners from the upper left, clockwise, in pixels; null when no sheet stands out.</summary>
    /// <param name="picture">The picture.</param>
    /// <param name="stop">Stops it.</param>
    public static IReadOnlyList<PlanePoint>? Of(GreyPicture picture, CancellationToken stop = default)
    {
        ArgumentNullException.ThrowIfNull(picture);
        var step = Math.Max(1, (Math.Max(picture.Width, picture.Height) + Coarse - 1) / Coarse);
        var small = BrightPlace.Smaller(picture, step);
        stop.ThrowIfCancellationRequested();
        if (
            BrightPlace.Threshold(small.Pixels) is not { } parts
            || BrightPlace.Largest(small, parts.At) is not { } blob
            || blob.Count < LeastShare * small.Pixels.Length
        )
        {
            return null;
        }

        var hull = BrightPlace.Hull(blob, small);
        if (hull.Count < 4)
        {
            return null;
        }

        var four = BrightPlace.FourSides(hull);
        if (four is null || BrightPlace.AreaOf(hull) < Fills * BrightPlace.AreaOf(four) || blob.Count < Bright * BrightPlace.AreaOf(four))
        {
            return null;
        }

        // Where a corner lies off the picture, the sheet was not photographed whole.
        List<PlanePoint> rough = [.. four.Select(p => new PlanePoint(p.X * step, p.Y * step))];
        var margin = 1.5 * step;
        if (rough.Any(p => p.X < margin || p.Y < margin || p.X > picture.Width - margin || p.Y > picture.Height - margin))
        {
            return null;
        }

        // The hull of coarse pixels may lie several of them off; the second time each side is looked for where it is.
        var near = EdgeSides.Sharpened(rough, picture, Far * step, parts.Apart);
        return near is not null && EdgeSides.Sharpened(near, picture, Near * step, parts.Apart) is { } sharp
            ? SheetLying.InOrder(sharp)
            : null;
    }
}
