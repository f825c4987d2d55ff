using Cabida.Formats.Strips;
using UglyToad.PdfPig;

namespace Cabida.Formats.Tests;

public class StripTests
{
    [Fact]
    public void Strips_are_printed_at_true_size_on_both_papers()
    {
        foreach (var paper in new[] { StripPaper.A4, StripPaper.Letter })
        {
            using var pdf = PdfDocument.Open(MeasuringStrips.Pdf(paper));
            pdf.NumberOfPages.ShouldBe(2);
            foreach (var page in pdf.GetPages())
            {
                // The page itself is of whole points; what is drawn on it is not scaled.
                page.Width.ShouldBe(paper.Width * 72 / 25.4, 0.6);
                page.Height.ShouldBe(paper.Height * 72 / 25.4, 0.6);
                // The check line is the only line of its length.
                page.Paths.Select(p => p.GetBoundingRectangle())
                    .Where(b => b is not null)
                    .ShouldContain(b => Math.Abs(b!.Value.Width - (200 * 72 / 25.4)) < 0.2 && b.Value.Height < 1);
                page.Text.ShouldContain("check: 200 mm");
            }

            pdf.GetPage(1).Text.ShouldContain("full size");
            Inches(pdf.GetPage(1), paper);
        }
    }

    /// <summary>
    /// On every strip each whole inch is so far from the arrow, and named so; a strip that goes on begins where the one before ended.
    /// </summary>
    private static void Inches(UglyToad.PdfPig.Content.Page page, StripPaper paper)
    {
        const double Point = 25.4 / 72;
        var length = Math.Floor((paper.Width - 16 - 12) / 10) * 10;
        // Marks of a whole inch are the only upright ones of 6 mm.
        var marks = page
            .Paths.Select(p => p.GetBoundingRectangle())
            .Where(b => b is not null && b.Value.Width < 0.5 && Math.Abs((b.Value.Height * Point) - 6) < 0.15)
            .Select(b => (X: (b!.Value.Left * Point) - 13, Y: b.Value.Bottom * Point))
            .GroupBy(m => Math.Round(m.Y))
            .Where(g => g.Count() > 2)
            .OrderByDescending(g => g.Key)
            .ToList();
        marks.Count.ShouldBe(7);
        for (var i = 0; i < marks.Count; i++)
        {
            var from = i % 2 == 0 ? 0 : length;
            var first = (int)Math.Ceiling(from / 25.4);
            var expected = Enumerable
                .Range(first, (int)Math.Floor((from + length) / 25.4) - first + 1)
                .Select(inch => (inch * 25.4) - from)
                .ToList();
            var found = marks[i].Select(m => m.X).Order().ToList();
            found.Count.ShouldBe(expected.Count);
            found.Zip(expected, (a, b) => Math.Abs(a - b)).Max().ShouldBeLessThan(0.12);
        }

        page.Text.ShouldContain("10 in");
        page.Text.ShouldContain($"{(int)(2 * length / 25.4)} in");
    }
}
