using System.Globalization;
using System.Text.RegularExpressions;
using System.Xml;
using System.Xml.Linq;
using Cabida.Core.Geometry;
using NetTopologySuite.Operation.Distance;

namespace Cabida.Formats.Cutting;

/// <summary>A cut through waste as a file holds it; millimetres from the upper left, y down.</summary>
/// <param name="Points">Where it runs.</param>
/// <param name="Closed">Whether it comes back to where it began.</param>
public sealed record WasteLine(IReadOnlyList<PlanePoint> Points, bool Closed);

/// <summary>What a cut file really holds, measured from its text alone.</summary>
/// <param name="Width">Its physical width in millimetres.</param>
/// <param name="Height">Its physical height in millimetres.</param>
/// <param name="Pieces">The box of each filled path in millimetres, from the upper left, y down.</param>
/// <param name="Outlines">How many closed outlines they have.</param>
/// <param name="Crossing">How many of them cross themselves.</param>
public sealed partial record CutSvgMeasure(double Width, double Height, IReadOnlyList<Box> Pieces, int Outlines, int Crossing)
{
    private const double FlatteningError = 0.001;

    /// <summary>How many lines and cubics the closed outlines are made of.</summary>
    public int Nodes { get; init; }

    /// <summary>How many of the file's own numbers a millimetre of its stated width has.</summary>
    public double UnitsPerMillimetre { get; init; } = 1;

    /// <summary>What is cut through waste: lines without a fill, as weed boxes and breaks are.</summary>
    public IReadOnlyList<WasteLine> Waste { get; init; } = [];

    /// <summary>The ink of each filled path, flattened; millimetres from the upper left, y down.</summary>
    public IReadOnlyList<IReadOnlyList<IReadOnlyList<PlanePoint>>> Rings { get; init; } = [];

    /// <summary>It as all formats are read.</summary>
    public ReadCut Lines()
    {
        PlanePoint Up(PlanePoint p) => new(p.X, Height - p.Y);
        return new ReadCut(
            Width,
            Height,
            [
                .. Rings.SelectMany(r => r).Select(r => new ReadLine("", [.. r.Append(r[0]).Select(Up)], true)),
                .. Waste.Select(w => new ReadLine("", [.. (w.Closed ? w.Points.Append(w.Points[0]) : w.Points).Select(Up)], w.Closed)),
            ]
        );
    }

    /// <summary>How near any open cut through waste comes to ink, both as the file has them, in millimetres; null without any.</summary>
    public double? NearestWaste
    {
        get
        {
            var breaks = Waste
                .Where(w => !w.Closed && w.Points.Count > 1)
                .Select(w => Cabida.Core.Geometry.Outlines.Line(w.Points))
                .ToArray();
            var rings = Rings
                .SelectMany(r => r)
                .Where(r => r.Count > 2)
                .Select(r => Cabida.Core.Geometry.Outlines.Line([.. r, r[0]]))
                .ToArray();
            return breaks.Length == 0 || rings.Length == 0
                ? null
                : IndexedFacetDistance.Distance(
                    Cabida.Core.Geometry.Outlines.Factory.BuildGeometry(rings),
                    Cabida.Core.Geometry.Outlines.Factory.BuildGeometry(breaks)
                );
        }
    }

    /// <summary>By how much anything reaches beyond the file's own size; zero where nothing does.</summary>
    public double Beyond =>
        Used is { } used ? Math.Max(0, new[] { -used.MinX, -used.MinY, used.MaxX - Width, used.MaxY - Height }.Max()) : 0;

    /// <summary>The box of everything cut, or null when nothing is.</summary>
    public Box? Used => Box.Around([.. Pieces, .. Waste.Select(w => Around(w.Points))]);

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
        PlanePoint InMillimetres(PlanePoint p) => new((p.X - box[0]) * sx, (p.Y - box[1]) * sy);
        var (outlines, crossing, nodes) = (0, 0, 0);
        var rings = new List<IReadOnlyList<IReadOnlyList<PlanePoint>>>();
        var waste = new List<WasteLine>();
        foreach (var path in root.Descendants().Where(e => e.Name.LocalName == "path"))
        {
            var isLine = path.AncestorsAndSelf().Any(e => (string?)e.Attribute("fill") == "none");
            var contours = Contours((string?)path.Attribute("d") ?? "", mayBeOpen: isLine);
            var flat = contours.ConvertAll(c =>
                (IReadOnlyList<PlanePoint>)
                    [.. CurveFlattening.Flatten(c.Contour, FlatteningError, Tolerances.InkTurn).Select(InMillimetres)]
            );
            if (isLine)
            {
                waste.AddRange(flat.Select((points, i) => new WasteLine(points, contours[i].Closed)));
                continue;
            }

            outlines += contours.Count;
            nodes += contours.Sum(c => c.Contour.Segments.Count);
            crossing += contours.Count(c => !SoundCurves.IsSound([c.Contour]));
            if (flat.Count > 0)
            {
                rings.Add(flat);
            }
        }

        return new CutSvgMeasure(width, height, [.. rings.Select(r => Around(r.SelectMany(p => p)))], outlines, crossing)
        {
            Nodes = nodes,
            UnitsPerMillimetre = 1 / sx,
            Waste = waste,
            Rings = rings,
        };
    }

    private static Box Around(IEnumerable<PlanePoint> points)
    {
        var all = points.ToList();
        return new Box(all.Min(p => p.X), all.Min(p => p.Y), all.Max(p => p.X), all.Max(p => p.Y));
    }

    private static double Millimetres(XElement root, string attribute) =>
        (string?)root.Attribute(attribute) is { } text && text.EndsWith("mm", StringComparison.Ordinal)
            ? Parse(text[..^2])
            : throw new FormatException($"The {attribute} is not in millimetres.");

    private static List<(Contour Contour, bool Closed)> Contours(string d, bool mayBeOpen)
    {
        var contours = new List<(Contour, bool)>();
        PlanePoint? start = null;
        var segments = new List<CurveSegment>();
        void End(bool closed)
        {
            contours.Add((new Contour(start!.Value, [.. segments]), closed));
            (start, segments) = (null, []);
        }

        foreach (Match command in Command().Matches(d))
        {
            var n = Numbers().Matches(command.Groups[2].Value).Select(m => Parse(m.Value)).ToArray();
            if (command.Groups[1].Value == "M" && start is not null && mayBeOpen)
            {
                End(closed: false);
            }

            switch (command.Groups[1].Value)
            {
                case "M" or "L" when n.Length != 2:
                case "C" when n.Length != 6:
                    throw new FormatException($"The path command {command.Value.Trim()} has not the numbers it needs.");
                case "M" when start is null:
                    start = new PlanePoint(n[0], n[1]);
                    break;
                case "L":
                    segments.Add(new LineSegmentTo(new(n[0], n[1])));
                    break;
                case "C":
                    segments.Add(new CubicTo(new(n[0], n[1]), new(n[2], n[3]), new(n[4], n[5])));
                    break;
                case "Z" when start is not null:
                    End(closed: true);
                    break;
                default:
                    throw new FormatException($"The path command {command.Value} was not expected here.");
            }
        }

        if (start is not null)
        {
            if (!mayBeOpen)
            {
                throw new FormatException("A path is not closed.");
            }

            End(closed: false);
        }

        return contours;
    }

    private static double Parse(string text) => double.Parse(text, CultureInfo.InvariantCulture);

    [GeneratedRegex("([A-Za-z])([^A-Za-z]*)")]
    private static partial Regex Command();

    [GeneratedRegex(@"-?\d+(?:\.\d+)?")]
    private static partial Regex Numbers();
}
