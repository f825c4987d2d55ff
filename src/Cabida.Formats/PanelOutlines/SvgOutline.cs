using System.Globalization;
using System.Text.RegularExpressions;
using System.Xml;
using System.Xml.Linq;
using Cabida.Core.Geometry;
using Cabida.Core.Wording;
using SkiaSharp;

namespace Cabida.Formats.PanelOutlines;

/// <summary>The closed outlines of an SVG: paths and basic shapes in groups with transforms; millimetres, y up.</summary>
internal static partial class SvgOutline
{
    /// <summary>User units to the inch, as CSS defines them.</summary>
    private const double UnitsPerInch = 96;

    private static readonly Dictionary<string, double> MillimetresPer = new(StringComparer.Ordinal)
    {
        ["mm"] = 1,
        ["cm"] = 10,
        ["in"] = 25.4,
        ["pt"] = 25.4 / 72,
        ["pc"] = 25.4 / 6,
        ["px"] = 25.4 / UnitsPerInch,
        [""] = 25.4 / UnitsPerInch,
    };

    public static Outcome<FileLoops> Read(byte[] file)
    {
        XElement root;
        try
        {
            // Outside entities are never fetched.
            using var reader = XmlReader.Create(new MemoryStream(file), new XmlReaderSettings { DtdProcessing = DtdProcessing.Ignore, XmlResolver = null });
            root = XDocument.Load(reader).Root!;
        }
        catch (XmlException e)
        {
            return Outcome<FileLoops>.Fail(Phrase.Say($"The SVG is damaged in line {e.LineNumber}."));
        }

        var (scale, stated) = Scale(root);
        var loops = new List<IReadOnlyList<PlanePoint>>();
        var refused = new SortedSet<string>(StringComparer.Ordinal);
        Walk(root, SKMatrix.CreateScale((float)scale, (float)-scale), loops, refused);
        if (loops.Count == 0 && refused.Count > 0)
        {
            return Outcome<FileLoops>.Fail(Phrase.Say($"The SVG holds only {string.Join(" and ", refused)}, which has no outline. Turn it into paths first."));
        }

        var remark = stated ? "" : " (its size is not stated, so 96 units were taken for an inch: check its width)";
        return Outcome<FileLoops>.Of(new FileLoops(loops, refused.Count > 0 ? $"{remark}; {string.Join(" and ", refused)} in it left out" : remark));
    }

    /// <summary>Millimetres to the user unit, and whether the file states a physical size.</summary>
    private static (double Scale, bool Stated) Scale(XElement root)
    {
        var box = Numbers((string?)root.Attribute("viewBox") ?? "");
        var width = Size().Match((string?)root.Attribute("width") ?? "");
        var unit = width.Groups["unit"].Value;
        var stated = width.Success && unit is not ("" or "px");
        if (!width.Success)
        {
            return (MillimetresPer[""], false);
        }

        var mm = double.Parse(width.Groups["number"].Value, CultureInfo.InvariantCulture) * MillimetresPer[unit];
        return (box.Length == 4 && box[2] > 0 ? mm / box[2] : MillimetresPer[""], stated);
    }

    private static void Walk(XElement element, SKMatrix outer, List<IReadOnlyList<PlanePoint>> loops, SortedSet<string> refused)
    {
        var matrix = outer.PreConcat(Transform((string?)element.Attribute("transform") ?? ""));
        switch (element.Name.LocalName)
        {
            case "defs" or "clipPath" or "mask" or "symbol" or "pattern" or "style" or "metadata" or "title" or "desc":
                return;
            case "text" or "image" or "use":
                refused.Add(element.Name.LocalName switch { "text" => "text", "image" => "a picture", _ => "copies of other parts" });
                return;
            default:
                using (var path = Shape(element))
                {
                    if (path is not null)
                    {
                        path.Transform(matrix);
                        loops.AddRange(Contours(path));
                    }
                }

                break;
        }

        foreach (var child in element.Elements())
        {
            Walk(child, matrix, loops, refused);
        }
    }

    private static SKPath? Shape(XElement e)
    {
        float Of(string name) => Numbers((string?)e.Attribute(name) ?? "") is [var n, ..] ? (float)n : 0;
        using var built = new SKPathBuilder();
        switch (e.Name.LocalName)
        {
            case "path":
                return SKPath.ParseSvgPathData((string?)e.Attribute("d") ?? "");
            case "rect":
                var (rx, ry) = (Of("rx"), Of("ry"));
                built.AddRoundRect(new SKRoundRect(SKRect.Create(Of("x"), Of("y"), Of("width"), Of("height")), rx > 0 ? rx : ry, ry > 0 ? ry : rx));
                return built.Detach();
            case "circle":
                built.AddCircle(Of("cx"), Of("cy"), Of("r"));
                return built.Detach();
            case "ellipse":
                built.AddOval(SKRect.Create(Of("cx") - Of("rx"), Of("cy") - Of("ry"), 2 * Of("rx"), 2 * Of("ry")));
                return built.Detach();
            case "polygon" or "polyline":
                var n = Numbers((string?)e.Attribute("points") ?? "");
                built.AddPoly([.. Enumerable.Range(0, n.Length / 2).Select(i => new SKPoint((float)n[2 * i], (float)n[(2 * i) + 1]))], close: true);
                return built.Detach();
            default:
                return null;
        }
    }

    private static List<IReadOnlyList<PlanePoint>> Contours(SKPath path)
    {
        PlanePoint At(SKPoint p) => new(p.X, p.Y);
        var segments = new List<CurveSegment>();
        var start = default(PlanePoint);
        var found = new List<IReadOnlyList<PlanePoint>>();
        using var walk = path.CreateIterator(forceClose: false);
        var p = new SKPoint[4];
        for (var verb = walk.Next(p); verb != SKPathVerb.Done; verb = walk.Next(p))
        {
            switch (verb)
            {
                case SKPathVerb.Move:
                    Finish();
                    start = At(p[0]);
                    break;
                case SKPathVerb.Line:
                    segments.Add(new LineSegmentTo(At(p[1])));
                    break;
                case SKPathVerb.Quad:
                    segments.Add(new QuadraticTo(At(p[1]), At(p[2])));
                    break;
                case SKPathVerb.Cubic:
                    segments.Add(new CubicTo(At(p[1]), At(p[2]), At(p[3])));
                    break;
                case SKPathVerb.Conic:
                    // Arcs come as conics; eight quadratics each follow one to far below the tolerance of ink.
                    var quads = SKPath.ConvertConicToQuads(p[0], p[1], p[2], walk.ConicWeight(), 3);
                    for (var i = 1; i + 1 < quads.Length; i += 2)
                    {
                        segments.Add(new QuadraticTo(At(quads[i]), At(quads[i + 1])));
                    }

                    break;
            }
        }

        Finish();
        return found;

        void Finish()
        {
            if (segments.Count > 0)
            {
                found.Add(CurveFlattening.Flatten(new Contour(start, [.. segments]), Tolerances.Ink, Tolerances.InkTurn));
                segments.Clear();
            }
        }
    }

    private static SKMatrix Transform(string text)
    {
        var all = SKMatrix.Identity;
        foreach (Match m in Function().Matches(text))
        {
            var n = Numbers(m.Groups["numbers"].Value).Select(v => (float)v).ToArray();
            var one = (m.Groups["name"].Value, n.Length) switch
            {
                ("translate", 1) => SKMatrix.CreateTranslation(n[0], 0),
                ("translate", 2) => SKMatrix.CreateTranslation(n[0], n[1]),
                ("scale", 1) => SKMatrix.CreateScale(n[0], n[0]),
                ("scale", 2) => SKMatrix.CreateScale(n[0], n[1]),
                ("rotate", 1) => SKMatrix.CreateRotationDegrees(n[0]),
                ("rotate", 3) => SKMatrix.CreateRotationDegrees(n[0], n[1], n[2]),
                ("skewX", 1) => SKMatrix.CreateSkew(MathF.Tan(n[0] * MathF.PI / 180), 0),
                ("skewY", 1) => SKMatrix.CreateSkew(0, MathF.Tan(n[0] * MathF.PI / 180)),
                ("matrix", 6) => new SKMatrix(n[0], n[2], n[4], n[1], n[3], n[5], 0, 0, 1),
                _ => SKMatrix.Identity,
            };
            all = all.PreConcat(one);
        }

        return all;
    }

    private static double[] Numbers(string text) => [.. Number().Matches(text).Select(m => double.Parse(m.Value, CultureInfo.InvariantCulture))];

    [GeneratedRegex(@"[-+]?(?:\d+\.?\d*|\.\d+)(?:[eE][-+]?\d+)?")]
    private static partial Regex Number();

    [GeneratedRegex(@"^\s*(?<number>\d+(?:\.\d+)?)\s*(?<unit>mm|cm|in|pt|pc|px|)\s*$")]
    private static partial Regex Size();

    [GeneratedRegex(@"(?<name>[a-zA-Z]+)\s*\((?<numbers>[^)]*)\)")]
    private static partial Regex Function();
}
