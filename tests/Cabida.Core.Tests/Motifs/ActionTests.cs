using Cabida.Core.Geometry;
using Cabida.Core.Motifs;

namespace Cabida.Core.Tests.Motifs;

public class ActionTests
{
    [Fact]
    public void What_cuts_through_leaves_a_hole_and_no_ink() =>
        Shapes
            .Ink(Shapes.Box("plate", 40, 20), Shapes.Box("hole", 10, 5).At("plate") with { Action = PartAction.CutsThrough })
            .Area.ShouldBe(800 - 50, 1e-6);

    [Fact]
    public void What_clears_around_stands_in_an_even_clearing()
    {
        // A square of 10 in a plate, a clearance of 2 with round corners: the plate loses 14² less the corners it keeps.
        var cleared = (14 * 14) - ((4 - Math.PI) * 4);
        var ink = Shapes.Ink(
            Shapes.Box("plate", 40, 40),
            Shapes.Box("set-in", 10, 10).At("plate") with
            {
                Action = PartAction.ClearsAround,
                Clearance = MotifLength.Stays(2),
            }
        );
        ink.Area.ShouldBe(1600 - cleared + 100, 0.2);
        var parts = Outlines.PolygonsOf(ink).ToList();
        parts.Count.ShouldBe(2);
        parts[0].Distance(parts[1]).ShouldBe(2, 0.011);
    }

    [Fact]
    public void A_clearance_stays_as_typed_at_every_scale()
    {
        var motif = Shapes.Motif(
            Shapes.Box("plate", 40, 40),
            Shapes.Box("set-in", 10, 10).At("plate") with
            {
                Action = PartAction.ClearsAround,
                Clearance = MotifLength.Stays(2),
            }
        );
        var parts = Outlines.PolygonsOf(Shapes.Compose(motif).InkAt(3)).ToList();
        parts[0].Distance(parts[1]).ShouldBe(2, 0.011);
    }

    [Fact]
    public void A_drawing_is_trimmed_to_a_tag_with_its_hole_kept_clear()
    {
        var tag = Shapes.Of(ShapeKind.Tag, "tag", 60, 30).At("art") with
        {
            Action = PartAction.Confines,
            CornerSize = MotifLength.Scales(0),
            Hole = MotifLength.Stays(6),
            HoleIn = MotifLength.Stays(10),
        };
        var ink = Shapes.Ink(Shapes.Box("art", 100, 100), tag);
        ink.Area.ShouldBe((60 * 30) - (Math.PI * 9), 0.1);
        Outlines.PolygonsOf(ink).ShouldHaveSingleItem().NumInteriorRings.ShouldBe(1);
    }

    [Fact]
    public void Linked_ovals_are_one_piece_and_a_border_is_opened_for_an_ornament()
    {
        var ring = Shapes.Of(ShapeKind.Ring, "a", 40, 30) with { Band = MotifLength.Scales(4) };
        Outlines.PolygonsOf(Shapes.Ink(ring, (ring with { Id = "b" }).At("a", 25))).ShouldHaveSingleItem().NumInteriorRings.ShouldBe(3);
        var border = Shapes.Of(ShapeKind.Border, "border", 80, 50) with
        {
            Band = MotifLength.Scales(3),
            CornerSize = MotifLength.Scales(0),
        };
        var opened = Shapes.Ink(
            border,
            Shapes.Of(ShapeKind.Oval, "ornament", 12, 12).At("border", up: 23.5) with
            {
                Action = PartAction.ClearsAround,
                Clearance = MotifLength.Stays(1),
            }
        );
        var parts = Outlines.PolygonsOf(opened).ToList();
        parts.Count.ShouldBe(2);
        parts.ShouldAllBe(p => p.NumInteriorRings == 0);
    }

    [Fact]
    public void A_plate_is_drilled_anew_with_its_old_holes_closed()
    {
        var plate = new GraphicPart("plate", PartPlace.Below, MotifLength.Scales(0), "g", GraphicSize.Width, MotifLength.Scales(50))
        {
            OutlinesId = "plate",
            HolesFilled = true,
        };
        var drill = Shapes.Of(ShapeKind.Oval, "drill", 4, 4).At("plate", 15) with { Action = PartAction.CutsThrough };
        var ink = Shapes
            .Compose(Shapes.Motif(plate, drill), graphics: new Drawn("plate", Drawn.Square(0, 0, 50), Drawn.Square(10, 10, 5, hole: true)))
            .InkAt(1);
        ink.Area.ShouldBe(2500 - (Math.PI * 4), 0.1);
    }

    [Fact]
    public void Actions_reach_their_own_film_and_ply_only()
    {
        var films = Shapes.Films(
            Shapes.Motif(
                Shapes.Box("navy", 20, 20) with
                {
                    FilmId = "navy",
                },
                Shapes.Box("navy-2", 20, 20).At("navy") with
                {
                    FilmId = "navy",
                    Ply = 2,
                },
                Shapes.Box("copper", 20, 20).At("navy") with
                {
                    FilmId = "copper",
                },
                Shapes.Box("cut", 10, 10).At("navy") with
                {
                    FilmId = "navy",
                    Action = PartAction.CutsThrough,
                }
            )
        );
        films
            .Select(f => (f.Film.FilmId, f.Film.Ply, Math.Round(f.Ink.Area, 6)))
            .ShouldBe([("navy", 1, 300), ("navy", 2, 400), ("copper", 1, 400)]);
    }

    [Fact]
    public void An_action_changed_back_gives_what_was_there_before()
    {
        var cut = Shapes.Box("b", 5, 5).At("a") with { Action = PartAction.CutsThrough };
        Shapes.Ink(Shapes.Box("a", 20, 10), cut with { Action = PartAction.Adds }).Area.ShouldBe(200, 1e-6);
    }

    [Fact]
    public void A_backing_is_grown_from_chosen_parts_and_lies_under_them()
    {
        var backing = new BackingPart("under", PartPlace.Below, MotifLength.Scales(0), ["a"], MotifLength.Stays(2), true)
        {
            FilmId = "copper",
        };
        var films = Shapes.Films(
            Shapes.Motif(Shapes.Of(ShapeKind.Ring, "a", 30, 30) with { Band = MotifLength.Scales(3) }, Shapes.Box("b", 10, 10), backing)
        );
        films.Select(f => f.Film.FilmId).ShouldBe(["copper", ""]);
        films[0].Ink.Area.ShouldBe(Math.PI * 17 * 17, 0.9);
        // Its box is known without growing anything.
        var composition = Shapes.Compose(Shapes.Motif(Shapes.Box("a", 30, 10), backing));
        var (box, ink) = (composition.BoxAt(1)!.Value, composition.InkAt(1).EnvelopeInternal);
        (box.Width, box.Height).ShouldBe((34, 14));
        (ink.Width, ink.Height).ShouldBe((34, 14));
        Shapes.Compose(Shapes.Motif(backing, Shapes.Box("a", 30, 10))).BoxAt(1)!.Value.Width.ShouldBe(30, 1e-9);
        var open = Shapes.Films(
            Shapes.Motif(Shapes.Of(ShapeKind.Ring, "a", 30, 30) with { Band = MotifLength.Scales(3) }, backing with { Solid = false })
        );
        open[0].Ink.Area.ShouldBe(Math.PI * ((17 * 17) - (10 * 10)), 0.8);
    }

    [Fact]
    public void After_a_change_to_one_part_the_kept_states_give_what_composing_from_nothing_gives()
    {
        Motif Of(double width) =>
            Shapes.Motif([
                .. Enumerable
                    .Range(0, 12)
                    .Select(i =>
                        (
                            Shapes.Box($"p{i}", i == 7 ? width : 10 + i, 9).At("p0", 3 * i, 2 * (i % 3)) with
                            {
                                Action = (PartAction)(i % 3),
                                Place = i == 0 ? PartPlace.Below : PartPlace.Anchored,
                            }
                        )
                    ),
            ]);
        var cache = new Cabida.Core.Type.InkCache();
        foreach (var width in new[] { 10.0, 14, 10, 22 })
        {
            var warm = Shapes.Compose(Of(width), cache: cache);
            var cold = Shapes.Compose(Of(width));
            warm.FilmsOf(warm.PartsAt(1), 1)[0].Ink.EqualsExact(cold.FilmsOf(cold.PartsAt(1), 1)[0].Ink).ShouldBeTrue();
        }
    }
}
