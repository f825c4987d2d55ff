using Cabida.Core.Geometry;

namespace Cabida.Core.Type;

/// <summary>What a typeface is called and what it is like.</summary>
/// <param name="Id">The name it is stored by.</param>
/// <param name="Name">The name it is shown by.</param>
/// <param name="Kind">Its kind in a word: script, brush, slab, grotesque, serif, condensed, stencil, monoline.</param>
public sealed record TypefaceInfo(string Id, string Name, string Kind)
{
    /// <summary>Whether the maker added it, rather than that it ships with the application.</summary>
    public bool Added { get; init; }

    /// <summary>The script it is made for, beside Latin, as in “Arabic”; empty for Latin alone.</summary>
    public string Script { get; init; } = "";

    /// <summary>Words in that script to be seen with; empty for the usual ones.</summary>
    public string Sample { get; init; } = "";
}

/// <summary>A glyph in its place on a line; lengths in em, from the line's start on the baseline.</summary>
/// <param name="Glyph">The face's number for it.</param>
/// <param name="X">Where its origin stands along the line.</param>
/// <param name="Y">How far its origin is raised.</param>
/// <param name="Index">The position in the text of the first character it stands for.</param>
public readonly record struct PlacedGlyph(uint Glyph, double X, double Y, int Index);

/// <summary>An OpenType feature for a stretch of a text.</summary>
/// <param name="Tag">Its tag.</param>
/// <param name="Value">Which of several forms under it, from 1.</param>
/// <param name="Start">The first character.</param>
/// <param name="End">After the last character.</param>
public readonly record struct FeatureUse(string Tag, int Value, int Start, int End);

/// <summary>A line of text set in a face; lengths in em.</summary>
/// <param name="Glyphs">What the face has, in place.</param>
/// <param name="Advance">The length of the line.</param>
/// <param name="Missing">Positions in the text of characters that the face has no glyph for.</param>
public sealed record ShapedLine(IReadOnlyList<PlacedGlyph> Glyphs, double Advance, IReadOnlyList<int> Missing);

/// <summary>A typeface as composing needs it. Lengths in em, y up from the baseline.</summary>
public interface ITypeface
{
    /// <summary>What it is called.</summary>
    TypefaceInfo Info { get; }

    /// <summary>Tells apart two cuts of one face: a hash of its file.</summary>
    string Revision { get; }

    /// <summary>How high the ink of its capital H stands above the baseline.</summary>
    double CapitalHeight { get; }

    /// <summary>
    /// Sets a line: the face's own kerning, ligatures, contextual forms and marks applied, its direction that of its first
    /// strong letter. Glyphs come from left to right.
    /// </summary>
    /// <param name="text">The text, in composed form.</param>
    /// <param name="features">OpenType features that are switched on for stretches of it, besides those that always are.</param>
    ShapedLine Shape(string text, IReadOnlyList<FeatureUse> features) => Shape(text, features, instead: []);

    /// <summary>Sets a line with some of its letters drawn as glyphs of the face's table; their kerning is the face's own.</summary>
    /// <param name="text">The text, in composed form.</param>
    /// <param name="features">OpenType features that are switched on for stretches of it.</param>
    /// <param name="instead">Glyphs that stand instead of what is written.</param>
    ShapedLine Shape(string text, IReadOnlyList<FeatureUse> features, IReadOnlyList<GlyphUse> instead);

    /// <summary>The forms that the face names by a plain letter and a kind, as <c>a.end</c>: known without looking at any glyph.</summary>
    IReadOnlyList<(string Letter, string Family)> NamedForms { get; }

    /// <summary>All glyphs of the face that have ink, with the letters they stand for.</summary>
    IReadOnlyList<GlyphForm> Glyphs { get; }

    /// <summary>The tags of the OpenType features the face has.</summary>
    IReadOnlySet<string> Features { get; }

    /// <summary>The other forms that the face has for a letter of a text, each with how to ask for it.</summary>
    /// <param name="text">The text, in composed form.</param>
    /// <param name="index">Where the letter starts.</param>
    IReadOnlyList<FeatureUse> FormsOf(string text, int index);

    /// <summary>The outline of a glyph.</summary>
    IReadOnlyList<Contour> Outline(uint glyph);
}

/// <summary>The typefaces at hand.</summary>
public interface ITypefaces
{
    /// <summary>All, in the order they are offered.</summary>
    IReadOnlyList<TypefaceInfo> All { get; }

    /// <summary>The face with this id, or null.</summary>
    ITypeface? Find(string id);
}
