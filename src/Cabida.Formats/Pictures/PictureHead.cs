using System.Buffers.Binary;
using Cabida.Core.Wording;

namespace Cabida.Formats.Pictures;

/// <summary>What the head of a picture file tells, before anything of it is decoded.</summary>
/// <param name="MediaType">PNG or JPEG.</param>
/// <param name="Width">Pixels across, turned as its camera notes.</param>
/// <param name="Height">Pixels down, turned.</param>
/// <param name="InStrips">Whether it can be read strip by strip: neither progressive nor interlaced.</param>
/// <param name="DotsPerInch">Its resolution, where the file states one.</param>
public sealed record PictureHead(string MediaType, int Width, int Height, bool InStrips, double? DotsPerInch)
{
    /// <summary>How what is stored is turned before it is looked at.</summary>
    public PictureTurn Turn { get; init; } = PictureTurn.None;

    /// <summary>Pixels across and down as stored.</summary>
    public (int Width, int Height) Stored => Turn.Swaps ? (Height, Width) : (Width, Height);

    /// <summary>The most pixels that are read at all.</summary>
    public const long MostPixels = 100_000_000;

    /// <summary>The most pixels of a picture that must be decoded as a whole.</summary>
    public const long MostWhole = 40_000_000;

    private const double MillimetresPerMetrePerInch = 0.0254;

    /// <summary>Reads the head of a PNG or JPEG, or says why the picture cannot be used.</summary>
    public static Outcome<PictureHead> Read(ReadOnlySpan<byte> file)
    {
        var head =
            IsPng(file) ? Png(file)
            : file is [0xFF, 0xD8, 0xFF, ..] ? Jpeg(file)
            : null;
        if (head is null)
        {
            return Outcome<PictureHead>.Fail(
                IsTiff(file)
                    ? Phrase.Say($"TIFF cannot be read here. Save the scan as PNG or JPEG.")
                    : Phrase.Say($"This is no picture that can be read. Bring a PNG or a JPEG.")
            );
        }

        var pixels = (long)head.Width * head.Height;
        if (pixels > MostPixels)
        {
            return Outcome<PictureHead>.Fail(
                Phrase.Say(
                    $"This picture has {pixels / 1e6:0} million pixels ({head.Width} × {head.Height}); up to {MostPixels / 1e6:0} "
                        + $"million are read. Scan at 300 dots an inch, or less of the bed."
                )
            );
        }

        if (pixels > MostWhole && !head.InStrips)
        {
            return Outcome<PictureHead>.Fail(
                Phrase.Say(
                    $"This picture of {pixels / 1e6:0} million pixels is "
                        + $"{(head.MediaType == "image/png" ? "interlaced" : "progressive")}, so it could only be read as a whole, and "
                        + $"that is done up to {MostWhole / 1e6:0} million. Save it as a plain PNG or a baseline JPEG."
                )
            );
        }

        return pixels < 64 * 64
            ? Outcome<PictureHead>.Fail(
                Phrase.Say($"This picture has only {head.Width} × {head.Height} pixels; nothing can be measured on it.")
            )
            : Outcome<PictureHead>.Of(head);
    }

    private static bool IsPng(ReadOnlySpan<byte> file) => file is [0x89, 0x50, 0x4E, 0x47, 0x0D, 0x0A, 0x1A, 0x0A, ..] && file.Length > 33;

    private static bool IsTiff(ReadOnlySpan<byte> file) => file is [0x49, 0x49, 0x2A, 0x00, ..] or [0x4D, 0x4D, 0x00, 0x2A, ..];

    private static PictureHead? Png(ReadOnlySpan<byte> file)
    {
        int width = BinaryPrimitives.ReadInt32BigEndian(file[16..]),
            height = BinaryPrimitives.ReadInt32BigEndian(file[20..]);
        double? dots = null;
        var turn = PictureTurn.None;
        for (var at = 8; at + 12 <= file.Length; )
        {
            var length = BinaryPrimitives.ReadInt32BigEndian(file[at..]);
            var kind = file.Slice(at + 4, 4);
            if (length < 0 || kind.SequenceEqual("IDAT"u8))
            {
                break;
            }

            // Pixels a metre, when the unit byte says so.
            if (kind.SequenceEqual("pHYs"u8) && at + 17 <= file.Length && file[at + 16] == 1)
            {
                dots = Math.Round(BinaryPrimitives.ReadInt32BigEndian(file[(at + 8)..]) * MillimetresPerMetrePerInch, 1);
            }

            if (kind.SequenceEqual("eXIf"u8) && length <= file.Length - at - 12)
            {
                turn = PictureTurn.Of(file.Slice(at + 8, length));
            }

            if (length > file.Length)
            {
                break;
            }

            at += length + 12;
        }

        return width > 0 && height > 0 ? Turned("image/png", width, height, file[28] == 0, dots, turn) : null;
    }

    private static PictureHead? Jpeg(ReadOnlySpan<byte> file)
    {
        double? dots = null;
        var turn = PictureTurn.None;
        for (var at = 2; at + 9 < file.Length && file[at] == 0xFF; )
        {
            var marker = file[at + 1];
            var length = BinaryPrimitives.ReadUInt16BigEndian(file[(at + 2)..]);
            if (marker == 0xE0 && length >= 14 && at + 16 < file.Length && file.Slice(at + 4, 4).SequenceEqual("JFIF"u8))
            {
                var density = BinaryPrimitives.ReadUInt16BigEndian(file[(at + 12)..]);
                dots = file[at + 11] switch
                {
                    1 when density > 1 => density,
                    2 when density > 1 => Math.Round(density * 2.54, 1),
                    _ => null,
                };
            }

            if (marker == 0xE1 && length >= 16 && at + 2 + length <= file.Length && file.Slice(at + 4, 6).SequenceEqual("Exif\0\0"u8))
            {
                turn = PictureTurn.Of(file.Slice(at + 10, length - 8));
            }

            // Frames: C0 to CF but for tables (C4), extensions (C8) and arithmetic conditioning (CC).
            if (marker is >= 0xC0 and <= 0xCF and not (0xC4 or 0xC8 or 0xCC))
            {
                int height = BinaryPrimitives.ReadUInt16BigEndian(file[(at + 5)..]),
                    width = BinaryPrimitives.ReadUInt16BigEndian(file[(at + 7)..]);
                return width > 0 && height > 0 ? Turned("image/jpeg", width, height, marker is 0xC0 or 0xC1, dots, turn) : null;
            }

            at += 2 + length;
        }

        return null;
    }

    private static PictureHead Turned(string kind, int width, int height, bool inStrips, double? dots, PictureTurn turn) =>
        new(kind, turn.Swaps ? height : width, turn.Swaps ? width : height, inStrips, dots) { Turn = turn };
}
