namespace Cabida.Core.Type;

/// <summary>How it is known which letter a glyph stands for.</summary>
public enum GlyphKnown
{
    /// <summary>It is the drawing of a character.</summary>
    Character,

    /// <summary>Its name says so, as in <c>a.end</c>.</summary>
    ByName,

    /// <summary>It looks like that letter.</summary>
    ByLikeness,

    /// <summary>It is not known.</summary>
    Not,
}

/// <summary>A glyph of a face.</summary>
/// <param name="Glyph">The face's number for it.</param>
/// <param name="Name">The face's name for it; empty where it has none.</param>
/// <param name="CodePoint">The character it is the drawing of, private ones too; 0 for none.</param>
/// <param name="Letter">The letter it stands for; empty where that is not known.</param>
/// <param name="Family">
/// What its kind of form is called in the face, the same for all letters that have it: the end of its name, as <c>end</c> of
/// <c>a.end</c>, or <c>set-1</c> for a row of unnamed forms; empty for the plain letter.
/// </param>
/// <param name="Known">How the letter is known.</param>
public sealed record GlyphForm(uint Glyph, string Name, int CodePoint, string Letter, string Family, GlyphKnown Known);

/// <summary>A glyph that stands in a text instead of what is written there.</summary>
/// <param name="Glyph">The glyph.</param>
/// <param name="Start">The first character it stands for.</param>
/// <param name="End">After the last.</param>
public readonly record struct GlyphUse(uint Glyph, int Start, int End);
