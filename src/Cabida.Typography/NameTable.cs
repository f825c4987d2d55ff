using System.Buffers.Binary;
using System.Text;
using SkiaSharp;

namespace Cabida.Typography;

/// <summary>What a face says of itself in its name table (OpenType 1.9).</summary>
/// <param name="Family">Its family.</param>
/// <param name="Style">Its style within the family.</param>
/// <param name="Licence">Copyright and licence, in paragraphs.</param>
internal sealed record NameTable(string Family, string Style, string Licence)
{
    private const uint Tag = 0x6E616D65;
    private const int RecordLength = 12;
    private const int English = 0x0409;

    /// <summary>Reads the table; what it lacks is empty.</summary>
    public static NameTable Of(SKTypeface face)
    {
        if (!face.TryGetTableData(Tag, out var table) || table.Length < 6)
        {
            return new("", "", "");
        }

        var names = Names(table);
        string Of(params int[] ids) => ids.Select(i => names.GetValueOrDefault(i, "")).FirstOrDefault(n => n.Length > 0) ?? "";
        var licence = new[] { Of(0), Of(13), Of(14) }.Where(t => t.Length > 0).Distinct(StringComparer.Ordinal);
        return new(Of(16, 1), Of(17, 2), string.Join("\n\n", licence));
    }

    private static Dictionary<int, string> Names(byte[] table)
    {
        var count = BinaryPrimitives.ReadUInt16BigEndian(table.AsSpan(2));
        var strings = BinaryPrimitives.ReadUInt16BigEndian(table.AsSpan(4));
        var found = new Dictionary<int, (int Rank, string Text)>();
        for (var at = 6; count-- > 0 && at + RecordLength <= table.Length; at += RecordLength)
        {
            int Word(int offset) => BinaryPrimitives.ReadUInt16BigEndian(table.AsSpan(at + offset));
            var (platform, language, id, length, start) = (Word(0), Word(4), Word(6), Word(8), strings + Word(10));
            if (start + length > table.Length)
            {
                continue;
            }

            // English of the Windows platform first, then other Unicode, then the old Roman encoding.
            var rank =
                platform == 3 && language == English ? 0
                : platform is 3 or 0 ? 1
                : 2;
            var text = (platform == 1 ? Encoding.Latin1 : Encoding.BigEndianUnicode).GetString(table, start, length).Trim();
            if (text.Length > 0 && (!found.TryGetValue(id, out var before) || rank < before.Rank))
            {
                found[id] = (rank, text);
            }
        }

        return found.ToDictionary(f => f.Key, f => f.Value.Text);
    }
}
