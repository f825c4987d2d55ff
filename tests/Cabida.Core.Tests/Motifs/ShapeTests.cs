using Cabida.Core.Geometry;
using Cabida.Core.Motifs;
using CsCheck;

namespace Cabida.Core.Tests.Motifs;

public class ShapeTests
{
    [Theory]
    [InlineData(ShapeKind.Rectangle, 40 * 20)]
    [InlineData(ShapeKind.Rounded, (40 * 20) - ((4 - Math.PI) * 25))]
    [InlineData(ShapeKind.Oval, Math.PI * 20 * 10)]
    // An even band inside a convex outline has the area of its length times the band, less π times the band squared; the oval's length is
    // 96.884.
    [InlineData(ShapeKind.Ring, (96.884 * 3) - (Math.PI * 9))]
    [InlineData(ShapeKind.Corner, (40 * 20) - (37 * 17))]
    [InlineData(ShapeKind.Border, ((40 * 20) - ((4 - Math.PI) * 25)) - ((34 * 14) - ((4 - Math.PI) * 4)))]
    public void Each_shape_has_the_area_that_its_lengths_say(ShapeKind kind, double area)
    {
        var shape = Shapes.Of(kind, "s", 40, 20) with { CornerSize = MotifLength.Scales(5), Band = MotifLength.Scales(3) };
        // Round edges are followed by chords a hundredth of a millimetre inside them at most.
        Shapes.Ink(shape).Area.ShouldBe(area, 0.01 * 120);
        Shapes.Compose(Shapes.Motif(shape)).BoxAt(1)!.Value.ShouldBe(new Box(-20, -10, 20, 10));
    }

    [Fact]
    public void Polygons_stars_and_dots_count_as_asked()
    {
        Outlines.PolygonsOf(Shapes.Ink(Shapes.Of(ShapeKind.Polygon, "p", 30, 30) with { Count = 6 })).Single().NumPoints.ShouldBe(7);
        Outlines.PolygonsOf(Shapes.Ink(Shapes.Of(ShapeKind.Star, "s", 30, 30) with { Count = 5 })).Single().NumPoints.ShouldBe(11);
        Outlines
            .PolygonsOf(Shapes.Ink(Shapes.Of(ShapeKind.Dots, "d", 4, 9) with { Count = 7, DotGap = MotifLength.Scales(3) }))
            .Count()
            .ShouldBe(7);
        Shapes
            .Ink(Shapes.Of(ShapeKind.Dots, "d", 4, 9) with { Count = 7, DotGap = MotifLength.Scales(3) })
            .EnvelopeInternal.Width.ShouldBe((7 * 4) + (6 * 3), 1e-9);
        // A hexagon stands on a side; a star has a point at the top in the middle.
        Shapes
            .Ink(Shapes.Of(ShapeKind.Polygon, "p", 30, 30) with { Count = 6 })
            .Coordinates.Count(c => Math.Abs(c.Y + 15) < 1e-9)
            .ShouldBeGreaterThanOrEqualTo(2);
        Shapes.Ink(Shapes.Of(ShapeKind.Star, "s", 30, 30)).Coordinates.MaxBy(c => c.Y)!.X.ShouldBe(0, 1e-9);
    }

    [Fact]
    public void Every_shape_is_valid_as_large_as_asked_and_scales() =>
        Gen.Select(
                Gen.Enum<ShapeKind>().Where(k => k is not (ShapeKind.GroundOutline or ShapeKind.GroundFrame)),
                Gen.Double[5, 120],
                Gen.Double[5, 120],
                Gen.Double[0, 70],
                Gen.Double[0.5, 40],
                Gen.Double[0.3, 4]
            )
            .Sample(
                (kind, w, h, corner, band, k) =>
                {
                    var shape = Shapes.Of(kind, "s", w, h) with
                    {
                        CornerSize = MotifLength.Scales(corner),
                        Band = MotifLength.Scales(band),
                        Hole = MotifLength.Scales(Math.Min(w, h) / 4),
                        HoleIn = MotifLength.Scales(w / 3),
                    };
                    var composition = Shapes.Compose(Shapes.Motif(shape));
                    var (one, scaled) = (composition.InkAt(1), composition.InkAt(k));
                    var wide = kind == ShapeKind.Dots ? (5 * w) + (4 * 3) : w;
                    return one.IsValid
                        && scaled.IsValid
                        && Math.Abs(one.EnvelopeInternal.Width - wide) < 0.02
                        && Math.Abs(scaled.Area - (k * k * one.Area)) < (0.01 * k * (1 + k) * one.Length) + 1e-3;
                },
                iter: 300
            );

    [Fact]
    public void A_shape_can_be_as_large_as_the_ground_less_an_inset()
    {
        var border = Shapes.Of(ShapeKind.Border, "b", 1, 1) with
        {
            Span = ShapeSpan.Ground,
            Inset = MotifLength.Stays(4),
            Band = MotifLength.Stays(2),
            CornerSize = MotifLength.Stays(0),
        };
        var composition = Shapes.Compose(Shapes.Motif(border, Shapes.Box("a", 10, 5)), GroundShape.Plain(100, 60));
        foreach (var scale in new[] { 1.0, 3 })
        {
            composition.PartsAt(scale)[0].Box.ShouldBe(new Box(-46, -26, 46, 26));
        }

        composition.HangsOnGround.ShouldBeTrue();
        // Without a ground its own lengths are used.
        Shapes
            .Compose(Shapes.Motif(border with { Width = MotifLength.Scales(30), Height = MotifLength.Scales(20) }))
            .BoxAt(1)!
            .Value.Width.ShouldBe(30, 1e-9);
    }

    [Fact]
    public void What_cannot_be_used_of_a_shape_a_group_or_a_place_is_named()
    {
        var bad = new MotifLength(new Core.Measures.TypedLength("wide"), Scaling.Fixed);
        var motif = Shapes.Motif(
            Shapes.Of(ShapeKind.Star, "star", 10, 10) with
            {
                Count = 2,
                Inner = 200,
                Turn = double.NaN,
                Ply = 0,
            },
            Shapes.Of(ShapeKind.Tag, "tag", 10, 10) with
            {
                Hole = bad,
                Action = PartAction.ClearsAround,
                Clearance = bad,
                Nudge = new Nudge(bad, MotifLength.Stays(0)),
            },
            new GroupPart("group", PartPlace.Below, MotifLength.Scales(0), [Shapes.Box("in", 1, 1) with { Width = bad }], RowAlignment.Left)
            {
                Repeat = new Repeat(RepeatKind.Ring) { Circle = bad, Across = 0 },
            },
            new BackingPart("under", PartPlace.Below, MotifLength.Scales(0), [], bad, true)
        );
        MotifProblems
            .Of(motif, new BlockFace(), NoGraphics.Instance)
            .Select(p => $"{p.Part}.{p.Fields[0]}")
            .Order()
            .ShouldBe(
                new[]
                {
                    "star.turn",
                    "star.ply",
                    "star.count",
                    "star.inner",
                    "tag.nudgeRight",
                    "tag.clearance",
                    "tag.hole",
                    "group.repeatCircle",
                    "group.across",
                    "in.width",
                    "under.by",
                }.Order()
            );
    }
}
