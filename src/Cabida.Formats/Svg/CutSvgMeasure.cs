using System.Globalization;
using System.Text.RegularExpressions;
using System.Xml;
using System.Xml.Linq;
using Cabida.Core.Geometry;

namespace Cabida.Formats.Svg;

/// <summary>What a cut file really holds, measured from its text alone.</summary>
/// <param name="Width">Its physical width in millimetres.</param>
/// <param name="Height">Its physical height in millimetres.</param>
/// <param name="Pieces">The box of each path in millimetres, from the upper left, y down.</param>
/// <param name="Outlines">How many closed outlines there are.</param>
/// <param name="Crossing">How many of them cross themselves.</param>
public sealed partial record CutSvgMeasure(double Width, double Height, IReadOnlyList<Box> Pieces, int Outlines, int Crossing)
{
    private const double FlatteningError = 0.001;

    /// <summary>By how much anything reaches beyond the file's own size; zero where nothing does.</summary>
    public double Beyond =>
        Used is { } used ? Math.Max(0, new[] { -used.MinX, -used.MinY, used.MaxX - Width, used.MaxY - Height }.Max()) : 0;

    /// <summary>The box of everything cut, or null when nothing is.</summary>
    public Box? Used => Box.Around(Pieces);

    /// <summary>Reads a file back.</summary>
    /// <exception cref="FormatException">It is not SVG in millimetres with closed paths of lines and cubics.</exception>
    public static CutSvgMeasure Of(string svg)
    {
        XElement root;
        try
        {
            root = XDocument.Parse(svg).Root!;
        }
        catch (XmlException e)
        {
            throw new FormatException("Not XML: " + e.Message, e);
        }

        var (width, height) = (Millimetres(root, "width"), Millimetres(root, "height"));
        var box = ((string?)root.Attribute("viewBox") ?? "").Split(' ', StringSplitOptions.RemoveEmptyEntries).Select(Parse).ToArray();
        if (box.Length != 4)
        {
            throw new FormatException("No view box.");
        }

        double sx = width / box[2],
            sy = height / box[3];
        var (outlines, crossing) = (0, 0);
        var pieces = new List<Box>();
        foreach (var path in root.Descendants().Where(e => e.Name.LocalName == "path"))
        {
            var contours = Contours((string?)path.Attribute("d") ?? "");
            outlines += contours.Count;
            crossing += contours.Count(c => !SoundCurves.IsSound([c]));
            var points = contours.SelectMany(c => CurveFlattening.Flatten(c, FlatteningError, Tolerances.InkTurn)).ToList();
            if (points.Count > 0)
            {
                pieces.Add(
                    new Box(
                        (points.Min(p => p.X) - box[0]) * sx,
                        (points.Min(p => p.Y) - box[1]) * sy,
                        (points.Max(p => p.X) - box[0]) * sx,
                        (points.Max(p => p.Y) - box[1]) * sy
                    )
                );
            }
        }

        return new CutSvgMeasure(width, height, pieces, outlines, crossing);
    }

    private static double Millimetres(XElement root, string attribute) =>
        (string?)root.Attribute(attribute) is { } text && text.EndsWith("mm", StringComparison.Ordinal)
            ? Parse(text[..^2])
            : throw new FormatException($"The {attribute} is not in millimetres.");

    private static List<Contour> Contours(string d)
    {
        var contours = new List<Contour>();
        PlanePoint? start = null;
        var segments = new List<CurveSegment>();
        foreach (Match command in Command().Matches(d))
        {
            var n = Numbers().Matches(command.Groups[2].Value).Select(m => Parse(m.Value)).ToArray();
            switch (command.Groups[1].Value)
            {
                case "M" when start is null:
                    start = new PlanePoint(n[0], n[1]);
                    break;
                case "L":
                    segments.Add(new LineSegmentTo(new(n[0], n[1])));
                    break;
                case "C":
                    segments.Add(new CubicTo(new(n[0], n[1]), new(n[2], n[3]), new(n[4], n[5])));
                    break;
                case "Z" when start is { } s:
                    contours.Add(new Contour(s, [.. segments]));
                    (start, segments) = (null, []);
                    break;
                default:
                    throw new FormatException($"The path command {command.Value} was not expected here.");
            }
        }

        return start is null ? contours : throw new FormatException("A path is not closed.");
    }

    private static double Parse(string text) => double.Parse(text, CultureInfo.InvariantCulture);

    [GeneratedRegex("([A-Za-z])([^A-Za-z]*)")]
    private static partial Regex Command();

    [GeneratedRegex(@"-?\d+(?:\.\d+)?")]
    private static partial Regex Numbers();
}
