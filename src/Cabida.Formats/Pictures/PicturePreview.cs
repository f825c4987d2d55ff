using SkiaSharp;

namespace Cabida.Formats.Pictures;

/// <summary>A small copy of a picture for the screen.</summary>
public static class PicturePreview
{
    private const int Quality = 82;

    /// <summary>
    /// The picture no wider than asked for, and what kind of file that is: a JPEG, or a PNG where some of it is clear. Null when it
    /// cannot be decoded.
    /// </summary>
    public static (byte[] File, string MediaType)? Of(byte[] file, int width)
    {
        using var data = SKData.CreateCopy(file);
        using var codec = SKCodec.Create(data);
        if (codec is null)
        {
            return null;
        }

        var turn = PictureHead.Read(file).ValueOrDefault?.Turn ?? PictureTurn.None;
        // JPEG can be decoded at a fraction of its size; whatever comes out is scaled the rest of the way.
        var scale = Math.Min(1f, (float)width / (turn.Swaps ? codec.Info.Height : codec.Info.Width));
        var near = codec.GetScaledDimensions(scale);
        using var bitmap = new SKBitmap(new SKImageInfo(near.Width, near.Height, SKColorType.Rgba8888, SKAlphaType.Premul));
        if (codec.GetPixels(bitmap.Info, bitmap.GetPixels()) is not (SKCodecResult.Success or SKCodecResult.IncompleteInput))
        {
            return null;
        }

        int Scaled(int side) => Math.Max(1, (int)Math.Round(side * (double)scale));
        var clear = codec.Info.AlphaType != SKAlphaType.Opaque;
        using var small = new SKBitmap(
            new SKImageInfo(
                Scaled(codec.Info.Width),
                Scaled(codec.Info.Height),
                SKColorType.Rgba8888,
                clear ? SKAlphaType.Premul : SKAlphaType.Opaque
            )
        );
        using (var canvas = new SKCanvas(small))
        {
            canvas.Clear(clear ? SKColors.Transparent : SKColors.White);
            using var image = SKImage.FromBitmap(bitmap);
            canvas.DrawImage(
                image,
                SKRect.Create(small.Width, small.Height),
                new SKSamplingOptions(SKFilterMode.Linear, SKMipmapMode.Linear)
            );
        }

        using var turned = Turned(small, turn);
        using var encoded = turned.Encode(clear ? SKEncodedImageFormat.Png : SKEncodedImageFormat.Jpeg, Quality);
        return (encoded.ToArray(), clear ? "image/png" : "image/jpeg");
    }

    private static SKBitmap Turned(SKBitmap stored, PictureTurn turn)
    {
        var pixels = turn.Of(stored.Bytes, stored.Width, stored.Height, stored.BytesPerPixel);
        var shown = new SKBitmap(
            new SKImageInfo(
                turn.Swaps ? stored.Height : stored.Width,
                turn.Swaps ? stored.Width : stored.Height,
                stored.ColorType,
                stored.AlphaType
            )
        );
        System.Runtime.InteropServices.Marshal.Copy(pixels, 0, shown.GetPixels(), pixels.Length);
        return shown;
    }
}
