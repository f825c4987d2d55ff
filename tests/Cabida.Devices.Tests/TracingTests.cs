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
        OutlineTrace
            .Of(Grey(Truth.Sheet("blank"), scan), Scale(scan, Truth.Sheet("blank")), Truth.Plain)
            .Problem!.ToString()
            .ShouldContain("Nothing darker than the paper");
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

    [Theory]
    [InlineData("plate", 4, true)]
    [InlineData("plate", -7, true)]
    [InlineData("door", 5, true)]
    [InlineData("star", 4, false)]
    [InlineData("leaf", 4, false)]
    public void Only_what_has_a_straight_edge_is_turned_and_by_how_much_is_said(string id, double skew, bool turned)
    {
        var sheet = Truth.Sheet(id);
        var outline = Truth
            .Found(sheet, new ScanSettings(150, skew), Truth.Plain with { Straighten = true, Edge = LineEdge.Inner })
            .Outlines[0];
        var told = outline.Notes.Select(n => n.ToString()).Single(n => n.Contains("turn", StringComparison.OrdinalIgnoreCase));
        told.ShouldBe(
            turned
                ? FormattableString.Invariant(
                    $"Turned by {Math.Abs(skew):0.0}° {(skew > 0 ? "to the right" : "to the left")}, to stand upright."
                )
                : "It has no clear upright edge, so it was not turned."
        );
        if (!turned)
        {
            var straight = Truth.Polygon(
                Truth.Found(sheet, new ScanSettings(150, skew), Truth.Plain with { Edge = LineEdge.Inner }).Outlines[0].Rings
            );
            Truth.Polygon(outline.Rings).EqualsExact(straight, 1e-9).ShouldBeTrue();
        }
    }

    [Theory]
    [InlineData(0)]
    [InlineData(0.25)]
    public void A_soft_shadow_beside_a_thing_is_no_part_of_it(double shading)
    {
        var sheet = Truth.Sheet("coaster");
        var found = Truth.Found(sheet, new ScanSettings(200, 0, 0.01, shading));
        var outline = found.Outlines.ShouldHaveSingleItem();
        Truth.Furthest(Truth.Polygon(outline.Rings), Truth.Drawn(sheet, 0)).ShouldBeLessThan(0.3);
        found.Notes.ShouldHaveSingleItem().ToString().ShouldContain("Something soft, as a shadow is, was left out");
        outline.Notes.ShouldBeEmpty();

        // At a contrast that the maker sets himself it is followed, and said to be soft.
        var forced = Truth.Found(sheet, new ScanSettings(200, 0, 0.01, shading), Truth.Plain with { Contrast = 0.1 });
        forced.Contrast.ShouldBe(0.1);
        Truth.Polygon(forced.Outlines[0].Rings).EnvelopeInternal.Width.ShouldBeGreaterThan(99);
        forced.Outlines[0].Notes.ShouldContain(n => n.ToString().Contains("of its edge is soft", StringComparison.Ordinal));
    }

    [Theory]
    [InlineData(LineEdge.Inner, 119.4, 0)]
    [InlineData(LineEdge.Middle, 120, 8)]
    [InlineData(LineEdge.Outer, 120.6, 8)]
    public void Where_the_pencil_ran_over_it_is_cut_off_and_said(LineEdge edge, double width, int cut)
    {
        var outline = Truth
            .Found(Truth.Sheet("door"), new ScanSettings(300, 0, 0.01, 0.1), Truth.Plain with { Edge = edge })
            .Outlines.ShouldHaveSingleItem();
        var box = Truth.Polygon(outline.Rings).EnvelopeInternal;
        box.Width.ShouldBe(width, 0.15);
        box.Height.ShouldBe(width - 50, 0.15);
        outline.Notes.Select(n => n.ToString()).ShouldBe(cut == 0 ? [] : [$"The pencil ran over at {cut} places; that was cut off."]);
    }

    [Theory]
    [InlineData("lamp", 0, 0, 0)]
    [InlineData("lamp", 0.03, 0.35, 1)]
    [InlineData("lamp", 0.03, 0.35, 2)]
    [InlineData("lamp", 0.03, 0.35, 3)]
    [InlineData("across", 0.02, 0.2, 4)]
    public void The_corners_of_a_photographed_sheet_are_found(string id, double noise, double shading, int seed)
    {
        var sheet = Truth.Sheet(id);
        var png = SheetRendering.Png(sheet, new ScanSettings(300, 0, noise, shading) { Seed = seed });
        var head = Formats.Pictures.PictureHead.Read(png).Value;
        var found = SheetCorners.Of(Formats.Pictures.GreyReader.Read(png, head).Value).ShouldNotBeNull();
        var truth = SheetLying.InOrder(SheetRendering.CornersOf(sheet)!)!;
        found.Zip(truth, (a, b) => a.To(b)).Max().ShouldBeLessThan(2, $"{string.Join(" ", found)} for {string.Join(" ", truth)}");
    }

    [Theory]
    [InlineData("plate")]
    [InlineData("blank")]
    [InlineData("many")]
    public void A_scan_has_no_sheet_to_be_found(string id)
    {
        var scan = new ScanSettings(100);
        SheetCorners.Of(Grey(Truth.Sheet(id), scan)).ShouldBeNull();
    }

    [Fact]
    public void A_sheet_lying_across_is_known_by_its_perspective_whatever_the_order_of_the_marks()
    {
        var sheet = Truth.Sheet("across");
        var corners = SheetRendering.CornersOf(sheet)!;
        var size = (Core.Measures.Length.Mm(sheet.Width), Core.Measures.Length.Mm(sheet.Height));
        foreach (var order in new[] { new[] { 0, 1, 2, 3 }, [2, 0, 3, 1], [3, 2, 1, 0], [1, 3, 0, 2] })
        {
            var scale = PictureScale.OfSheet([.. order.Select(i => corners[i])], size.Item1, size.Item2, (2400, 3000)).Value;
            scale.LiesAcross.ShouldBeTrue();
            // The sheet's longer side is the one that is seen along the top.
            scale.OnPaper(corners[0]).To(scale.OnPaper(corners[3])).ShouldBe(297, 1e-6);
        }

        var outline = Truth.Found(sheet, new ScanSettings(300, 0, 0.01, 0.1)).Outlines.ShouldHaveSingleItem();
        var box = Truth.Polygon(outline.Rings).EnvelopeInternal;
        (box.Width, box.Height).ShouldSatisfyAllConditions(b => b.Width.ShouldBe(180, 0.9), b => b.Height.ShouldBe(100, 0.5));
        // Letter and A4 are too near each other to be told apart, but a square sheet is not what was marked.
        PictureScale
            .OfSheet(corners, size.Item1, size.Item1, (2400, 3000))
            .Problem!.ToString()
            .ShouldContain("Choose how it lies, or another sheet");
        PictureScale.OfSheet(corners, size.Item1, size.Item1, (2400, 3000), SheetLies.AsTyped).Ok.ShouldBeTrue();
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
        PictureScale
            .OfSheet(
                [new(0, 0), new(100, 0), new(50, 20), new(50, 100)],
                Core.Measures.Length.Mm(210),
                Core.Measures.Length.Mm(297),
                (100, 100)
            )
            .Problem!.ToString()
            .ShouldContain("one of them lies between the others");
        PictureScale
            .OfTwoPoints(new(5, 5), new(6, 6), Core.Measures.Length.Mm(100), 100)
            .Problem!.ToString()
            .ShouldContain("too near each other");
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

    private static PictureScale Scale(ScanSettings scan, MadeUpSheet sheet) =>
        PictureScale.OfScan(scan.DotsPerInch, (int)Math.Round(sheet.Height * scan.DotsPerInch / 25.4)).Value;
}
