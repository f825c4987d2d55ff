using System.Globalization;
using System.Xml.Linq;
using Cabida.Core.Geometry;

namespace Cabida.Formats.Svg;

/// <summary>A piece of a cut file.</summary>
/// <param name="Name">What it is called, for people who open the file.</param>
/// <param name="Ink">Its ink as cut; millimetres from the lower left of the reach, y up.</param>
public sealed record CutPiece(string Name, NetTopologySuite.Geometries.Geometry Ink);

/// <summary>Cuts through waste alone: a weed box, and the breaks in it.</summary>
/// <param name="Box">The box; millimetres from the lower left of the reach, y up.</param>
/// <param name="Breaks">Its breaks, open lines.</param>
public sealed record CutWaste(Box Box, IReadOnlyList<IReadOnlyList<PlanePoint>> Breaks);

/// <summary>
/// A load as SVG at true size: width and height in millimetres, a view box of the same numbers, so that one user unit is
/// one millimetre whatever a reading program assumes for pixels. Every path of ink is closed and filled, none is stroked; what is cut
/// through waste alone is a line without a fill, in a group of its own.
/// </summary>
public static class CutSvg
{
    private static readonly XNamespace Ns = "http://www.w3.org/2000/svg";

    /// <summary>Writes a load.</summary>
    /// <param name="title">The file's title: job, load and film.</param>
    /// <param name="width">The width of the reach; millimetres.</param>
    /// <param name="height">The length of the reach; millimetres.</param>
    /// <param name="colour">The film's colour.</param>
    /// <param name="pieces">What is cut.</param>
    /// <param name="waste">What is cut through waste; none for no weed boxes.</param>
    public static string Write(
        string title,
        double width,
        double height,
        string colour,
        IEnumerable<CutPiece> pieces,
        IReadOnlyList<CutWaste>? waste = null
    )
    {
        ArgumentNullException.ThrowIfNull(pieces);
        var (w, h) = (SvgPath.Number(width), SvgPath.Number(height));
        var document = new XDocument(
            new XDeclaration("1.0", "utf-8", null),
            new XElement(
                Ns + "svg",
                new XAttribute("width", w + "mm"),
                new XAttribute("height", h + "mm"),
                new XAttribute("viewBox", $"0 0 {w} {h}"),
                new XElement(Ns + "title", Printable(title)),
                pieces.Select(p => new XElement(
                    Ns + "path",
                    new XAttribute("fill", colour),
                    new XAttribute("fill-rule", "evenodd"),
                    new XAttribute("d", SvgPath.OfCut(p.Ink, Tolerances.File, height)),
                    new XElement(Ns + "title", Printable(p.Name))
                )),
                waste is { Count: > 0 } ? Weeding(waste, height) : null
            )
        );
        return document.Declaration + "\n" + document + "\n";
    }

    private static XElement Weeding(IReadOnlyList<CutWaste> waste, double height)
    {
        PlanePoint Down(PlanePoint p) => new(p.X, height - p.Y);
        XElement Line(IEnumerable<PlanePoint> points, bool closed) =>
            new(Ns + "path", new XAttribute("d", SvgPath.OfLine(points.Select(Down), closed)));
        return new XElement(
            Ns + "g",
            new XAttribute("fill", "none"),
            new XAttribute("stroke", "#000000"),
            new XAttribute("stroke-width", "0.1"),
            new XElement(Ns + "title", "Weed boxes and breaks"),
            waste.SelectMany(w => w.Breaks.Select(b => Line(b, closed: false)).Prepend(Line(w.Box.Corners, closed: true)))
        );
    }

    /// <summary>A file name that cannot be mixed up at the cutter: job and run, load of how many, film, mirrored or not.</summary>
    public static string FileName(string job, string run, int load, int of, string film, bool mirrored) =>
        string.Create(
            CultureInfo.InvariantCulture,
            $"{SafeName(job)}_{SafeName(run)}_load-{load}-of-{of}_{SafeName(film)}{(mirrored ? "_mirrored" : "")}.svg"
        );

    /// <summary>Letters and digits of any tongue with single hyphens between; never empty, never endless.</summary>
    public static string SafeName(string text)
    {
        var words = new string([.. text.Normalize().ToLowerInvariant().Select(c => char.IsLetterOrDigit(c) ? c : ' ')]).Split(
            ' ',
            StringSplitOptions.RemoveEmptyEntries
        );
        var plain = string.Join('-', words);
        return plain.Length == 0 ? "unnamed"
            : plain.Length > 40 ? plain[..40].TrimEnd('-')
            : plain;
    }

    /// <summary>Without the control characters that no XML document may hold.</summary>
    private static string Printable(string text) => new([.. text.Where(System.Xml.XmlConvert.IsXmlChar)]);
}
