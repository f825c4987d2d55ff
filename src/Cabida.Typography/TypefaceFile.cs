using System.Buffers.Binary;
using System.Security.Cryptography;
using System.Text;
using Cabida.Core.Wording;
using SkiaSharp;

namespace Cabida.Typography;

/// <summary>A face of a typeface file.</summary>
/// <param name="Index">Which face of the file.</param>
/// <param name="Name">Its family and style, as the file says.</param>
/// <param name="Kind">Its style in a word.</param>
/// <param name="Licence">What the file says of its licence; empty when it says nothing.</param>
public sealed record FaceInFile(int Index, string Name, string Kind, string Licence);

/// <summary>Reads what a typeface file (TTF, OTF or a collection) holds, and refuses what cannot be cut.</summary>
public static class TypefaceFile
{
    /// <summary>Larger files are not typefaces for lettering.</summary>
    public const int MostBytes = 60_000_000;

    private const int MostFaces = 64;
    private const uint CollectionMark = 0x74746366;
    private const int DirectoryEntry = 16;
    private static readonly uint[] SingleMarks = [0x00010000, 0x4F54544F, 0x74727565];
    private static readonly uint[] OutlineTables = [Mark("glyf"), Mark("CFF "), Mark("CFF2")];

    /// <summary>The faces of a file, or why it cannot be used.</summary>
    /// <param name="name">The name of the file, for what is said about it.</param>
    /// <param name="file">Its bytes.</param>
    public static Outcome<IReadOnlyList<FaceInFile>> Read(string name, byte[] file)
    {
        ArgumentNullException.ThrowIfNull(file);
        if (file.Length is < 12 or > MostBytes)
        {
            return Fail(
                file.Length < 12
                    ? Phrase.Say($"{name:strong} is no typeface: it is empty.")
                    : Phrase.Say($"{name:strong} is larger than {MostBytes / 1e6:0} MB.")
            );
        }

        var offsets = Offsets(file);
        if (offsets.Count == 0)
        {
            return Fail(Phrase.Say($"{name:strong} is no typeface. TTF, OTF and collections of them (TTC, OTC) can be added."));
        }

        var faces = new List<FaceInFile>();
        foreach (var (offset, index) in offsets.Select((o, i) => (o, i)))
        {
            if (Directory(file, offset) is not { } tables)
            {
                return Fail(Phrase.Say($"{name:strong} is damaged: it is shorter than it says. Get the file again."));
            }

            if (!tables.Keys.Any(OutlineTables.Contains))
            {
                return Fail(Phrase.Say($"{name:strong} has no outlines, only pictures of letters, so that nothing can be cut from it."));
            }

            using var face = Open(file, index);
            if (face is null || !IsDrawn(face))
            {
                return Fail(Phrase.Say($"{name:strong} is damaged: its letters cannot be drawn. Get the file again."));
            }

            var said = NameTable.Of(face);
            var style = said.Style.Length > 0 ? said.Style : "Regular";
            var family =
                said.Family.Length > 0 ? said.Family
                : face.FamilyName is { Length: > 0 } f ? f
                : Path.GetFileNameWithoutExtension(name);
            faces.Add(new FaceInFile(index, style == "Regular" ? family : $"{family} {style}", style.ToLowerInvariant(), said.Licence));
        }

        return Outcome<IReadOnlyList<FaceInFile>>.Of(faces);
    }

    /// <summary>A hash that tells apart two cuts of one face.</summary>
    public static string RevisionOf(byte[] file) => Convert.ToHexStringLower(SHA256.HashData(file))[..12];

    private static Outcome<IReadOnlyList<FaceInFile>> Fail(Phrase why) => Outcome<IReadOnlyList<FaceInFile>>.Fail(why);

    private static SKTypeface? Open(byte[] file, int index)
    {
        using var data = SKData.CreateCopy(file);
        return SKTypeface.FromData(data, index);
    }

    /// <summary>Whether at least one glyph has an outline that is not empty.</summary>
    private static bool IsDrawn(SKTypeface face)
    {
        using var font = new SKFont(face, 100);
        for (var glyph = 0; glyph < Math.Min(face.GlyphCount, 400); glyph++)
        {
            using var path = font.GetGlyphPath((ushort)glyph);
            if (path is { IsEmpty: false })
            {
                return true;
            }
        }

        return false;
    }

    /// <summary>Where the table directories of the file's faces start.</summary>
    private static List<int> Offsets(byte[] file)
    {
        var mark = BinaryPrimitives.ReadUInt32BigEndian(file);
        if (SingleMarks.Contains(mark))
        {
            return [0];
        }

        if (mark != CollectionMark)
        {
            return [];
        }

        var count = BinaryPrimitives.ReadUInt32BigEndian(file.AsSpan(8));
        return count is 0 or > MostFaces || 12 + (4 * (long)count) > file.Length
            ? []
            :
            [
                .. Enumerable
                    .Range(0, (int)count)
                    .Select(i => (int)Math.Min(BinaryPrimitives.ReadUInt32BigEndian(file.AsSpan(12 + (4 * i))), int.MaxValue)),
            ];
    }

    /// <summary>The tables of a face by tag; null when one of them reaches beyond the file.</summary>
    private static Dictionary<uint, (int At, int Length)>? Directory(byte[] file, int offset)
    {
        if (offset + 12L > file.Length)
        {
            return null;
        }

        var count = BinaryPrimitives.ReadUInt16BigEndian(file.AsSpan(offset + 4));
        var tables = new Dictionary<uint, (int, int)>();
        for (var i = 0; i < count; i++)
        {
            var at = offset + 12 + (DirectoryEntry * (long)i);
            if (at + DirectoryEntry > file.Length)
            {
                return null;
            }

            var entry = file.AsSpan((int)at, DirectoryEntry);
            var (start, length) = (BinaryPrimitives.ReadUInt32BigEndian(entry[8..]), BinaryPrimitives.ReadUInt32BigEndian(entry[12..]));
            if (start + (long)length > file.Length)
            {
                return null;
            }

            tables[BinaryPrimitives.ReadUInt32BigEndian(entry)] = ((int)start, (int)length);
        }

        return tables;
    }

    private static uint Mark(string tag) => BinaryPrimitives.ReadUInt32BigEndian(Encoding.ASCII.GetBytes(tag));
}
