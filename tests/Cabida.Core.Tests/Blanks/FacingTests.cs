using Cabida.Core.Blanks;
using Cabida.Core.Drawings;
using Cabida.Core.Geometry;
using Cabida.Core.Measures;

namespace Cabida.Core.Tests.Blanks;

/// <summary>Cloth things have a front and a back, each with its own zones, places and collar.</summary>
public class FacingTests
{
    [Fact]
    public void Buttons_in_front_keep_nothing_clear_on_the_back_and_a_hole_does_on_both()
    {
        var plain = Area(Shirt([]));
        var buttons = new KeptClear("b", "buttons", ClearShape.Strip) { Width = TypedLength.Mm(34) };
        Area(Shirt([buttons])).ShouldBe(plain, 1e-6);
        Area(Shirt([buttons with { Facing = Facing.Back }])).ShouldBeLessThan(plain - (34 * 90));
        Area(
                Shirt([
                    new KeptClear("e", "eyelet", ClearShape.Round)
                    {
                        Width = TypedLength.Mm(12),
                        IsHole = true,
                        Place = new Place { From = Datum.Hem, Away = TypedLength.Mm(580) },
                    },
                ])
            )
            .ShouldBeLessThan(plain - 100);

        static double Area(Blank shirt) => Sheet(shirt).ZoneOf("name")!.Zone!.Nominal.Outline.Area;
    }

    [Fact]
    public void A_zone_on_the_back_is_measured_from_the_back_of_the_collar_beside_the_front()
    {
        var sheet = Sheet(Shirt([]));
        var laid = sheet.ZoneOf("name")!;
        laid.Zone!.Nominal.Bounds.MaxY.ShouldBe(730 - 100, 1e-9);
        (laid.Zone.Nominal.Bounds.CentreX - sheet.Back!.Datums.Box.CentreX).ShouldBe(25, 1e-9);
        laid.Stands!.Across.ShouldBe(25, 1e-9);
        laid.Stands.FromTop.ShouldBe(100, 1e-9);
        sheet.ZoneOf("chest")!.Zone!.Nominal.Bounds.MaxY.ShouldBe(700 - 100, 1e-9);
    }

    [Fact]
    public void What_the_back_does_not_have_is_asked_for_and_not_taken_from_the_front()
    {
        var unread = Shirt([], back: "");
        BlankSheet
            .Of(unread)
            .Findings.ShouldContain(f =>
                f.Message.ToString()
                    .Contains(
                        "Across the back: It is measured from the collar seam of the back, which was not read. Read it, or measure "
                            + "from the shoulder or the hem."
                    )
            );
        var pocket = unread with
        {
            Zones =
            [
                unread.Zones[1] with
                {
                    Place = new Place { From = Datum.Pocket, Away = TypedLength.Mm(10) },
                },
            ],
        };
        BlankSheet.Of(pocket).Findings.ShouldContain(f => f.Message.ToString().Contains("the pocket, which is on the front"));
        // From the shoulder it can be: the same seam is seen from both sides.
        var shoulder = unread with
        {
            Zones =
            [
                unread.Zones[1] with
                {
                    Place = new Place { From = Datum.Shoulder, Away = TypedLength.Mm(120) },
                },
            ],
        };
        Sheet(shoulder).Zones[0].Zone!.Nominal.Bounds.MaxY.ShouldBe(738 - 120, 1e-9);
    }

    [Theory]
    [InlineData("660", "40.0 mm lower at the back")]
    [InlineData("752", "14.0 mm above the shoulder")]
    public void A_collar_that_cannot_be_is_pointed_out(string back, string words) =>
        BlankSheet.Of(Shirt([], back)).Findings.ShouldContain(f => f.Message.ToString().Contains(words));

    [Fact]
    public void The_back_is_drawn_beside_the_front_and_alone_where_only_it_is_used()
    {
        var buttons = new KeptClear("b", "buttons", ClearShape.Strip) { Width = TypedLength.Mm(34) };
        var sheet = Sheet(Shirt([buttons]));
        var both = FlatDrawing.Of(sheet)!;
        var edges = both
            .Strokes.Where(s => s.Kind == StrokeKind.Edge)
            .Select(s => Box.Around([Box.Of(Outlines.Ring(s.Points))!.Value])!.Value)
            .ToList();
        edges.Count.ShouldBe(2);
        edges[0].MaxX.ShouldBeLessThan(edges[1].MinX);
        edges[1].MaxX.ShouldBeLessThanOrEqualTo(both.Box.MaxX);
        both.Strokes.Where(s => s.Kind == StrokeKind.Centre).Select(s => s.Label).ShouldBe(["front", "back"]);

        // Each artwork lies within the outline of its own face.
        foreach (var (zone, edge) in sheet.Zones.Zip(edges))
        {
            zone.Zone!.Nominal.Bounds.MinX.ShouldBeGreaterThan(edge.MinX);
            zone.Zone.Nominal.Bounds.MaxX.ShouldBeLessThan(edge.MaxX);
        }

        var behind = FlatDrawing.Of(sheet.ZoneOf("name")!, sheet);
        behind.Strokes.ShouldNotContain(s => s.Kind == StrokeKind.KeptClear);
        behind.Strokes.Where(s => s.Kind == StrokeKind.Centre).ShouldHaveSingleItem().Label.ShouldBe("back");
        FlatDrawing
            .Of(sheet.ZoneOf("chest")!, sheet)
            .Strokes.Where(s => s.Kind == StrokeKind.Centre)
            .ShouldHaveSingleItem()
            .Label.ShouldBeNull();
    }

    [Fact]
    public void The_two_faces_of_a_bag_are_alike()
    {
        MeasuredDimension Read(DimensionKind kind, string typed) =>
            TestBlanks.Read(kind, MeasuringTool.SteelRule, typed) with
            {
                Of = "one",
            };
        var front = new ZoneSpec("f", "Front")
        {
            Width = TypedLength.Mm(200),
            Height = TypedLength.Mm(100),
            Place = new Place { From = Datum.Collar, Away = TypedLength.Mm(120) },
        };
        var bag = new Blank("Bag", SurfaceKind.Garment, [Read(DimensionKind.Width, "380"), Read(DimensionKind.CollarToHem, "420")])
        {
            Garment = new GarmentSpec { Kind = GarmentKind.Bag, Sizes = ["one"] },
            Zones = [front, front with { Id = "b", Name = "Back", Facing = Facing.Back }],
        };
        var sheet = Sheet(bag);
        var (a, b) = (sheet.Zones[0].Zone!, sheet.Zones[1].Zone!);
        var dx = sheet.Back!.Datums.Box.CentreX;
        dx.ShouldBeGreaterThan(380);
        Outlines.Placed(a.Cautious.Outline, 1, dx, 0).EqualsExact(b.Cautious.Outline, 1e-9).ShouldBeTrue();
        b.Width.Uncertainty.Millimetres.ShouldBe(a.Width.Uncertainty.Millimetres, 1e-9);
    }

    [Fact]
    public void A_sign_has_another_side_where_its_outline_and_its_holes_are_turned_over()
    {
        // An L with its foot to the right; a hole 20 to the left of the middle as one looks at the front.
        PlanePoint[] l = [new(0, 0), new(120, 0), new(120, 40), new(50, 40), new(50, 100), new(0, 100)];
        var hole = new KeptClear("h", "Hole", ClearShape.Round)
        {
            IsHole = true,
            Width = TypedLength.Mm(6),
            Place = new Place
            {
                From = Datum.Top,
                Away = TypedLength.Mm(8),
                Side = Sideways.Left,
                Across = TypedLength.Mm(30),
            },
        };
        var sticker = new KeptClear("s", "Sticker", ClearShape.Box)
        {
            Width = TypedLength.Mm(10),
            Height = TypedLength.Mm(10),
            Clearance = TypedLength.Mm(0),
            Place = new Place
            {
                From = Datum.Bottom,
                Away = TypedLength.Mm(5),
                Side = Sideways.Right,
                Across = TypedLength.Mm(30),
            },
        };
        ZoneSpec On(string id, Facing facing) => new(id, id) { Facing = facing, Margins = ZoneMargins.All(TypedLength.Mm(0)) };
        var blank = new Blank("Sign", SurfaceKind.Flat, [])
        {
            Outline = new PanelOutline { Kind = OutlineKind.Drawn, Drawn = new DrawnOutline([l], "by hand", 0.05) },
            KeptClear = [hole, sticker],
        };
        BlankSheet.Of(blank with { Zones = [On("f", Facing.Front)] }).Sizes[0].Back.ShouldBeNull();

        var sheet = BlankSheet.Of(blank with { Zones = [On("f", Facing.Front), On("b", Facing.Back)] });
        sheet.Findings.ShouldBeEmpty();
        var size = sheet.Sizes[0];
        var (front, back) = (size.Panel!, size.Back!);
        back.Nominal.EnvelopeInternal.MinX.ShouldBeGreaterThan(front.Nominal.EnvelopeInternal.MaxX + 5);
        back.Nominal.IsValid.ShouldBeTrue();
        // By a raster: what is a place on the front is the same place turned over on the back, holes with it.
        var (f, b) = (size.ZoneOf("f")!.Zone!, size.ZoneOf("b")!.Zone!);
        static bool In(Zone zone, double x, double y) =>
            zone.Nominal.Outline.Contains(Outlines.Factory.CreatePoint(new NetTopologySuite.Geometries.Coordinate(x, y)));
        var turned = 0;
        for (var x = -59.3; x < 60; x += 1.7)
        {
            for (var y = 0.6; y < 100; y += 1.7)
            {
                var (here, there) = (In(f, front.Datums.Box.CentreX + x, y), In(b, back.Datums.Box.CentreX - x, y));
                // Only the sticker, on the front alone, tells them apart.
                var onSticker = Math.Abs(x - 30) <= 5 && Math.Abs(y - 10) <= 5;
                there.ShouldBe(here || onSticker);
                turned += there ? 1 : 0;
            }
        }

        (turned * 1.7 * 1.7).ShouldBe(120 * 40 + 50 * 60 - (Math.PI * 25), 120);
        // Both sides are drawn, and the hole on both.
        FlatDrawing.Of(size)!.Strokes.Count(s => s.Kind == StrokeKind.Hole).ShouldBe(2);
        StandingDrawing.Behind(sheet).ShouldNotBeNull().Strokes.Count(s => s.Kind == StrokeKind.Hole).ShouldBe(1);
    }

    private static SizeSheet Sheet(Blank blank) => BlankSheet.Of(blank).Sizes[0];

    private static Blank Shirt(IReadOnlyList<KeptClear> clear, string back = "730")
    {
        MeasuredDimension Read(DimensionKind kind, string typed) => TestBlanks.Read(kind, MeasuringTool.SteelRule, typed) with { Of = "M" };
        var place = new Place { From = Datum.Collar, Away = TypedLength.Mm(100) };
        var chest = new ZoneSpec("chest", "Chest")
        {
            Width = TypedLength.Mm(90),
            Height = TypedLength.Mm(40),
            Place = place with { Side = Sideways.Right, Across = TypedLength.Mm(110) },
        };
        return new Blank(
            "Shirt",
            SurfaceKind.Garment,
            [
                Read(DimensionKind.Width, "500"),
                Read(DimensionKind.CollarToHem, "700"),
                Read(DimensionKind.ShoulderToCollar, "38"),
                Read(DimensionKind.CollarToPocket, "180"),
                .. back.Length > 0 ? [Read(DimensionKind.BackCollarToHem, back)] : Array.Empty<MeasuredDimension>(),
            ]
        )
        {
            Garment = new GarmentSpec { Sizes = ["M"] },
            KeptClear = clear,
            Zones =
            [
                chest,
                chest with
                {
                    Id = "name",
                    Name = "Across the back",
                    Facing = Facing.Back,
                    Width = TypedLength.Mm(280),
                    Height = TypedLength.Mm(90),
                    Place = place with { Side = Sideways.Right, Across = TypedLength.Mm(25) },
                },
            ],
        };
    }
}
