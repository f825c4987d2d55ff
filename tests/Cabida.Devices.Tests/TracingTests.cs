using Cabida.Core.Geometry;
using Cabida.Core.Tracing;
using Cabida.Devices.Scanning;

namespace Cabida.Devices.Tests;

public class TracingTests
{
    [Theory]
    [InlineData("tag", 1.5, 0.02, 0.25)]
    [InlineData("plate", -2, 0.015, 0.2)]
    [InlineData("bookmark", 0.7, 0.02, 0.3)]
    [InlineData("star", 3, 0.01, 0.1)]
    [InlineData("leaf", 1, 0.008, 0.25)]
    public void A_scan_at_300_gives_the_shape_back(string id, double skew, double noise, double shading)
    {
        var sheet = Truth.Sheet(id);
        var found = Truth.Found(sheet, new ScanSettings(300, skew, noise, shading));
        var outline = found.Outlines.ShouldHaveSingleItem();
        outline.Problem.ShouldBeNull();
        outline.IsLine.ShouldBe(sheet.As == DrawnAs.Pencil);
        outline.Rings.Count.ShouldBe(sheet.Shapes[0].Count);
        var (got, truth) = (Truth.Polygon(outline.Rings), Truth.Drawn(sheet, skew));
        Truth.Furthest(got, truth).ShouldBeLessThan(0.2);
        // The size by the area, since a sharp corner may be rounded.
        Math.Abs(Math.Sqrt(got.Area) - Math.Sqrt(truth.Area)).ShouldBeLessThan(0.15);
        if (id is not "star")
        {
            got.EnvelopeInternal.Width.ShouldBe(truth.EnvelopeInternal.Width, 0.15);
            got.EnvelopeInternal.Height.ShouldBe(truth.EnvelopeInternal.Height, 0.15);
        }
    }

    [Fact]
    public void A_photographed_sheet_gives_the_size_within_half_a_percent()
    {
        var sheet = Truth.Sheet("lamp");
        var outline = Truth.Found(sheet, new ScanSettings(300, 0, 0.01, 0.2)).Outlines.ShouldHaveSingleItem();
        outline.Problem.ShouldBeNull();
        var (got, truth) = (Truth.Polygon(outline.Rings), Truth.Drawn(sheet, 0));
        got.EnvelopeInternal.Width.ShouldBe(truth.EnvelopeInternal.Width, 0.005 * truth.EnvelopeInternal.Width);
        got.EnvelopeInternal.Height.ShouldBe(truth.EnvelopeInternal.Height, 0.005 * truth.EnvelopeInternal.Height);
        Truth.Furthest(got, truth).ShouldBeLessThan(0.5);
    }

    [Theory]
    [InlineData(LineEdge.Inner, -0.3)]
    [InlineData(LineEdge.Middle, 0)]
    [InlineData(LineEdge.Outer, 0.3)]
    public void The_chosen_edge_of_a_pencil_line_is_followed(LineEdge edge, double away)
    {
        var sheet = Truth.Sheet("tag");
        var outline = Truth.Found(sheet, new ScanSettings(300), Truth.Plain with { Edge = edge }).Outlines.ShouldHaveSingleItem();
        outline.LineWidth!.Value.ShouldBe(0.6, 0.1);
        Truth.Polygon(outline.Rings).EnvelopeInternal.Width.ShouldBe(90 + (2 * away), 0.15);
    }

    [Fact]
    public void The_pencils_allowance_is_taken_off_all_round()
    {
        var drawn = Truth.Found(Truth.Sheet("tag"), new ScanSettings(300)).Outlines[0];
        var relieved = Truth.Found(Truth.Sheet("tag"), new ScanSettings(300), Truth.Plain with { Allowance = 1.2 }).Outlines[0];
        var (before, after) = (Truth.Polygon(drawn.Rings), Truth.Polygon(relieved.Rings));
        (before.EnvelopeInternal.Width - after.EnvelopeInternal.Width).ShouldBe(2.4, 0.02);
        // Holes grow instead: their pencil ran outside the material too, which is inside the hole.
        var plate = Truth.Found(Truth.Sheet("plate"), new ScanSettings(300), Truth.Plain with { Allowance = 0.5 }).Outlines[0];
        Truth.Polygon([plate.Rings[1]]).EnvelopeInternal.Width.ShouldBe(7, 0.15);
    }

    [Fact]
    public void What_cannot_be_followed_says_so()
    {
        var scan = new ScanSettings(150);
        OutlineTrace.Of(Grey(Truth.Sheet("blank"), scan), Scale(scan, Truth.Sheet("blank")), Truth.Plain).Problem!.ToString().ShouldContain("Nothing darker than the paper");
        Truth.Found(Truth.Sheet("off"), scan).Outlines[0].Problem!.ToString().ShouldContain("runs off the picture");
        var many = Truth.Found(Truth.Sheet("many"), scan);
        many.Outlines.Count.ShouldBe(OutlineTrace.MostOutlines);
        many.Notes.ShouldHaveSingleItem().ToString().ShouldContain("50 outlines were found");
    }

    [Fact]
    public void A_crooked_outline_is_turned_upright_when_asked()
    {
        var sheet = Truth.Sheet("plate");
        var outline = Truth.Found(sheet, new ScanSettings(150, 4), Truth.Plain with { Straighten = true }).Outlines[0];
        var box = Truth.Polygon(outline.Rings).EnvelopeInternal;
        box.Width.ShouldBe(130, 0.25);
        box.Height.ShouldBe(70, 0.25);
    }

    [Fact]
    public void Stray_bits_are_cut_away()
    {
        var sheet = Truth.Sheet("many");
        var scan = new ScanSettings(150);
        // All but the lowest two rows; y down on the picture.
        var found = Truth.Found(sheet, scan, Truth.Plain with { Erased = [new Box(0, 0, 1240, 1754 - (62 / 25.4 * 150))] });
        found.Outlines.Count.ShouldBe(10);
    }

    [Fact]
    public void A_resolution_that_cannot_be_and_corners_that_cross_are_refused()
    {
        PictureScale.OfScan(0, 100).Problem!.ToString().ShouldContain("A resolution of 0 dots an inch cannot be");
        PictureScale.OfScan(double.NaN, 100).Problem.ShouldNotBeNull();
        PictureScale.OfSheet([new(0, 0), new(100, 100), new(100, 0), new(0, 100)], Core.Measures.Length.Mm(210), Core.Measures.Length.Mm(297)).Problem!.ToString().ShouldContain("upper left, upper right");
        PictureScale.OfTwoPoints(new(5, 5), new(6, 6), Core.Measures.Length.Mm(100), 100).Problem!.ToString().ShouldContain("too near each other");
    }

    [Fact]
    public void Two_points_of_known_distance_give_the_scale()
    {
        var scale = PictureScale.OfTwoPoints(new(100, 500), new(500, 200), Core.Measures.Length.Mm(50), 800).Value;
        scale.OnPaper(new(100, 500)).To(scale.OnPaper(new(500, 200))).ShouldBe(50, 1e-9);
        scale.OnPaper(new(0, 800)).ShouldBe(new PlanePoint(0, 0));
    }

    private static GreyPicture Grey(MadeUpSheet sheet, ScanSettings scan)
    {
        var png = SheetRendering.Png(sheet, scan);
        return Formats.Pictures.GreyReader.Read(png, Formats.Pictures.PictureHead.Read(png).Value).Value;
    }

    private static PictureScale Scale(ScanSettings scan, MadeUpSheet sheet) => PictureScale.OfScan(scan.DotsPerInch, (int)Math.Round(sheet.Height * scan.DotsPerInch / 25.4)).Value;
}
