using System.Globalization;
using System.IO.Compression;
using System.Text;
using System.Text.RegularExpressions;
using Cabida.Core.Geometry;

namespace Cabida.Formats.Cutting;

/// <summary>
/// Reads back what <see cref="CutPdf"/> writes: pages, their boxes and the paths of their contents, through the table of objects.
/// </summary>
public static partial class CutPdfReader
{
    /// <summary>Reads a file, a load for each page.</summary>
    /// <exception cref="FormatException">It is not such a file.</exception>
    public static IReadOnlyList<ReadCut> Read(byte[] file)
    {
        ArgumentNullException.ThrowIfNull(file);
        // A letter a byte, so that places in the text are places in the file.
        var text = Encoding.Latin1.GetString(file);
        var table = Table(text);
        string Object(int number) =>
            table.TryGetValue(number, out var at) && text.AsSpan(at).StartsWith($"{number} 0 obj")
                ? text[at..text.IndexOf("endobj", at, StringComparison.Ordinal)]
                : throw new FormatException($"The object {number} is not where the table says.");
        int Reference(string body, string key) =>
            Regex.Match(body, $@"/{key} (\d+) 0 R") is { Success: true } found
                ? int.Parse(found.Groups[1].Value, CultureInfo.InvariantCulture)
                : throw new FormatException($"There is no {key}.");
        var root = Reference(text[text.LastIndexOf("trailer", StringComparison.Ordinal)..], "Root");
        var kids = Kids().Match(Object(Reference(Object(root), "Pages"))).Groups[1].Value;
        return
        [
            .. Numbers()
                .Matches(kids)
                .Select(m => Object(int.Parse(m.Groups[1].Value, CultureInfo.InvariantCulture)))
                .Select(page => Page(page, Unpacked(file, table[Reference(page, "Contents")], Object(Reference(page, "Contents"))))),
        ];
    }

    private static Dictionary<int, int> Table(string text)
    {
        var start = Start().Match(text) is { Success: true } found
            ? int.Parse(found.Groups[1].Value, CultureInfo.InvariantCulture)
            : throw new FormatException("The file does not say where its table is.");
        if (!text.AsSpan(start).StartsWith("xref"))
        {
            throw new FormatException("The table is not where the file says.");
        }

        return Entries()
            .Matches(text[start..])
            .Select((m, i) => (Number: i, At: int.Parse(m.Groups[1].Value, CultureInfo.InvariantCulture)))
            .Skip(1)
            .ToDictionary(e => e.Number, e => e.At);
    }

    private static string Unpacked(byte[] file, int at, string body)
    {
        var length = int.Parse(Length().Match(body).Groups[1].Value, CultureInfo.InvariantCulture);
        var start = at + body.IndexOf("stream\n", StringComparison.Ordinal) + "stream\n".Length;
        using var packed = new ZLibStream(new MemoryStream(file, start, length), CompressionMode.Decompress);
        using var reader = new StreamReader(packed, Encoding.ASCII);
        return reader.ReadToEnd();
    }

    private static ReadCut Page(string page, string content)
    {
        var box = MediaBox().Match(page).Groups[1].Value.Split(' ').Select(Number).ToArray();
        if (box.Length != 4)
        {
            throw new FormatException("A page has no size.");
        }

        var lines = new List<ReadLine>();
        var (layer, begun) = ("", new List<(Contour Path, bool IsClosed)>());
        var stack = new List<string>();
        PlanePoint? start = null;
        var segments = new List<CurveSegment>();
        void End(bool closed)
        {
            if (start is { } from)
            {
                begun.Add((new Contour(from, [.. segments]), closed));
            }

            (start, segments) = (null, []);
        }

        void Painted()
        {
            End(false);
            lines.AddRange(begun.Select(b => Line(layer, b.Path, b.IsClosed)));
            begun.Clear();
        }

        PlanePoint Point(int fromEnd) =>
            new(Number(stack[^fromEnd]) / CutPdf.PerMillimetre, Number(stack[^(fromEnd - 1)]) / CutPdf.PerMillimetre);
        foreach (var word in content.Split([' ', '\n'], StringSplitOptions.RemoveEmptyEntries))
        {
            switch (word)
            {
                case "m":
                    End(false);
                    start = Point(2);
                    break;
                case "l":
                    segments.Add(new LineSegmentTo(Point(2)));
                    break;
                case "c":
                    segments.Add(new CubicTo(Point(6), Point(4), Point(2)));
                    break;
                case "h":
                    End(true);
                    break;
                case "f*" or "S":
                    Painted();
                    break;
                case "cs":
                    layer = stack[^1];
                    break;
                case "CS" or "scn" or "SCN" or "w":
                    break;
                default:
                    stack.Add(word);
                    continue;
            }

            stack.Clear();
        }

        return new ReadCut((box[2] - box[0]) / CutPdf.PerMillimetre, (box[3] - box[1]) / CutPdf.PerMillimetre, lines);
    }

    private static ReadLine Line(string layer, Contour path, bool isClosed)
    {
        var points = CurveFlattening.Flatten(path, ReadCut.ChordError, Math.PI);
        return new ReadLine(layer, isClosed && points[0] != points[^1] ? [.. points, points[0]] : points, isClosed);
    }

    private static double Number(string text) =>
        double.TryParse(text, NumberStyles.Float, CultureInfo.InvariantCulture, out var number)
            ? number
            : throw new FormatException($"{text} is no number.");

    [GeneratedRegex(@"startxref\n(\d+)\n%%EOF\s*$")]
    private static partial Regex Start();

    [GeneratedRegex(@"(\d{10}) \d{5} [nf] ")]
    private static partial Regex Entries();

    [GeneratedRegex(@"/Kids \[([^\]]*)\]")]
    private static partial Regex Kids();

    [GeneratedRegex(@"(\d+) 0 R")]
    private static partial Regex Numbers();

    [GeneratedRegex(@"/Length (\d+)")]
    private static partial Regex Length();

    [GeneratedRegex(@"/MediaBox \[([^\]]*)\]")]
    private static partial Regex MediaBox();
}
