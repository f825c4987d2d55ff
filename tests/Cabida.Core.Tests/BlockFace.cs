using Cabida.Core.Geometry;
using Cabida.Core.Type;

namespace Cabida.Core.Tests;

/// <summary>A typeface whose letters are plain blocks, so that every figure can be worked out by hand: capitals 0.7 em
/// high and 0.5 em wide on an advance of 0.6 em with a side bearing of 0.05; the letter q hangs 0.2 em below the line;
/// o is a ring; ß is missing; a has another form 1 em wide; x overlaps its right neighbour by 0.1 em.</summary>
internal sealed class BlockFace : ITypeface, ITypefaces
{
    public TypefaceInfo Info { get; } = new("block", "Block", "test");

    public string Revision => "1";

    public double CapitalHeight => 0.7;

    public IReadOnlyList<TypefaceInfo> All => [Info];

    public ITypeface? Find(string id) => id == Info.Id ? this : null;

    public IReadOnlySet<string> Features { get; } = new HashSet<string> { "salt" };

    /// <summary>The letter a has one other form, twice as wide.</summary>
    public IReadOnlyList<FeatureUse> FormsOf(string text, int index) => text[index] == 'a' ? [new("salt", 1, index, index + 1)] : [];

    public IReadOnlyList<(string Letter, string Family)> NamedForms { get; } = [("H", "end"), ("q", "end")];

    /// <summary>
    /// H and q have forms with tails, T and t; H another one, W, in a row without names, and o its tail in the second row of tails.
    /// </summary>
    public IReadOnlyList<GlyphForm> Glyphs { get; } =
    [
        new('H', "H", 'H', "H", "", GlyphKnown.Character),
        new('q', "q", 'q', "q", "", GlyphKnown.Character),
        new('o', "o", 'o', "o", "", GlyphKnown.Character),
        new('T', "H.end", 0, "H", "end", GlyphKnown.ByName),
        new('t', "q.end", 0, "q", "end", GlyphKnown.ByName),
        new('O', "o.end2", 0, "o", "end2", GlyphKnown.ByName),
        new('W', "", 0xE000, "H", "set-1", GlyphKnown.ByLikeness),
    ];

    public ShapedLine Shape(string text, IReadOnlyList<FeatureUse> features, IReadOnlyList<GlyphUse> instead)
    {
        var glyphs = new List<PlacedGlyph>();
        var missing = new List<int>();
        var x = 0.0;
        for (var i = 0; i < text.Length; i++)
        {
            if (text[i] == 'ß')
            {
                missing.Add(i);
                continue;
            }

            if (text[i] != ' ')
            {
                var wide = text[i] == 'a' && features.Any(f => f.Tag == "salt" && f.Value == 1 && f.Start <= i && i < f.End);
                var glyph =
                    instead.FirstOrDefault(g => g.Start == i).Glyph is var other and > 0 ? other
                    : wide ? 'W'
                    : text[i];
                glyphs.Add(new PlacedGlyph(glyph, x, 0, i));
                x += glyph is 'W' or 'T' or 't' ? 0.5 : 0;
            }

            x += 0.6;
        }

        return new ShapedLine(glyphs, x, missing);
    }

    public IReadOnlyList<Contour> Outline(uint glyph) =>
        (char)glyph switch
        {
            'q' => [Block(0.05, -0.2, 0.55, 0.5)],
            'T' => [Block(0.05, 0, 0.55, 0.7), Block(0.5, 0, 1.05, 0.1)],
            't' => [Block(0.05, -0.2, 0.55, 0.5), Block(0.5, -0.2, 1.05, -0.1)],
            'W' => [Block(0.05, 0, 1.05, 0.7)],
            'x' => [Block(0.05, 0, 0.75, 0.5)],
            'o' => [Block(0.05, 0, 0.55, 0.5), Hole(0.15, 0.1, 0.45, 0.4)],
            _ => [Block(0.05, 0, 0.55, 0.7)],
        };

    private static Contour Block(double x0, double y0, double x1, double y1) =>
        new(new(x0, y0), [new LineSegmentTo(new(x1, y0)), new LineSegmentTo(new(x1, y1)), new LineSegmentTo(new(x0, y1))]);

    private static Contour Hole(double x0, double y0, double x1, double y1) =>
        new(new(x0, y0), [new LineSegmentTo(new(x0, y1)), new LineSegmentTo(new(x1, y1)), new LineSegmentTo(new(x1, y0))]);
}
