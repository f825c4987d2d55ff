using Cabida.Core.Blanks;
using Cabida.Core.Drawings;
using Cabida.Core.Geometry;

namespace Cabida.Core.Tests.Drawings;

public class DrawingTests
{
    [Fact]
    public void The_letters_of_a_drawing_are_those_of_its_readings_with_their_figures()
    {
        var sheet = BlankSheet.Of(TestBlanks.Mug());
        var drawing = StandingDrawing.Of(TestBlanks.Mug(), sheet);
        var written = drawing
            .Dimensions.Select(d => (d.Letter, d.Millimetres))
            .Concat(drawing.Callouts.Select(c => ((string?)c.Letter, c.Millimetres)))
            .ToList();
        foreach (var row in sheet.Rows.Where(r => r.Is is not null))
        {
            written.ShouldContain(w => w.Item1 == row.Row.Letter && Math.Abs(w.Item2!.Value - row.Is!.Value.Millimetres) < 1e-9);
        }

        drawing.Guessed.ShouldBeFalse();
        written.Single(w => w.Item1 == "B").Item2.ShouldBeNull();
    }

    [Theory]
    [InlineData(SurfaceKind.Straight, "A", "D")]
    [InlineData(SurfaceKind.Tapered, "A", "B", "C")]
    [InlineData(SurfaceKind.Bellied, "A", "C", "F", "I")]
    [InlineData(SurfaceKind.Flat, "A", "B")]
    [InlineData(SurfaceKind.Framed, "A", "B", "C", "D")]
    public void With_nothing_read_an_example_shows_what_to_read(SurfaceKind surface, params string[] letters)
    {
        var blank = TestBlanks.Mug() with { Surface = surface, Measured = [] };
        var drawing = StandingDrawing.Of(blank, BlankSheet.Of(blank));
        drawing.Guessed.ShouldBeTrue();
        var shown = drawing.Dimensions.Select(d => d.Letter).Concat(drawing.Callouts.Select(c => c.Letter)).ToList();
        letters.ShouldAllBe(l => shown.Contains(l));
        drawing.Dimensions.ShouldAllBe(d => d.Millimetres == null);
        drawing.Strokes.ShouldNotContain(s => s.Kind == StrokeKind.Zone);
    }

    [Fact]
    public void A_mug_as_it_stands_is_as_wide_and_high_as_it_was_measured()
    {
        var mug = TestBlanks.Mug() with { Measured = TestBlanks.Mug().Measured.Where(m => m.Dimension != DimensionKind.Handle).ToList() };
        var drawing = StandingDrawing.Of(mug, BlankSheet.Of(mug));
        drawing.Box.Width.ShouldBe(257.611 / Math.PI, 1e-3);
        var height = drawing.Dimensions.Single(d => d.Letter == "D");
        (height.To.Y - height.From.Y).ShouldBe(94, 1e-9);
    }

    [Fact]
    public void A_handle_stands_out_beside_the_wall_and_is_hatched_at_both_ends_when_laid_flat()
    {
        var sheet = BlankSheet.Of(TestBlanks.Mug());
        StandingDrawing.Of(TestBlanks.Mug(), sheet).Box.MaxX.ShouldBeGreaterThan(257.611 / Math.PI / 2 + 20);
        var flat = FlatDrawing.Of(sheet.Sizes[0])!;
        var kept = flat.Strokes.Where(s => s.Kind == StrokeKind.KeptClear).ToList();
        kept.Count.ShouldBe(2);
        kept.ShouldAllBe(s => Math.Abs(s.Points.Max(p => p.X) - s.Points.Min(p => p.X) - 21) < 1e-9);
        kept[0].Points.Min(p => p.X).ShouldBe(flat.Box.MinX, 1e-9);
        kept[1].Points.Max(p => p.X).ShouldBe(flat.Box.MaxX, 1e-9);
    }

    [Fact]
    public void A_straight_wall_laid_flat_measures_girth_by_height_and_its_zone_is_dimensioned()
    {
        var sheet = BlankSheet.Of(TestBlanks.Mug());
        var flat = FlatDrawing.Of(sheet.Sizes[0])!;
        flat.Box.Width.ShouldBe(257.611, 1e-3);
        flat.Box.Height.ShouldBe(94, 1e-9);
        var zone = flat.Dimensions.Single(d => d.OfZone);
        zone.Millimetres!.Value.ShouldBe(sheet.Zone!.Width.Cautious.Millimetres, 1e-9);
        (zone.To.X - zone.From.X).ShouldBe(zone.Millimetres.Value, 1e-9);
    }

    [Fact]
    public void A_tapered_wall_laid_flat_fits_the_box_of_its_ring_sector()
    {
        var sheet = BlankSheet.Of(TestBlanks.Tumbler("276.314", "219.314", "150"));
        var flat = FlatDrawing.Of(sheet.Sizes[0])!;
        // Less π·0.1 for the paper strip these are the girths of the worked example.
        flat.Box.Width.ShouldBe(274.342, 0.01);
        flat.Box.Height.ShouldBe(160.371, 0.01);
        flat.Dimensions.Single(d => d.OfZone).Millimetres!.Value.ShouldBe(sheet.Zone!.Width.Cautious.Millimetres, 1e-9);
        FlatDrawing.Of(sheet.Sizes[0] with { Zones = [] })!.Strokes.ShouldNotContain(s => s.Kind == StrokeKind.Zone);
    }

    [Theory]
    [InlineData(0)]
    [InlineData(45)]
    [InlineData(-120)]
    [InlineData(180)]
    public void Turning_a_blank_keeps_its_scale_and_its_ink_on_the_wall(double turn)
    {
        var sheet = BlankSheet.Of(TestBlanks.Mug());
        var drawing = SeenDrawing.Blank(sheet.Wall!, sheet.Zone!, turn);
        drawing.Box.ShouldBe(SeenDrawing.Blank(sheet.Wall!, sheet.Zone!, 0).Box);
        var radius = sheet.Wall!.AcrossAt(0).Millimetres / 2;
        var ink = SeenDrawing.Seen(sheet.Wall!, Outlines.Rectangle(new Box(-90, 20, 90, 60)), turn);
        if (Box.Of(ink) is { } box)
        {
            box.MinX.ShouldBeGreaterThanOrEqualTo(-radius - 1e-9);
            box.MaxX.ShouldBeLessThanOrEqualTo(radius + 1e-9);
        }
        else
        {
            turn.ShouldBe(180);
        }
    }

    [Fact]
    public void Holes_of_letters_stay_holes_when_they_are_seen_on_the_wall()
    {
        var sheet = BlankSheet.Of(TestBlanks.Tumbler("276", "219", "150"));
        var ring = Outlines.Rectangle(new Box(-10, 40, 10, 60)).Difference(Outlines.Rectangle(new Box(-5, 45, 5, 55)));
        Outlines.PolygonsOf(SeenDrawing.Seen(sheet.Wall!, ring, 0)).ShouldHaveSingleItem().NumInteriorRings.ShouldBe(1);
    }
}
