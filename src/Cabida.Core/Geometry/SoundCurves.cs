using NetTopologySuite.Geometries;
using NetTopologySuite.Operation.Valid;
using NetTopologySuite.Precision;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Geometry;

/// <summary>
/// Curves for what is cut: fitted to the rings of an area so that, rounded as a file holds them, none crosses itself or another and
/// none reaches beyond the box of its ring. Where curves within a tolerance do, finer ones are tried, and last the ring as it is.
/// </summary>
public static class SoundCurves
{
    /// <summary>How far curves may reach beyond the box of their ring: what rounding in a file makes; millimetres.</summary>
    public const double Beyond = 0.001;

    /// <summary>How closely curves are looked at for crossings; millimetres.</summary>
    public const double Looked = 0.001;

    private static readonly double[] Finer = [1, 0.5, 0.25, 1.0 / 16];

    /// <summary>The contours of an area's rings, in order.</summary>
    /// <param name="area">The area.</param>
    /// <param name="tolerance">How far curves may lie from its outline.</param>
    /// <param name="grid">What coordinates are rounded to.</param>
    public static IReadOnlyList<Contour> Of(Area area, double tolerance, double grid)
    {
        var contours = Outlines
            .PolygonsOf(area)
            .SelectMany(p =>
            {
                List<LineString> rings = [p.ExteriorRing, .. p.InteriorRings];
                // Mostly the first that is fitted is sound, and looked at once.
                var first = rings.ConvertAll(r => Rounded(CurveFitting.Fit(r, tolerance), grid));
                var flat = first.ConvertAll(Flat);
                if (IsSound(flat) && flat.Zip(rings, (f, r) => StaysIn(f, r.EnvelopeInternal)).All(stays => stays))
                {
                    return first;
                }

                // A counter's curve and its outside may cross where they lie nearer to one another than the tolerance.
                if (Finer.Select(f => rings.ConvertAll(r => OfRing(r, tolerance * f, grid))).FirstOrDefault(IsSound) is { } fitted)
                {
                    return fitted;
                }

                List<Contour> straight = [.. rings.Select(r => Rounded(Straight(r), grid))];
                // What is thinner than the file's own steps crosses itself once it is rounded, however it is drawn.
                return IsSound(straight) ? straight : OnGrid(p, grid);
            })
            .ToList();
        return contours;
    }

    /// <summary>
    /// An area as it is on the grid of a file: hair lines that vanish there are gone, and what they held together is in parts.
    /// </summary>
    private static List<Contour> OnGrid(Polygon area, double grid) =>
        [
            .. Outlines
                .PolygonsOf(GeometryPrecisionReducer.Reduce(area, new PrecisionModel(1 / grid)))
                .SelectMany(p => p.InteriorRings.Prepend(p.ExteriorRing))
                .Select(Straight),
        ];

    private static Contour OfRing(LineString ring, double tolerance, double grid) =>
        Finer
            .Select(f => Rounded(CurveFitting.Fit(ring, tolerance * f), grid))
            .FirstOrDefault(c => Flat(c) is var flat && StaysIn(flat, ring.EnvelopeInternal) && IsSound([flat]))
        ?? Rounded(Straight(ring), grid);

    /// <summary>Whether rings, the first of them the outside, make an area as they are.</summary>
    public static bool IsSound(IReadOnlyList<Contour> contours) => IsSound([.. contours.Select(Flat)]);

    private static bool IsSound(List<LinearRing> rings) =>
        rings.TrueForAll(r => r.NumPoints >= 4) && new IsValidOp(Outlines.Factory.CreatePolygon(rings[0], [.. rings.Skip(1)])).IsValid;

    private static LinearRing Flat(Contour contour)
    {
        var points = CurveFlattening.Flatten(contour, Looked, Tolerances.InkTurn).Select(p => p.ToCoordinate()).ToList();
        return points.Count < 3 ? Outlines.Factory.CreateLinearRing() : Outlines.Factory.CreateLinearRing([.. points, points[0].Copy()]);
    }

    private static bool StaysIn(LinearRing flat, Envelope box)
    {
        var own = flat.EnvelopeInternal;
        return own.MinX >= box.MinX - Beyond
            && own.MaxX <= box.MaxX + Beyond
            && own.MinY >= box.MinY - Beyond
            && own.MaxY <= box.MaxY + Beyond;
    }

    private static Contour Straight(LineString ring)
    {
        var points = ring.Coordinates.Take(ring.NumPoints - 1).Select(c => new PlanePoint(c.X, c.Y)).ToList();
        return new Contour(points[0], [.. points.Skip(1).Append(points[0]).Select(p => (CurveSegment)new LineSegmentTo(p))]);
    }

    private static Contour Rounded(Contour contour, double grid)
    {
        PlanePoint At(PlanePoint p) => new(Math.Round(p.X / grid) * grid, Math.Round(p.Y / grid) * grid);
        return new Contour(
            At(contour.Start),
            [
                .. contour.Segments.Select(
                    CurveSegment (s) =>
                        s switch
                        {
                            CubicTo c => new CubicTo(At(c.Control1), At(c.Control2), At(c.End)),
                            QuadraticTo q => new QuadraticTo(At(q.Control), At(q.End)),
                            _ => new LineSegmentTo(At(s.End)),
                        }
                ),
            ]
        );
    }
}
