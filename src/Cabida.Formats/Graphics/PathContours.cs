using Cabida.Core.Geometry;
using SkiaSharp;

namespace Cabida.Formats.Graphics;

/// <summary>Paths of the drawing library → contours with their curves.</summary>
internal static class PathContours
{
    /// <summary>A conic of at most this weight turns by more than 45°, and is halved before it becomes a cubic.</summary>
    private const double WidestConic = 0.92;

    /// <summary>The contours of a path, each closed by filling; in its coordinates.</summary>
    public static List<Contour> Of(SKPath path)
    {
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
                    Conic(At(p[0]), At(p[1]), At(p[2]), walk.ConicWeight(), segments);
                    break;
                default:
                    break;
            }
        }

        Finish();
        return found;

        static PlanePoint At(SKPoint p) => new(p.X, p.Y);

        void Finish()
        {
            if (segments.Count > 0)
            {
                found.Add(new Contour(start, [.. segments]));
                segments.Clear();
            }
        }
    }

    /// <summary>
    /// A conic of weight w, an arc of 2·arccos w on its ellipse, as cubics: their control points lie 4w/3(1 + w) of the way to its own,
    /// which follows an arc of up to 45° to within 5·10⁻⁶ of its radius.
    /// </summary>
    private static void Conic(PlanePoint a, PlanePoint b, PlanePoint c, double weight, List<CurveSegment> into)
    {
        if (weight is > 0 and < WidestConic)
        {
            // Halving by de Casteljau's scheme in homogeneous coordinates.
            PlanePoint ab = a.Towards(b, weight / (1 + weight)),
                bc = c.Towards(b, weight / (1 + weight)),
                middle = ab.Towards(bc, 0.5);
            var half = Math.Sqrt((1 + weight) / 2);
            Conic(a, ab, middle, half, into);
            Conic(middle, bc, c, half, into);
            return;
        }

        var share = 4 * weight / (3 * (1 + weight));
        into.Add(new CubicTo(a.Towards(b, share), c.Towards(b, share), c));
    }
}
