using Cabida.Core.Geometry;
using CsCheck;
using NetTopologySuite.Algorithm.Distance;
using NetTopologySuite.Geometries;

namespace Cabida.Core.Tests.Geometry;

public class CurveFittingTests
{
    [Fact]
    public void Rounded_shapes_of_any_kind_are_fitted_within_tolerance() =>
        Gen.Select(Gen.Double[1, 30], Gen.Double[5, 80], Gen.Double[5, 80], Gen.Double[-3, 3])
            .Sample(
                (radius, width, height, turn) =>
                {
                    var plain = Outlines.Rectangle(new Box(0, 0, width, height));
                    var turned = new NetTopologySuite.Geometries.Utilities.AffineTransformation().Rotate(turn).Transform(plain);
                    var rounded = (Polygon)turned.Buffer(radius, 36);
                    bool Follows(Contour fitted)
                    {
                        var back = Outlines.Ring(CurveFlattening.Flatten(fitted, 0.002, Tolerances.InkTurn));
                        return DiscreteHausdorffDistance.Distance(back, rounded, 0.25) < Tolerances.File + 0.005
                            && Math.Abs(back.Area - rounded.Area) < 0.002 * rounded.Area;
                    }

                    // For files and for drawings; of a file in no more than of a drawing.
                    var file = CurveFitting.Fit(rounded.ExteriorRing, Tolerances.File);
                    var drawn = CurveFitting.Drawn(rounded.ExteriorRing, Tolerances.File);
                    return Follows(file) && Follows(drawn) && file.Segments.Count <= drawn.Segments.Count;
                },
                iter: 60
            );

    [Fact]
    public void A_polygon_of_long_edges_stays_as_it_is() =>
        Gen.Int[3, 9]
            .Sample(corners =>
            {
                var points = Enumerable
                    .Range(0, corners)
                    .Select(i => new PlanePoint(40 * Math.Cos(2 * Math.PI * i / corners), 40 * Math.Sin(2 * Math.PI * i / corners)))
                    .ToList();
                var ring = Outlines.Ring(points).ExteriorRing;
                return new[] { CurveFitting.Fit(ring, Tolerances.File), CurveFitting.Drawn(ring, Tolerances.File) }.All(fitted =>
                    fitted.Segments.All(s => s is LineSegmentTo) && fitted.Segments.Count == corners
                );
            });

    [Fact]
    public void A_contour_begins_and_ends_at_the_same_place()
    {
        var ring = ((Polygon)Outlines.Factory.CreatePoint(new Coordinate(3, 4)).Buffer(9, 30)).ExteriorRing;
        var fitted = CurveFitting.Fit(ring, Tolerances.File);
        fitted.Segments[^1].End.To(fitted.Start).ShouldBeLessThan(1e-9);
    }
}
