using SkiaSharp;

namespace Cabida.Formats.Pictures;

/// <summary>A small copy of a picture for the screen.</summary>
public static class PicturePreview
{
    private const int Quality = 82;

    /// <summary>The picture as a JPEG no wider than asked for; null when it cannot be decoded.</summary>
    public static byte[]? Of(byte[] file, int width)
    {
        using var data = SKData.CreateCopy(file);
        using var codec = SKCodec.Create(data);
        if (codec is null)
        {
            return null;
        }

        // JPEG can be decoded at a fraction of its size; whatever comes out is scaled the rest of the way.
        var scale = Math.Min(1f, (float)width / codec.Info.Width);
        var near = codec.GetScaledDimensions(scale);
        using var bitmap = new SKBitmap(new SKImageInfo(near.Width, near.Height, SKColorType.Rgba8888, SKAlphaType.Premul));
        if (codec.GetPixels(bitmap.Info, bitmap.GetPixels()) is not (SKCodecResult.Success or SKCodecResult.IncompleteInput))
        {
            return null;
        }

        var height = Math.Max(1, (int)Math.Round((double)codec.Info.Height * Math.Min(width, codec.Info.Width) / codec.Info.Width));
        using var small = new SKBitmap(new SKImageInfo(Math.Min(width, codec.Info.Width), height, SKColorType.Rgba8888, SKAlphaType.Opaque));
        using (var canvas = new SKCanvas(small))
        {
            canvas.Clear(SKColors.White);
            using var image = SKImage.FromBitmap(bitmap);
            canvas.DrawImage(image, SKRect.Create(small.Width, small.Height), new SKSamplingOptions(SKFilterMode.Linear, SKMipmapMode.Linear));
        }

        using var encoded = small.Encode(SKEncodedImageFormat.Jpeg, Quality);
        return encoded.ToArray();
    }
}
