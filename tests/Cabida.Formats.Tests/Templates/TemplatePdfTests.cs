using Cabida.Core.Bench;
using Cabida.Core.Drawings;
using Cabida.Core.Geometry;
using Cabida.Formats.Templates;
using Cabida.Formats.Tests.Cutting;
using SkiaSharp;

namespace Cabida.Formats.Tests.Templates;

/// <summary>Templates as another program prints them: a point is a tenth of a millimetre.</summary>
public sealed class TemplatePdfTests : IDisposable
{
    private const double Dots = 254;

    /// <summary>The outline of the ink is drawn half on its fill; millimetres.</summary>
    private const double HalfLine = 0.1;

    private readonly string folder = Directory.CreateTempSubdirectory("cabida").FullName;

    public void Dispose() => Directory.Delete(folder, recursive: true);

    /// <summary>A panel of 420 × 180 with a bar of 300 × 40 on it.</summary>
    private static readonly PlacingTemplate Board = new(
        new Box(-8, -3, 428, 183),
        Outlines.Rectangle(new Box(60, 70, 360, 110)),
        [
            new TemplateLine(StrokeKind.Edge, new Box(0, 0, 420, 180).Corners, true, ""),
            new TemplateLine(StrokeKind.Centre, [new(210, -5), new(210, 185)], false, "middle"),
        ],
        [
            new TemplateDistance(new(210, 110), new(210, 180), "to the top edge"),
            new TemplateDistance(new(60, 90), new(0, 90), "to the left edge"),
        ]
    );

    [Fact]
    public void Lengths_on_paper_are_those_of_the_template_page_by_page()
    {
        var tiling = PaperTiling.Of(Board.Box, Paper.A4).Value;
        tiling.Pages.ShouldBe(2);
        var pages = Printed(TemplatePdf.Write(Board, tiling, "Board, Zoë", inches: false), 2);
        var (first, second) = (Grey(pages[0]), Grey(pages[1]));
        // The bar begins on one page and ends on the other: what both show overlaps by 10.
        var (left, right) = (tiling.PageBox(0, 0), tiling.PageBox(1, 0));
        first.MinX.ShouldBe(10 + 60 - left.MinX, 0.1);
        second.MaxX.ShouldBe(10 + 360 - right.MinX, 0.1);
        // Where the page ends there is no line.
        (first.MaxX - first.MinX + second.MaxX - second.MinX).ShouldBe(300 + 10 + (2 * HalfLine), 0.2);
        (first.MaxY - first.MinY).ShouldBe(40, 0.1);
        foreach (var page in pages)
        {
            // The lines at its ends are 0.3 thick; one measures from middle to middle.
            (CheckLine(page) - 0.3).ShouldBe(100, 0.1);
        }
    }

    [Theory]
    [InlineData(false, "70.0 mm to the top edge")]
    [InlineData(true, "2.76 in to the top edge")]
    public void Distances_are_written_as_words_that_can_be_read(bool inches, string said)
    {
        var file = Path.Combine(folder, "template.pdf");
        File.WriteAllBytes(file, TemplatePdf.Write(Board, PaperTiling.Of(Board.Box, Paper.Letter).Value, "Board, Zoë", inches));
        var words = string.Join(
            ' ',
            OtherPrograms.Run("pdftotext", "-layout", file, "-").Split([' ', '\n'], StringSplitOptions.RemoveEmptyEntries)
        );
        words.ShouldContain(said);
        words.ShouldContain("Board, Zoë, page 2 across, 1 down of 2 × 1");
        OtherPrograms.Run("pdfinfo", file).ShouldContain("792 x 612 pts (letter)");
    }

    private List<SKBitmap> Printed(byte[] pdf, int pages)
    {
        var file = Path.Combine(folder, "printed.pdf");
        File.WriteAllBytes(file, pdf);
        OtherPrograms.Run("pdftoppm", "-png", "-r", $"{Dots}", file, Path.Combine(folder, "page"));
        var drawn = Directory.GetFiles(folder, "page*.png").Order().Select(f => SKBitmap.Decode(f)).ToList();
        drawn.Count.ShouldBe(pages);
        return drawn;
    }

    /// <summary>The box of what is filled in grey; millimetres from the upper left of the page.</summary>
    private static Box Grey(SKBitmap page)
    {
        bool IsGrey(int x, int y) => page.GetPixel(x, y).Red is > 0xd8 and < 0xe2;
        // What is filled is grey over five millimetres; edges of letters are so by chance.
        const int enough = 50;
        var columns = Enumerable
            .Range(0, page.Width)
            .Where(x => Enumerable.Range(0, page.Height).Count(y => IsGrey(x, y)) > enough)
            .ToList();
        var rows = Enumerable.Range(0, page.Height).Where(y => Enumerable.Range(0, page.Width).Count(x => IsGrey(x, y)) > enough).ToList();
        return new Box(columns[0], rows[0], columns[^1] + 1, rows[^1] + 1).Scaled(25.4 / Dots).Grown(HalfLine);
    }

    /// <summary>The longest dark line at the foot of a page; millimetres.</summary>
    private static double CheckLine(SKBitmap page)
    {
        var longest = 0;
        for (var y = page.Height - 100; y < page.Height; y++)
        {
            for (var (x, run) = (0, 0); x < page.Width; x++)
            {
                run = page.GetPixel(x, y).Red < 0x90 ? run + 1 : 0;
                longest = Math.Max(longest, run);
            }
        }

        return longest * 25.4 / Dots;
    }
}
