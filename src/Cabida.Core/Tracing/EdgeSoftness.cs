using Cabida.Core.Geometry;

namespace Cabida.Core.Tracing;

/// <summary>
/// How much of a contour runs along no edge at all: where brightness hardly changes across it, as in the fringe of a shadow. A drawn or cut
/// edge rises within three pixels, however faint it is.
/// </summary>
internal static class EdgeSoftness
{
    /// <summary>How far to either side of the contour is looked, in pixels.</summary>
    private const double Reach = 2;

    /// <summary>Less than this share of the paper's brightness over that way is no edge.</summary>
    private const double LeastRise = 0.045;

    /// <summary>Every so many points are looked at.</summary>
    private const int Every = 3;

    /// <summary>Neighbours are looked at together, so that noise makes nothing soft; points to either side.</summary>
    private const int Around = 4;

    /// <summary>The share of the contour that is soft.</summary>
    public static double Of(LevelContour contour, GreyPicture picture, PaperLight light)
    {
        var points = contour.Points;
        var n = points.Count;
        if (n < 8)
        {
            return 0;
        }

        var rises = new double[(n + Every - 1) / Every];
        for (var k = 0; k < rises.Length; k++)
        {
            var i = k * Every;
            PlanePoint before = points[(i + n - 3) % n],
                after = points[(i + 3) % n],
                at = points[i];
            var length = Math.Max(1e-9, before.To(after));
            PlanePoint normal = new(-(after.Y - before.Y) / length, (after.X - before.X) / length);
            rises[k] = Share(at, normal, Reach) - Share(at, normal, -Reach);
        }

        var soft = Enumerable
            .Range(0, rises.Length)
            .Count(k =>
                Enumerable.Range(-Around, (2 * Around) + 1).Average(j => rises[(k + j + (Around * rises.Length)) % rises.Length])
                < LeastRise
            );
        return (double)soft / rises.Length;

        double Share(PlanePoint p, PlanePoint way, double t) => picture.At(p.X + (t * way.X), p.Y + (t * way.Y)) / light.At(p.X, p.Y);
    }
}
