using System.Buffers.Binary;
using System.Text;
using SkiaSharp;

namespace Cabida.Typography;

/// <summary>The substitution features of a face, from the feature list of its GSUB table (OpenType 1.9).</summary>
internal static class FeatureTags
{
    private const uint Gsub = 0x47535542;
    private const int FeatureListAt = 6;
    private const int RecordLength = 6;

    /// <summary>Features that are on unless they are switched off, and that may be: ligatures and contextual forms.</summary>
    private static readonly HashSet<string> Usual = new(StringComparer.Ordinal) { "liga", "clig", "calt" };

    /// <summary>Features that a line cannot do without, or that make no other form of a letter.</summary>
    private static readonly HashSet<string> Silent = new(StringComparer.Ordinal)
    {
        "ccmp",
        "locl",
        "rlig",
        "rclt",
        "rvrn",
        "abvs",
        "blws",
        "pres",
        "psts",
        "haln",
        "half",
        "akhn",
        "rphf",
        "rkrf",
        "pref",
        "blwf",
        "abvf",
        "pstf",
        "cjct",
        "nukt",
        "vatu",
        "vert",
        "vrt2",
    };

    /// <summary>Whether a feature is a form that is chosen by eye.</summary>
    public static bool IsChosen(string tag) => !Usual.Contains(tag) && !Silent.Contains(tag);

    /// <summary>Whether a feature is on by itself and may be switched off.</summary>
    public static bool IsUsual(string tag) => Usual.Contains(tag);

    /// <summary>The tags of a face in order, each once; none where it has no such table.</summary>
    public static IReadOnlySet<string> Of(SKTypeface face)
    {
        var tags = new SortedSet<string>(StringComparer.Ordinal);
        if (!face.TryGetTableData(Gsub, out var table) || table.Length < FeatureListAt + 2)
        {
            return tags;
        }

        var list = BinaryPrimitives.ReadUInt16BigEndian(table.AsSpan(FeatureListAt));
        if (list + 2 > table.Length)
        {
            return tags;
        }

        var count = BinaryPrimitives.ReadUInt16BigEndian(table.AsSpan(list));
        for (var at = list + 2; count-- > 0 && at + 4 <= table.Length; at += RecordLength)
        {
            tags.Add(Encoding.ASCII.GetString(table, at, 4));
        }

        return tags;
    }
}
