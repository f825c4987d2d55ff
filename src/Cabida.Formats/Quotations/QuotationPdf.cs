using Cabida.Formats.Proofs;
using SkiaSharp;

namespace Cabida.Formats.Quotations;

/// <summary>A quotation as a PDF, with the workshop's mark; names and figures are real letters.</summary>
public static class QuotationPdf
{
    private const float PointsPerMillimetre = 72 / 25.4f;
    private const float Margin = 20;
    private const float RowHeight = 12;
    private const float Head = 74;
    private const float MarkHigh = 18;
    private const float MarkWide = 40;

    private static readonly SKColor Ink = new(0x23, 0x28, 0x2c);
    private static readonly SKColor Soft = new(0x5d, 0x65, 0x6b);
    private static readonly SKColor Rule = new(0xd3, 0xcb, 0xba);

    /// <summary>The PDF.</summary>
    /// <param name="quotation">The quotation.</param>
    /// <param name="mark">The workshop's mark; none without one.</param>
    /// <param name="letter">Whether it is on Letter instead of A4.</param>
    public static byte[] Write(Quotation quotation, IReadOnlyList<ColouredInk> mark, bool letter)
    {
        ArgumentNullException.ThrowIfNull(quotation);
        ArgumentNullException.ThrowIfNull(mark);
        var (width, height) = letter ? (215.9f, 279.4f) : (210f, 297f);
        using var stream = new MemoryStream();
        using var letters = new Lettered();
        using (
            var document = SKDocument.CreatePdf(
                stream,
                new SKDocumentPdfMetadata
                {
                    Title = $"Quotation, {quotation.Job}",
                    Author = quotation.Workshop,
                    Creator = "Cabida",
                }
            )
        )
        {
            var onPage = Math.Max(1, (int)((height - Head - (2 * Margin)) / RowHeight) - 1);
            var pages = Math.Max(1, (int)Math.Ceiling(quotation.Lines.Count / (double)onPage));
            for (var page = 0; page < pages; page++)
            {
                var canvas = document.BeginPage(width * PointsPerMillimetre, height * PointsPerMillimetre);
                canvas.Scale(PointsPerMillimetre);
                var table = new Table(canvas, letters, width, quotation.Currency);
                DrawHead(canvas, letters, quotation, mark, width);
                table.Heading(Head);
                var y = Head;
                foreach (var line in quotation.Lines.Skip(page * onPage).Take(onPage))
                {
                    y += RowHeight;
                    table.Line(line, y);
                }

                if (page == pages - 1)
                {
                    table.Total(quotation.Total, y + RowHeight);
                }

                if (pages > 1)
                {
                    letters.Draw(canvas, $"page {page + 1} of {pages}", width - Margin, height - Margin + 6, 3, Soft, SKTextAlign.Right);
                }

                document.EndPage();
            }

            document.Close();
        }

        return stream.ToArray();
    }

    private static void DrawHead(SKCanvas canvas, Lettered letters, Quotation quotation, IReadOnlyList<ColouredInk> mark, float width)
    {
        var drawn = MarkDrawing.Draw(canvas, mark, Margin, Margin, MarkWide, MarkHigh);
        var left = Margin + (drawn > 0 ? drawn + 6 : 0);
        letters.Draw(canvas, quotation.Workshop, left, Margin + 7, 6, Ink, most: 110);
        letters.Draw(canvas, quotation.Contact, left, Margin + 13, 3.4f, Soft, most: 110);
        letters.Draw(canvas, "Quotation", width - Margin, Margin + 7, 6, Ink, SKTextAlign.Right);
        letters.Draw(canvas, quotation.On, width - Margin, Margin + 13, 3.4f, Soft, SKTextAlign.Right);
        letters.Draw(canvas, quotation.Customer, Margin, Margin + 32, 4.6f, Ink, most: width - (2 * Margin));
        var due = quotation.Due.Length > 0 ? $"{quotation.Job}, for {quotation.Due}" : quotation.Job;
        letters.Draw(canvas, due, Margin, Margin + 39, 4, Soft, most: width - (2 * Margin));
    }

    /// <summary>The columns of a page.</summary>
    private sealed class Table(SKCanvas canvas, Lettered letters, float width, string currency)
    {
        private readonly float count = width - Margin - 62;
        private readonly float each = width - Margin - 32;
        private readonly float total = width - Margin;

        public void Heading(float y)
        {
            letters.Draw(canvas, "Pieces", count, y, 3.2f, Soft, SKTextAlign.Right);
            letters.Draw(canvas, "Each", each, y, 3.2f, Soft, SKTextAlign.Right);
            letters.Draw(canvas, "Together", total, y, 3.2f, Soft, SKTextAlign.Right);
            RuleAt(y + 2, Ink);
        }

        public void Line(QuotationLine line, float y)
        {
            letters.Draw(canvas, line.What, Margin, y - 4, 4, Ink, most: count - Margin - 16);
            letters.Draw(canvas, line.About, Margin, y + 0.4f, 3, Soft, most: count - Margin - 16);
            letters.Draw(canvas, FormattableString.Invariant($"{line.Count}"), count, y - 3, 4, Ink, SKTextAlign.Right);
            letters.Draw(canvas, Money(line.Each), each, y - 3, 4, Ink, SKTextAlign.Right, 28);
            letters.Draw(canvas, Money(line.Total), total, y - 3, 4, Ink, SKTextAlign.Right, 30);
            RuleAt(y + 2, Rule);
        }

        public void Total(decimal? sum, float y)
        {
            letters.Draw(canvas, "Together", Margin, y - 3, 4.4f, Ink);
            letters.Draw(canvas, Money(sum), total, y - 3, 4.6f, Ink, SKTextAlign.Right, 50);
        }

        private string Money(decimal? amount) =>
            amount is not { } figure ? "to be agreed"
            : currency.Length > 0 ? FormattableString.Invariant($"{currency} {figure:0.00}")
            : FormattableString.Invariant($"{figure:0.00}");

        private void RuleAt(float y, SKColor colour)
        {
            using var paint = new SKPaint
            {
                Color = colour,
                StrokeWidth = 0.25f,
                IsStroke = true,
                IsAntialias = true,
            };
            canvas.DrawLine(Margin, y, width - Margin, y, paint);
        }
    }
}
