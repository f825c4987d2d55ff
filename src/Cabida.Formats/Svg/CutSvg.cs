using System.Globalization;
using System.Xml.Linq;
using Cabida.Core.Geometry;

namespace Cabida.Formats.Svg;

/// <summary>A piece of a cut file.</summary>
/// <param name="Name">What it is called, for people who open the file.</param>
/// <param name="Ink">Its ink as cut; millimetres from the lower left of the reach, y up.</param>
public sealed record CutPiece(string Name, NetTopologySuite.Geometries.Geometry Ink);

/// <summary>
/// A load as SVG at true size: width and height in millimetres, a view box of the same numbers, so that one user unit is
/// one millimetre whatever a reading program assumes for pixels. Every path is closed and filled, none is stroked.
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
    public static string Write(string title, double width, double height, string colour, IEnumerable<CutPiece> pieces)
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
                ))
            )
        );
        return document.Declaration + "\n" + document + "\n";
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
