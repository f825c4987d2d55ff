using Cabida.Core.Geometry;

namespace Cabida.Core.Type;

/// <summary>What a typeface is called and what it is like.</summary>
/// <param name="Id">The name it is stored by.</param>
/// <param name="Name">The name it is shown by.</param>
/// <param name="Kind">Its kind in a word: script, brush, slab, grotesque, serif, condensed, stencil, monoline.</param>
public sealed record TypefaceInfo(string Id, string Name, string Kind);

/// <summary>A glyph in its place on a line; lengths in em, from the line's start on the baseline.</summary>
/// <param name="Glyph">The face's number for it.</param>
/// <param name="X">Where its origin stands along the line.</param>
/// <param name="Y">How far its origin is raised.</param>
/// <param name="Index">The position in the text of the first character it stands for.</param>
public readonly record struct PlacedGlyph(uint Glyph, double X, double Y, int Index);

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

    /// <summary>Sets a line: the face's own kerning, ligatures and marks applied.</summary>
    /// <param name="text">The text, in composed form.</param>
    /// <param name="spacing">Extra room after each cluster, in em; negative closes up.</param>
    ShapedLine Shape(string text, double spacing);

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
