using Cabida.Core.Motifs;

namespace Cabida.Core.Tests.Motifs;

public class GraphicInkTests
{
    private static readonly GraphicPart Part = new("g", PartPlace.Below, MotifLength.Scales(0), "g", GraphicSize.AsFile, MotifLength.Scales(0)) { OutlinesId = "d" };

    [Fact]
    public void The_size_of_the_file_is_kept_whatever_the_scale()
    {
        var graphics = new Drawn("d", Drawn.Square(5, 5, 30));
        Shapes.Compose(Shapes.Motif(Part), graphics: graphics).BoxAt(4)!.Value.Width.ShouldBe(30, 1e-6);
        Shapes.Compose(Shapes.Motif(Part with { FileScale = 0.5 }), graphics: graphics).BoxAt(1)!.Value.Width.ShouldBe(15, 1e-6);
        Shapes.Compose(Shapes.Motif(Part with { SizedBy = GraphicSize.Height, Size = MotifLength.Scales(12) }), graphics: graphics).BoxAt(2)!.Value.Height.ShouldBe(24, 1e-5);
    }

    [Fact]
    public void Size_counts_ink_with_its_strokes_and_strengthening()
    {
        var graphics = new Drawn("d", Drawn.Square(0, 0, 30, open: true), Drawn.Square(10, 10, 5));
        foreach (var (stroke, grow) in new[] { (1.0, 0.0), (3, 0.5) })
        {
            var part = Part with { SizedBy = GraphicSize.Width, Size = MotifLength.Scales(50), StrokeWidth = MotifLength.Stays(stroke), Strengthen = MotifLength.Stays(grow) };
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
        var graphics = new Drawn("d", Drawn.Square(0, 0, 20), Drawn.Square(0.4, 0.4, 19.2, hole: true), Drawn.Square(30, 0, 20), Drawn.Square(36, 6, 8, hole: true));
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
        var films = Shapes.Films(Shapes.Motif(Part with { Films = [new ColourFilm("#FFFFFF", ColourUse.Cut, "white")] }), graphics: graphics);
        films.Select(f => (f.Film.FilmId, f.Ink.Area)).ShouldBe([("", 400), ("white", 100)]);
        Shapes.Films(Shapes.Motif(Part with { Films = [new ColourFilm("#ffffff", ColourUse.CutsThrough, "")] }), graphics: graphics).ShouldHaveSingleItem().Ink.Area.ShouldBe(300, 1e-6);
    }

    [Fact]
    public void A_graphic_that_is_gone_is_told_and_has_no_ink()
    {
        Shapes.Compose(Shapes.Motif(Part)).BoxAt(1).ShouldBeNull();
        MotifProblems.Of(Shapes.Motif(Part), new BlockFace(), NoGraphics.Instance).ShouldContain(p => p.Field == "graphic");
    }
}
