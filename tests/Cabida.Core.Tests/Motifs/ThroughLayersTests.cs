using Cabida.Core.Geometry;
using Cabida.Core.Motifs;

namespace Cabida.Core.Tests.Motifs;

public class ThroughLayersTests
{
    private static readonly FilmPly Gold = new("gold", 1),
        White = new("white", 1),
        Own = new("", 1);

    /// <summary>
    /// A plate of 40 × 20 on no film of its own, a sheet of gold of 30 × 10 on it, and a hole of 4 × 4 through its middle.
    /// </summary>
    private static Motif Plate(ActsOn on, PartAction action, params FilmPly[] chosen) =>
        Shapes.Motif(
            Shapes.Box("plate", 40, 20),
            Shapes.Box("sheet", 30, 10).At("plate") with
            {
                FilmId = "gold",
            },
            Shapes.Box("hole", 4, 4).At("plate") with
            {
                Action = action,
                ActsOn = on,
                ActsOnFilms = chosen,
                Clearance = MotifLength.Stays(1),
            },
            new BackingPart("back", PartPlace.Below, MotifLength.Scales(0), ["plate"], MotifLength.Stays(2), true) { FilmId = "white" }
        );

    private static Dictionary<FilmPly, double> Areas(Motif motif) => Shapes.Films(motif).ToDictionary(f => f.Film, f => f.Ink.Area);

    // The backing is 44 × 24 with corners of radius 2.
    private static readonly double Backing = (44 * 24) - ((4 - Math.PI) * 4);

    [Fact]
    public void A_drilled_hole_is_in_every_film_and_in_the_backing_made_after_it()
    {
        var areas = Areas(Plate(ActsOn.All, PartAction.CutsThrough));
        areas[Own].ShouldBe(800 - 16, 1e-6);
        areas[Gold].ShouldBe(300 - 16, 1e-6);
        areas[White].ShouldBe(Backing - 16, 0.1);
    }

    [Fact]
    public void By_itself_it_acts_on_its_own_film_only_and_on_chosen_ones_when_asked()
    {
        var own = Areas(Plate(ActsOn.Own, PartAction.CutsThrough));
        (own[Own], own[Gold]).ShouldBe((784, 300));
        own[White].ShouldBe(Backing, 0.1);
        var chosen = Areas(Plate(ActsOn.Chosen, PartAction.CutsThrough, Gold, White));
        (chosen[Own], chosen[Gold]).ShouldBe((800, 284));
        chosen[White].ShouldBe(Backing - 16, 0.1);
        // One that is not there is no fault.
        Areas(Plate(ActsOn.Chosen, PartAction.CutsThrough, new FilmPly("gone", 3)))[Own].ShouldBe(800, 1e-6);
    }

    [Fact]
    public void Clearing_through_all_films_stands_in_its_own_only_and_confining_keeps_of_all()
    {
        var clears = Areas(Plate(ActsOn.All, PartAction.ClearsAround));
        // 6 × 6 with corners of radius 1 less, and in its own film the 16 that stand in it.
        var clearing = 36 - (4 - Math.PI);
        clears[Own].ShouldBe(800 - clearing + 16, 0.05);
        clears[Gold].ShouldBe(300 - clearing, 0.05);
        clears[White].ShouldBe(Backing - clearing, 0.15);
        var confined = Areas(Plate(ActsOn.All, PartAction.Confines));
        (confined[Own], confined[Gold]).ShouldBe((16, 16));
        confined[White].ShouldBe(16, 1e-6);
    }

    [Fact]
    public void What_is_added_after_the_drill_is_whole()
    {
        var plate = Plate(ActsOn.All, PartAction.CutsThrough);
        Areas(plate with { Parts = [.. plate.Parts, Shapes.Box("rivet", 4, 4).At("plate") with { FilmId = "gold" }] })[Gold]
            .ShouldBe(300, 1e-6);
    }

    [Theory]
    [InlineData(80, 20, 3)]
    [InlineData(20, 80, 3)]
    [InlineData(60, 60, 5)]
    [InlineData(50, 12, 1)]
    public void An_oval_ring_is_as_thick_all_round(double w, double h, double band)
    {
        var ring = Shapes.Ink(Shapes.Of(ShapeKind.Ring, "r", w, h) with { Band = MotifLength.Stays(band) });
        var (outside, inside) = (Outlines.PolygonsOf(ring).Single().ExteriorRing, Outlines.PolygonsOf(ring).Single().GetInteriorRingN(0));
        var away = inside.Coordinates.Select(c => outside.Distance(Outlines.Factory.CreatePoint(c))).ToList();
        away.Min().ShouldBeGreaterThan(band - 0.005);
        away.Max().ShouldBeLessThan(band + 0.005);
        // And from outside inwards no point is further from the opening than the band, where the oval is not too pointed for it.
        var (narrow, wide) = (Math.Min(w, h), Math.Max(w, h));
        if (narrow * narrow / wide / 2 > band)
        {
            outside.Coordinates.Select(c => inside.Distance(Outlines.Factory.CreatePoint(c))).Max().ShouldBeLessThan(band + 0.02);
        }
    }

    [Fact]
    public void The_outline_of_the_ground_is_a_part_inset_from_its_edge_and_its_holes()
    {
        // A tag of 40 × 20 with a slanting side and a hole of 4 × 4.
        var tag = (NetTopologySuite.Geometries.Polygon)
            Outlines.Without(
                Outlines.Ring([new(-20, -10), new(20, -10), new(20, 10), new(-10, 10)]),
                Outlines.Rectangle(new Box(10, -2, 14, 2))
            );
        var ground = new GroundShape(new Box(-20, -10, 20, 10), null, double.PositiveInfinity, null) { Outline = new(tag) };
        var outline = Shapes.Of(ShapeKind.GroundOutline, "o", 1, 1) with { Inset = MotifLength.Stays(1.5) };
        var filled = Shapes.Compose(Shapes.Motif(outline), ground).InkAt(1);
        var edge = tag.Boundary;
        Outlines
            .RingsOf(filled)
            .SelectMany(r => r.Coordinates)
            .Select(c => edge.Distance(Outlines.Factory.CreatePoint(c)))
            .ShouldAllBe(d => d > 1.5 - 0.005 && d < 1.5 + 0.01);
        tag.Contains(filled).ShouldBeTrue();
        Shapes
            .Compose(Shapes.Motif(outline with { GroundHoles = false }), ground)
            .InkAt(1)
            .ShouldBeOfType<NetTopologySuite.Geometries.Polygon>()
            .NumInteriorRings.ShouldBe(0);
        // A frame is what lies between two insets; it is the same at any scale, and hangs on its ground.
        var frame = outline with { Shape = ShapeKind.GroundFrame, Band = MotifLength.Stays(1), GroundHoles = false };
        var composition = Shapes.Compose(Shapes.Motif(frame, Shapes.Box("b", 3, 3)), ground);
        Outlines
            .PolygonsOf(composition.InkAt(2))
            .First(p => p.NumInteriorRings > 0)
            .Area.ShouldBe(tag.Shell().Buffer(-1.5).Area - tag.Shell().Buffer(-2.5).Area, 0.3);
        composition.HangsOnGround.ShouldBeTrue();
        // Without a ground, and with an inset that leaves nothing, it says so.
        string Note(Motif m, GroundShape g) =>
            Shapes.Compose(m, g) is var c ? MotifNotes.Of(c, c.PartsAt(1), m, g).Single().Message.ToString() : "";
        Note(Shapes.Motif(outline), GroundShape.None).ShouldBe("There is no ground whose outline it could follow. Choose one.");
        Note(Shapes.Motif(outline with { Inset = MotifLength.Stays(12) }), ground)
            .ShouldBe("An inset of 12.0 mm leaves nothing of the ground.");
        Note(Shapes.Motif(frame with { Band = MotifLength.Stays(30) }), ground)
            .ShouldStartWith("A band of 30.0 mm leaves no opening in it");
    }

    [Fact]
    public void A_repeat_without_the_ground_it_needs_says_what_stands_there_instead()
    {
        GroupPart Of(Repeat r) =>
            new("g", PartPlace.Below, MotifLength.Scales(0), [Shapes.Box("a", 4, 4)], RowAlignment.Centre) { Repeat = r };
        string Notes(Repeat r) =>
            Shapes.Motif(Of(r)) is var m && Shapes.Compose(m) is var c
                ? string.Join(" | ", MotifNotes.Of(c, c.PartsAt(1), m, GroundShape.None).Select(n => n.Message.ToString()))
                : "";
        Notes(new Repeat(RepeatKind.Rows) { Over = RepeatOver.Wrap })
            .ShouldBe(
                "3 copies. | The ground does not go round, so nothing is wrapped: there are 3 × 1 copies, as typed. Choose a round "
                    + "blank as the ground."
            );
        Notes(new Repeat(RepeatKind.HalfDrop) { Over = RepeatOver.Ground })
            .ShouldContain("There is no ground to fill, so the area typed is taken instead.");
        Notes(new Repeat(RepeatKind.Ring) { Across = 5 }).ShouldBe("5 copies.");
    }
}

file static class Polygons
{
    public static NetTopologySuite.Geometries.Polygon Shell(this NetTopologySuite.Geometries.Polygon p) =>
        Outlines.Factory.CreatePolygon(p.ExteriorRing.Coordinates);
}
