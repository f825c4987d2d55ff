using System.Buffers.Binary;

namespace Cabida.Formats.Pictures;

/// <summary>
/// How a stored picture is to be turned before it is looked at, as cameras note it (Exif 2.32, tag 0x0112): 1 as stored, 2 mirrored,
/// 3 upside down, 4 mirrored upside down, 5 mirrored about its diagonal, 6 a quarter to the right, 7 mirrored about the other diagonal, 8 a
/// quarter to
/// the left.
/// </summary>
/// <param name="How">1 to 8.</param>
public readonly record struct PictureTurn(int How)
{
    private const int OrientationTag = 0x0112;

    private const int TagSize = 12;

    /// <summary>As it is stored.</summary>
    public static PictureTurn None => new(1);

    /// <summary>Whether width and height change places.</summary>
    public bool Swaps => How >= 5;

    /// <summary>Reads the turn from an Exif block (its TIFF header first); none where it cannot be read.</summary>
    public static PictureTurn Of(ReadOnlySpan<byte> exif)
    {
        if (exif.Length < 8 || exif is not ([0x49, 0x49, ..] or [0x4D, 0x4D, ..]))
        {
            return None;
        }

        var little = exif[0] == 0x49;
        var at = Number(exif[4..], 4, little);
        if (at < 8 || at + 2 > exif.Length)
        {
            return None;
        }

        var tags = Number(exif[(int)at..], 2, little);
        for (var i = 0; i < tags; i++)
        {
            var tag = at + 2 + (i * TagSize);
            if (tag + TagSize > exif.Length)
            {
                break;
            }

            if (Number(exif[(int)tag..], 2, little) == OrientationTag)
            {
                var how = (int)Number(exif[((int)tag + 8)..], 2, little);
                return how is >= 1 and <= 8 ? new PictureTurn(how) : None;
            }
        }

        return None;
    }

    /// <summary>Turns pixels; as they are where there is nothing to turn.</summary>
    /// <param name="stored">Row after row as stored.</param>
    /// <param name="width">Stored pixels across.</param>
    /// <param name="height">Stored pixels down.</param>
    /// <param name="bytes">Bytes of a pixel.</param>
    public byte[] Of(byte[] stored, int width, int height, int bytes)
    {
        ArgumentNullException.ThrowIfNull(stored);
        if (How == 1)
        {
            return stored;
        }

        var (w, h) = Swaps ? (height, width) : (width, height);
        var turned = new byte[stored.Length];
        for (var y = 0; y < h; y++)
        {
            for (var x = 0; x < w; x++)
            {
                var (sx, sy) = How switch
                {
                    2 => (width - 1 - x, y),
                    3 => (width - 1 - x, height - 1 - y),
                    4 => (x, height - 1 - y),
                    5 => (y, x),
                    6 => (y, height - 1 - x),
                    7 => (width - 1 - y, height - 1 - x),
                    _ => (width - 1 - y, x),
                };
                stored.AsSpan(((sy * width) + sx) * bytes, bytes).CopyTo(turned.AsSpan(((y * w) + x) * bytes));
            }
        }

        return turned;
    }

    private static long Number(ReadOnlySpan<byte> at, int bytes, bool little) =>
        bytes == 2
            ? little
                ? BinaryPrimitives.ReadUInt16LittleEndian(at)
                : BinaryPrimitives.ReadUInt16BigEndian(at)
            : little
                ? BinaryPrimitives.ReadUInt32LittleEndian(at)
                : BinaryPrimitives.ReadUInt32BigEndian(at);
}
