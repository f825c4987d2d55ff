using Cabida.Core.Tracing;
using Cabida.Core.Wording;
using SkiaSharp;

namespace Cabida.Formats.Pictures;

/// <summary>Decodes a picture to colour, no larger than tracing needs.</summary>
public static class ColourReader
{
    /// <summary>Larger pictures are made smaller first: their outlines are as exact as the cutter is at this size.</summary>
    public const int MostSide = 1600;

    /// <summary>The picture, with how many of its own pixels went into one.</summary>
    public static Outcome<(ColourPicture Picture, double Shrunk)> Read(byte[] file)
    {
        ArgumentNullException.ThrowIfNull(file);
        using var data = SKData.CreateCopy(file);
        using var codec = SKCodec.Create(data);
        if (codec is null)
        {
            return Damaged();
        }

        var near = codec.GetScaledDimensions(Math.Min(1f, (float)MostSide / Math.Max(codec.Info.Width, codec.Info.Height)));
        using var bitmap = new SKBitmap(new SKImageInfo(near.Width, near.Height, SKColorType.Rgba8888, SKAlphaType.Premul));
        if (codec.GetPixels(bitmap.Info, bitmap.GetPixels()) != SKCodecResult.Success)
        {
            return Damaged();
        }

        var scale = Math.Min(1.0, (double)MostSide / Math.Max(codec.Info.Width, codec.Info.Height));
        var (w, h) = (Math.Max(2, (int)Math.Round(codec.Info.Width * scale)), Math.Max(2, (int)Math.Round(codec.Info.Height * scale)));
        using var small = new SKBitmap(new SKImageInfo(w, h, SKColorType.Rgba8888, SKAlphaType.Premul));
        using (var canvas = new SKCanvas(small))
        {
            canvas.Clear(SKColors.Transparent);
            using var image = SKImage.FromBitmap(bitmap);
            canvas.DrawImage(image, SKRect.Create(w, h), new SKSamplingOptions(SKFilterMode.Linear, SKMipmapMode.Linear));
        }

        var rgba = small.Bytes;
        var (pixels, opacity) = (new byte[3 * w * h], new byte[w * h]);
        for (var i = 0; i < w * h; i++)
        {
            var a = opacity[i] = rgba[(4 * i) + 3];
            for (var c = 0; c < 3; c++)
            {
                // A colour of its own, not mixed with what may lie behind it; what is wholly clear has none.
                pixels[(3 * i) + c] = a == 0 ? byte.MaxValue : (byte)Math.Min(255, ((255 * rgba[(4 * i) + c]) + (a / 2)) / a);
            }
        }

        var turn = PictureHead.Read(file).ValueOrDefault?.Turn ?? PictureTurn.None;
        var picture = new ColourPicture(turn.Swaps ? h : w, turn.Swaps ? w : h, turn.Of(pixels, w, h, 3))
        {
            Opacity = opacity.All(a => a == byte.MaxValue) ? null : turn.Of(opacity, w, h, 1),
        };
        return Outcome<(ColourPicture, double)>.Of((picture, (double)codec.Info.Width / w));
    }

    private static Outcome<(ColourPicture, double)> Damaged() =>
        Outcome<(ColourPicture, double)>.Fail(
            Phrase.Say($"This picture is damaged or cut short: only part of it can be read. Bring it again.")
        );
}
