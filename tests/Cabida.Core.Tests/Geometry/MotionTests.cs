using Cabida.Core.Geometry;
using CsCheck;

namespace Cabida.Core.Tests.Geometry;

public class MotionTests
{
    private static readonly Gen<Motion> Motions = Gen.Select(
            Gen.Double[-180, 180],
            Gen.Double[-50, 50],
            Gen.Double[-50, 50],
            Gen.Double[0.2, 4],
            Gen.Bool
        )
        .Select(
            (turn, x, y, scale, flip) =>
                (flip ? Motion.Flip : Motion.None).Then(Motion.Scale(scale, 1.3 * scale)).Then(Motion.TurnLeft(turn)).Moved(x, y)
        );

    [Fact]
    public void Going_back_undoes_a_motion_and_following_one_by_another_is_both() =>
        Gen.Select(Motions, Motions, Gen.Double[-90, 90], Gen.Double[-90, 90])
            .Sample(
                (a, b, x, y) =>
                {
                    var p = new PlanePoint(x, y);
                    return a.Back(a.Of(p)).To(p) < 1e-7 && a.Then(b).Of(p).To(b.Of(a.Of(p))) < 1e-7;
                }
            );

    [Theory]
    [InlineData(90, 0, 1)]
    [InlineData(180, -1, 0)]
    [InlineData(-90, 0, -1)]
    [InlineData(450, 0, 1)]
    public void Quarter_turns_are_exact(double degrees, double x, double y)
    {
        Motion.TurnLeft(degrees).Of(new PlanePoint(1, 0)).ShouldBe(new PlanePoint(x, y));
        Motion.TurnLeft(degrees).KeepsBoxes.ShouldBeTrue();
        Motion.TurnLeft(degrees + 1).KeepsBoxes.ShouldBeFalse();
    }

    [Fact]
    public void Cutting_and_keeping_add_up_to_what_was_there() =>
        Gen.Select(Gen.Double[5, 40], Gen.Double[5, 40], Gen.Double[-20, 20], Gen.Double[-20, 20])
            .Sample(
                (w, h, x, y) =>
                {
                    var plate = Outlines.Without(Outlines.Rectangle(new Box(-20, -20, 20, 20)), Outlines.Rectangle(new Box(-5, -5, 5, 5)));
                    var tool = Outlines.Rectangle(new Box(x - (w / 2), y - (h / 2), x + (w / 2), y + (h / 2)));
                    return Math.Abs(Outlines.Without(plate, tool).Area + Outlines.Within(plate, tool).Area - plate.Area) < 1e-6;
                }
            );

    [Fact]
    public void Growing_rounds_corners_within_the_chord_error()
    {
        var grown = Outlines.Grown(Outlines.Rectangle(new Box(0, 0, 10, 10)), 3, 0.01);
        grown.Area.ShouldBe(100 + 120 + (Math.PI * 9), 0.01 * Math.PI * 6);
        grown.EnvelopeInternal.Width.ShouldBe(16, 1e-9);
        Outlines.Grown(grown, -3, 0.01).Area.ShouldBe(100, 0.3);
        Outlines.Filled(Outlines.Without(grown, Outlines.Rectangle(new Box(4, 4, 6, 6)))).Area.ShouldBe(grown.Area, 1e-9);
    }

    [Fact]
    public void The_even_odd_rule_leaves_what_is_wound_twice()
    {
        Contour Square(double a, double b) =>
            new(new(a, a), [new LineSegmentTo(new(b, a)), new LineSegmentTo(new(b, b)), new LineSegmentTo(new(a, b))]);
        Outlines.FromContours([Square(0, 10), Square(5, 15)], 0.01, 0.1).Area.ShouldBe(175, 1e-9);
        Outlines.FromContours([Square(0, 10), Square(5, 15)], 0.01, 0.1, evenOdd: true).Area.ShouldBe(150, 1e-9);
    }
}
