using Cabida.Core.Geometry;
using Cabida.Devices.Scanning;
using Cabida.Formats.Pictures;

namespace Cabida.Devices.Tests;

public class ScannerTests
{
    private readonly ScannerStandIn scanner = new();

    [Fact]
    public async Task The_same_sheet_scanned_alike_gives_the_same_picture_and_otherwise_another()
    {
        var settings = new ScanSettings(150, 1, 0.01, 0.2);
        var one = await scanner.Scan("star", settings);
        (await scanner.Scan("star", settings)).Png.ShouldBe(one.Png);
        (await scanner.Scan("star", settings with { SkewDegrees = 2 })).Png.ShouldNotBe(one.Png);
        one.DotsPerInch.ShouldBe(150);
    }

    [Theory]
    [InlineData(150, 1240, 1754)]
    [InlineData(300, 2480, 3508)]
    public async Task A_scan_is_as_large_as_its_paper_at_its_resolution(int dots, int width, int height)
    {
        var head = PictureHead.Read((await scanner.Scan("blank", new ScanSettings(dots))).Png).Value;
        (head.Width, head.Height).ShouldBe((width, height));
    }

    [Fact]
    public async Task A_photograph_has_no_resolution_and_its_corners_are_known()
    {
        (await scanner.Scan("lamp", new ScanSettings(300))).DotsPerInch.ShouldBeNull();
        scanner.Tray.Single(t => t.Id == "lamp").IsPhotograph.ShouldBeTrue();
        SheetRendering.CornersOf(Truth.Sheet("lamp"))!.Count.ShouldBe(4);
        SheetRendering.CornersOf(Truth.Sheet("tag")).ShouldBeNull();
    }

    [Fact]
    public async Task A_sheet_that_is_not_in_the_tray_is_a_mistake_of_the_caller() =>
        await Should.ThrowAsync<ArgumentException>(() => scanner.Scan("none", new ScanSettings(150)));

    [Fact]
    public void The_tray_holds_what_a_workshop_draws_and_what_goes_wrong()
    {
        var sheets = MadeUpSheets.All;
        sheets.Select(s => s.Id).ShouldBeUnique();
        sheets.ShouldContain(s => s.Shapes.Count == 1 && s.Shapes[0].Count == 3, "one with two holes");
        sheets.ShouldContain(s => s.As == DrawnAs.Pencil && s.Darkness < 0.3 && s.Paper.Blue < 0.8, "one drawn lightly on yellowed paper");
        sheets.ShouldContain(s => s.Photographed != null);
        sheets.ShouldContain(s => s.Shapes.Count == 0);
        sheets.ShouldContain(s => s.Shapes.Count == 50);
        foreach (var ring in sheets.SelectMany(s => s.Shapes).SelectMany(s => s))
        {
            Outlines.Ring(ring).IsValid.ShouldBeTrue();
        }
    }

    [Fact]
    public void A_skewed_place_keeps_its_distance_from_the_middle_of_the_sheet()
    {
        var sheet = Truth.Sheet("tag");
        var middle = new PlanePoint(sheet.Width / 2, sheet.Height / 2);
        var at = new PlanePoint(30, 40);
        SheetRendering.OnScan(sheet, 7, at).To(middle).ShouldBe(at.To(middle), 1e-9);
        SheetRendering.OnScan(sheet, 0, at).To(at).ShouldBeLessThan(1e-9);
        // Turned to the left, as angles with y up are.
        SheetRendering
            .OnScan(sheet, 90, new PlanePoint(middle.X + 10, middle.Y))
            .To(new PlanePoint(middle.X, middle.Y + 10))
            .ShouldBeLessThan(1e-9);
    }
}
