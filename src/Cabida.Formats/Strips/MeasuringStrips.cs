using System.Globalization;
using Cabida.Core.Measures;
using SkiaSharp;

namespace Cabida.Formats.Strips;

/// <summary>Paper that strips are printed on, lying across.</summary>
/// <param name="Name">What it is called.</param>
/// <param name="Width">Millimetres across.</param>
/// <param name="Height">Millimetres down.</param>
public sealed record StripPaper(string Name, double Width, double Height)
{
    /// <summary>ISO 216 A4.</summary>
    public static StripPaper A4 { get; } = new("A4", 297, 210);

    /// <summary>Letter.</summary>
    public static StripPaper Letter { get; } = new("Letter", 279.4, 215.9);
}

/// <summary>
/// A true-size PDF to print: strips to lay round goods, and a card with radii, strokes and a rule. Each page has a check
/// line of 200 mm; what it really measures corrects what is read with the strips.
/// </summary>
public static class MeasuringStrips
{
    private const double PointsPerMillimetre = 72 / 25.4;
    private const double Margin = 8;
    private const double StripHeight = 21;
    private const int Strips = 7;

    private static readonly float[] Radii = [3, 4, 5, 6, 8, 10, 12, 15, 20, 25];
    private static readonly float[] Strokes = [0.25f, 0.5f, 0.8f, 1, 1.2f, 1.5f, 2, 3];

    /// <summary>The PDF.</summary>
    public static byte[] Pdf(StripPaper paper)
    {
        ArgumentNullException.ThrowIfNull(paper);
        using var face = SKTypeface.FromStream(typeof(MeasuringStrips).Assembly.GetManifestResourceStream("figures.ttf")!);
        using var stream = new MemoryStream();
        using (
            var document = SKDocument.CreatePdf(stream, new SKDocumentPdfMetadata { Title = "Cabida measuring strips", Creator = "Cabida" })
        )
        {
            Page(document, paper, face, sheet => StripsPage(sheet, paper));
            Page(document, paper, face, sheet => CardPage(sheet, paper));
            document.Close();
        }

        return stream.ToArray();
    }

    private static void Page(SKDocument document, StripPaper paper, SKTypeface face, Action<Sheet> draw)
    {
        var canvas = document.BeginPage((float)(paper.Width * PointsPerMillimetre), (float)(paper.Height * PointsPerMillimetre));
        canvas.Scale((float)PointsPerMillimetre);
        using var sheet = new Sheet(canvas, face);
        draw(sheet);
        document.EndPage();
    }

    private static void StripsPage(Sheet sheet, StripPaper paper)
    {
        // Millimetres stand on the upper edge, sixteenths of an inch on the lower one; both begin at the arrow.
        var length = Math.Floor((paper.Width - (2 * Margin) - 12) / 10) * 10;
        CheckLine(sheet, Margin + 4);
        for (var i = 0; i < Strips; i++)
        {
            var top = Margin + 16 + (i * (StripHeight + 3));
            var from = i % 2 == 0 ? 0 : length;
            sheet.Rectangle(Margin, top, length + 12, StripHeight, 0.2f);
            sheet.Words(
                i % 2 == 0 ? "lay round, read where the arrow meets" : $"glue to a strip at {length:0}, for longer girths",
                Margin + 30,
                top + 12.4,
                2.2f
            );
            sheet.Line(Margin + 5, top, Margin + 5, top + StripHeight, 0.25f);
            sheet.Words(">", Margin + 1.6, top + 7, 4f);
            for (var mm = 0; mm <= length; mm++)
            {
                var x = Margin + 5 + mm;
                var tall =
                    mm % 10 == 0 ? 6.4
                    : mm % 5 == 0 ? 4.6
                    : 3;
                sheet.Line(x, top, x, top + tall, mm % 10 == 0 ? 0.22f : 0.12f);
                if (mm % 10 == 0 && mm > 0)
                {
                    sheet.Words((from + mm).ToString("0", CultureInfo.InvariantCulture), x - 0.4, top + 9.4, 2.7f, right: true);
                }
            }

            Inches(sheet, from, length, top);
        }

        sheet.Words(
            "Print at full size (100 %, not “fit to page”). Cut along the frames. Measure the check line and type what it is "
                + "beside the readings.",
            Margin,
            paper.Height - Margin,
            2.9f
        );
    }

    /// <summary>The inches of a strip that begins so far round: marks at sixteenths, a figure at each inch.</summary>
    private static void Inches(Sheet sheet, double from, double length, double top)
    {
        const double Sixteenth = Length.MillimetresPerInch / 16;
        var low = top + StripHeight;
        for (var part = (int)Math.Ceiling((from / Sixteenth) - 1e-9); part * Sixteenth <= from + length; part++)
        {
            var x = Margin + 5 + (part * Sixteenth) - from;
            var tall =
                part % 16 == 0 ? 6
                : part % 8 == 0 ? 4.6
                : part % 4 == 0 ? 3.6
                : part % 2 == 0 ? 2.6
                : 1.8;
            sheet.Line(x, low, x, low - tall, part % 16 == 0 ? 0.22f : 0.12f);
            if (part % 16 == 0 && part > 0)
            {
                sheet.Words($"{part / 16} in", x - 0.4, low - 6.4, 2.4f, right: true);
            }
        }
    }

    private static void CardPage(Sheet sheet, StripPaper paper)
    {
        CheckLine(sheet, Margin + 4);
        sheet.Words("Corner radii: lay a corner of the goods into each until no light shows", Margin, 34, 3.2f);
        var x = Margin + 4.0;
        foreach (var r in Radii)
        {
            sheet.Arc(x, 70 - (2 * r), 2 * r, 0.3f);
            sheet.Words(r.ToString("0.##", CultureInfo.InvariantCulture), x + 1, 75, 3f);
            x += r + 14;
        }

        sheet.Words("Strokes, in millimetres: what a film must hold", Margin, 92, 3.2f);
        x = Margin + 4;
        foreach (var s in Strokes)
        {
            sheet.Line(x, 96, x, 116, s);
            sheet.Words(s.ToString("0.##", CultureInfo.InvariantCulture), x - 2, 121, 3f);
            x += 20;
        }

        sheet.Words("A rule, in millimetres and in sixteenths of an inch", Margin, 138, 3.2f);
        for (var mm = 0; mm <= 250; mm++)
        {
            sheet.Line(
                Margin + mm,
                160
                    - (
                        mm % 10 == 0 ? 8
                        : mm % 5 == 0 ? 6
                        : 4
                    ),
                Margin + mm,
                160,
                mm % 10 == 0 ? 0.22f : 0.12f
            );
            if (mm % 10 == 0)
            {
                sheet.Words(mm.ToString(CultureInfo.InvariantCulture), Margin + mm + 0.5, 150.5, 2.4f);
            }
        }

        for (var part = 0; part <= 9 * 16; part++)
        {
            var at = Margin + (part * Length.MillimetresPerInch / 16);
            sheet.Line(
                at,
                160,
                at,
                160
                    + (
                        part % 16 == 0 ? 9
                        : part % 8 == 0 ? 7
                        : part % 4 == 0 ? 5
                        : 3
                    ),
                part % 16 == 0 ? 0.22f : 0.12f
            );
            if (part % 16 == 0)
            {
                sheet.Words((part / 16).ToString(CultureInfo.InvariantCulture), at + 0.5, 171.5, 2.4f);
            }
        }

        sheet.Words($"Cabida size card, {paper.Name}", Margin, paper.Height - Margin, 2.9f);
    }

    private static void CheckLine(Sheet sheet, double y)
    {
        var to = Margin + StripCheck.Nominal.Millimetres;
        sheet.Line(Margin, y, to, y, 0.3f);
        sheet.Line(Margin, y - 3, Margin, y + 3, 0.2f);
        sheet.Line(to, y - 3, to, y + 3, 0.2f);
        sheet.Words("check: 200 mm from mark to mark", to + 3, y + 1, 3f);
    }

    /// <summary>A page in millimetres, y down.</summary>
    private sealed class Sheet(SKCanvas canvas, SKTypeface face) : IDisposable
    {
        private readonly SKPaint ink = new() { Color = SKColors.Black, IsStroke = true };
        private readonly SKPaint words = new() { Color = SKColors.Black };

        public void Line(double x1, double y1, double x2, double y2, float width)
        {
            ink.StrokeWidth = width;
            canvas.DrawLine((float)x1, (float)y1, (float)x2, (float)y2, ink);
        }

        public void Rectangle(double x, double y, double width, double height, float line)
        {
            ink.StrokeWidth = line;
            canvas.DrawRect((float)x, (float)y, (float)width, (float)height, ink);
        }

        /// <summary>The lower left quarter of a circle, with its legs.</summary>
        public void Arc(double x, double y, double across, float line)
        {
            ink.StrokeWidth = line;
            canvas.DrawArc(SKRect.Create((float)x, (float)y, (float)across, (float)across), 90, 90, false, ink);
            canvas.DrawLine((float)x, (float)(y + (across / 2)), (float)x, (float)(y - 4 + (across / 2)), ink);
            canvas.DrawLine((float)(x + (across / 2)), (float)(y + across), (float)(x + (across / 2) + 4), (float)(y + across), ink);
        }

        public void Words(string text, double x, double y, float size, bool right = false)
        {
            using var font = PageFont.Of(face, size);
            canvas.DrawText(text, (float)x, (float)y, right ? SKTextAlign.Right : SKTextAlign.Left, font, words);
        }

        public void Dispose()
        {
            ink.Dispose();
            words.Dispose();
        }
    }
}
