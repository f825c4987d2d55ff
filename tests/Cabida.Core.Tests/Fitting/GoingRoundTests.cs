using Cabida.Core.Blanks;
using Cabida.Core.Drawings;
using Cabida.Core.Fitting;
using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using CsCheck;

namespace Cabida.Core.Tests.Fitting;

/// <summary>A mug 82 across: a girth of 257.611, a handle that blocks 42.</summary>
public class GoingRoundTests
{
    private const double Girth = 82 * Math.PI;

    [Fact]
    public void Ninety_wide_in_front_of_a_mug()
    {
        var round = GoingRound.Of(Ink(-45, 45), Mug());
        round.Covers.Goes.Degrees.ShouldBe(125.77, 0.01);
        round.Covers.AppearsWide!.Value.Millimetres.ShouldBe(72.99, 0.01);
        round.HandleLeft!.Value.Millimetres.ShouldBe(((Girth - 42) / 2) - 45, 1e-9);
        round.SeamRight.Millimetres.ShouldBe((Girth / 2) - 45, 1e-9);
        round.Overlap.Millimetres.ShouldBe(90 - Girth, 1e-9);
        round.DrinkerSees!.Value.ShouldBe(0.5, 1e-6);
    }

    [Fact]
    public void A_drinker_sees_what_stands_to_the_right_of_the_front_and_nothing_of_what_stands_to_the_left()
    {
        GoingRound.Of(Ink(10, 60), Mug()).DrinkerSees!.Value.ShouldBe(1, 1e-6);
        GoingRound.Of(Ink(-60, -10), Mug()).DrinkerSees!.Value.ShouldBe(0, 1e-6);
        // The same ink in the coordinates of a zone turned a quarter to the right.
        var turned = Mug() with { Turn = Angle.FromDegrees(90) };
        var there = GoingRound.Of(Ink(-25, 25), turned);
        there.DrinkerSees!.Value.ShouldBe(1, 1e-6);
        there.HandleRight!.Value.Millimetres.ShouldBe(((Girth - 42) / 2) - (Girth / 4) - 25, 1e-9);
        there.HandleLeft!.Value.Millimetres.ShouldBe(((Girth - 42) / 2) + (Girth / 4) - 25, 1e-9);
    }

    [Fact]
    public void A_full_wrap_laps_at_the_seam_by_what_it_is_longer()
    {
        var round = GoingRound.Of(Ink(-(Girth / 2) - 1.5, (Girth / 2) + 1.5), Mug() with { Handle = null });
        round.Overlap.Millimetres.ShouldBe(3, 1e-9);
        round.HandleLeft.ShouldBeNull();
        round.DrinkerSees.ShouldBeNull();
    }

    /// <summary>
    /// Straight art 90 × 20 with its middle 90 up a wall that widens from 219 to 276 over 150: worked out on the cone by hand.
    /// </summary>
    [Fact]
    public void Straight_art_on_a_cone_is_measured_on_the_wall_itself()
    {
        var wall = Tapered(276, 219);
        // Rings: 576.316 at the base, so 666.316 at 90; the art's foot lies at 656.316 on the middle line, its top at 676.316.
        var ink = Outlines.Rectangle(new Box(-45, 80, 45, 100));
        var on = WallExtent.Of(ink, wall)!;
        on.Low.ShouldBe(80, 0.001);
        on.High.ShouldBe(Math.Sqrt((676.316 * 676.316) + (45 * 45)) - 576.316, 0.002);
        // The foot's ends reach farthest round: atan(45/656.316) of a sweep of 21.7724°.
        var half = Math.Atan(45 / 656.316) / (21.7724 * Math.PI / 180) * 360;
        var round = GoingRound.Of(ink, wall);
        round.Covers.Goes.Degrees.ShouldBe(2 * half, 0.01);
        // Every corner to the back, at its own height.
        var least = new[] { 656.316, 676.316 }.Min(y =>
            (180 - (Math.Atan(45 / y) / (21.7724 * Math.PI / 180) * 360)) / 360 * 21.7724 * Math.PI / 180 * Math.Sqrt((y * y) + (45 * 45))
        );
        round.SeamLeft.Millimetres.ShouldBe(least, 0.01);
        round.SeamRight.Millimetres.ShouldBe(least, 0.01);
    }

    [Fact]
    public void Art_that_follows_a_taper_stands_where_it_was_put_on_the_wall()
    {
        var wall = Tapered(276, 219);
        var bend = new TaperBend(wall, 75);
        var on = WallExtent.Of(Outlines.Mapped(Outlines.Rectangle(new Box(-40, 70.85, 40, 79.14)), bend.Bent, 0.5), wall)!;
        on.Low.ShouldBe(70.85, 0.001);
        (on.High - on.Low).ShouldBe(8.29, 0.001);
        on.Width.ShouldBe(80, 0.01);
    }

    [Fact]
    public void From_one_zone_to_another_a_place_stays_where_it_is_on_the_goods() =>
        Gen.Select(Gen.Double[-170, 170], Gen.Double[-170, 170], Gen.Double[-40, 40], Gen.Double[5, 100], Gen.Int[0, 2])
            .Sample(
                (one, other, x, v, kind) =>
                {
                    var wall = kind switch
                    {
                        0 => Mug(),
                        1 => Tapered(276, 219),
                        _ => Tapered(219, 276),
                    };
                    var (from, to) = (wall with { Turn = Angle.FromDegrees(one) }, wall with { Turn = Angle.FromDegrees(other) });
                    var place = from.Laid(x, v);
                    var (a, b) = (from.OnWall(place), to.OnWall(WallTurn.Between(from, to).Of(place)));
                    var apart = a.Round.Degrees + one - b.Round.Degrees - other;
                    return Math.Abs(apart - (360 * Math.Round(apart / 360))) < 1e-6 && Math.Abs(a.V - b.V) < 1e-6;
                }
            );

    [Fact]
    public void The_skin_of_a_body_carries_the_ink_where_it_is_and_as_large()
    {
        var skin = RoundObject.OnSkin(Mug(), Ink(20, 70));
        Box.Of(skin)!.Value.ShouldBe(new Box(20, 30, 70, 50));
        // What reaches over the back comes in again from the other side.
        var over = RoundObject.OnSkin(Mug(), Ink(100, 150));
        over.Area.ShouldBe(50 * 20, 1e-6);
        Outlines.PolygonsOf(over).Count().ShouldBe(2);
        var body = RoundObject.Of(Tapered(276, 219));
        body.Profile[^1].Radius.ShouldBe(276 / (2 * Math.PI), 1e-9);
        body.Profile[0].Radius.ShouldBe(219 / (2 * Math.PI), 1e-9);
        body.Profile[^1].Up.ShouldBe(149.725, 0.001);
        body.Handle.ShouldBeEmpty();
        RoundObject.Of(Mug()).Handle.Max(p => p.Radius).ShouldBeGreaterThan(41);
    }

    private static NetTopologySuite.Geometries.Polygon Ink(double left, double right) => Outlines.Rectangle(new Box(left, 30, right, 50));

    private static Wall Mug() => new(null, Sure(Girth), Sure(94), Length.Zero, Sure(42));

    private static Wall Tapered(double upper, double lower) =>
        new(Cone.Of(Sure(upper), Sure(lower), Sure(150)).Value, Sure(lower), Sure(150), Length.Zero, null);

    private static Dimension Sure(double mm) => new(Length.Mm(mm), Length.Zero);
}
