using System.Globalization;
using System.IO.Compression;
using System.Text;
using Cabida.Core.Cutting;
using Cabida.Core.Geometry;

namespace Cabida.Formats.Cutting;

/// <summary>
/// Loads as PDF at true size, a page each: the page is the load, every film a spot colour of its own, ink filled and closed, what is cut
/// through waste alone a hairline (ISO 32000).
/// </summary>
public static class CutPdf
{
    /// <summary>Points to the millimetre.</summary>
    public const double PerMillimetre = 72 / 25.4;
    private const double Hairline = 0.05;

    /// <summary>Writes loads.</summary>
    /// <param name="drawings">The loads, a page each.</param>
    public static byte[] Write(IReadOnlyList<CutDrawing> drawings)
    {
        ArgumentNullException.ThrowIfNull(drawings);
        var films = drawings.SelectMany(d => d.Layers).Select(l => (l.Film, l.Colour)).Distinct().ToList();
        var file = new Objects();
        var (catalog, pages, info) = (file.Next(), file.Next(), file.Next());
        var spots = films.ToDictionary(f => f, _ => file.Next());
        var kids = new List<int>();
        foreach (var drawing in drawings)
        {
            var (page, content) = (file.Next(), file.Next());
            kids.Add(page);
            var used = drawing.Layers.Select(l => (l.Film, l.Colour)).Distinct().Select(f => $"/S{films.IndexOf(f)} {spots[f]} 0 R");
            file.Put(
                page,
                $"<< /Type /Page /Parent {pages} 0 R /MediaBox [0 0 {Number(drawing.Width * PerMillimetre)} "
                    + $"{Number(drawing.Height * PerMillimetre)}] /Contents {content} 0 R "
                    + $"/Resources << /ColorSpace << {string.Join(' ', used)} >> >> >>"
            );
            file.Stream(content, Content(drawing, films));
        }

        foreach (var (film, number) in spots)
        {
            file.Put(
                number,
                $"[/Separation /{Name(film.Film)} /DeviceRGB << /FunctionType 2 /Domain [0 1] /C0 [1 1 1] "
                    + $"/C1 [{Colour(film.Colour)}] /N 1 >>]"
            );
        }

        var title = string.Join("; ", drawings.Select(d => d.Title));
        file.Put(info, $"<< /Title {Text(title)} >>");
        file.Put(pages, $"<< /Type /Pages /Count {kids.Count} /Kids [{string.Join(' ', kids.Select(k => $"{k} 0 R"))}] >>");
        file.Put(catalog, $"<< /Type /Catalog /Pages {pages} 0 R >>");
        return file.Written(catalog, info);
    }

    private static string Content(CutDrawing drawing, List<(string Film, string Colour)> films)
    {
        var text = new StringBuilder();
        foreach (var layer in drawing.Layers)
        {
            var spot = films.IndexOf((layer.Film, layer.Colour));
            text.Append(CultureInfo.InvariantCulture, $"/S{spot} cs 1 scn /S{spot} CS 1 SCN {Number(Hairline)} w\n");
            foreach (var group in layer.Groups)
            {
                var ink = group.Lines.Where(l => l.Kind == CutLineKind.Ink).ToList();
                ink.ForEach(l => Append(text, l));
                text.Append(ink.Count > 0 ? "f*\n" : "");
                foreach (var line in group.Lines.Where(l => l.Kind != CutLineKind.Ink))
                {
                    Append(text, line);
                    text.Append("S\n");
                }
            }
        }

        return text.ToString();
    }

    private static void Append(StringBuilder text, CutLine line)
    {
        void Point(PlanePoint p) => text.Append(Number(p.X * PerMillimetre)).Append(' ').Append(Number(p.Y * PerMillimetre)).Append(' ');
        Point(line.Path.Start);
        text.Append("m\n");
        foreach (var segment in line.Path.Segments)
        {
            if (segment is CubicTo c)
            {
                Point(c.Control1);
                Point(c.Control2);
            }

            Point(segment.End);
            text.Append(segment is CubicTo ? "c\n" : "l\n");
        }

        text.Append(line.IsClosed ? "h\n" : "");
    }

    /// <summary>To a ten-thousandth of a point.</summary>
    private static string Number(double value) => value.ToString("0.####", CultureInfo.InvariantCulture);

    /// <summary>Red, green and blue from 0 to 1; black for what is no colour.</summary>
    private static string Colour(string colour) =>
        colour is ['#', _, _, _, _, _, _] && int.TryParse(colour[1..], NumberStyles.HexNumber, CultureInfo.InvariantCulture, out var rgb)
            ? string.Join(' ', new[] { rgb >> 16, rgb >> 8, rgb }.Select(c => Number((c & 255) / 255.0)))
            : "0 0 0";

    /// <summary>A name: letters that a name may not hold as their bytes.</summary>
    private static string Name(string film)
    {
        var name = string.Concat(
            Encoding.UTF8.GetBytes(film.Normalize()).Select(b => b < 128 && char.IsAsciiLetterOrDigit((char)b) ? $"{(char)b}" : $"#{b:X2}")
        );
        return name.Length == 0 ? "Film" : name;
    }

    /// <summary>A text of any tongue, as UTF-16 in hexadecimal.</summary>
    private static string Text(string text) => $"<FEFF{Convert.ToHexString(Encoding.BigEndianUnicode.GetBytes(text))}>";

    /// <summary>The numbered objects of a file, with a table of where each begins.</summary>
    private sealed class Objects
    {
        private readonly SortedDictionary<int, byte[]> bodies = [];
        private int last;

        public int Next() => ++last;

        public void Put(int number, string body) => bodies[number] = Encoding.ASCII.GetBytes(body);

        public void Stream(int number, string content)
        {
            using var packed = new MemoryStream();
            using (var zlib = new ZLibStream(packed, CompressionLevel.Optimal, leaveOpen: true))
            {
                zlib.Write(Encoding.ASCII.GetBytes(content));
            }

            bodies[number] =
            [
                .. Encoding.ASCII.GetBytes($"<< /Length {packed.Length} /Filter /FlateDecode >>\nstream\n"),
                .. packed.ToArray(),
                .. "\nendstream"u8,
            ];
        }

        public byte[] Written(int root, int info)
        {
            using var file = new MemoryStream();
            void Say(string text) => file.Write(Encoding.ASCII.GetBytes(text));
            Say("%PDF-1.7\n");
            // Four letters beyond ASCII, so that nothing takes the file for text.
            file.Write([(byte)'%', 0xE2, 0xE3, 0xCF, 0xD3, (byte)'\n']);
            var places = new List<long>();
            foreach (var (number, body) in bodies)
            {
                places.Add(file.Position);
                Say($"{number} 0 obj\n");
                file.Write(body);
                Say("\nendobj\n");
            }

            var table = file.Position;
            Say($"xref\n0 {bodies.Count + 1}\n0000000000 65535 f \n");
            places.ForEach(p => Say($"{p:D10} 00000 n \n"));
            Say($"trailer\n<< /Size {bodies.Count + 1} /Root {root} 0 R /Info {info} 0 R >>\nstartxref\n{table}\n%%EOF\n");
            return file.ToArray();
        }
    }
}
