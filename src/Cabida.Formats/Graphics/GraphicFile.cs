using System.Text;
using Cabida.Core.Geometry;
using Cabida.Core.Motifs;
using Cabida.Core.Wording;
using Cabida.Formats.Graphics.Dxf;
using Cabida.Formats.Graphics.Svg;

namespace Cabida.Formats.Graphics;

/// <summary>Brings a graphic in from an SVG or DXF file, in passes: parse, resolve, outline, clean.</summary>
public static class GraphicFile
{
    /// <summary>Larger drawing files are refused.</summary>
    public const int MostBytes = 25_000_000;

    /// <summary>More pieces than this are refused; a picture of so many dots is stippled finer than it can be weeded.</summary>
    public const int MostPieces = 20_000;

    private const int HeadLength = 8000;

    /// <summary>Reads a file.</summary>
    /// <param name="name">Its name, for what is said about it.</param>
    /// <param name="file">Its bytes.</param>
    /// <param name="linesOnly">Whether lines alone count, however they are filled and stroked: for outlines of goods.</param>
    public static Outcome<ReadGraphic> Read(string name, byte[] file, bool linesOnly = false)
    {
        ArgumentNullException.ThrowIfNull(file);
        if (file.Length is 0 or > MostBytes)
        {
            return Fail(
                file.Length == 0
                    ? Phrase.Say($"{name:strong} is empty.")
                    : Phrase.Say(
                        $"{name:strong} has {file.Length / 1e6:0} MB; a drawing of more than {MostBytes / 1e6:0} MB is not read. "
                            + $"Save it without its pictures, or simplify it."
                    )
            );
        }

        var head = Encoding.UTF8.GetString(file, 0, Math.Min(file.Length, HeadLength));
        return head.Contains("<svg", StringComparison.OrdinalIgnoreCase)
            || (
                head.TrimStart('\ufeff', ' ', '\r', '\n', '\t').StartsWith('<')
                && Encoding.UTF8.GetString(file).Contains("<svg", StringComparison.OrdinalIgnoreCase)
            )
                ? SvgGraphic.Read(name, file, linesOnly)
            : head.Contains("SECTION", StringComparison.Ordinal) ? DxfGraphic.Read(name, Encoding.UTF8.GetString(file))
            : head.Length > 22 && head[..22].Contains("Binary DXF", StringComparison.Ordinal)
                ? Fail(Phrase.Say($"{name:strong} is a binary DXF. Save it as a text (ASCII) DXF."))
            : Fail(Phrase.Say($"{name:strong} is neither an SVG nor a DXF drawing."));
    }

    /// <summary>What the library keeps of a graphic: its facts, with the sizes it would have where its file left that open.</summary>
    public static Graphic Facts(string name, ReadGraphic read, string outlinesId)
    {
        ArgumentNullException.ThrowIfNull(read);
        var box = BoxOf(read.Pieces);
        SupposedSize Supposed(string words, double perUnit) =>
            new(words, perUnit, box.Width * perUnit / read.PerUnit, box.Height * perUnit / read.PerUnit);
        return new Graphic(
            Path.GetFileNameWithoutExtension(name),
            outlinesId,
            name,
            read.SizeStated,
            read.SizeStated
                ? []
                :
                [
                    Supposed(read.Assumption, read.PerUnit),
                    .. read.Others.Where(o => o.PerUnit != read.PerUnit).Select(o => Supposed(o.Words, o.PerUnit)),
                ],
            [.. read.Pieces.Select(p => p.Colour).Distinct(StringComparer.Ordinal)],
            read.Notes
        )
        {
            Width = box.Width,
            Height = box.Height,
        };
    }

    /// <summary>The box of pieces, curves and open lines included.</summary>
    internal static Box BoxOf(IReadOnlyList<GraphicPiece> pieces) =>
        ContourBoxes.Around(pieces.SelectMany(p => p.Closed.Concat(p.Open)), Tolerances.Ink);

    /// <summary>Why a file of so many pieces is refused; null when it is not.</summary>
    internal static Phrase? TooMany(string name, int pieces) =>
        pieces > MostPieces
            ? Phrase.Say(
                $"{name:strong} has {pieces:#,0} pieces; {MostPieces:#,0} can be worked with. Simplify it, or bring it in by parts."
            )
            : null;

    internal static Outcome<ReadGraphic> Fail(Phrase why) => Outcome<ReadGraphic>.Fail(why);
}
