using Cabida.Core.Findings;
using Cabida.Core.Geometry;
using Cabida.Core.Motifs;
using Cabida.Core.Type;
using Cabida.Core.Wording;
using CsCheck;

namespace Cabida.Core.Tests.Motifs;

public class GraphicInkTests
{
    private static readonly GraphicPart Part = new(
        "g",
        PartPlace.Below,
        MotifLength.Scales(0),
        "g",
        GraphicSize.AsFile,
        MotifLength.Scales(0)
    )
    {
        OutlinesId = "d",
    };

    [Fact]
    public void The_size_of_the_file_is_kept_whatever_the_scale()
    {
        var graphics = new Drawn("d", Drawn.Square(5, 5, 30));
        Shapes.Compose(Shapes.Motif(Part), graphics: graphics).BoxAt(4)!.Value.Width.ShouldBe(30, 1e-6);
        Shapes.Compose(Shapes.Motif(Part with { FileScale = 0.5 }), graphics: graphics).BoxAt(1)!.Value.Width.ShouldBe(15, 1e-6);
        Shapes
            .Compose(Shapes.Motif(Part with { SizedBy = GraphicSize.Height, Size = MotifLength.Scales(12) }), graphics: graphics)
            .BoxAt(2)!
            .Value.Height.ShouldBe(24, 1e-5);
    }

    [Fact]
    public void Size_counts_ink_with_its_strokes_and_strengthening()
    {
        var graphics = new Drawn("d", Drawn.Square(0, 0, 30, open: true), Drawn.Square(10, 10, 5));
        foreach (var (stroke, grow) in new[] { (1.0, 0.0), (3, 0.5) })
        {
            var part = Part with
            {
                SizedBy = GraphicSize.Width,
                Size = MotifLength.Scales(50),
                StrokeWidth = MotifLength.Stays(stroke),
                Strengthen = MotifLength.Stays(grow),
            };
            Shapes.Compose(Shapes.Motif(part), graphics: graphics).BoxAt(1)!.Value.Width.ShouldBe(50, 1e-4);
        }
    }

    [Fact]
    public void Pieces_are_dropped_and_holes_filled()
    {
        var graphics = new Drawn("d", Drawn.Square(0, 0, 20), Drawn.Square(5, 5, 4, hole: true), Drawn.Square(30, 0, 10));
        double Area(GraphicPart p) => Shapes.Compose(Shapes.Motif(p), graphics: graphics).InkAt(1).Area;
        Area(Part).ShouldBe(400 - 16 + 100, 1e-6);
        Area(Part with { Dropped = [1] }).ShouldBe(384, 1e-6);
        Area(Part with { HolesFilled = true }).ShouldBe(500, 1e-6);
    }

    [Fact]
    public void Of_an_outline_traced_twice_the_outer_is_kept()
    {
        // A line 0.4 wide, followed on both sides; and a plate with a true hole, which stays.
        var graphics = new Drawn(
            "d",
            Drawn.Square(0, 0, 20),
            Drawn.Square(0.4, 0.4, 19.2, hole: true),
            Drawn.Square(30, 0, 20),
            Drawn.Square(36, 6, 8, hole: true)
        );
        Shapes.Compose(Shapes.Motif(Part with { DoubledRemoved = true }), graphics: graphics).InkAt(1).Area.ShouldBe(400 + 400 - 64, 1e-6);
    }

    [Theory]
    [InlineData(OpenOutlines.LeftOut, 0)]
    [InlineData(OpenOutlines.Closed, 400)]
    [InlineData(OpenOutlines.Strokes, (60 * 2) + (Math.PI * 1) + (0.5 * (Math.PI - 4) * 1) + 0)]
    public void Open_outlines_are_left_out_closed_or_made_strokes(OpenOutlines open, double area)
    {
        var graphics = new Drawn("d", Drawn.Square(0, 0, 20, open: true));
        var part = Part with { Open = open, StrokeWidth = MotifLength.Stays(2) };
        // Three sides of 20, round ends, and two outer corners rounded by a quarter disc each in place of a square.
        Shapes.Compose(Shapes.Motif(part), graphics: graphics).InkAt(1).Area.ShouldBe(area, open == OpenOutlines.Strokes ? 2.2 : 1e-6);
    }

    [Fact]
    public void Colours_go_to_films_or_cut_through_what_is_below()
    {
        var graphics = new Drawn("d", Drawn.Square(0, 0, 20, colour: "#102030"), Drawn.Square(5, 5, 10, colour: "#ffffff"));
        var films = Shapes.Films(
            Shapes.Motif(Part with { Films = [new ColourFilm("#FFFFFF", ColourUse.Cut, "white")] }),
            graphics: graphics
        );
        films.Select(f => (f.Film.FilmId, f.Ink.Area)).ShouldBe([("", 400), ("white", 100)]);
        Shapes
            .Films(Shapes.Motif(Part with { Films = [new ColourFilm("#ffffff", ColourUse.CutsThrough, "")] }), graphics: graphics)
            .ShouldHaveSingleItem()
            .Ink.Area.ShouldBe(300, 1e-6);
    }

    /// <summary>
    /// An icon drawn in one stroke that runs back over itself, touches itself in corners and repeats its edges: what overlays stumble
    /// over.
    /// </summary>
    private static Drawn Tricky(int seed)
    {
        var random = new Random(seed);
        Square Run(double x, double y)
        {
            // Corners of a small grid, so that edges lie on one another and cross in corners.
            var at = Enumerable.Range(0, 30).Select(_ => new PlanePoint(x + random.Next(7), y + random.Next(7))).ToList();
            return new Square(new Contour(at[0], [.. at.Skip(1).Select(p => new LineSegmentTo(p))]), false, "#000000", false);
        }

        return new Drawn("d", [.. Enumerable.Range(0, 4).Select(i => Run(3 * i, i % 2 * 5))]);
    }

    [Fact]
    public void An_icon_of_many_joins_comes_out_the_same_at_every_width() =>
        Gen.Int[0, 100_000]
            .Sample(
                seed =>
                {
                    var graphics = Tricky(seed);
                    var (one, cache) = (0.0, new InkCache());
                    for (var width = 10; width <= 120; width += 22)
                    {
                        var part = Part with { SizedBy = GraphicSize.Width, Size = MotifLength.Scales(width) };
                        var disc = Shapes.Of(ShapeKind.Oval, "o", width, width) with
                        {
                            Action = PartAction.Confines,
                            Place = PartPlace.Anchored,
                            Anchor = new Anchor("g", Stand.Middle, Stand.Middle, MotifLength.Scales(0), MotifLength.Scales(0)),
                        };
                        var ink = Shapes.Compose(Shapes.Motif(part), graphics: graphics, cache: cache).InkAt(1);
                        Shapes.Compose(Shapes.Motif(part, disc), graphics: graphics, cache: cache).InkAt(1).IsValid.ShouldBeTrue();
                        one = one == 0 ? ink.Area / width / width : one;
                        (ink.Area / width / width).ShouldBe(one, 1e-9);
                    }
                },
                iter: 15
            );

    [Fact]
    public void A_part_that_cannot_be_worked_out_is_named_and_left_out_of_the_picture_and_nothing_is_made_with_it()
    {
        var random = new Random(5);
        var scribble = new Contour(
            new(0, 0),
            [.. Enumerable.Range(0, 900).Select(_ => new LineSegmentTo(new(random.NextDouble() * 50, random.NextDouble() * 50)))]
        );
        var graphics = new Drawn("d", new Square(scribble, false, "#000000", false));
        var motif = Shapes.Motif(
            Shapes.Box("plate", 80, 30),
            Part with
            {
                Action = PartAction.CutsThrough,
            },
            Shapes.Box("bar", 80, 5) with
            {
                Gap = MotifLength.Scales(2),
            }
        );
        Composition With(bool leavesOut) =>
            Composition.Of(
                motif,
                TestMotifs.Named("HH"),
                new Composing(new BlockFace(), graphics, GroundShape.None, new InkCache(), LeavesOutFailing: leavesOut)
            );
        var picture = With(leavesOut: true);
        var parts = picture.PartsAt(1);
        picture.FilmsOf(parts, 1).ShouldHaveSingleItem().Ink.Area.ShouldBe((80 * 30) + (80 * 5), 1e-6);
        picture.LeftOut.ShouldHaveSingleItem().Key.ShouldBe("g");
        var note = MotifNotes.Of(picture, parts, motif, GroundShape.None).ShouldHaveSingleItem();
        (note.Part, note.Severity).ShouldBe(("g", Severity.Stop));
        note.Message.ToString().ShouldContain("crosses itself");
        Should.Throw<NotWorkableException>(() => With(leavesOut: false).InkAt(1));
    }

    [Fact]
    public void A_graphic_of_thousands_of_pieces_is_joined_once_and_then_only_moved()
    {
        var graphics = new Drawn("d", [.. Enumerable.Range(0, 3000).Select(i => Drawn.Square(3 * (i % 60), 3 * (i / 60), 2))]);
        var cache = new InkCache();
        var part = Part with { SizedBy = GraphicSize.Width, Size = MotifLength.Scales(179) };
        PlacedInk Dots(double line) =>
            Shapes.Compose(
                Shapes.Motif(part, Shapes.Box("l", line, 5) with { Gap = MotifLength.Scales(2) }),
                graphics: graphics,
                cache: cache
            )
                is var c
                ? c.FilmsOf(c.PartsAt(1), 1)[0].Pieces.Single(p => p.Area.NumGeometries == 3000)
                : null!;
        var first = Dots(20);
        Dots(24).Area.ShouldBeSameAs(first.Area);
        first.Placed.Area.ShouldBe(12_000, 1e-6);
        // Dropping one leaves the others as they were filled.
        Shapes.Compose(Shapes.Motif(part with { Dropped = [7] }), graphics: graphics, cache: cache).InkAt(1).NumGeometries.ShouldBe(2999);
    }

    [Fact]
    public void A_graphic_that_is_gone_is_told_and_has_no_ink()
    {
        Shapes.Compose(Shapes.Motif(Part)).BoxAt(1).ShouldBeNull();
        MotifProblems.Of(Shapes.Motif(Part), new BlockFace(), NoGraphics.Instance).ShouldContain(p => p.Fields[0] == "graphic");
    }
}
