using Cabida.Core.Bench;
using Cabida.Core.Drawings;
using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using Cabida.Formats.Proofs;
using SkiaSharp;

namespace Cabida.Formats.Templates;

/// <summary>
/// A placing template as a PDF, true to size over as many pages as it takes: marks on the overlap coincide where neighbours are glued, and
/// a line of 100 on every page tells what the printer did.
/// </summary>
public static class TemplatePdf
{
    /// <summary>The line that tells what the printer did; millimetres.</summary>
    public const double CheckLine = 100;

    private const float PointsPerMillimetre = 72 / 25.4f;
    private const double Unseen = 0.01;

    /// <summary>Marks on the overlap stand so far from the corners of their page; millimetres.</summary>
    private const double MarksIn = 24;

    private static readonly SKColor Ink = new(0x23, 0x28, 0x2c);
    private static readonly SKColor Soft = new(0x5d, 0x65, 0x6b);
    private static readonly SKColor Filled = new(0xdd, 0xdd, 0xdd);

    /// <summary>The PDF.</summary>
    /// <param name="template">What is printed.</param>
    /// <param name="tiling">How it lies on paper.</param>
    /// <param name="title">What it is of.</param>
    /// <param name="inches">Whether distances are written in inches.</param>
    public static byte[] Write(PlacingTemplate template, PaperTiling tiling, string title, bool inches)
    {
        ArgumentNullException.ThrowIfNull(template);
        ArgumentNullException.ThrowIfNull(tiling);
        using var stream = new MemoryStream();
        using var letters = new Lettered();
        using (var document = SKDocument.CreatePdf(stream, new SKDocumentPdfMetadata { Title = title, Creator = "Cabida" }))
        {
            for (var row = 0; row < tiling.Down; row++)
            {
                for (var column = 0; column < tiling.Across; column++)
                {
                    var canvas = document.BeginPage(
                        (float)tiling.PageWidth * PointsPerMillimetre,
                        (float)tiling.PageHeight * PointsPerMillimetre
                    );
                    canvas.Scale(PointsPerMillimetre);
                    new Page(canvas, letters, template, tiling, tiling.PageBox(column, row), inches).Draw(title, column, row);
                    document.EndPage();
                }
            }

            document.Close();
        }

        return stream.ToArray();
    }

    /// <summary>One page: its coordinates are millimetres from the upper left of the paper.</summary>
    private sealed class Page(SKCanvas canvas, Lettered letters, PlacingTemplate template, PaperTiling tiling, Box box, bool inches)
    {
        public void Draw(string title, int column, int row)
        {
            canvas.Save();
            canvas.ClipRect(new SKRect(X(box.MinX), Y(box.MaxY), X(box.MaxX), Y(box.MinY)));
            DrawInk();
            foreach (var line in template.Lines)
            {
                DrawLine(line);
            }

            foreach (var distance in template.Distances)
            {
                DrawDistance(distance);
            }

            DrawMarks();
            canvas.Restore();
            DrawCheckLine();
            var pages =
                tiling.Pages == 1
                    ? ""
                    : FormattableString.Invariant($", page {column + 1} across, {row + 1} down of {tiling.Across} × {tiling.Down}");
            letters.Draw(
                canvas,
                $"{title}{pages}. Print at full size, not fitted to the page.",
                (float)PaperTiling.Margin,
                (float)PaperTiling.Margin - 1.5f,
                2.8f,
                Soft,
                most: (float)(tiling.PageWidth - (2 * PaperTiling.Margin))
            );
        }

        private float X(double x) => (float)(PaperTiling.Margin + x - box.MinX);

        private float Y(double y) => (float)(PaperTiling.Margin + box.MaxY - y);

        private void DrawInk()
        {
            canvas.Save();
            canvas.Translate(X(0), Y(0));
            canvas.Scale(1, -1);
            using var path = InkPath.Of(template.Ink, Unseen);
            using var fill = new SKPaint { Color = Filled, IsAntialias = true };
            canvas.DrawPath(path, fill);
            using var edge = Stroke(Ink, 0.2f);
            canvas.DrawPath(path, edge);
            canvas.Restore();
        }

        private void DrawLine(TemplateLine line)
        {
            using var paint = Stroke(line.Kind == StrokeKind.KeptClear ? Soft : Ink, line.Kind == StrokeKind.Edge ? 0.5f : 0.25f);
            paint.PathEffect =
                line.Kind == StrokeKind.Centre ? SKPathEffect.CreateDash([8, 1.5f, 0.8f, 1.5f], 0)
                : line.Kind == StrokeKind.KeptClear ? SKPathEffect.CreateDash([2, 1.2f], 0)
                : null;
            using var built = new SKPathBuilder();
            built.AddPoly([.. line.Points.Select(p => new SKPoint(X(p.X), Y(p.Y)))], line.Closed);
            using var path = built.Detach();
            canvas.DrawPath(path, paint);
            if (line.Name.Length > 0)
            {
                var at =
                    line.Kind == StrokeKind.Centre
                        ? line.Points[^1]
                        : Box.Around(line.Points.Select(p => new Box(p.X, p.Y, p.X, p.Y)))!.Value.Centre;
                var isUpright = line.Kind == StrokeKind.Centre && Math.Abs(line.Points[0].X - line.Points[^1].X) < 1;
                var align = line.Kind == StrokeKind.Centre && !isUpright ? SKTextAlign.Right : SKTextAlign.Left;
                letters.Draw(canvas, line.Name, X(at.X) + (isUpright ? 1.5f : -1.5f), Y(at.Y) + (isUpright ? 5 : -1.2f), 3, Soft, align);
            }
        }

        private void DrawDistance(TemplateDistance distance)
        {
            using var paint = Stroke(Ink, 0.15f);
            var (from, to) = (new SKPoint(X(distance.From.X), Y(distance.From.Y)), new SKPoint(X(distance.To.X), Y(distance.To.Y)));
            canvas.DrawLine(from, to, paint);
            foreach (var end in new[] { from, to })
            {
                canvas.DrawLine(end.X - 1, end.Y + 1, end.X + 1, end.Y - 1, paint);
            }

            var length = distance.Millimetres;
            var figure = inches
                ? FormattableString.Invariant($"{length / Length.MillimetresPerInch:0.00} in")
                : FormattableString.Invariant($"{length:0.0} mm");
            var (x, y) = ((from.X + to.X) / 2, (from.Y + to.Y) / 2);
            if (Math.Abs(from.X - to.X) < Math.Abs(from.Y - to.Y))
            {
                letters.Draw(canvas, $"{figure} {distance.What}", x + 1.5f, y + 1, 3.4f, Ink);
            }
            else
            {
                letters.Draw(canvas, figure, x, y - 1.5f, 3.4f, Ink, SKTextAlign.Center);
                letters.Draw(canvas, distance.What, x, y + 4, 2.8f, Soft, SKTextAlign.Center);
            }
        }

        /// <summary>Crosses on the overlaps: both neighbours print the same ones.</summary>
        private void DrawMarks()
        {
            using var paint = Stroke(Ink, 0.2f);
            const double Half = PaperTiling.Overlap / 2;
            for (var row = 0; row < tiling.Down; row++)
            {
                for (var column = 0; column < tiling.Across; column++)
                {
                    var page = tiling.PageBox(column, row);
                    foreach (var y in new[] { page.MinY + MarksIn, page.MaxY - MarksIn })
                    {
                        Cross(page.MaxX - Half, y, column < tiling.Across - 1);
                    }

                    foreach (var x in new[] { page.MinX + MarksIn, page.MaxX - MarksIn })
                    {
                        Cross(x, page.MinY + Half, row < tiling.Down - 1);
                    }
                }
            }

            void Cross(double x, double y, bool isShared)
            {
                if (isShared)
                {
                    canvas.DrawLine(X(x) - 4, Y(y), X(x) + 4, Y(y), paint);
                    canvas.DrawLine(X(x), Y(y) - 4, X(x), Y(y) + 4, paint);
                }
            }
        }

        private void DrawCheckLine()
        {
            using var paint = Stroke(Ink, 0.3f);
            var (x, y) = ((float)PaperTiling.Margin, (float)(tiling.PageHeight - PaperTiling.Margin + 2.5));
            canvas.DrawLine(x, y, x + (float)CheckLine, y, paint);
            canvas.DrawLine(x, y - 1.5f, x, y + 1.5f, paint);
            canvas.DrawLine(x + (float)CheckLine, y - 1.5f, x + (float)CheckLine, y + 1.5f, paint);
            letters.Draw(canvas, "This line measures 100 mm where nothing was scaled.", x + (float)CheckLine + 3, y + 1, 2.8f, Soft);
        }
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
