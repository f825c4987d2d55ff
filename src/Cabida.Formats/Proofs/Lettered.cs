using SkiaSharp;

namespace Cabida.Formats.Proofs;

/// <summary>Words on a page, in the first of the shipped faces that has every letter of them.</summary>
internal sealed class Lettered : IDisposable
{
    private readonly SKTypeface[] faces =
    [
        .. new[] { "figures.ttf", "words.ttf" }.Select(n => SKTypeface.FromStream(typeof(Lettered).Assembly.GetManifestResourceStream(n)!)),
    ];

    /// <summary>Draws words with their start, middle or end at a place.</summary>
    public void Draw(
        SKCanvas canvas,
        string words,
        float x,
        float baseline,
        float size,
        SKColor colour,
        SKTextAlign align = SKTextAlign.Left,
        float most = float.MaxValue
    )
    {
        if (words.Length == 0)
        {
            return;
        }

        using var font = PageFont.Of(faces.FirstOrDefault(f => Has(f, words)) ?? faces[^1], size);
        var width = font.MeasureText(words);
        // Too long for its place it is made smaller, not cut.
        font.Size = width > most ? size * most / width : size;
        using var paint = new SKPaint { Color = colour, IsAntialias = true };
        canvas.DrawText(words, x, baseline, align, font, paint);
    }

    /// <summary>How wide words are at a size.</summary>
    public float WidthOf(string words, float size)
    {
        using var font = PageFont.Of(faces.FirstOrDefault(f => Has(f, words)) ?? faces[^1], size);
        return font.MeasureText(words);
    }

    private static bool Has(SKTypeface face, string words)
    {
        using var font = new SKFont(face);
        return font.ContainsGlyphs(words);
    }

    public void Dispose() => Array.ForEach(faces, f => f.Dispose());
}
