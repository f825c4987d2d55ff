using System.Runtime.InteropServices;
using Cabida.Core.Tracing;
using Cabida.Core.Wording;
using SkiaSharp;

namespace Cabida.Formats.Pictures;

/// <summary>Decodes a picture to shades of grey, in strips where its file allows, so that colour is never held for all of it.</summary>
public static class GreyReader
{
    /// <summary>A strip of colour holds about this many pixels.</summary>
    private const int StripPixels = 24_000_000;

    private const int BytesPerPixel = 4;

    /// <summary>Reads a picture whose head was read before.</summary>
    /// <param name="file">The file.</param>
    /// <param name="head">Its head.</param>
    /// <param name="stop">Stops it.</param>
    public static Outcome<GreyPicture> Read(byte[] file, PictureHead head, CancellationToken stop = default)
    {
        ArgumentNullException.ThrowIfNull(file);
        ArgumentNullException.ThrowIfNull(head);
        using var data = SKData.CreateCopy(file);
        using var codec = SKCodec.Create(data);
        if (codec is null || codec.Info.Width != head.Stored.Width || codec.Info.Height != head.Stored.Height)
        {
            return Damaged();
        }

        var pixels = new byte[(long)head.Width * head.Height];
        var info = new SKImageInfo(head.Stored.Width, head.Stored.Height, SKColorType.Rgba8888, SKAlphaType.Unpremul);
        var done = head is { MediaType: "image/jpeg", InStrips: true }
            ? Lines(codec, info, pixels, stop)
            : Parts(data, info, pixels, head.InStrips, stop);
        return done
            ? Outcome<GreyPicture>.Of(
                new GreyPicture(head.Width, head.Height, head.Turn.Of(pixels, head.Stored.Width, head.Stored.Height, 1))
            )
            : Damaged();

        static Outcome<GreyPicture> Damaged() =>
            Outcome<GreyPicture>.Fail(Phrase.Say($"This picture is damaged or cut short: only part of it can be read. Bring it again."));
    }

    /// <summary>Line after line, as baseline JPEG is stored.</summary>
    private static bool Lines(SKCodec codec, SKImageInfo info, byte[] pixels, CancellationToken stop)
    {
        if (codec.StartScanlineDecode(info) != SKCodecResult.Success)
        {
            return false;
        }

        const int AtOnce = 64;
        var rowBytes = info.Width * BytesPerPixel;
        var strip = new byte[AtOnce * rowBytes];
        for (var y = 0; y < info.Height; y += AtOnce)
        {
            stop.ThrowIfCancellationRequested();
            var lines = Math.Min(AtOnce, info.Height - y);
            if (codec.GetScanlines(Marshal.UnsafeAddrOfPinnedArrayElement(strip, 0), lines, rowBytes) != lines)
            {
                return false;
            }

            ToGrey(strip, pixels.AsSpan(y * info.Width, lines * info.Width));
        }

        return true;
    }

    /// <summary>Part after part; the decoder runs from the top for each, so parts are as large as memory allows.</summary>
    private static bool Parts(SKData data, SKImageInfo info, byte[] pixels, bool inStrips, CancellationToken stop)
    {
        var rows = inStrips ? Math.Max(1, Math.Min(info.Height, StripPixels / info.Width)) : info.Height;
        var rowBytes = info.Width * BytesPerPixel;
        var strip = new byte[(long)rows * rowBytes];
        var pinned = GCHandle.Alloc(strip, GCHandleType.Pinned);
        try
        {
            for (var y = 0; y < info.Height; y += rows)
            {
                stop.ThrowIfCancellationRequested();
                var here = Math.Min(rows, info.Height - y);
                using var codec = SKCodec.Create(data);
                var options = here == info.Height ? SKCodecOptions.Default : new SKCodecOptions(new SKRectI(0, y, info.Width, y + here));
                if (codec.StartIncrementalDecode(info, pinned.AddrOfPinnedObject(), rowBytes, options) == SKCodecResult.Success)
                {
                    if (codec.IncrementalDecode(out _) != SKCodecResult.Success)
                    {
                        return false;
                    }
                }
                else if (here != info.Height || codec.GetPixels(info, pinned.AddrOfPinnedObject()) != SKCodecResult.Success)
                {
                    return false;
                }

                ToGrey(strip, pixels.AsSpan(y * info.Width, here * info.Width));
            }

            return true;
        }
        finally
        {
            pinned.Free();
        }
    }

    /// <summary>Brightness as the eye weighs it (Rec. 601), on white where the picture is clear.</summary>
    private static void ToGrey(ReadOnlySpan<byte> rgba, Span<byte> grey)
    {
        for (var i = 0; i < grey.Length; i++)
        {
            var p = rgba.Slice(4 * i, 4);
            var y = ((77 * p[0]) + (150 * p[1]) + (29 * p[2]) + 128) >> 8;
            grey[i] = (byte)(255 - (((255 - y) * p[3]) / 255));
        }
    }
}
