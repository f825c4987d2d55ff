using Cabida.Core.Geometry;
using SkiaSharp;

namespace Cabida.Devices.Scanning;

/// <summary>Renders a made-up sheet as a scanner or a camera would see it; the same settings give the same picture.</summary>
public static class SheetRendering
{
    private const double MillimetresPerInch = 25.4;

    /// <summary>A photograph is this many pixels wide.</summary>
    private const int PhotographWidth = 2400;

    private const int PhotographHeight = 3000;

    /// <summary>Where the corners of a photographed sheet lie on its picture, in pixels, y down.</summary>
    public static IReadOnlyList<PlanePoint>? CornersOf(MadeUpSheet sheet)
    {
        ArgumentNullException.ThrowIfNull(sheet);
        return sheet.Photographed is { } shares
            ? [.. shares.Select(s => new PlanePoint(s.X * PhotographWidth, s.Y * PhotographHeight))]
            : null;
    }

    /// <summary>Where a place on the sheet (millimetres, y up) lies on a scan of it, in millimetres with y up, given the skew.</summary>
    public static PlanePoint OnScan(MadeUpSheet sheet, double skewDegrees, PlanePoint p)
    {
        ArgumentNullException.ThrowIfNull(sheet);
        var a = skewDegrees * Math.PI / 180;
        var (cx, cy) = (sheet.Width / 2, sheet.Height / 2);
        double x = p.X - cx,
            y = p.Y - cy;
        return new PlanePoint(cx + (x * Math.Cos(a)) - (y * Math.Sin(a)), cy + (x * Math.Sin(a)) + (y * Math.Cos(a)));
    }

    /// <summary>The picture as a PNG.</summary>
    public static byte[] Png(MadeUpSheet sheet, ScanSettings settings)
    {
        ArgumentNullException.ThrowIfNull(sheet);
        ArgumentNullException.ThrowIfNull(settings);
        var k = settings.DotsPerInch / MillimetresPerInch;
        var (width, height) = sheet.Photographed is null
            ? ((int)Math.Round(sheet.Width * k), (int)Math.Round(sheet.Height * k))
            : (PhotographWidth, PhotographHeight);
        using var bitmap = new SKBitmap(new SKImageInfo(width, height, SKColorType.Rgba8888, SKAlphaType.Opaque));
        using (var canvas = new SKCanvas(bitmap))
        {
            canvas.Clear(sheet.Photographed is null ? Paper(sheet, 0) : new SKColor(92, 74, 60));
            canvas.SetMatrix(Matrix(sheet, settings, k, height));
            using var paper = new SKPaint { Color = Paper(sheet, 0), IsAntialias = true };
            if (sheet.Photographed is not null)
            {
                canvas.DrawRect(0, 0, (float)sheet.Width, (float)sheet.Height, paper);
            }

            using var ink = new SKPaint
            {
                Color = Paper(sheet, sheet.Darkness),
                IsAntialias = true,
                Style = sheet.As == DrawnAs.Filled ? SKPaintStyle.Fill : SKPaintStyle.Stroke,
                StrokeWidth = (float)sheet.LineWidth,
                StrokeJoin = SKStrokeJoin.Round,
            };
            foreach (var shape in sheet.Shapes)
            {
                using var path = new SKPathBuilder();
                path.FillType = SKPathFillType.EvenOdd;
                foreach (var ring in shape)
                {
                    path.AddPoly([.. ring.Select(p => new SKPoint((float)p.X, (float)p.Y))], close: true);
                }

                using var drawn = path.Detach();
                if (sheet.Shadow > 0)
                {
                    // The fringe of a shadow is as wide as the shadow is long.
                    using var soft = new SKPaint
                    {
                        Color = SKColors.Black.WithAlpha(86),
                        IsAntialias = true,
                        MaskFilter = SKMaskFilter.CreateBlur(SKBlurStyle.Normal, (float)(sheet.Shadow / 2)),
                    };
                    canvas.Save();
                    canvas.Translate((float)sheet.Shadow, (float)-sheet.Shadow);
                    canvas.DrawPath(drawn, soft);
                    canvas.Restore();
                }

                if (sheet.RunsOver > 0)
                {
                    DrawOver(canvas, shape, sheet.RunsOver, ink);
                }

                canvas.DrawPath(drawn, ink);
            }
        }

        Disturb(bitmap, settings);
        using var encoded = bitmap.Encode(SKEncodedImageFormat.Png, 100);
        return encoded.ToArray();
    }

    /// <summary>Every stroke drawn on its own, past both its ends.</summary>
    private static void DrawOver(SKCanvas canvas, IReadOnlyList<IReadOnlyList<PlanePoint>> shape, double over, SKPaint ink)
    {
        foreach (var ring in shape)
        {
            for (var i = 0; i < ring.Count; i++)
            {
                PlanePoint a = ring[i],
                    b = ring[(i + 1) % ring.Count],
                    from = a.Towards(b, -over / a.To(b)),
                    to = b.Towards(a, -over / a.To(b));
                canvas.DrawLine((float)from.X, (float)from.Y, (float)to.X, (float)to.Y, ink);
            }
        }
    }

    private static SKColor Paper(MadeUpSheet sheet, double darkness)
    {
        byte Of(double share) => (byte)Math.Round(255 * share * (1 - darkness));
        return new SKColor(Of(sheet.Paper.Red), Of(sheet.Paper.Green), Of(sheet.Paper.Blue));
    }

    /// <summary>From the sheet's millimetres, y up, to pixels, y down.</summary>
    private static SKMatrix Matrix(MadeUpSheet sheet, ScanSettings settings, double k, int height)
    {
        if (CornersOf(sheet) is { } corners)
        {
            return OntoCorners(sheet, corners);
        }

        var a = settings.SkewDegrees * Math.PI / 180;
        double c = Math.Cos(a),
            s = Math.Sin(a),
            cx = sheet.Width / 2,
            cy = sheet.Height / 2;
        return new SKMatrix(
            (float)(k * c),
            (float)(-k * s),
            (float)(k * (cx - (c * cx) + (s * cy))),
            (float)(-k * s),
            (float)(-k * c),
            (float)(height - (k * (cy - (s * cx) - (c * cy)))),
            0,
            0,
            1
        );
    }

    /// <summary>The projective map of the sheet onto four corners (Heckbert 1989, square to quadrilateral).</summary>
    private static SKMatrix OntoCorners(MadeUpSheet sheet, IReadOnlyList<PlanePoint> c)
    {
        // The unit square with y up: lower left, lower right, upper right, upper left.
        PlanePoint p0 = c[3],
            p1 = c[2],
            p2 = c[1],
            p3 = c[0];
        double dx1 = p1.X - p2.X,
            dx2 = p3.X - p2.X,
            sx = p0.X - p1.X + p2.X - p3.X;
        double dy1 = p1.Y - p2.Y,
            dy2 = p3.Y - p2.Y,
            sy = p0.Y - p1.Y + p2.Y - p3.Y;
        var d = (dx1 * dy2) - (dx2 * dy1);
        double g = ((sx * dy2) - (dx2 * sy)) / d,
            h = ((dx1 * sy) - (sx * dy1)) / d;
        double w = sheet.Width,
            t = sheet.Height;
        return new SKMatrix(
            (float)((p1.X - p0.X + (g * p1.X)) / w),
            (float)((p3.X - p0.X + (h * p3.X)) / t),
            (float)p0.X,
            (float)((p1.Y - p0.Y + (g * p1.Y)) / w),
            (float)((p3.Y - p0.Y + (h * p3.Y)) / t),
            (float)p0.Y,
            (float)(g / w),
            (float)(h / t),
            1
        );
    }

    /// <summary>Uneven light and the noise of pixels, seeded from the settings so that it is the same every time.</summary>
    private static void Disturb(SKBitmap bitmap, ScanSettings settings)
    {
        var pixels = bitmap.GetPixelSpan();
        var lighting = (int)(1000 * settings.Noise) ^ (int)(1000 * settings.Shading) << 10;
        var random = new Random(((bitmap.Width * 397) ^ bitmap.Height ^ lighting ^ settings.Seed << 20) & 0x7FFFFFFF);
        var copy = pixels.ToArray();
        for (var y = 0; y < bitmap.Height; y++)
        {
            for (var x = 0; x < bitmap.Width; x++)
            {
                double u = (double)x / bitmap.Width,
                    v = (double)y / bitmap.Height;
                var light = 1 - (settings.Shading * ((0.6 * u) + (0.4 * v * v)));
                // Twelve uniform numbers less six have a deviation of one; three, scaled, are near enough for a picture.
                var noise = 255 * settings.Noise * 2 * (random.NextDouble() + random.NextDouble() + random.NextDouble() - 1.5);
                var at = 4 * ((y * bitmap.Width) + x);
                for (var i = 0; i < 3; i++)
                {
                    copy[at + i] = (byte)Math.Clamp((copy[at + i] * light) + noise, 0, 255);
                }
            }
        }

        System.Runtime.InteropServices.Marshal.Copy(copy, 0, bitmap.GetPixels(), copy.Length);
    }
}
