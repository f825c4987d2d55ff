using Cabida.Core.Blanks;
using Cabida.Core.Fitting;
using Cabida.Core.Geometry;
using Cabida.Core.Motifs;

namespace Cabida.Core.Tests.Motifs;

public class PlacingTests
{
    [Theory]
    [InlineData(Stand.Before, -30 - 5)]
    [InlineData(Stand.Start, -30 + 5)]
    [InlineData(Stand.Middle, 0)]
    [InlineData(Stand.End, 30 - 5)]
    [InlineData(Stand.After, 30 + 5)]
    public void A_part_stands_at_another_by_ink(Stand stand, double middle)
    {
        var pin = Shapes.Box("b", 10, 10).At("a") with
        {
            Anchor = new Anchor("a", stand, Stand.Middle, MotifLength.Scales(0), MotifLength.Scales(3)),
        };
        var parts = Shapes.Compose(Shapes.Motif(Shapes.Box("a", 60, 20), pin)).PartsAt(1);
        (parts[1].Box.CentreX - parts[0].Box.CentreX).ShouldBe(middle, 1e-9);
        (parts[1].Box.CentreY - parts[0].Box.CentreY).ShouldBe(3, 1e-9);
    }

    [Fact]
    public void What_hangs_on_the_ground_stays_there_while_the_rest_grows()
    {
        var corner = Shapes.Box("c", 10, 10) with
        {
            Place = PartPlace.Anchored,
            Width = MotifLength.Stays(10),
            Height = MotifLength.Stays(10),
            Anchor = new Anchor(Anchor.Ground, Stand.Start, Stand.End, MotifLength.Stays(2), MotifLength.Stays(-2)),
        };
        var motif = Shapes.Motif(Shapes.Box("a", 20, 10), corner);
        foreach (var scale in new[] { 1.0, 2.5 })
        {
            var parts = Shapes.Compose(motif, GroundShape.Plain(100, 60)).PartsAt(scale);
            parts[0].Box.ShouldBe(new Box(-10 * scale, -5 * scale, 10 * scale, 5 * scale));
            parts[1].Box.MinX.ShouldBe(-48, 1e-9);
            parts[1].Box.MaxY.ShouldBe(28, 1e-9);
        }
    }

    [Fact]
    public void A_fit_is_limited_by_what_scales_and_not_by_what_hangs_on_the_ground()
    {
        var corner = Shapes.Box("c", 10, 10) with
        {
            Place = PartPlace.Anchored,
            Width = MotifLength.Stays(10),
            Height = MotifLength.Stays(10),
            Anchor = new Anchor(Anchor.Ground, Stand.Start, Stand.End, MotifLength.Stays(0), MotifLength.Stays(0)),
        };
        var zone = ZoneShape.Rectangle(new Box(-50, -30, 50, 30), LimitKind.Edge);
        var composition = Shapes.Compose(Shapes.Motif(Shapes.Box("a", 20, 10), corner), GroundShape.Plain(100, 60));
        composition.AllScales.ShouldBeFalse();
        LargestFit.Find(composition, composition.AllScales, zone).ShouldNotBeNull().ShouldBe(5, 1e-4);
    }

    [Fact]
    public void A_nudge_moves_one_part_and_leaves_its_neighbours()
    {
        var plain = Shapes.Compose(Shapes.Motif(Shapes.Box("a", 20, 10), Shapes.Box("b", 20, 10), Shapes.Box("c", 20, 10))).PartsAt(1);
        var nudged = Shapes
            .Compose(
                Shapes.Motif(
                    Shapes.Box("a", 20, 10),
                    Shapes.Box("b", 20, 10) with
                    {
                        Nudge = new Nudge(MotifLength.Stays(3), MotifLength.Stays(-1)),
                    },
                    Shapes.Box("c", 20, 10)
                )
            )
            .PartsAt(1);
        (nudged[1].Box.CentreX - nudged[0].Box.CentreX).ShouldBe(3, 1e-9);
        (nudged[2].Box.CentreY - nudged[0].Box.CentreY).ShouldBe(plain[2].Box.CentreY - plain[0].Box.CentreY, 1e-9);
    }

    [Fact]
    public void Turned_and_flipped_parts_are_measured_as_they_stand()
    {
        Shapes.Ink(Shapes.Box("a", 30, 10) with { Turn = 90 }).EnvelopeInternal.Height.ShouldBe(30, 1e-9);
        var diagonal = Shapes.Compose(Shapes.Motif(Shapes.Box("a", 30, 10) with { Turn = 30 })).BoxAt(1)!.Value;
        diagonal.Width.ShouldBe((30 * Math.Cos(Math.PI / 6)) + (10 * Math.Sin(Math.PI / 6)), 1e-9);
        var tag = Shapes.Of(ShapeKind.Tag, "t", 60, 30) with
        {
            CornerSize = MotifLength.Scales(0),
            Hole = MotifLength.Stays(6),
            HoleIn = MotifLength.Stays(10),
            Flipped = true,
        };
        var hole = Outlines.PolygonsOf(Shapes.Ink(tag)).Single().Holes[0];
        hole.EnvelopeInternal.Centre.X.ShouldBe(20, 1e-6);
    }

    [Fact]
    public void Grouped_parts_move_and_turn_as_one()
    {
        var group = new GroupPart(
            "g",
            PartPlace.Below,
            MotifLength.Scales(0),
            [Shapes.Box("a", 20, 10), Shapes.Box("b", 4, 4) with { Gap = MotifLength.Scales(6) }],
            RowAlignment.Centre
        )
        {
            Turn = 90,
        };
        var placed = Shapes.Compose(Shapes.Motif(group)).PartsAt(2).ShouldHaveSingleItem();
        placed.Box.Width.ShouldBe(2 * 20, 1e-9);
        placed.Box.Height.ShouldBe(2 * 20, 1e-9);
        var inner = placed.Body.Inner.Select(i => i.Within(placed).Box).ToList();
        (inner[1].MinX - inner[0].MaxX).ShouldBe(12, 1e-9);
    }

    [Fact]
    public void Parts_that_stand_at_one_another_or_at_nothing_are_told_and_still_seen()
    {
        var motif = Shapes.Motif(
            Shapes.Box("s", 5, 5),
            Shapes.Box("a", 5, 5).At("b"),
            Shapes.Box("b", 5, 5).At("a"),
            Shapes.Box("c", 5, 5).At("gone")
        );
        MotifProblems
            .Of(motif, new BlockFace(), NoGraphics.Instance)
            .Where(p => p.Fields[0] == "anchor")
            .Select(p => p.Part)
            .ShouldBe(["a", "b", "c"]);
        Shapes.Compose(motif).PartsAt(1).Count.ShouldBe(4);
    }

    [Fact]
    public void Mats_take_their_size_from_the_frame_and_lettering_reaches_under_both_ends()
    {
        // Outside 211 × 261 and an opening of 161 × 201 standing 5 higher, as in the calculations.
        var ground = new GroundShape(
            new Box(-101, -126, 101, 126),
            null,
            double.PositiveInfinity,
            new GroundMats(new Box(-105.5, -130.5, 105.5, 130.5), [new Box(-80.5, -95.5, 80.5, 105.5), new Box(-75.5, -90.5, 75.5, 100.5)])
        );
        var mat = new MatPart("m", PartPlace.Below, MotifLength.Scales(0), 1);
        var name = TestMotifs.Line("n", "HHH", 10).At("m") with { SizedBy = LetteringSize.MatOpening, Size = MotifLength.Stays(2) };
        var composition = Shapes.Compose(Shapes.Motif(mat, name), ground);
        var parts = composition.PartsAt(1);
        parts[0].Ink.Single().Ink.Area.ShouldBe((211 * 261) - (161 * 201), 1e-6);
        parts[1].Box.Width.ShouldBe(165, 1e-4);
        composition.FilmsOf(parts, 1).ShouldHaveSingleItem();
        // The frame holds the mat; only the rest has to lie in the zone.
        composition.BoxAt(1)!.Value.Width.ShouldBe(165, 1e-4);
        Shapes.Films(Shapes.Motif(mat, mat with { Id = "m2", Index = 2 }), ground).Select(f => f.Film.Ply).ShouldBe([1, 2]);
        var trim = Shapes.Box("t", 1, 1) with { Span = ShapeSpan.MatOutside, Action = PartAction.Confines };
        var over = name with { Size = MotifLength.Stays(60) };
        Shapes.Films(Shapes.Motif(mat, over, trim), ground).ShouldHaveSingleItem().Ink.EnvelopeInternal.Width.ShouldBe(211, 1e-6);
    }

    [Fact]
    public void Without_a_frame_a_mat_has_no_ink_and_says_why()
    {
        var motif = Shapes.Motif(new MatPart("m", PartPlace.Below, MotifLength.Scales(0), 1));
        var composition = Shapes.Compose(motif);
        composition.PartsAt(1).ShouldBeEmpty();
        MotifNotes
            .Of(composition, [], motif, GroundShape.None)
            .ShouldHaveSingleItem()
            .Message.ToString()
            .ShouldContain("Choose a framed blank");
    }
}
