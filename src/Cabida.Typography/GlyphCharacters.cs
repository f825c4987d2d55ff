using HarfBuzzSharp;

namespace Cabida.Typography;

/// <summary>
/// A face in which every glyph can be written as a character: private ones of the last plane stand for glyphs by their number, so that
/// a glyph of the table takes part in kerning and contextual forms like any other.
/// </summary>
internal sealed class GlyphCharacters : IDisposable
{
    private const uint First = 0x100000,
        Last = 0x10FFFD;
    private readonly FontFunctions functions = new();

    /// <summary>The face as <paramref name="parent"/> has it, and its glyphs.</summary>
    public GlyphCharacters(Font parent)
    {
        functions.SetNominalGlyphDelegate(
            (Font _, object _, uint character, out uint glyph) =>
            {
                if (character is >= First and <= Last)
                {
                    glyph = character - First;
                    return true;
                }

                return parent.TryGetNominalGlyph(character, out glyph);
            }
        );
        Font = new Font(parent);
        Font.SetFontFunctions(functions, null);
    }

    /// <summary>What lines are shaped with.</summary>
    public Font Font { get; }

    /// <summary>The character that stands for a glyph.</summary>
    public static uint Of(uint glyph) => Math.Min(First + glyph, Last);

    /// <inheritdoc/>
    public void Dispose()
    {
        Font.Dispose();
        functions.Dispose();
    }
}
