using Cabida.Core.Geometry;
using CsCheck;
using NetTopologySuite.Geometries;

namespace Cabida.Core.Tests.Geometry;

public class OutlinesTests
{
    [Fact]
    public void Overlapping_letters_become_one_outline_and_separate_ones_stay_apart()
    {
        var joined = Outlines.Join([Square(0), Square(0.9), Square(3)]);
        Outlines.PolygonsOf(joined).Count().ShouldBe(2);
        joined.Area.ShouldBe(2.9, 1e-9);
    }

    [Fact]
    public void Mirroring_twice_gives_the_same_outline() =>
        Gen.Select(Gen.Double[-50, 50], Gen.Double[0.1, 20], Gen.Double[-100, 100])
            .Sample(
                (x, w, axis) =>
                {
                    var area = Outlines.Rectangle(new Box(x, 0, x + w, 3)).Union(Outlines.Ring([new(x, 0), new(x + w, 9), new(x - 2, 5)]));
                    var twice = Outlines.Mirrored(Outlines.Mirrored(area, axis), axis);
                    return twice.Coordinates.Zip(area.Coordinates).All(c => c.First.Distance(c.Second) < 1e-9);
                }
            );

    [Fact]
    public void Contours_fill_by_the_non_zero_rule_even_where_they_cross()
    {
        Contour Box(double a, double b, bool reversed) =>
            reversed
                ? new(new(a, a), [new LineSegmentTo(new(a, b)), new LineSegmentTo(new(b, b)), new LineSegmentTo(new(b, a))])
                : new(new(a, a), [new LineSegmentTo(new(b, a)), new LineSegmentTo(new(b, b)), new LineSegmentTo(new(a, b))]);

        // A frame with an island in its counter, and a stroke that crosses itself like a ribbon.
        Outlines.FromContours([Box(0, 10, false), Box(2, 8, true), Box(4, 6, false)], 0.01, 1).Area.ShouldBe(100 - 36 + 4, 1e-9);
        var ribbon = new Contour(new(0, 0), [new LineSegmentTo(new(4, 4)), new LineSegmentTo(new(4, 0)), new LineSegmentTo(new(0, 4))]);
        var filled = Outlines.FromContours([ribbon], 0.01, 1);
        filled.IsValid.ShouldBeTrue();
        filled.Area.ShouldBe(8, 1e-9);
    }

    [Fact]
    public void A_flattened_circle_of_cubics_keeps_its_chord_error_and_its_turn()
    {
        const double K = 0.5522847498307936;
        var circle = new Contour(
            new(1, 0),
            [
                new CubicTo(new(1, K), new(K, 1), new(0, 1)),
                new CubicTo(new(-K, 1), new(-1, K), new(-1, 0)),
                new CubicTo(new(-1, -K), new(-K, -1), new(0, -1)),
                new CubicTo(new(K, -1), new(1, -K), new(1, 0)),
            ]
        );
        var points = CurveFlattening.Flatten(circle, 0.001, Tolerances.InkTurn);
        points.Count.ShouldBeGreaterThanOrEqualTo(72);
        for (var i = 0; i < points.Count; i++)
        {
            var mid = points[i].Towards(points[(i + 1) % points.Count], 0.5);
            mid.To(new(0, 0)).ShouldBeInRange(0.999, 1.0004);
        }
    }

    [Fact]
    public void Fitted_curves_stay_within_tolerance_and_keep_corners_sharp()
    {
        var disc = Outlines.Factory.CreatePoint(new Coordinate(0, 0)).Buffer(20, 90);
        var shape = (Polygon)disc.Union(Outlines.Rectangle(new Box(0, 0, 30, 30)));
        var fitted = CurveFitting.Fit(shape.ExteriorRing, Tolerances.File);
        fitted.Segments.Count.ShouldBeLessThan(shape.NumPoints / 3);
        var back = Outlines.Ring(CurveFlattening.Flatten(fitted, 0.002, Tolerances.InkTurn));
        NetTopologySuite.Algorithm.Distance.DiscreteHausdorffDistance.Distance(back, shape, 0.2).ShouldBeLessThan(Tolerances.File + 0.01);
        back.Coordinates.ShouldContain(c => c.Distance(new Coordinate(30, 30)) < 1e-9);
    }

    private static Polygon Square(double x) => Outlines.Rectangle(new Box(x, 0, x + 1, 1));
}
