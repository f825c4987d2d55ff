using Cabida.Formats.Proofs;
using SkiaSharp;

namespace Cabida.Formats.Care;

/// <summary>Care notes as a PDF, several to a page, edge to edge with lines to cut along; their words are real letters.</summary>
public static class CareSheetPdf
{
    private const float PointsPerMillimetre = 72 / 25.4f;
    private const float Inset = 6;
    private const float MarkHigh = 8;
    private const float MarkWide = 22;
    private const float NameSize = 4.2f;
    private const float LargestWords = 3.3f;
    private const float SmallestWords = 0.05f;
    private const float Leading = 1.4f;

    /// <summary>Beyond the cards lines to cut along go on so far.</summary>
    private const float CutBeyond = 4;

    private static readonly SKColor Ink = new(0x23, 0x28, 0x2c);
    private static readonly SKColor Soft = new(0x5d, 0x65, 0x6b);
    private static readonly SKColor Rule = new(0xb9, 0xb1, 0xa2);

    /// <summary>Words smaller than this are hard to read; millimetres, the product's own default.</summary>
    public const double LeastReadable = 1.9;

    /// <summary>How large the words of a note are set so that its card holds them; millimetres.</summary>
    /// <param name="sheet">What the cards say; with a name where the first has one.</param>
    /// <param name="hasMark">Whether the workshop has a mark.</param>
    public static double WordsOf(CareSheet sheet, bool hasMark)
    {
        ArgumentNullException.ThrowIfNull(sheet);
        using var letters = new Lettered();
        var under = UnderName(UnderHead(sheet, hasMark), sheet.Names is [{ Length: > 0 }, ..]);
        return Fitted(letters, sheet.Lines, Wide, High - Inset - under).Size;
    }

    /// <summary>The PDF.</summary>
    /// <param name="sheet">What the cards say.</param>
    /// <param name="mark">The workshop's mark; none without one.</param>
    /// <param name="paper">On which paper.</param>
    public static byte[] Write(CareSheet sheet, IReadOnlyList<ColouredInk> mark, CarePaper paper)
    {
        ArgumentNullException.ThrowIfNull(sheet);
        ArgumentNullException.ThrowIfNull(mark);
        ArgumentNullException.ThrowIfNull(paper);
        using var stream = new MemoryStream();
        using var letters = new Lettered();
        using (
            var document = SKDocument.CreatePdf(
                stream,
                new SKDocumentPdfMetadata
                {
                    Title = "Care notes",
                    Author = sheet.Workshop,
                    Creator = "Cabida",
                }
            )
        )
        {
            for (var page = 0; page < paper.PagesOf(sheet.Names.Count); page++)
            {
                var canvas = document.BeginPage((float)paper.Width * PointsPerMillimetre, (float)paper.Height * PointsPerMillimetre);
                canvas.Scale(PointsPerMillimetre);
                DrawCuts(canvas, paper);
                var on = sheet.Names.Skip(page * paper.OnPage).Take(paper.OnPage).ToList();
                for (var at = 0; at < on.Count; at++)
                {
                    canvas.Save();
                    canvas.Translate(
                        (float)(paper.Left + (at % paper.Across * CarePaper.CardWidth)),
                        (float)(paper.Top + (at / paper.Across * CarePaper.CardHeight))
                    );
                    DrawCard(canvas, letters, sheet, on[at], mark);
                    canvas.Restore();
                }

                document.EndPage();
            }

            document.Close();
        }

        return stream.ToArray();
    }

    private static void DrawCuts(SKCanvas canvas, CarePaper paper)
    {
        using var pen = new SKPaint
        {
            Color = Rule,
            IsStroke = true,
            StrokeWidth = 0.1f,
        };
        var (left, top) = ((float)paper.Left, (float)paper.Top);
        var (right, bottom) = (left + (paper.Across * (float)CarePaper.CardWidth), top + (paper.Rows * (float)CarePaper.CardHeight));
        for (var i = 0; i <= paper.Across; i++)
        {
            var x = left + (i * (float)CarePaper.CardWidth);
            canvas.DrawLine(x, top - CutBeyond, x, bottom + CutBeyond, pen);
        }

        for (var i = 0; i <= paper.Rows; i++)
        {
            var y = top + (i * (float)CarePaper.CardHeight);
            canvas.DrawLine(left - CutBeyond, y, right + CutBeyond, y, pen);
        }
    }

    private const float Wide = (float)CarePaper.CardWidth - (2 * Inset);
    private const float High = (float)CarePaper.CardHeight;

    private static float UnderHead(CareSheet sheet, bool hasMark) =>
        Inset + (sheet.Workshop.Length + sheet.Contact.Length > 0 || hasMark ? MarkHigh + 3 : 0);

    private static float UnderName(float top, bool hasName) => hasName ? top + NameSize + 1.6f : top;

    private static void DrawCard(SKCanvas canvas, Lettered letters, CareSheet sheet, string name, IReadOnlyList<ColouredInk> mark)
    {
        var drawn = MarkDrawing.Draw(canvas, mark, Inset, Inset, MarkWide, MarkHigh);
        var left = Inset + (drawn > 0 ? drawn + 3 : 0);
        letters.Draw(canvas, sheet.Workshop, left, Inset + 3.4f, 3.4f, Ink, most: Inset + Wide - left);
        letters.Draw(canvas, sheet.Contact, left, Inset + 7.4f, 2.4f, Soft, most: Inset + Wide - left);
        var head = UnderHead(sheet, drawn > 0);
        letters.Draw(canvas, name, Inset, head + NameSize, NameSize, Ink, most: Wide);
        var y = UnderName(head, name.Length > 0);
        var (size, rows) = Fitted(letters, sheet.Lines, Wide, High - Inset - y);
        foreach (var row in rows)
        {
            y += size * Leading;
            letters.Draw(canvas, row, Inset, y, size, Ink, most: Wide);
        }
    }

    /// <summary>The rows of the note as large as the card has room for them.</summary>
    private static (float Size, IReadOnlyList<string> Rows) Fitted(Lettered letters, IReadOnlyList<string> lines, float wide, float high)
    {
        for (var size = LargestWords; ; size *= 0.97f)
        {
            var at = size;
            List<string> rows = [.. lines.SelectMany(l => WrappedWords.Of(l, wide, words => letters.WidthOf(words, at)))];
            if (rows.Count * size * Leading <= high || size <= SmallestWords)
            {
                return (size, rows);
            }
        }
    }
}
