using System.Globalization;
using Cabida.Core.Geometry;
using SkiaSharp;

namespace Cabida.Formats.Proofs;

/// <summary>
/// A proof as a PDF on A4: every piece at one scale in its zone, with its name, its size and a place to approve or correct it.
/// The ink is that of the cut file; names are real letters, so that they can be searched for.
/// </summary>
public static class ProofPdf
{
    private const float PointsPerMillimetre = 72 / 25.4f;
    private const float Width = 210;
    private const float Height = 297;
    private const float Margin = 14;
    private const float Head = 30;
    private const float Foot = 10;
    private const float Gap = 6;

    /// <summary>
    /// Nobody sees less than this on paper; an outline is drawn as finely and no finer, so that many pieces make a small file.
    /// </summary>
    private const double Unseen = 0.01;

    /// <summary>Room under a piece for its words.</summary>
    private const float Under = 17;

    private static readonly double[] Scales = [1, 0.8, 2.0 / 3, 0.5, 0.4, 1.0 / 3, 0.25, 0.2, 0.1, 0.05, 0.02, 0.01];
    private static readonly SKColor Ink = new(0x23, 0x28, 0x2c);
    private static readonly SKColor Soft = new(0x5d, 0x65, 0x6b);
    private static readonly SKColor Rule = new(0xd3, 0xcb, 0xba);
    private static readonly SKColor Accent = new(0x6b, 0x2c, 0x58);

    /// <summary>The PDF.</summary>
    public static byte[] Write(ProofSheet sheet)
    {
        ArgumentNullException.ThrowIfNull(sheet);
        using var stream = new MemoryStream();
        using var letters = new Lettered();
        using (
            var document = SKDocument.CreatePdf(
                stream,
                new SKDocumentPdfMetadata
                {
                    Title = sheet.Title,
                    Author = sheet.Workshop,
                    Creator = "Cabida",
                }
            )
        )
        {
            var layout = Layout.Of(sheet);
            var pages = Math.Max(1, (int)Math.Ceiling(sheet.Pieces.Count / (double)layout.OnPage));
            for (var page = 0; page < pages; page++)
            {
                var canvas = document.BeginPage(Width * PointsPerMillimetre, Height * PointsPerMillimetre);
                canvas.Scale(PointsPerMillimetre);
                DrawHead(canvas, sheet, letters);
                foreach (var (piece, i) in sheet.Pieces.Skip(page * layout.OnPage).Take(layout.OnPage).Select((p, i) => (p, i)))
                {
                    DrawPiece(canvas, piece, sheet.Ground, layout, layout.At(i), letters);
                }

                letters.Draw(
                    canvas,
                    FormattableString.Invariant($"{ScaleWords(layout.Scale)} · page {page + 1} of {pages}"),
                    Width - Margin,
                    Height - Foot + 3,
                    2.9f,
                    Soft,
                    SKTextAlign.Right
                );
                document.EndPage();
            }

            document.Close();
        }

        return stream.ToArray();
    }

    /// <summary>A scale in words: 1 : 2.</summary>
    internal static string ScaleWords(double scale) => string.Create(CultureInfo.InvariantCulture, $"All at 1 : {1 / scale:0.##}");

    /// <summary>How pieces lie on a page: the largest scale of a few at which two stand side by side, where there are two.</summary>
    internal sealed record Layout(double Scale, int Across, int Down, float CellWidth, float CellHeight)
    {
        public int OnPage => Across * Down;

        public (float X, float Y) At(int i) =>
            (Margin + (i % Across * (CellWidth + Gap)), Head + Margin + (i / Across * (CellHeight + Under + Gap)));

        public static Layout Of(ProofSheet sheet)
        {
            var (width, height) = sheet.Pieces.Count == 0 ? (1, 1) : sheet.Cell;
            const float Wide = Width - (2 * Margin);
            const float High = Height - (2 * Margin) - Head - Foot;
            var scale = Scales.FirstOrDefault(
                s => (sheet.Pieces.Count == 1 || (width * s * 2) + Gap <= Wide) && width * s <= Wide && (height * s) + Under <= High,
                Scales[^1]
            );
            var across = Math.Max(1, (int)((Wide + Gap) / ((width * scale) + Gap)));
            var down = Math.Max(1, (int)((High + Gap) / ((height * scale) + Under + Gap)));
            return new Layout(scale, across, down, (Wide - (Gap * (across - 1))) / across, (float)(height * scale));
        }
    }

    private static void DrawHead(SKCanvas canvas, ProofSheet sheet, Lettered letters)
    {
        var mark = MarkDrawing.Draw(canvas, sheet.Mark, Margin, Margin, 30, 16);
        var left = Margin + (mark > 0 ? mark + 5 : 0);
        letters.Draw(canvas, sheet.Workshop.Length > 0 ? sheet.Workshop : "Proof", left, Margin + 6, 5.2f, Ink, most: 90);
        letters.Draw(canvas, sheet.Contact, left, Margin + 11.5f, 3, Soft, most: 90);
        letters.Draw(canvas, sheet.Title, Width - Margin, Margin + 6, 4.4f, Ink, SKTextAlign.Right, 85);
        letters.Draw(canvas, sheet.About, Width - Margin, Margin + 11.5f, 3, Soft, SKTextAlign.Right, 85);
        letters.Draw(
            canvas,
            $"Proof of {sheet.On}. Please tick each piece, or write what should be different.",
            Width - Margin,
            Margin + 16.5f,
            3,
            Soft,
            SKTextAlign.Right,
            120
        );
        using var line = Stroke(Rule, 0.3f);
        canvas.DrawLine(Margin, Margin + 20, Width - Margin, Margin + 20, line);
    }

    private static void DrawPiece(SKCanvas canvas, ProofPiece piece, string ground, Layout layout, (float X, float Y) at, Lettered letters)
    {
        var zone = Box.Of(piece.Zone)!.Value;
        var k = (float)layout.Scale;
        canvas.Save();
        canvas.ClipRect(new SKRect(at.X - (Gap / 2), at.Y - 1, at.X + layout.CellWidth + (Gap / 2), at.Y + layout.CellHeight + 1));
        Placed(
            canvas,
            at.X + (layout.CellWidth / 2) - ((float)zone.CentreX * k),
            at.Y + (layout.CellHeight / 2) + ((float)zone.CentreY * k),
            k,
            () =>
            {
                using var path = InkPath.Of(piece.Zone, Unseen / k);
                using var fill = new SKPaint { Color = ground.Length > 0 ? InkPath.Colour(ground) : SKColors.White, IsAntialias = true };
                canvas.DrawPath(path, fill);
                using var dashed = Stroke(Rule, 0.3f / k);
                dashed.PathEffect = SKPathEffect.CreateDash([1.6f / k, 1.1f / k], 0);
                canvas.DrawPath(path, dashed);
                foreach (var ink in piece.Inks)
                {
                    InkPath.Fill(canvas, ink, Unseen / k);
                }
            }
        );
        canvas.Restore();
        var (left, y) = (at.X, at.Y + layout.CellHeight);
        letters.Draw(canvas, piece.Name, left, y + 4.6f, 3.6f, Ink, most: layout.CellWidth - (piece.Mark.Length > 0 ? 22 : 0));
        letters.Draw(canvas, piece.Mark, left + layout.CellWidth, y + 4.6f, 2.9f, Accent, SKTextAlign.Right);
        letters.Draw(canvas, piece.Facts, left, y + 8.6f, 2.7f, Soft, most: layout.CellWidth);
        if (piece.NotYet is { } why)
        {
            // Nobody is asked to approve what cannot be made.
            letters.Draw(canvas, "not ready: nothing to tick", left, y + 13.2f, 2.7f, Accent, most: layout.CellWidth);
            letters.Draw(canvas, why, left, y + 16.4f, 2.5f, Soft, most: layout.CellWidth);
            return;
        }

        using var box = Stroke(Ink, 0.25f);
        canvas.DrawRect(left, y + 10.6f, 3, 3, box);
        letters.Draw(
            canvas,
            piece.State.Length > 0 ? piece.State : "as shown",
            left + 4.4f,
            y + 13.2f,
            2.7f,
            piece.State.Length > 0 ? Accent : Soft,
            most: layout.CellWidth - 5
        );
        using var line = Stroke(Rule, 0.25f);
        canvas.DrawLine(left + (piece.State.Length > 0 ? layout.CellWidth : 18), y + 13.6f, left + layout.CellWidth, y + 13.6f, line);
    }

    /// <summary>Draws with y up about a place.</summary>
    private static void Placed(SKCanvas canvas, float x, float y, float k, Action draw)
    {
        canvas.Save();
        canvas.Translate(x, y);
        canvas.Scale(k, -k);
        draw();
        canvas.Restore();
    }

    private static SKPaint Stroke(SKColor colour, float width) =>
        new()
        {
            Color = colour,
            StrokeWidth = width,
            IsStroke = true,
            IsAntialias = true,
        };
}
