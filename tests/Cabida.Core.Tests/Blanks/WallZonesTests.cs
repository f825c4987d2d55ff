using Cabida.Core.Blanks;
using Cabida.Core.Drawings;
using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using CsCheck;

namespace Cabida.Core.Tests.Blanks;

public class WallZonesTests
{
    [Fact]
    public void A_zone_moved_on_a_taper_goes_where_it_is_let_go() =>
        Gen.Select(Gen.Double[-60, 60], Gen.Double[-25, 25], Gen.Double[-40, 40], Gen.Bool)
            .Sample(
                (right, up, across, wideUp) =>
                {
                    var (girths, sized) = (
                        wideUp ? ("276", "219") : ("219", "276"),
                        TestBlanks.Wrap with
                        {
                            Width = TypedLength.Mm(40),
                            Height = TypedLength.Mm(20),
                            Margins = ZoneMargins.All(TypedLength.Empty),
                        }
                    );
                    Place At(double fromBottom, double to) =>
                        new()
                        {
                            From = Datum.Bottom,
                            Away = new TypedLength($"{fromBottom:0.######}"),
                            Side = to < 0 ? Sideways.Left : Sideways.Right,
                            Across = new TypedLength($"{Math.Abs(to):0.######}"),
                        };
                    LaidZone Laid(Place place) =>
                        BlankSheet
                            .Of(TestBlanks.Tumbler(girths.Item1, girths.Item2, "150") with { Zones = [sized with { Place = place }] })
                            .Sizes[0]
                            .Zones[0];
                    PlanePoint Middle(LaidZone zone) =>
                        (zone.Wall! with { Turn = default }).Laid(zone.Stands!.Across, zone.Zone!.MiddleHeight);
                    var before = Laid(At(60, across));
                    var stands = ZoneMove.By(before, right, up)!;
                    // Laid out anew with what was said, its middle lies on the drawing just where it was let go; by the box too, where it
                    // has one.
                    var after = Laid(At(stands.FromBottom, stands.Across));
                    Middle(after)
                        .To(new PlanePoint(Middle(before).X + right, Middle(before).Y + up))
                        .ShouldBeLessThan(1e-4, $"{before.Stands} {stands} {after.Stands}");
                    (stands.FromTop + stands.FromBottom + 20).ShouldBe(150, 1e-6);
                    ZoneMove
                        .OnDrawing(after)!
                        .Value.ShouldSatisfyAllConditions(
                            b => b.CentreX.ShouldBe(Middle(after).X, 1.5),
                            b => b.CentreY.ShouldBe(Middle(after).Y, 1.5)
                        );
                },
                iter: 200
            );

    [Fact]
    public void A_zone_of_its_own_size_stands_where_it_was_measured_in_on_the_wall()
    {
        var laid = Laid(TestBlanks.Mug(), Sized("60", "40", Datum.Bottom, "20", Sideways.Left, "45"));
        laid.Zone!.Nominal.Bounds.ShouldBe(new Box(-30, 20, 30, 60));
        // It is the size that was typed that ends it, on all sides; not the handle and not the rim.
        laid.Zone.Nominal.Edges.Select(e => e.Limit).ShouldAllBe(l => l == LimitKind.Size);
        // 45 of a girth of 257.611, to the left of the front.
        laid.Wall!.Turn.Degrees.ShouldBe(-360 * 45 / 257.611, 1e-3);
        laid.Stands!.Across.ShouldBe(-45, 1e-6);
        laid.Stands.FromTop.ShouldBe(94 - 60, 1e-9);
        laid.Notes.ShouldBeEmpty();
    }

    [Fact]
    public void A_zone_that_reaches_the_handle_ends_there_and_says_by_how_much()
    {
        // Left of the front 128.806 − 21 − 8 = 99.806 are free; the zone's far side would stand at 110.
        var laid = Laid(TestBlanks.Mug(), Sized("60", "40", Datum.Bottom, "20", Sideways.Left, "80"));
        laid.Zone!.Nominal.Bounds.MinX.ShouldBe(80 - 99.806, 1e-3);
        laid.Zone.Nominal.Edges.Select(e => e.Limit).ShouldBe([LimitKind.Size, LimitKind.Size, LimitKind.Size, LimitKind.LeftSide]);
        laid.Notes.ShouldHaveSingleItem().ToString().ShouldContain("10.2 mm wider than what is left beside the handle");
    }

    [Fact]
    public void Uneven_margins_move_the_zone_off_the_front_and_keep_its_sum_true()
    {
        var laid = Laid(
            TestBlanks.Mug(),
            TestBlanks.Wrap with
            {
                Margins = TestBlanks.Margins with { Left = TypedLength.Mm(8), Right = TypedLength.Mm(38) },
            }
        );
        laid.Zone!.Width.Value.Millimetres.ShouldBe(257.611 - 42 - 46, 1e-3);
        laid.Stands!.Across.ShouldBe(-15, 1e-9);
        laid.Zone.Nominal.Bounds.CentreX.ShouldBe(0, 1e-9);
    }

    [Fact]
    public void A_zone_beside_the_front_of_a_cone_stands_upright_in_its_own_development()
    {
        var tumbler = TestBlanks.Tumbler("276", "219", "150");
        var front = Laid(tumbler, Sized("60", "40", Datum.Middle, "", Sideways.Centred, ""));
        var side = Laid(tumbler, Sized("60", "40", Datum.Middle, "", Sideways.Right, "50"));
        // A cone is the same all round, so the same zone has the same shape wherever it stands.
        side.Zone!.Nominal.Outline.SymmetricDifference(front.Zone!.Nominal.Outline).Area.ShouldBeLessThan(1e-6);
        side.Wall!.Turn.Degrees.ShouldBeGreaterThan(0);
    }

    /// <summary>
    /// Wherever a strip stands, it takes its width and clearance out of the turn, at the back at both ends of the development.
    /// </summary>
    [Theory]
    [InlineData(240, 240, 100)]
    [InlineData(276, 219, 150)]
    [InlineData(180, 300, 60)]
    public void A_strip_goes_on_round_the_back(double upper, double lower, double high) =>
        Gen.Select(Gen.Double[0, 1], Gen.Double[3, 40], Gen.Double[0, 6], Gen.Bool)
            .Sample(
                (share, width, clearance, left) =>
                {
                    var half = (upper + lower) / 4;
                    var across = Math.Round(share * half, 3);
                    var blank = TestBlanks.Tumbler($"{upper}", $"{lower}", $"{high}") with
                    {
                        Zones = [TestBlanks.Wrap with { Margins = ZoneMargins.All(TypedLength.Mm(0)) }],
                        KeptClear =
                        [
                            new KeptClear("seam", "Seam", ClearShape.Strip)
                            {
                                Width = TypedLength.Mm(Math.Round(width, 3)),
                                Clearance = TypedLength.Mm(Math.Round(clearance, 3)),
                                Place = new Place { Side = left ? Sideways.Left : Sideways.Right, Across = TypedLength.Mm(across) },
                            },
                        ],
                    };
                    var laid = BlankSheet.Of(blank).Sizes[0].Zones[0];
                    var (zone, wall) = (laid.Zone!.Nominal, laid.Wall!);
                    // How much of the turn is free, and where, at three heights, worked out on the circle.
                    var blocked = width + (2 * clearance);
                    return new[] { 0.1, 0.5, 0.9 }.All(at =>
                    {
                        var v = at * wall.Height.Value.Millimetres;
                        var girth = wall.GirthAt(v).Value.Millimetres;
                        var middle = across / wall.GirthAt(wall.Height.Value.Millimetres / 2).Value.Millimetres * girth;
                        var back = girth / 2;
                        // The largest free stretch between the strip and the cut at the back: one where the strip lies across the cut.
                        var free =
                            middle + (blocked / 2) >= back ? girth - blocked : Math.Max(middle + back, back - middle) - (blocked / 2);
                        var found =
                            Enumerable
                                .Range(0, 1200)
                                .Count(i =>
                                    zone.Outline.Covers(
                                        Outlines.Factory.CreatePoint(wall.Laid(((i + 0.5) / 1200 * girth) - back, v).ToCoordinate())
                                    )
                                )
                            * girth
                            / 1200;
                        return Math.Abs(found - free) < 0.4;
                    });
                },
                iter: 25
            );

    [Fact]
    public void A_seam_and_a_lip_are_kept_clear_wherever_the_zone_looks_at_them_from()
    {
        var mug = TestBlanks.Mug() with
        {
            KeptClear =
            [
                new KeptClear("lip", "lip", ClearShape.Band)
                {
                    Height = TypedLength.Mm(20),
                    Clearance = TypedLength.Mm(2),
                    Place = new Place { From = Datum.Top, Away = TypedLength.Mm(0) },
                },
                new KeptClear("seam", "seam", ClearShape.Strip)
                {
                    Width = TypedLength.Mm(4),
                    Clearance = TypedLength.Mm(3),
                    Place = new Place { Side = Sideways.Left, Across = TypedLength.Mm(60) },
                },
            ],
        };
        // Where a zone begins on the wall, to the right of the front; its own middle is what is left of it.
        double Begins(LaidZone laid) => (laid.Wall!.Turn.Degrees / 360 * 257.611) + laid.Zone!.Nominal.Bounds.MinX;
        var wrap = Laid(mug, TestBlanks.Wrap);
        wrap.Zone!.Nominal.Bounds.MaxY.ShouldBe(94 - 22, 1e-6);
        Begins(wrap).ShouldBe(-60 + 5, 1e-3);
        wrap.Zone.Nominal.Bounds.CentreX.ShouldBe(0, 1e-6);
        wrap.Stands!.Across.ShouldBe((-55 + 99.806 - 8 + 8) / 2, 1e-3);
        Begins(Laid(mug, Sized("60", "40", Datum.Bottom, "20", Sideways.Left, "45"))).ShouldBe(-60 + 5, 1e-3);
    }

    [Fact]
    public void Every_zone_of_a_wall_is_drawn_where_it_stands_on_it()
    {
        var mug = TestBlanks.Mug() with { Zones = [TestBlanks.Wrap, Sized("60", "40", Datum.Bottom, "20", Sideways.Right, "45")] };
        var flat = FlatDrawing.Of(BlankSheet.Of(mug).Sizes[0])!;
        var zones = flat.Strokes.Where(s => s.Kind == StrokeKind.Zone).ToList();
        zones.Count.ShouldBe(2);
        zones[1].Points.Min(p => p.X).ShouldBe(15, 1e-6);
        zones[1].Points.Max(p => p.X).ShouldBe(75, 1e-6);
        flat.Dimensions.Count(d => d.OfZone).ShouldBe(2);
    }

    private static ZoneSpec Sized(string width, string height, Datum from, string away, Sideways side, string across) =>
        TestBlanks.Wrap with
        {
            Width = new TypedLength(width),
            Height = new TypedLength(height),
            Place = new Place
            {
                From = from,
                Away = new TypedLength(away),
                Side = side,
                Across = new TypedLength(across),
            },
        };

    private static LaidZone Laid(Blank blank, ZoneSpec zone) => BlankSheet.Of(blank with { Zones = [zone] }).Sizes[0].Zones[0];
}
