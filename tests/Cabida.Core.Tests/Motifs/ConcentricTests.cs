using Cabida.Core.Geometry;
using Cabida.Core.Motifs;
using Cabida.Core.Type;
using CsCheck;

namespace Cabida.Core.Tests.Motifs;

public class ConcentricTests
{
    private static LetteringPart Ring(string id, string text, double circle) =>
        TestMotifs.Line(id, text, 5) with
        {
            Shape = LineShape.RoundOutside,
            Circle = MotifLength.Scales(circle),
        };

    private static GroupPart Dots(int count, double circle) =>
        new("dots", PartPlace.Below, MotifLength.Scales(0), [Shapes.Of(ShapeKind.Oval, "dot", 4, 4)], RowAlignment.Centre)
        {
            Repeat = new Repeat(RepeatKind.Ring) { Across = count, Circle = MotifLength.Scales(circle) },
        };

    private static Dictionary<string, PlacedPart> Placed(GroundShape? ground, params Part[] parts) =>
        Shapes.Compose(Shapes.Motif(parts), ground).PartsAt(1).ToDictionary(p => p.Part.Id);

    [Theory]
    [InlineData(5)]
    [InlineData(3)]
    [InlineData(7)]
    public void Dots_round_a_disc_are_equally_far_from_it(int count)
    {
        var placed = Placed(null, Shapes.Of(ShapeKind.Oval, "disc", 40, 40), Dots(count, 60).At("disc"));
        var disc = placed["disc"].Ink.Single().Ink;
        // 30 from the middle, less 20 of the disc and 2 of the dot.
        Outlines.PolygonsOf(placed["dots"].Ink.Single().Ink).Select(d => d.Distance(disc)).ShouldAllBe(d => Math.Abs(d - 8) < 0.01);
    }

    [Fact]
    public void A_name_stands_in_the_middle_of_its_ring_whatever_the_ring_says() =>
        Gen.Select(Gen.Char["Hqx "].Array[3, 14], Gen.Char["Hq"].Array[1, 4], Gen.Double[40, 90], Gen.Bool)
            .Sample(
                (round, name, circle, turned) =>
                {
                    if (new string(round).Trim() is not { Length: > 1 } text)
                    {
                        return;
                    }

                    // Whichever stands in the stack, the other is anchored to it.
                    var (ring, line) = (
                        Ring("ring", text, circle) with
                        {
                            Turn = turned ? 40 : 0,
                        },
                        TestMotifs.Line("name", new string(name), 6)
                    );
                    var placed = turned ? Placed(null, ring, line.At("ring")) : Placed(null, line, ring.At("name"));
                    var middle = placed["ring"].Round!.Value.Middle;
                    placed["name"].Box.Centre.To(middle).ShouldBeLessThan(1e-6);
                    // Every letter stands on the circle about that middle: none of its ink is nearer, and some reaches it.
                    var away = Outlines
                        .RingsOf(placed["ring"].Ink.Single().Ink)
                        .SelectMany(r => r.Coordinates)
                        .Select(c => middle.To(new PlanePoint(c.X, c.Y)))
                        .ToList();
                    (away.Max() - placed["ring"].Round!.Value.Radius).ShouldBe(0, 1e-6);
                }
            );

    [Fact]
    public void By_ink_is_still_to_be_had()
    {
        var dots = Dots(5, 60).At("disc");
        var placed = Placed(null, Shapes.Of(ShapeKind.Oval, "disc", 40, 40), dots with { Anchor = dots.Anchor with { ByInk = true } });
        placed["dots"].Box.Centre.To(placed["disc"].Box.Centre).ShouldBeLessThan(1e-6);
        placed["dots"].Round!.Value.Middle.To(placed["disc"].Box.Centre).ShouldBeGreaterThan(2);
    }

    [Fact]
    public void A_group_that_is_round_as_a_whole_keeps_its_middle_and_any_other_does_not()
    {
        GroupPart Group(params Part[] parts) => new("group", PartPlace.Below, MotifLength.Scales(0), parts, RowAlignment.Centre);
        var badge = Group(Shapes.Of(ShapeKind.Oval, "disc", 40, 40), Ring("ring", "HqHx", 42).At("disc"));
        var placed = Placed(null, Shapes.Of(ShapeKind.Oval, "plate", 80, 80), badge.At("plate"));
        placed["group"].Round!.Value.Middle.To(placed["plate"].Box.Centre).ShouldBeLessThan(1e-6);
        // A disc over a line of letters is no round thing.
        Placed(null, Group(Shapes.Of(ShapeKind.Oval, "disc", 10, 10), TestMotifs.Line("l", "HHHHHHHH", 5)))["group"].Round.ShouldBeNull();
    }

    [Fact]
    public void On_its_ground_a_ring_is_concentric_and_a_few_letters_on_a_large_circle_stand_by_their_ink()
    {
        var round = new GroundShape(new Box(-50, -50, 50, 50), null, double.PositiveInfinity, null)
        {
            Outline = new((NetTopologySuite.Geometries.Polygon)Shapes.Ink(Shapes.Of(ShapeKind.Oval, "o", 100, 100))),
        };
        var arc = Ring("ring", "HHH", 70);
        Placed(round, arc.At(Anchor.Ground))["ring"].Round!.Value.Middle.To(default).ShouldBeLessThan(1e-6);
        Placed(GroundShape.Plain(100, 100), arc.At(Anchor.Ground))["ring"].Box.Centre.To(default).ShouldBeLessThan(1e-6);
        Placed(GroundShape.Plain(100, 100), Dots(5, 60).At(Anchor.Ground))["dots"].Round!.Value.Middle.To(default).ShouldBeLessThan(1e-6);
        // Square grounds and cut-off ones are not round.
        new GroundOutline(Outlines.Rectangle(new Box(-5, -5, 5, 5))).Round.ShouldBeNull();
        GroundShape.Plain(100, 100).Outline!.Round.ShouldBeNull();
    }

    [Fact]
    public void A_motif_can_be_centred_by_its_circle()
    {
        var motif = Shapes.Motif(
            Shapes.Of(ShapeKind.Oval, "disc", 30, 30),
            Ring("ring", "HHH", 36).At("disc"),
            TestMotifs.Line("below", "HH", 3)
        );
        var box = Shapes.Compose(motif).PartsAt(1)[0].Box.Centre;
        Math.Abs(box.Y).ShouldBeGreaterThan(0.1);
        Shapes.Compose(motif with { Centring = Centring.Circle }).PartsAt(1)[0].Box.Centre.To(default).ShouldBeLessThan(1e-6);
        Shapes
            .Compose(motif with { Centring = Centring.Circle, Parts = [motif.Parts[2]] })
            .PartsAt(1)[0]
            .Box.Centre.To(default)
            .ShouldBeLessThan(1e-6);
    }

    [Fact]
    public void A_star_turns_about_the_circle_of_its_points()
    {
        var star = Shapes.Of(ShapeKind.Star, "star", 40, 40) with { Count = 5, Turn = 36 };
        var placed = Placed(null, Shapes.Of(ShapeKind.Oval, "disc", 60, 60), star.At("disc"));
        placed["star"].Round!.Value.Middle.To(placed["disc"].Box.Centre).ShouldBeLessThan(1e-6);
    }
}
