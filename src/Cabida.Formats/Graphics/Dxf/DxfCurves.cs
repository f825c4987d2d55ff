using Cabida.Core.Geometry;

namespace Cabida.Formats.Graphics.Dxf;

/// <summary>Entities → curves: arcs and ellipses as cubics, splines by knot insertion where they are not rational.</summary>
internal static class DxfCurves
{
    private const int RationalStepsPerSpan = 48;
    private const double Flat = 1e-9;

    /// <summary>The curve of an entity in the file's unit; null when it draws none.</summary>
    public static LineChain? Of(DxfEntity e)
    {
        switch (e.Kind)
        {
            case "LINE":
                return new LineChain(e.Point(10), [new LineSegmentTo(e.Point(11))], false);
            case "CIRCLE":
                return Arc(e.Point(10), new(e.Of(40), 0), 1, 0, 2 * Math.PI, true);
            case "ARC":
                double from = e.Of(50) * Math.PI / 180,
                    to = e.Of(51) * Math.PI / 180;
                return Arc(e.Point(10), new(e.Of(40), 0), 1, from, to > from ? to : to + (2 * Math.PI), false);
            case "ELLIPSE":
                var end = e.Of(42, 2 * Math.PI);
                // Its axes are of the page; seen from behind it runs the other way round.
                return Arc(
                    e.Point(10),
                    e.Point(11),
                    e.Of(40, 1) * (e.FacesAway ? -1 : 1),
                    e.Of(41),
                    end > e.Of(41) ? end : end + (2 * Math.PI),
                    Math.Abs(end - e.Of(41) - (2 * Math.PI)) < 1e-6
                );
            case "LWPOLYLINE":
                return Polyline(e);
            case "SPLINE":
                return Spline(e);
            case "SOLID" or "TRACE":
                return e.Points(10) is { Count: > 0 }
                    ? new LineChain(
                        e.Point(10),
                        [new LineSegmentTo(e.Point(11)), new LineSegmentTo(e.Point(13)), new LineSegmentTo(e.Point(12))],
                        true
                    )
                    : null;
            default:
                return null;
        }
    }

    /// <summary>An arc of an ellipse as cubics.</summary>
    private static LineChain? Arc(PlanePoint centre, PlanePoint major, double ratio, double from, double to, bool closed)
    {
        if (Math.Abs(major.X) + Math.Abs(major.Y) < Flat)
        {
            return null;
        }

        var place = new Motion(major.X, -ratio * major.Y, centre.X, major.Y, ratio * major.X, centre.Y);
        PlanePoint At(double angle) => place.Of(new PlanePoint(Math.Cos(angle), Math.Sin(angle)));
        return new LineChain(At(from), [.. ArcCubics.Of(from, to - from, place, At(to))], closed);
    }

    /// <summary>A polyline; a bulge is the tangent of a quarter of its arc's angle, positive to the left.</summary>
    private static LineChain? Polyline(DxfEntity e)
    {
        var vertices = Vertices(e);
        var closed = ((int)e.Of(70) & 1) == 1;
        if (vertices.Count < 2)
        {
            return null;
        }

        var segments = new List<CurveSegment>();
        for (var i = 0; i + (closed ? 0 : 1) < vertices.Count; i++)
        {
            PlanePoint a = vertices[i].At,
                b = vertices[(i + 1) % vertices.Count].At;
            var bulge = vertices[i].Bulge;
            if (Math.Abs(bulge) < Flat || a.To(b) < Flat)
            {
                segments.Add(new LineSegmentTo(b));
                continue;
            }

            var angle = 4 * Math.Atan(bulge);
            var radius = a.To(b) / (2 * Math.Sin(Math.Abs(angle) / 2));
            var normal = Math.Atan2(b.Y - a.Y, b.X - a.X) + (Math.Sign(bulge) * Math.PI / 2);
            var height = radius * Math.Cos(angle / 2);
            var centre = new PlanePoint(((a.X + b.X) / 2) + (height * Math.Cos(normal)), ((a.Y + b.Y) / 2) + (height * Math.Sin(normal)));
            var start = Math.Atan2(a.Y - centre.Y, a.X - centre.X);
            var arc =
                angle > 0
                    ? Arc(centre, new(radius, 0), 1, start, start + angle, false)!
                    : Arc(centre, new(radius, 0), 1, start + angle, start, false)!.Reversed();
            segments.AddRange(arc.Segments.SkipLast(1));
            segments.Add(arc.Segments[^1] is CubicTo last ? last with { End = b } : new LineSegmentTo(b));
        }

        return new LineChain(vertices[0].At, segments, closed);
    }

    private static List<(PlanePoint At, double Bulge)> Vertices(DxfEntity e)
    {
        var vertices = new List<(PlanePoint At, double Bulge)>();
        foreach (var (code, value) in e.Values)
        {
            switch (code)
            {
                case 10:
                    vertices.Add((new(DxfTags.Number(value), 0), 0));
                    break;
                case 20 when vertices.Count > 0:
                    vertices[^1] = (vertices[^1].At with { Y = DxfTags.Number(value) }, 0);
                    break;
                case 42 when vertices.Count > 0:
                    vertices[^1] = (vertices[^1].At, DxfTags.Number(value));
                    break;
                default:
                    break;
            }
        }

        return vertices;
    }

    private static LineChain? Spline(DxfEntity e)
    {
        var degree = (int)e.Of(71, 3);
        var (knots, control, weights) = (e.All(40), e.Points(10), e.All(41));
        if (control.Count == 0 && e.Points(11) is { Count: > 1 } through)
        {
            return FitSpline.Through(through, e.Has(12) ? e.Point(12) : null, e.Has(13) ? e.Point(13) : null, ((int)e.Of(70) & 1) == 1);
        }

        if (degree is < 1 or > 11 || control.Count <= degree || knots.Length != control.Count + degree + 1)
        {
            return null;
        }

        var rational = weights.Length == control.Count && weights.Any(w => Math.Abs(w - weights[0]) > Flat);
        var points = new List<PlanePoint>();
        var segments = new List<CurveSegment>();
        for (var span = degree; span < control.Count; span++)
        {
            var (a, b) = (knots[span], knots[span + 1]);
            if (b <= a)
            {
                continue;
            }

            if (points.Count == 0)
            {
                points.Add(At(span, a));
            }

            if (degree <= 3 && !rational)
            {
                // The Bézier points of a span are its blossom at the span's ends.
                segments.Add(
                    degree switch
                    {
                        1 => new LineSegmentTo(Blossom(span, [b])),
                        2 => new QuadraticTo(Blossom(span, [a, b]), Blossom(span, [b, b])),
                        _ => new CubicTo(Blossom(span, [a, a, b]), Blossom(span, [a, b, b]), Blossom(span, [b, b, b])),
                    }
                );
            }
            else
            {
                segments.AddRange(
                    Enumerable
                        .Range(1, RationalStepsPerSpan)
                        .Select(i => new LineSegmentTo(At(span, a + ((b - a) * i / RationalStepsPerSpan))))
                );
            }
        }

        return segments.Count == 0 ? null : new LineChain(points[0], segments, ((int)e.Of(70) & 1) == 1);

        PlanePoint Blossom(int span, double[] at)
        {
            var d = Enumerable.Range(span - degree, degree + 1).Select(j => control[j]).ToArray();
            for (var r = 1; r <= degree; r++)
            {
                for (var j = degree; j >= r; j--)
                {
                    d[j] = d[j - 1].Towards(d[j], Share(span - degree + j, r, at[r - 1]));
                }
            }

            return d[degree];
        }

        PlanePoint At(int span, double t)
        {
            var d = Enumerable
                .Range(span - degree, degree + 1)
                .Select(j => (control[j].X, control[j].Y, W: rational ? weights[j] : 1))
                .Select(c => (X: c.X * c.W, Y: c.Y * c.W, c.W))
                .ToArray();
            for (var r = 1; r <= degree; r++)
            {
                for (var j = degree; j >= r; j--)
                {
                    var s = Share(span - degree + j, r, t);
                    d[j] = (
                        d[j - 1].X + (s * (d[j].X - d[j - 1].X)),
                        d[j - 1].Y + (s * (d[j].Y - d[j - 1].Y)),
                        d[j - 1].W + (s * (d[j].W - d[j - 1].W))
                    );
                }
            }

            return new(d[degree].X / d[degree].W, d[degree].Y / d[degree].W);
        }

        double Share(int k, int r, double t) => (t - knots[k]) / (knots[k + degree - r + 1] - knots[k]);
    }
}
