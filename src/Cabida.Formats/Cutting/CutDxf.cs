using System.Globalization;
using System.Text;
using Cabida.Core.Cutting;

namespace Cabida.Formats.Cutting;

/// <summary>Which form of DXF.</summary>
public enum DxfForm
{
    /// <summary>That of 2000: light polylines, sizes in millimetres said.</summary>
    R2000,

    /// <summary>That of release 12, which the oldest programs read: polylines of vertices, no unit.</summary>
    R12,
}

/// <summary>
/// A load as DXF in millimetres: lines and arcs on layers named after their films (Autodesk's published DXF reference). Curves become arcs
/// within <see cref="ArcError"/>.
/// </summary>
public static class CutDxf
{
    /// <summary>How far arcs may lie from the curves that they stand for; millimetres.</summary>
    public const double ArcError = 0.003;
    private const int LongestName = 31;

    /// <summary>Writes a load.</summary>
    /// <param name="drawing">The load.</param>
    /// <param name="form">The form.</param>
    public static string Write(CutDrawing drawing, DxfForm form)
    {
        ArgumentNullException.ThrowIfNull(drawing);
        var names = LayerNames([.. drawing.Layers.Select(l => l.Film)], form);
        var text = new DxfText();
        if (form == DxfForm.R2000)
        {
            Dxf2000.Begin(text, drawing, names);
            foreach (var (layer, name) in drawing.Layers.Zip(names))
            {
                foreach (var line in layer.Lines)
                {
                    Dxf2000.Polyline(text, name, line, ArcPath.Of(line.Path, line.IsClosed, ArcError));
                }
            }

            Dxf2000.End(text);
            return text.ToString();
        }

        Begin12(text, drawing, names);
        foreach (var (layer, name) in drawing.Layers.Zip(names))
        {
            foreach (var line in layer.Lines)
            {
                Polyline12(text, name, line, ArcPath.Of(line.Path, line.IsClosed, ArcError));
            }
        }

        text.Add(0, "ENDSEC").Add(0, "EOF");
        return text.ToString();
    }

    private static void Begin12(DxfText text, CutDrawing drawing, List<string> names)
    {
        text.Add(0, "SECTION").Add(2, "HEADER").Add(9, "$ACADVER").Add(1, "AC1009");
        text.Add(9, "$EXTMIN").Add(10, 0.0).Add(20, 0.0).Add(30, 0.0);
        text.Add(9, "$EXTMAX").Add(10, drawing.Width).Add(20, drawing.Height).Add(30, 0.0);
        text.Add(0, "ENDSEC").Add(0, "SECTION").Add(2, "TABLES").Add(0, "TABLE").Add(2, "LTYPE").Add(70, 1);
        text.Add(0, "LTYPE").Add(2, "CONTINUOUS").Add(70, 0).Add(3, "Solid line").Add(72, 65).Add(73, 0).Add(40, 0.0);
        text.Add(0, "ENDTAB").Add(0, "TABLE").Add(2, "LAYER").Add(70, names.Count + 1);
        foreach (var name in names.Prepend("0"))
        {
            text.Add(0, "LAYER").Add(2, name).Add(70, 0).Add(62, 7).Add(6, "CONTINUOUS");
        }

        text.Add(0, "ENDTAB").Add(0, "ENDSEC").Add(0, "SECTION").Add(2, "ENTITIES");
    }

    private static void Polyline12(DxfText text, string layer, CutLine line, IReadOnlyList<ArcCorner> corners)
    {
        text.Add(0, "POLYLINE").Add(8, layer).Add(66, 1).Add(10, 0.0).Add(20, 0.0).Add(30, 0.0).Add(70, line.IsClosed ? 1 : 0);
        foreach (var corner in corners)
        {
            text.Add(0, "VERTEX").Add(8, layer).Add(10, corner.At.X).Add(20, corner.At.Y).Add(30, 0.0);
            if (corner.Bulge != 0)
            {
                text.Add(42, corner.Bulge);
            }
        }

        text.Add(0, "SEQEND").Add(8, layer);
    }

    /// <summary>Names of layers: those of the films in ASCII, which all programs read alike; none twice.</summary>
    private static List<string> LayerNames(IReadOnlyList<string> films, DxfForm form)
    {
        var names = new List<string>();
        foreach (var film in films)
        {
            var plain = Plain(film, form);
            var name = plain;
            for (var n = 2; names.Contains(name, StringComparer.OrdinalIgnoreCase) || name == "0"; n++)
            {
                name = string.Create(CultureInfo.InvariantCulture, $"{plain[..Math.Min(plain.Length, LongestName - 3)]}_{n}");
            }

            names.Add(name);
        }

        return names;
    }

    /// <summary>
    /// Letters, digits, blanks and hyphens, accents left out; of the oldest form capitals, digits and low lines, which are all it knows.
    /// </summary>
    private static string Plain(string film, DxfForm form)
    {
        var isOld = form == DxfForm.R12;
        var letters = film.Normalize(NormalizationForm.FormD)
            .Where(c => CharUnicodeInfo.GetUnicodeCategory(c) != UnicodeCategory.NonSpacingMark)
            .SelectMany(c => WithoutStroke.GetValueOrDefault(c) ?? $"{c}")
            .Select(c =>
                char.IsAsciiLetterOrDigit(c) ? (isOld ? char.ToUpperInvariant(c) : c)
                : !isOld && c is ' ' or '-' ? c
                : '_'
            );
        var plain = new string([.. letters]).Trim('_', ' ');
        return plain.Length == 0 ? (isOld ? "FILM" : "Film") : plain[..Math.Min(plain.Length, LongestName)];
    }

    /// <summary>Letters that are not a plain one with an accent, as they are written where there are none.</summary>
    private static readonly Dictionary<char, string> WithoutStroke = new()
    {
        ['Ł'] = "L",
        ['ł'] = "l",
        ['Ø'] = "O",
        ['ø'] = "o",
        ['Đ'] = "D",
        ['đ'] = "d",
        ['ß'] = "ss",
        ['Æ'] = "AE",
        ['æ'] = "ae",
        ['Œ'] = "OE",
        ['œ'] = "oe",
        ['Þ'] = "Th",
        ['þ'] = "th",
        ['ı'] = "i",
    };
}
