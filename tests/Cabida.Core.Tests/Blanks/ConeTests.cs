using Cabida.Core.Blanks;
using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using CsCheck;

namespace Cabida.Core.Tests.Blanks;

public class ConeTests
{
    [Fact]
    public void The_tumbler_of_the_worked_example()
    {
        var cone = Cone.Of(Known(276), Known(219), Known(150)).Value;
        cone.WideRadius.Value.Millimetres.ShouldBe(726.316, 1e-3);
        cone.NarrowRadius.Millimetres.ShouldBe(576.316, 1e-3);
        cone.Sweep.Degrees.ShouldBe(21.7724, 1e-4);
        cone.HalfAngle.Degrees.ShouldBe(3.4673, 1e-4);
        cone.UprightHeight.Millimetres.ShouldBe(149.725, 1e-3);
        Cone.WallFromUpright(Known(276), Known(219), Known(cone.UprightHeight.Millimetres)).Value.Millimetres.ShouldBe(150, 1e-9);
    }

    [Fact]
    public void The_whole_development_fits_the_box_of_the_worked_example()
    {
        var wall = Wall(276, 219, 150);
        var outline = Enumerable
            .Range(0, 401)
            .Select(i => (i / 200.0) - 1)
            .SelectMany(t => new[] { wall.Laid(t * 219 / 2, 0), wall.Laid(t * 276 / 2, 150) })
            .ToList();
        (outline.Max(p => p.X) - outline.Min(p => p.X)).ShouldBe(274.342, 1e-3);
        (outline.Max(p => p.Y) - outline.Min(p => p.Y)).ShouldBe(160.371, 1e-3);
    }

    [Fact]
    public void A_straight_line_bows_as_the_worked_example_says()
    {
        var ring = Length.Mm(Wall(276, 219, 150).RingAt(90));
        ring.Millimetres.ShouldBe(666.316, 1e-3);
        Cone.Bow(ring, Length.Mm(90)).Millimetres.ShouldBe(1.518, 1e-3);
        Cone.WidestWithin(ring, Length.Mm(1)).Millimetres.ShouldBe(73.04, 1e-2);
        Cone.Gathers(ring, Length.Mm(90), Length.Mm(20)).Millimetres.ShouldBe(2.70, 5e-3);
    }

    [Fact]
    public void Laying_a_taper_flat_keeps_areas() =>
        Gen.Select(Gen.Double[150, 400], Gen.Double[0.55, 1.45], Gen.Double[60, 200])
            .Sample(
                (upper, ratio, length) =>
                {
                    var lower = upper * ratio;
                    if (Math.Abs(upper - lower) < 4 || Math.Abs(upper - lower) / (2 * Math.PI) > 0.8 * length)
                    {
                        return;
                    }

                    var wall = Wall(upper, lower, length);
                    List<PlanePoint> outline = [];
                    const int Steps = 2000;
                    outline.AddRange(Enumerable.Range(0, Steps + 1).Select(i => wall.Laid(lower * (((double)i / Steps) - 0.5), 0)));
                    outline.AddRange(Enumerable.Range(0, Steps + 1).Select(i => wall.Laid(upper * (0.5 - ((double)i / Steps)), length)));
                    // The lateral area of a frustum: the mean girth times the wall.
                    Outlines.Ring(outline).Area.ShouldBe((upper + lower) / 2 * length, upper * length * 1e-5);
                }
            );

    [Fact]
    public void The_radius_uncertainty_is_what_moving_the_readings_by_theirs_gives()
    {
        var cone = Cone.Of(
            new(Length.Mm(276), Length.Mm(1.3)),
            new(Length.Mm(219), Length.Mm(0.8)),
            new(Length.Mm(150), Length.Mm(0.8))
        ).Value;
        double R(double t, double b, double s) => Cone.Of(Known(t), Known(b), Known(s)).Value.WideRadius.Value.Millimetres;
        const double H = 1e-4;
        var (dt, db, ds) = (
            (R(276 + H, 219, 150) - R(276, 219, 150)) / H,
            (R(276, 219 + H, 150) - R(276, 219, 150)) / H,
            (R(276, 219, 150 + H) - R(276, 219, 150)) / H
        );
        cone.WideRadius.Uncertainty.Millimetres.ShouldBe(
            Math.Sqrt(Math.Pow(dt * 1.3, 2) + Math.Pow(db * 0.8, 2) + Math.Pow(ds * 0.8, 2)),
            1e-2
        );
    }

    [Fact]
    public void Girths_that_no_wall_can_join_say_so() =>
        Cone.Of(Known(400), Known(100), Known(40))
            .Problem!.ToString()
            .ShouldContain("No wall of 40.0 mm joins girths of 400.0 mm and 100.0 mm");

    private static Dimension Known(double mm) => new(Length.Mm(mm), Length.Zero);

    private static Wall Wall(double upper, double lower, double length) =>
        new(Cone.Of(Known(upper), Known(lower), Known(length)).Value, Known(lower), Known(length), Length.Zero, null);
}
