using Cabida.Core.Blanks;
using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using Cabida.Core.Wording;
using CsCheck;
using NetTopologySuite.Geometries;
using NetTopologySuite.Operation.Distance;

namespace Cabida.Core.Tests.Geometry;

/// <summary>Outlines that turn at every point, as a shaky line or a bad trace does: their offsets are true, and bounded in work.</summary>
public class RoughOutlineTests
{
    /// <summary>A ring about a circle of 80 whose points stand up to so much outside of it.</summary>
    private static Polygon Ring(int points, double shaky, int seed)
    {
        var random = new Random(seed);
        return Outlines.Ring([
            .. Enumerable
                .Range(0, points)
                .Select(i => (A: 2 * Math.PI * i / points, R: 80 + (shaky * random.NextDouble())))
                .Select(p => new PlanePoint(p.R * Math.Cos(p.A), p.R * Math.Sin(p.A))),
        ]);
    }

    [Fact]
    public void An_inset_in_steps_keeps_its_distance_and_leaves_nothing_out() =>
        Gen.Select(Gen.Int[200, 900], Gen.Double[0.5, 6], Gen.Double[4, 45], Gen.Int[0, 1000])
            .Sample(
                (points, shaky, by, seed) =>
                {
                    var ring = Ring(points, shaky, seed);
                    var inset = Inset.Of(ring, SideInsets.All(by));
                    var edge = new IndexedFacetDistance(ring.ExteriorRing);
                    double From(double x, double y) => edge.Distance(Outlines.Factory.CreatePoint(new Coordinate(x, y)));
                    // A hundredth of the distance is what the geometry library allows itself where it simplifies; here it stays well
                    // within.
                    inset.Coordinates.Min(c => From(c.X, c.Y)).ShouldBeGreaterThan(by * (1 - 2e-3));
                    // By a raster: all that is clearly far enough from the edge is in it, and nothing that is clearly not.
                    for (var x = -85.0; x < 85; x += 4.3)
                    {
                        for (var y = -85.0; y < 85; y += 4.3)
                        {
                            var here = Outlines.Factory.CreatePoint(new Coordinate(x, y));
                            var far = ring.Contains(here) ? From(x, y) : -From(x, y);
                            if (Math.Abs(far - by) > 0.01 * by)
                            {
                                inset.Contains(here).ShouldBe(far > by);
                            }
                        }
                    }
                },
                iter: 12
            );

    [Fact]
    public void Growing_in_steps_is_growing_at_once()
    {
        var ring = Ring(260, 3, 5);
        var grown = Outlines.Grown(ring, 20, 0.01);
        var edge = new IndexedFacetDistance(ring.ExteriorRing);
        grown.Coordinates.ShouldAllBe(c => Math.Abs(edge.Distance(Outlines.Factory.CreatePoint(c)) - 20) < 0.1);
        grown.Covers(ring).ShouldBeTrue();
    }

    [Fact]
    public void What_is_too_rough_is_refused_and_what_is_smooth_is_not()
    {
        Blank Of(Polygon outline) =>
            new("Plate", SurfaceKind.Flat, [])
            {
                Outline = new PanelOutline
                {
                    Kind = OutlineKind.Drawn,
                    Rim = TypedLength.Mm(2),
                    Drawn = new DrawnOutline(
                        [
                            [.. outline.ExteriorRing.Coordinates.SkipLast(1).Select(c => new PlanePoint(c.X, c.Y))],
                        ],
                        "by hand",
                        0.3
                    ),
                },
                Zones = [new ZoneSpec("z", "Z") { Margins = ZoneMargins.All(TypedLength.Mm(40)) }],
            };
        Outcome<Zone?> Worked(Polygon outline) =>
            Outcome<Zone?>.Try(() =>
            {
                using var bound = Effort.Within(Effort.Small);
                return BlankSheet.Of(Of(outline)).Zone;
            });
        Worked(Ring(DrawnOutline.MostPoints, 2, 1)).Problem.ShouldNotBeNull().ToString().ShouldContain("more work than one thing may be");
        Worked(Ring(DrawnOutline.MostPoints, 0, 1)).Value.ShouldNotBeNull().Nominal.Bounds.Width.ShouldBe(80, 0.01);
        Worked(Ring(1500, 2, 1)).Value.ShouldNotBeNull().Nominal.Bounds.Width.ShouldBe(80, 1);
    }
}
