using System.Buffers.Binary;
using System.Runtime.InteropServices;

namespace Cabida.Store;

/// <summary>
/// What one text has over another, as bytes: runs that are copied from the other, and bytes of its own. Blocks of the base that occur once
/// are looked up by a hash of eight bytes at a time and grown to both sides, as in differences of files (RFC 3284).
/// </summary>
internal static class TextDelta
{
    private const int Block = 24;

    /// <summary>What is not in the base, or only in runs shorter than a block, is written out.</summary>
    /// <returns>Bytes from which <see cref="Apply"/> makes the text again.</returns>
    public static byte[] Of(ReadOnlySpan<byte> from, ReadOnlySpan<byte> text)
    {
        using var made = new MemoryStream();
        var blocks = BlocksOf(from);
        var (at, own) = (0, 0);
        // Where the base would go on if what was copied last went on.
        var onward = 0;
        while (at < text.Length)
        {
            var (start, copied) = Match(from, text, at, own, onward, blocks);
            if (copied == 0)
            {
                at++;
                onward++;
                continue;
            }

            var back = at - start.Text;
            Insert(made, text[own..(at - back)]);
            Number(made, (copied << 1) | 1);
            Number(made, start.From);
            at = own = start.Text + copied;
            onward = start.From + copied;
        }

        Insert(made, text[own..]);
        return made.ToArray();
    }

    /// <summary>The text that a difference was made of.</summary>
    public static byte[] Apply(ReadOnlySpan<byte> from, ReadOnlySpan<byte> delta)
    {
        using var text = new MemoryStream();
        while (delta.Length > 0)
        {
            var head = Read(ref delta);
            var length = head >> 1;
            if ((head & 1) == 1)
            {
                text.Write(from.Slice(Read(ref delta), length));
            }
            else
            {
                text.Write(delta[..length]);
                delta = delta[length..];
            }
        }

        return text.ToArray();
    }

    /// <summary>The parts of a difference: what is copied from where, and bytes of its own.</summary>
    public static List<(int From, int Length, byte[]? Own)> PartsOf(ReadOnlySpan<byte> delta)
    {
        var parts = new List<(int, int, byte[]?)>();
        while (delta.Length > 0)
        {
            var head = Read(ref delta);
            var length = head >> 1;
            if ((head & 1) == 1)
            {
                parts.Add((Read(ref delta), length, null));
            }
            else
            {
                parts.Add((0, length, delta[..length].ToArray()));
                delta = delta[length..];
            }
        }

        return parts;
    }

    /// <summary>
    /// The longest run about a place of the text that the base has where it would go on, or about a block that it has once.
    /// </summary>
    private static ((int From, int Text) Start, int Length) Match(
        ReadOnlySpan<byte> from,
        ReadOnlySpan<byte> text,
        int at,
        int own,
        int onward,
        Dictionary<ulong, int> blocks
    )
    {
        if (text.Length - at < Block)
        {
            return (default, 0);
        }

        foreach (var place in (ReadOnlySpan<int>)[onward, blocks.GetValueOrDefault(HashOf(text.Slice(at, Block)), -1)])
        {
            if (place < 0 || place + Block > from.Length)
            {
                continue;
            }

            var length = text[at..].CommonPrefixLength(from[place..]);
            if (length < Block)
            {
                continue;
            }

            var back = 0;
            while (back < at - own && back < place && text[at - back - 1] == from[place - back - 1])
            {
                back++;
            }

            return ((place - back, at - back), length + back);
        }

        return (default, 0);
    }

    /// <summary>Where each block of the base stands that occurs once among those at multiples of the block's length.</summary>
    private static Dictionary<ulong, int> BlocksOf(ReadOnlySpan<byte> from)
    {
        var blocks = new Dictionary<ulong, int>(from.Length / Block);
        for (var at = 0; at + Block <= from.Length; at += Block)
        {
            ref var place = ref CollectionsMarshal.GetValueRefOrAddDefault(blocks, HashOf(from.Slice(at, Block)), out var there);
            place = there ? -1 : at;
        }

        return blocks;
    }

    private static ulong HashOf(ReadOnlySpan<byte> block)
    {
        var hash = 14_695_981_039_346_656_037UL;
        for (var i = 0; i < Block; i += sizeof(ulong))
        {
            hash = (hash ^ BinaryPrimitives.ReadUInt64LittleEndian(block[i..])) * 1_099_511_628_211UL;
            hash ^= hash >> 32;
        }

        return hash;
    }

    private static void Insert(MemoryStream made, ReadOnlySpan<byte> bytes)
    {
        if (bytes.Length > 0)
        {
            Number(made, bytes.Length << 1);
            made.Write(bytes);
        }
    }

    private static void Number(MemoryStream made, int n)
    {
        for (; n >= 0x80; n >>= 7)
        {
            made.WriteByte((byte)(n | 0x80));
        }

        made.WriteByte((byte)n);
    }

    private static int Read(ref ReadOnlySpan<byte> bytes)
    {
        var (n, i) = (0, 0);
        for (; (bytes[i] & 0x80) != 0; i++)
        {
            n |= (bytes[i] & 0x7F) << (7 * i);
        }

        n |= bytes[i] << (7 * i);
        bytes = bytes[(i + 1)..];
        return n;
    }
}
