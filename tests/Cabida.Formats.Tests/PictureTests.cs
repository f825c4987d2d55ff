using System.Buffers.Binary;
using Cabida.Core.Tracing;
using Cabida.Formats.Pictures;
using SkiaSharp;

namespace Cabida.Formats.Tests;

public class PictureTests
{
    [Theory]
    [InlineData(SKEncodedImageFormat.Png)]
    [InlineData(SKEncodedImageFormat.Jpeg)]
    public void A_picture_comes_out_in_grey_as_it_went_in(SKEncodedImageFormat format)
    {
        var file = Ramp(300, 200, format);
        var head = PictureHead.Read(file).Value;
        (head.Width, head.Height, head.InStrips).ShouldBe((300, 200, true));
        var grey = GreyReader.Read(file, head).Value;
        foreach (var (x, y) in new[] { (0, 0), (150, 100), (299, 199), (17, 180) })
        {
            ((double)grey.Pixels[(y * 300) + x]).ShouldBe(x * 255 / 299.0, format == SKEncodedImageFormat.Png ? 1 : 4);
        }
    }

    [Fact]
    public void A_large_picture_read_in_parts_is_the_same_as_read_whole()
    {
        // 25.6 million pixels take two parts.
        var file = Ramp(6400, 4000, SKEncodedImageFormat.Png);
        var grey = GreyReader.Read(file, PictureHead.Read(file).Value).Value;
        for (var y = 3; y < 4000; y += 371)
        {
            ((double)grey.Pixels[(y * 6400) + 3200]).ShouldBe(127.5, 1);
        }
    }

    [Fact]
    public void What_is_no_picture_or_too_large_is_refused_with_the_reason()
    {
        PictureHead.Read("GIF89a, and more"u8).Problem!.ToString().ShouldContain("no picture that can be read");
        PictureHead.Read([0x49, 0x49, 0x2A, 0x00, 8, 0, 0, 0]).Problem!.ToString().ShouldContain("TIFF");
        PictureHead
            .Read(PngHead(20000, 10000, interlaced: false))
            .Problem!.ToString()
            .ShouldContain("200 million pixels (20000 × 10000); up to 100 million");
        PictureHead.Read(PngHead(9000, 6000, interlaced: true)).Problem!.ToString().ShouldContain("interlaced");
        PictureHead.Read(PngHead(9000, 6000, interlaced: false)).Ok.ShouldBeTrue();
        PictureHead.Read(PngHead(20, 10, interlaced: false)).Problem!.ToString().ShouldContain("only 20 × 10 pixels");
        PictureHead.Read([]).Problem.ShouldNotBeNull();
    }

    [Fact]
    public void A_progressive_jpeg_is_told_by_its_head()
    {
        byte[] Jpeg(byte frame) =>
            [
                0xFF,
                0xD8,
                0xFF,
                0xE0,
                0,
                16,
                (byte)'J',
                (byte)'F',
                (byte)'I',
                (byte)'F',
                0,
                1,
                2,
                1,
                1,
                44,
                1,
                44,
                0,
                0,
                0xFF,
                frame,
                0,
                17,
                8,
                0x1F,
                0x40,
                0x17,
                0x70,
                3,
                0,
                0,
                0,
                0,
            ];
        PictureHead.Read(Jpeg(0xC0)).Value.ShouldBe(new PictureHead("image/jpeg", 6000, 8000, true, 300));
        PictureHead.Read(Jpeg(0xC2)).Problem!.ToString().ShouldContain("progressive");
    }

    /// <summary>Where the stored upper left and upper right corners are seen, after the table of Exif 2.32.</summary>
    [Theory]
    [InlineData(1, "upper left", "upper right")]
    [InlineData(2, "upper right", "upper left")]
    [InlineData(3, "lower right", "lower left")]
    [InlineData(4, "lower left", "lower right")]
    [InlineData(5, "upper left", "lower left")]
    [InlineData(6, "upper right", "lower right")]
    [InlineData(7, "lower right", "upper right")]
    [InlineData(8, "lower left", "upper left")]
    public void A_picture_is_turned_as_its_camera_notes(int turn, string first, string second)
    {
        // Black at the stored upper left, grey at the upper right, white elsewhere.
        using var bitmap = new SKBitmap(96, 64);
        bitmap.Erase(SKColors.White);
        using (var canvas = new SKCanvas(bitmap))
        {
            canvas.DrawRect(0, 0, 16, 16, new SKPaint { Color = SKColors.Black });
            canvas.DrawRect(80, 0, 16, 16, new SKPaint { Color = new SKColor(128, 128, 128) });
        }

        foreach (var little in new[] { true, false })
        {
            using var plain = bitmap.Encode(SKEncodedImageFormat.Jpeg, 100);
            var file = WithTurn(plain.ToArray(), turn, little);
            var head = PictureHead.Read(file).Value;
            (head.Width, head.Height).ShouldBe(turn >= 5 ? (64, 96) : (96, 64));
            var grey = GreyReader.Read(file, head).Value;
            (int X, int Y) At(string corner) =>
                (
                    corner.EndsWith("left", StringComparison.Ordinal) ? 8 : head.Width - 8,
                    corner.StartsWith("upper", StringComparison.Ordinal) ? 8 : head.Height - 8
                );
            ((double)grey.Pixels[(At(first).Y * grey.Width) + At(first).X]).ShouldBe(0, 6);
            ((double)grey.Pixels[(At(second).Y * grey.Width) + At(second).X]).ShouldBe(128, 6);
            using var shown = SKBitmap.Decode(PicturePreview.Of(file, 2000)!.Value.File);
            (shown.Width, shown.Height).ShouldBe((head.Width, head.Height));
            ((double)shown.GetPixel(At(first).X, At(first).Y).Red).ShouldBe(0, 12);
            ((double)shown.GetPixel(At(second).X, At(second).Y).Red).ShouldBe(128, 12);
            var colour = ColourReader.Read(file).Value.Picture;
            ((double)colour.Pixels[3 * ((At(first).Y * colour.Width) + At(first).X)]).ShouldBe(0, 12);
        }
    }

    private static byte[] WithTurn(byte[] jpeg, int turn, bool little)
    {
        byte[] Two(int n) => little ? [(byte)n, (byte)(n >> 8)] : [(byte)(n >> 8), (byte)n];
        byte[] Four(int n) => little ? [.. Two(n), 0, 0] : [0, 0, .. Two(n)];
        byte[] exif =
        [
            .. "Exif\0\0"u8,
            .. little ? "II"u8 : "MM"u8,
            .. Two(42),
            .. Four(8),
            .. Two(2),
            .. Two(0x010F),
            .. Two(2),
            .. Four(1),
            .. Four(0),
            .. Two(0x0112),
            .. Two(3),
            .. Four(1),
            .. Two(turn),
            0,
            0,
            .. Four(0),
        ];
        return [0xFF, 0xD8, 0xFF, 0xE1, (byte)((exif.Length + 2) >> 8), (byte)(exif.Length + 2), .. exif, .. jpeg.AsSpan(2)];
    }

    [Fact]
    public void A_picture_cut_short_says_so()
    {
        var file = Ramp(400, 400, SKEncodedImageFormat.Png);
        var head = PictureHead.Read(file).Value;
        GreyReader.Read(file[..(file.Length / 2)], head).Problem!.ToString().ShouldContain("damaged or cut short");
    }

    [Fact]
    public void Smoothing_leaves_flat_places_and_straight_edges_where_they_are()
    {
        var pixels = new byte[100 * 60];
        for (var i = 0; i < pixels.Length; i++)
        {
            pixels[i] = (byte)(i % 100 < 50 ? 40 : 200);
        }

        var picture = new GreyPicture(100, 60, pixels);
        picture.Smooth();
        picture.At(20, 30).ShouldBe(40, 1);
        picture.At(80, 30).ShouldBe(200, 1);
        picture.At(50, 30).ShouldBe(120, 1);
    }

    private static byte[] PngHead(int width, int height, bool interlaced)
    {
        var head = new byte[64];
        ReadOnlySpan<byte> signature = [0x89, 0x50, 0x4E, 0x47, 0x0D, 0x0A, 0x1A, 0x0A];
        signature.CopyTo(head);
        BinaryPrimitives.WriteInt32BigEndian(head.AsSpan(8), 13);
        "IHDR"u8.CopyTo(head.AsSpan(12));
        BinaryPrimitives.WriteInt32BigEndian(head.AsSpan(16), width);
        BinaryPrimitives.WriteInt32BigEndian(head.AsSpan(20), height);
        head[28] = interlaced ? (byte)1 : (byte)0;
        return head;
    }

    /// <summary>From black at the left to white at the right.</summary>
    private static byte[] Ramp(int width, int height, SKEncodedImageFormat format)
    {
        using var bitmap = new SKBitmap(width, height, SKColorType.Rgba8888, SKAlphaType.Opaque);
        var row = new byte[4 * width];
        for (var x = 0; x < width; x++)
        {
            var v = (byte)Math.Round(x * 255.0 / (width - 1));
            (row[4 * x], row[(4 * x) + 1], row[(4 * x) + 2], row[(4 * x) + 3]) = (v, v, v, 255);
        }

        for (var y = 0; y < height; y++)
        {
            System.Runtime.InteropServices.Marshal.Copy(row, 0, bitmap.GetPixels() + (y * 4 * width), row.Length);
        }

        using var data = bitmap.Encode(format, 95);
        return data.ToArray();
    }
}
