using Cabida.Core.Drawings;
using Cabida.Core.Geometry;
using SkiaSharp;

namespace Cabida.Formats.Proofs;

/// <summary>A picture of the finished thing for a shop page: the blank as it is seen, in the colour of the goods, with its ink.</summary>
public static class ShopPicture
{
    /// <summary>The smallest and largest picture, in pixels along a side.</summary>
    public static (int Least, int Most) Sizes => (200, 4000);

    private const float Around = 0.12f;
    private static readonly SKColor Paper = new(0xff, 0xff, 0xff);
    private static readonly SKColor Edge = new(0x23, 0x28, 0x2c, 0x90);

    /// <summary>The picture as PNG, square.</summary>
    /// <param name="blank">The blank as it is seen; its closed edges are filled.</param>
    /// <param name="goods">Its colour as <c>#rrggbb</c>; empty when it is not known.</param>
    /// <param name="inks">The ink as it is seen, the lowest film first.</param>
    /// <param name="isRound">Whether its sides fall away from the light.</param>
    /// <param name="pixels">Along a side.</param>
    public static byte[] Png(Drawing blank, string goods, IReadOnlyList<ColouredInk> inks, bool isRound, int pixels)
    {
        ArgumentNullException.ThrowIfNull(blank);
        ArgumentNullException.ThrowIfNull(inks);
        var size = Math.Clamp(pixels, Sizes.Least, Sizes.Most);
        using var surface = SKSurface.Create(new SKImageInfo(size, size, SKColorType.Rgba8888, SKAlphaType.Premul));
        var canvas = surface.Canvas;
        canvas.Clear(Paper);
        // The blank itself, not the room its drawing leaves for what is turned away.
        var box = Box.Around(
            blank.Strokes.Where(s => s.Kind == StrokeKind.Edge).SelectMany(s => s.Points).Select(p => new Box(p.X, p.Y, p.X, p.Y))
        ) ?? blank.Box;
        var k = (float)(size * (1 - (2 * Around)) / Math.Max(box.Width, box.Height));
        canvas.Translate((size / 2f) - ((float)box.CentreX * k), (size / 2f) + ((float)box.CentreY * k));
        canvas.Scale(k, -k);
        DrawBlank(canvas, blank, goods.Length > 0 ? InkPath.Colour(goods) : new SKColor(0xf2, 0xf0, 0xea), isRound, k);
        foreach (var ink in inks)
        {
            InkPath.Fill(canvas, ink);
        }

        if (isRound)
        {
            Shade(canvas, Silhouette(blank), box);
        }

        using var image = surface.Snapshot();
        using var data = image.Encode(SKEncodedImageFormat.Png, 100);
        return data.ToArray();
    }

    private static void DrawBlank(SKCanvas canvas, Drawing blank, SKColor goods, bool isRound, float k)
    {
        using var fill = new SKPaint { Color = goods, IsAntialias = true };
        using var dark = new SKPaint { Color = Darker(goods), IsAntialias = true };
        using var line = new SKPaint
        {
            Color = Edge,
            IsStroke = true,
            StrokeWidth = 1.6f / k,
            IsAntialias = true,
        };
        using var body = Silhouette(blank);
        var closed = 0;
        foreach (var stroke in blank.Strokes.Where(s => s.Kind is StrokeKind.Edge or StrokeKind.Hole))
        {
            using var path = PathOf(stroke);
            // Of something round the second closed edge is its mouth, further ones are flat faces beside it; open edges are the handle.
            if (stroke.Kind == StrokeKind.Hole)
            {
                canvas.DrawPath(path, new SKPaint { Color = Paper, IsAntialias = true });
            }
            else if (stroke.Closed)
            {
                canvas.DrawPath(path, isRound && closed == 1 ? dark : fill);
                closed++;
            }

            canvas.DrawPath(path, line);
        }
    }

    /// <summary>Light from the left: the sides of something round fall away.</summary>
    private static void Shade(SKCanvas canvas, SKPath body, Box box)
    {
        var across = body.Bounds;
        using var paint = new SKPaint { IsAntialias = true };
        paint.Shader = SKShader.CreateLinearGradient(
            new SKPoint(across.Left, (float)box.CentreY),
            new SKPoint(across.Right, (float)box.CentreY),
            [new SKColor(0, 0, 0, 60), new SKColor(255, 255, 255, 36), new SKColor(255, 255, 255, 0), new SKColor(0, 0, 0, 84)],
            [0, 0.3f, 0.55f, 1],
            SKShaderTileMode.Clamp
        );
        canvas.DrawPath(body, paint);
    }

    private static SKPath Silhouette(Drawing blank) =>
        blank.Strokes.FirstOrDefault(s => s is { Kind: StrokeKind.Edge, Closed: true }) is { } edge ? PathOf(edge) : new SKPath();

    private static SKPath PathOf(Stroke stroke)
    {
        using var path = new SKPathBuilder();
        path.AddPoly([.. stroke.Points.Select(p => new SKPoint((float)p.X, (float)p.Y))], stroke.Closed);
        return path.Detach();
    }

    private static SKColor Darker(SKColor c) => new((byte)(c.Red * 0.72), (byte)(c.Green * 0.72), (byte)(c.Blue * 0.72));
}
