using System.Xml.Linq;
using Cabida.Core.Cutting;
using Cabida.Core.Geometry;
using Cabida.Core.Stock;
using Cabida.Formats.Svg;

namespace Cabida.Formats.Cutting;

/// <summary>
/// A load as SVG at true size: width and height in millimetres, and a view box in the units that the cutter's program takes numbers for.
/// Whatever reads the width has the right size, and so has what only reads the numbers and takes them for these units. Ink is filled and
/// closed, none of it stroked; what is cut through waste alone is a line without a fill.
/// </summary>
public static class CutSvg
{
    private const double Inch = 25.4;
    private static readonly XNamespace Ns = "http://www.w3.org/2000/svg";

    /// <summary>How many units a millimetre has.</summary>
    public static double PerMillimetre(SvgNumbers units) =>
        units switch
        {
            SvgNumbers.Millimetres => 1,
            SvgNumbers.Per96 => 96 / Inch,
            SvgNumbers.Per90 => 90 / Inch,
            SvgNumbers.Per72 => 72 / Inch,
            _ => throw new ArgumentOutOfRangeException(nameof(units)),
        };

    /// <summary>Writes a load.</summary>
    /// <param name="drawing">The load.</param>
    /// <param name="units">What its numbers stand for.</param>
    public static string Write(CutDrawing drawing, SvgNumbers units = SvgNumbers.Millimetres)
    {
        ArgumentNullException.ThrowIfNull(drawing);
        var scale = PerMillimetre(units);
        var document = new XDocument(
            new XDeclaration("1.0", "utf-8", null),
            new XElement(
                Ns + "svg",
                new XAttribute("width", SvgPath.Number(drawing.Width) + "mm"),
                new XAttribute("height", SvgPath.Number(drawing.Height) + "mm"),
                new XAttribute("viewBox", $"0 0 {SvgPath.Number(drawing.Width * scale)} {SvgPath.Number(drawing.Height * scale)}"),
                new XElement(Ns + "title", Printable(drawing.Title)),
                drawing.Layers.SelectMany(l => Inks(l, drawing.Height, scale)),
                Lines(drawing, scale)
            )
        );
        return document.Declaration + "\n" + document + "\n";
    }

    /// <summary>The ink of a layer, a path for each piece.</summary>
    private static IEnumerable<XElement> Inks(CutLayer layer, double top, double scale) =>
        layer
            .Groups.Select(g => (g.Name, Lines: g.Lines.Where(l => l.Kind == CutLineKind.Ink).ToList()))
            .Where(g => g.Lines.Count > 0)
            .Select(g => new XElement(
                Ns + "path",
                new XAttribute("fill", layer.Colour),
                new XAttribute("fill-rule", "evenodd"),
                new XAttribute("d", SvgPath.Of(g.Lines.Select(l => Scaled(l, scale)), top * scale)),
                new XElement(Ns + "title", Printable(g.Name))
            ));

    /// <summary>What is cut through waste alone, in a group of its own.</summary>
    private static XElement? Lines(CutDrawing drawing, double scale)
    {
        var lines = drawing.Lines.Where(l => l.Kind != CutLineKind.Ink).ToList();
        if (lines.Count == 0)
        {
            return null;
        }

        PlanePoint Down(PlanePoint p) => new(p.X, (drawing.Height * scale) - p.Y);
        return new XElement(
            Ns + "g",
            new XAttribute("fill", "none"),
            new XAttribute("stroke", "#000000"),
            new XAttribute("stroke-width", SvgPath.Number(0.1 * scale)),
            new XElement(Ns + "title", "Weed boxes, breaks and marks"),
            lines
                .Select(l => (l.IsClosed, Path: Scaled(l, scale)))
                .Select(l => new XElement(
                    Ns + "path",
                    new XAttribute("d", SvgPath.OfLine(l.Path.Segments.Select(s => s.End).Prepend(l.Path.Start).Select(Down), l.IsClosed))
                ))
        );
    }

    private static Contour Scaled(CutLine line, double scale) => scale == 1 ? line.Path : line.Path.Moved(Motion.Scale(scale, scale));

    /// <summary>Without the control characters that no XML document may hold.</summary>
    private static string Printable(string text) => new([.. text.Where(System.Xml.XmlConvert.IsXmlChar)]);
}
