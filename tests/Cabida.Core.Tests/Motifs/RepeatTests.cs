using Cabida.Core.Geometry;
using Cabida.Core.Motifs;
using CsCheck;

namespace Cabida.Core.Tests.Motifs;

public class RepeatTests
{
    [Theory]
    [InlineData(257.5, 18, 14, 1.0218)]
    [InlineData(145, 100, 2, 0.725)]
    [InlineData(50, 100, 1, 0.5)]
    public void A_wrap_takes_the_number_whose_change_of_scale_is_smaller(double girth, double period, int count, double scale)
    {
        var (n, s) = RepeatLayout.Meeting(girth, period);
        n.ShouldBe(count);
        s.ShouldBe(scale, 5e-5);
    }

    [Fact]
    public void A_wrap_meets_itself_at_the_seam_and_says_how()
    {
        var group = Group(
            Shapes.Box("a", 15, 10),
            new Repeat(RepeatKind.Rows) { Over = RepeatOver.Wrap, GapAcross = MotifLength.Scales(3) }
        );
        var ground = new GroundShape(null, 257.5, double.PositiveInfinity, null);
        var motif = Shapes.Motif(group);
        var parts = Shapes.Compose(motif, ground).PartsAt(1);
        var boxes = Outlines.PolygonsOf(Shapes.Compose(motif, ground).InkAt(1)).Select(p => Box.Of(p)!.Value).OrderBy(b => b.MinX).ToList();
        boxes.Count.ShouldBe(14);
        // The gap over the seam is the gap between any two.
        (boxes[0].MinX + 257.5 - boxes[^1].MaxX).ShouldBe(boxes[1].MinX - boxes[0].MaxX, 1e-6);
        MotifNotes
            .Of(Shapes.Compose(motif, ground), parts, motif, ground)
            .ShouldHaveSingleItem()
            .Message.ToString()
            .ShouldBe("14 copies meet round 257.5 mm at 102.18 % of their size.");
    }

    [Fact]
    public void A_wrap_that_would_change_too_much_is_pointed_out_and_keeps_its_size_with_a_gap_instead()
    {
        var repeat = new Repeat(RepeatKind.Rows) { Over = RepeatOver.Wrap, GapAcross = MotifLength.Scales(10) };
        var ground = new GroundShape(null, 145, double.PositiveInfinity, null);
        string Note(Repeat r) =>
            Shapes.Motif(Group(Shapes.Box("a", 90, 10), r)) is var m
                ? MotifNotes.Of(Shapes.Compose(m, ground), Shapes.Compose(m, ground).PartsAt(1), m, ground)[0].Message.ToString()
                : "";
        Note(repeat).ShouldBe("2 copies meet round 145.0 mm at 72.5 % of their size. A gap at the seam would keep their size.");
        Note(repeat with { GapAtSeam = true }).ShouldBe("1 copies keep their size and leave 45.0 mm more open at the seam.");
    }

    [Fact]
    public void On_a_tapered_wall_a_wrap_meets_at_the_height_where_it_stands()
    {
        // A ring of radius 500 whose whole turn is 250 long; the wrap stands 40 higher, where it is 250·540/500 = 270 long.
        var group = Group(
            Shapes.Box("a", 8, 6),
            new Repeat(RepeatKind.Rows) { Over = RepeatOver.Wrap, GapAcross = MotifLength.Scales(2) }
        ) with
        {
            Place = PartPlace.Anchored,
            Anchor = new Anchor(Anchor.Ground, Stand.Middle, Stand.Middle, MotifLength.Stays(0), MotifLength.Stays(40)),
        };
        var ground = new GroundShape(new Box(-60, -60, 60, 60), 250, 500, null);
        var placed = Shapes.Compose(Shapes.Motif(group), ground).PartsAt(1).ShouldHaveSingleItem();
        // The middle of a bent row's box lies below its middle copy, so the copy's own height is looked at.
        var height = Outlines.PolygonsOf(FilmInkOf(placed)).Select(p => p.Centroid).MinBy(m => Math.Abs(m.X))!.Y;
        var girth = 250 * (500 + height) / 500;
        placed.Body.Repeated!.Round.ShouldBe(girth, 1e-6);
        placed.Body.Repeated.Copies.ShouldBe((int)Math.Round(girth / 10));
        var middles = Outlines.PolygonsOf(FilmInkOf(placed)).Select(p => p.Centroid).ToList();
        var (x, y) = (0.0, -500.0);
        middles.ShouldAllBe(m => Math.Abs(Math.Sqrt(((m.X - x) * (m.X - x)) + ((m.Y - y) * (m.Y - y))) - 500 - height) < 1e-6);
        var angles = middles.Select(m => Math.Atan2(m.X - x, m.Y - y)).Order().ToList();
        // From the last copy round to the first is one step more, of the sweep of 250/500.
        (angles[0] + 0.5 - angles[^1]).ShouldBe(angles[1] - angles[0], 1e-4);
    }

    [Fact]
    public void Rows_rings_and_corners_stand_where_they_should()
    {
        var one = Shapes.Box("a", 4, 2);
        Count(new Repeat(RepeatKind.Rows) { Across = 5, Up = 3 }).ShouldBe(15);
        Count(
                new Repeat(RepeatKind.HalfDrop)
                {
                    Over = RepeatOver.Area,
                    Width = MotifLength.Scales(20),
                    Height = MotifLength.Scales(8),
                    GapAcross = MotifLength.Scales(4),
                    GapUp = MotifLength.Scales(4),
                }
            )
            .ShouldBe(3 + 2);
        var ring = Parts(new Repeat(RepeatKind.Ring) { Across = 8, Circle = MotifLength.Scales(60) });
        ring.Count.ShouldBe(8);
        ring.ShouldAllBe(p => Math.Abs(Math.Sqrt((p.Centroid.X * p.Centroid.X) + (p.Centroid.Y * p.Centroid.Y)) - 30) < 1e-6);

        // A corner piece at the upper left: mirrored, its bands lie along the area's sides.
        var corner = Shapes.Of(ShapeKind.Corner, "c", 10, 10) with { Band = MotifLength.Scales(2) };
        var ink = Shapes.Ink(
            Group(corner, new Repeat(RepeatKind.Corners) { Width = MotifLength.Scales(100), Height = MotifLength.Scales(60) })
        );
        ink.EnvelopeInternal.Width.ShouldBe(100, 1e-9);
        ink.Area.ShouldBe(4 * (100 - 64), 1e-6);
        ink.Buffer(-0.9).EnvelopeInternal.Width.ShouldBe(100 - 1.8, 1e-6);

        List<NetTopologySuite.Geometries.Polygon> Parts(Repeat r) => [.. Outlines.PolygonsOf(Shapes.Ink(Group(one, r)))];
        int Count(Repeat r) => Parts(r).Count;
    }

    [Fact]
    public void Scattered_copies_keep_their_distance_and_a_seed_gives_the_same_places() =>
        Gen.Select(Gen.Int[1, 1000], Gen.Int[2, 40])
            .Sample(
                (seed, count) =>
                {
                    var repeat = new Repeat(RepeatKind.Scatter)
                    {
                        Across = count,
                        Seed = seed,
                        GapAcross = MotifLength.Scales(2),
                        Width = MotifLength.Scales(90),
                        Height = MotifLength.Scales(60),
                        Turning = true,
                    };
                    var (copies, result) = RepeatLayout.Of(repeat, new Box(-2, -1.5, 2, 1.5), Scales.Both(1), GroundShape.None);
                    var again = RepeatLayout.Of(repeat, new Box(-2, -1.5, 2, 1.5), Scales.Both(1), GroundShape.None).Copies;
                    var apart = copies
                        .SelectMany((a, i) => copies.Skip(i + 1).Select(b => new PlanePoint(a.C, a.F).To(new PlanePoint(b.C, b.F))))
                        .DefaultIfEmpty(99)
                        .Min();
                    return copies.SequenceEqual(again)
                        && apart >= 5 + 2 - 1e-9
                        && result.Asked == count
                        && copies.All(c => Math.Abs(c.C) <= 45 - 2.5 + 1e-9 && Math.Abs(c.F) <= 30 - 2.5 + 1e-9);
                }
            );

    private static GroupPart Group(Part one, Repeat repeat) =>
        new("group", PartPlace.Below, MotifLength.Scales(0), [one], RowAlignment.Centre) { Repeat = repeat };

    private static NetTopologySuite.Geometries.Geometry FilmInkOf(PlacedPart placed) => placed.Ink.Single().Ink;
}
