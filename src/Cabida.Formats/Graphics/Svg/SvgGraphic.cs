using Cabida.Core.Motifs;
using Cabida.Core.Wording;
using SkiaSharp;

namespace Cabida.Formats.Graphics.Svg;

/// <summary>An SVG file as a graphic.</summary>
internal static class SvgGraphic
{
    private const double UsualWidth = 300;
    private const double UsualHeight = 150;

    /// <summary>What a unit of a file may be that does not say: the usual habits of drawing programs.</summary>
    private static readonly (string Words, double PerUnit)[] Habits =
    [
        ("96 units to the inch", 25.4 / 96), ("72 units to the inch", 25.4 / 72), ("90 units to the inch", 25.4 / 90), ("a unit is a millimetre", 1),
    ];

    public static Outcome<ReadGraphic> Read(string name, byte[] file, bool linesOnly)
    {
        var parsed = SvgParse.Read(name, file);
        if (parsed.Problem is { } problem)
        {
            return GraphicFile.Fail(problem);
        }

        var root = parsed.Value;
        var page = Page.Of(root);
        var walk = new SvgWalk(root, Math.Max(page.Width, page.Height), linesOnly);
        walk.Draw(root, SKMatrix.Identity, page.Width, page.Height);
        if (walk.NotFinite)
        {
            return GraphicFile.Fail(Phrase.Say($"{name:strong} has coordinates that are no finite numbers."));
        }

        if (walk.TooMuch)
        {
            return GraphicFile.Fail(Phrase.Say($"{name:strong} has more than {SvgWalk.MostPoints:#,0} points. Simplify it, and bring it in again."));
        }

        List<GraphicPiece> pieces = [.. walk.Drawn.Select(d => new GraphicPiece(d.Colour, d.Rule, PathContours.Of(d.Path, page.PerUnit), [])).Where(p => p.Closed.Count > 0)];
        walk.Drawn.ForEach(d => d.Path.Dispose());
        if (pieces.Count == 0)
        {
            return GraphicFile.Fail(walk.LeftOut.Count > 0
                ? Phrase.Say($"{name:strong} holds nothing that can be cut, only {string.Join(" and ", walk.LeftOut)}.")
                : Phrase.Say($"{name:strong} holds nothing that can be cut."));
        }

        List<Phrase> notes = [.. walk.LeftOut.Select(l => Phrase.Say($"Left out: {l}."))];
        return Outcome<ReadGraphic>.Of(new ReadGraphic(pieces, page.Stated, page.PerUnit, Habits[0].Words, Habits, notes));
    }

    /// <summary>The page of a file.</summary>
    /// <param name="Width">Across, in the units its drawing is in.</param>
    /// <param name="Height">Down.</param>
    /// <param name="PerUnit">Millimetres to such a unit.</param>
    /// <param name="Stated">Whether the file says so by a physical unit.</param>
    private sealed record Page(double Width, double Height, double PerUnit, bool Stated)
    {
        public static Page Of(SvgNode root)
        {
            var (width, height) = (root.Of("width"), root.Of("height"));
            var box = SvgValues.Numbers(root.Of("viewBox"));
            var has = box is [_, _, > 0, > 0];
            var (w, h) = has ? (box[2], box[3]) : (SvgValues.Length(width, UsualWidth, UsualWidth), SvgValues.Length(height, UsualHeight, UsualHeight));
            // The side that names a physical unit says how large a unit of the drawing is.
            foreach (var (text, units) in new[] { (width, w), (height, h) })
            {
                if (SvgValues.UnitOf(text) is { } unit && SvgValues.Millimetres(unit) is { } mm && SvgValues.Numbers(text) is [> 0 and var n, ..])
                {
                    return new Page(w, h, has ? n * mm / units : SvgValues.MillimetresPerUnit, true);
                }
            }

            var pixels = has && SvgValues.UnitOf(width) is "" or "px" && SvgValues.Numbers(width) is [> 0 and var px, ..] ? px / w : 1;
            return new Page(w, h, SvgValues.MillimetresPerUnit * pixels, false);
        }
    }
}
