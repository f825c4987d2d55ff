using System.IO.Compression;

namespace Cabida.Store;

/// <summary>Bytes made small, and back.</summary>
internal static class Packing
{
    public static byte[] Pack(ReadOnlySpan<byte> bytes)
    {
        using var packed = new MemoryStream();
        using (var brotli = new BrotliStream(packed, CompressionLevel.Fastest))
        {
            brotli.Write(bytes);
        }

        return packed.ToArray();
    }

    public static byte[] Unpack(byte[] packed)
    {
        using var brotli = new BrotliStream(new MemoryStream(packed), CompressionMode.Decompress);
        using var bytes = new MemoryStream();
        brotli.CopyTo(bytes);
        return bytes.ToArray();
    }
}
