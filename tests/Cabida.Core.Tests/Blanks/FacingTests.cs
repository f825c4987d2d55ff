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
        Area(Shirt([new KeptClear("e", "eyelet", ClearShape.Round) { Width = TypedLength.Mm(12), IsHole = true, Place = new Place { From = Datum.Hem, Away = TypedLength.Mm(580) } }])).ShouldBeLessThan(plain - 100);

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
        BlankSheet.Of(unread).Findings.ShouldContain(f => f.Message.ToString().Contains("Across the back: It is measured from the collar seam of the back, which was not read. Read it, or measure from the shoulder or the hem."));
        var pocket = unread with { Zones = [unread.Zones[1] with { Place = new Place { From = Datum.Pocket, Away = TypedLength.Mm(10) } }] };
        BlankSheet.Of(pocket).Findings.ShouldContain(f => f.Message.ToString().Contains("the pocket, which is on the front"));
        // From the shoulder it can be: the same seam is seen from both sides.
        var shoulder = unread with { Zones = [unread.Zones[1] with { Place = new Place { From = Datum.Shoulder, Away = TypedLength.Mm(120) } }] };
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
        var edges = both.Strokes.Where(s => s.Kind == StrokeKind.Edge).Select(s => Box.Around([Box.Of(Outlines.Ring(s.Points))!.Value])!.Value).ToList();
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
        FlatDrawing.Of(sheet.ZoneOf("chest")!, sheet).Strokes.Where(s => s.Kind == StrokeKind.Centre).ShouldHaveSingleItem().Label.ShouldBeNull();
    }

    [Fact]
    public void The_two_faces_of_a_bag_are_alike()
    {
        MeasuredDimension Read(DimensionKind kind, string typed) => TestBlanks.Read(kind, MeasuringTool.SteelRule, typed) with { Of = "one" };
        var front = new ZoneSpec("f", "Front") { Width = TypedLength.Mm(200), Height = TypedLength.Mm(100), Place = new Place { From = Datum.Collar, Away = TypedLength.Mm(120) } };
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

    private static SizeSheet Sheet(Blank blank) => BlankSheet.Of(blank).Sizes[0];

    private static Blank Shirt(IReadOnlyList<KeptClear> clear, string back = "730")
    {
        MeasuredDimension Read(DimensionKind kind, string typed) => TestBlanks.Read(kind, MeasuringTool.SteelRule, typed) with { Of = "M" };
        var place = new Place { From = Datum.Collar, Away = TypedLength.Mm(100) };
        var chest = new ZoneSpec("chest", "Chest") { Width = TypedLength.Mm(90), Height = TypedLength.Mm(40), Place = place with { Side = Sideways.Right, Across = TypedLength.Mm(110) } };
        return new Blank("Shirt", SurfaceKind.Garment,
            [Read(DimensionKind.Width, "500"), Read(DimensionKind.CollarToHem, "700"), Read(DimensionKind.ShoulderToCollar, "38"), Read(DimensionKind.CollarToPocket, "180"), .. back.Length > 0 ? [Read(DimensionKind.BackCollarToHem, back)] : Array.Empty<MeasuredDimension>()])
        {
            Garment = new GarmentSpec { Sizes = ["M"] },
            KeptClear = clear,
            Zones = [chest, chest with { Id = "name", Name = "Across the back", Facing = Facing.Back, Width = TypedLength.Mm(280), Height = TypedLength.Mm(90), Place = place with { Side = Sideways.Right, Across = TypedLength.Mm(25) } }],
        };
    }
}
