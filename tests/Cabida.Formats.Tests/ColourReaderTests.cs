using Cabida.Formats.Pictures;
using SkiaSharp;

namespace Cabida.Formats.Tests;

public class ColourReaderTests
{
    private static byte[] Picture(int width, int height, SKEncodedImageFormat format, bool clear = false)
    {
        using var bitmap = new SKBitmap(new SKImageInfo(width, height, SKColorType.Rgba8888, SKAlphaType.Premul));
        using (var canvas = new SKCanvas(bitmap))
        using (var paint = new SKPaint { Color = new SKColor(20, 60, 120) })
        {
            canvas.Clear(clear ? SKColors.Transparent : SKColors.White);
            canvas.DrawRect(0, 0, width / 2f, height, paint);
        }

        using var data = bitmap.Encode(format, 100);
        return data.ToArray();
    }

    [Theory]
    [InlineData(SKEncodedImageFormat.Png)]
    [InlineData(SKEncodedImageFormat.Jpeg)]
    public void Colours_come_in_row_after_row_and_what_is_clear_lies_on_white(SKEncodedImageFormat format)
    {
        var (picture, shrunk) = ColourReader.Read(Picture(60, 40, format, clear: format == SKEncodedImageFormat.Png)).Value;
        (picture.Width, picture.Height, shrunk).ShouldBe((60, 40, 1));
        picture.Pixels.Length.ShouldBe(3 * 60 * 40);
        int[] At(int x, int y) => [.. picture.Pixels.Skip(3 * ((y * 60) + x)).Take(3).Select(b => (int)b)];
        Math.Abs(At(5, 5)[2] - 120).ShouldBeLessThan(6);
        Math.Abs(At(5, 35)[2] - 120).ShouldBeLessThan(6);
        At(55, 20).ShouldAllBe(v => v > 250);
        ((int)picture.Grey().Pixels[(20 * 60) + 5]).ShouldBeInRange(50, 62);
    }

    [Fact]
    public void A_clear_ground_is_known_as_such_and_soft_edges_keep_their_own_colour()
    {
        using var bitmap = new SKBitmap(new SKImageInfo(30, 20, SKColorType.Rgba8888, SKAlphaType.Premul));
        using (var canvas = new SKCanvas(bitmap))
        using (var paint = new SKPaint { Color = SKColors.White.WithAlpha(100) })
        {
            canvas.Clear(SKColors.Transparent);
            canvas.DrawRect(0, 0, 15, 20, paint);
        }

        using var data = bitmap.Encode(SKEncodedImageFormat.Png, 100);
        var picture = ColourReader.Read(data.ToArray()).Value.Picture;
        picture
            .Opacity.ShouldNotBeNull()
            .Take(30)
            .Select(a => (int)a)
            .ShouldBe([.. Enumerable.Repeat(100, 15), .. Enumerable.Repeat(0, 15)]);
        picture.Pixels.Take(15 * 3).ShouldAllBe(v => v == 255);
        ColourReader.Read(Picture(30, 20, SKEncodedImageFormat.Png)).Value.Picture.Opacity.ShouldBeNull();
        PicturePreview.Of(data.ToArray(), 100)!.Value.MediaType.ShouldBe("image/png");
    }

    [Fact]
    public void A_large_picture_is_made_smaller_and_says_by_how_much()
    {
        var (picture, shrunk) = ColourReader.Read(Picture(4000, 1000, SKEncodedImageFormat.Png)).Value;
        (picture.Width, picture.Height).ShouldBe((1600, 400));
        shrunk.ShouldBe(2.5, 1e-9);
    }

    [Fact]
    public void A_damaged_picture_is_refused()
    {
        var whole = Picture(300, 300, SKEncodedImageFormat.Png);
        ColourReader.Read(whole[..(whole.Length / 2)]).Problem!.ToString().ShouldContain("damaged");
        ColourReader.Read([1, 2, 3]).Problem.ShouldNotBeNull();
    }
}
