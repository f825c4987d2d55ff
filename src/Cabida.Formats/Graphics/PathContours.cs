using Cabida.Core.Geometry;
using SkiaSharp;

namespace Cabida.Formats.Graphics;

/// <summary>Paths of the drawing library → contours with their curves, scaled.</summary>
internal static class PathContours
{
    /// <summary>Eight quadratics follow a conic to far below the tolerance of ink.</summary>
    private const int ConicHalvings = 3;

    /// <summary>The contours of a path, each closed by filling.</summary>
    /// <param name="path">The path, y down.</param>
    /// <param name="scale">Millimetres to its unit; y is turned up.</param>
    public static List<Contour> Of(SKPath path, double scale)
    {
        PlanePoint At(SKPoint p) => new(p.X * scale, -p.Y * scale);
        var found = new List<Contour>();
        var segments = new List<CurveSegment>();
        var start = default(PlanePoint);
        using var walk = path.CreateIterator(forceClose: false);
        var p = new SKPoint[4];
        for (var verb = walk.Next(p); verb != SKPathVerb.Done; verb = walk.Next(p))
        {
            switch (verb)
            {
                case SKPathVerb.Move:
                    Finish();
                    start = At(p[0]);
                    break;
                case SKPathVerb.Line:
                    segments.Add(new LineSegmentTo(At(p[1])));
                    break;
                case SKPathVerb.Quad:
                    segments.Add(new QuadraticTo(At(p[1]), At(p[2])));
                    break;
                case SKPathVerb.Cubic:
                    segments.Add(new CubicTo(At(p[1]), At(p[2]), At(p[3])));
                    break;
                case SKPathVerb.Conic:
                    var quads = SKPath.ConvertConicToQuads(p[0], p[1], p[2], walk.ConicWeight(), ConicHalvings);
                    for (var i = 1; i + 1 < quads.Length; i += 2)
                    {
                        segments.Add(new QuadraticTo(At(quads[i]), At(quads[i + 1])));
                    }

                    break;
                default:
                    break;
            }
        }

        Finish();
        return found;

        void Finish()
        {
            if (segments.Count > 0)
            {
                found.Add(new Contour(start, [.. segments]));
                segments.Clear();
            }
        }
    }
}
