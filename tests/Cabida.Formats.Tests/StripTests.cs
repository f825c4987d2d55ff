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
                page.Paths.Select(p => p.GetBoundingRectangle()).Where(b => b is not null)
                    .ShouldContain(b => Math.Abs(b!.Value.Width - (200 * 72 / 25.4)) < 0.2 && b.Value.Height < 1);
                page.Text.ShouldContain("check: 200 mm");
            }

            pdf.GetPage(1).Text.ShouldContain("full size");
        }
    }
}
