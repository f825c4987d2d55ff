using System.Numerics;
using SkiaSharp;

namespace Cabida.Typography;

/// <summary>
/// Which letter a glyph looks like: the one whose ink it covers best while having least of its own beside, wherever it is moved to
/// along the line.
/// </summary>
internal sealed class GlyphLikeness
{
    /// <summary>Cells to an em; a row of two and a half em is one word.</summary>
    private const int Cells = 24;

    private const int Across = 64,
        Up = 44,
        Base = 30,
        Left = 14,
        MostShift = 20;

    /// <summary>Of a letter's ink so much must be there, and so much in all, to call it alike.</summary>
    private const double LeastThere = 0.75,
        LeastAlike = 0.4;

    private readonly SKFont font;
    private readonly List<(string Letter, ulong[] Rows, int Ink)> letters;

    /// <summary>Draws the letters that glyphs are compared with.</summary>
    public GlyphLikeness(SKFont font, IEnumerable<(string Letter, ushort Glyph)> letters)
    {
        this.font = font;
        this.letters =
        [
            .. letters.Select(l => (l.Letter, Rows: Drawn(l.Glyph))).Select(l => (l.Letter, l.Rows, Ink(l.Rows))).Where(l => l.Item3 > 0),
        ];
    }

    /// <summary>The letter, or nothing where it is like none.</summary>
    public string Of(ushort glyph)
    {
        var own = Drawn(glyph);
        var ink = Ink(own);
        var (best, like) = (LeastAlike, "");
        foreach (var (letter, rows, all) in letters)
        {
            var shared = 0;
            for (var shift = -MostShift; shift <= MostShift; shift++)
            {
                var here = 0;
                for (var y = 0; y < Up; y++)
                {
                    here += BitOperations.PopCount(own[y] & (shift >= 0 ? rows[y] << shift : rows[y] >> -shift));
                }

                shared = Math.Max(shared, here);
            }

            // A tail adds ink of its own, so that weighs less than a letter of which something lacks.
            var (there, of) = ((double)shared / all, ink == 0 ? 0 : (double)shared / ink);
            var alike = there * there * of;
            if (there >= LeastThere && alike > best)
            {
                (best, like) = (alike, letter);
            }
        }

        return like;
    }

    private static int Ink(ulong[] rows) => rows.Sum(BitOperations.PopCount);

    private ulong[] Drawn(ushort glyph)
    {
        var rows = new ulong[Up];
        using var path = font.GetGlyphPath(glyph);
        if (path is null || path.IsEmpty)
        {
            return rows;
        }

        using var bitmap = new SKBitmap(new SKImageInfo(Across, Up, SKColorType.Alpha8, SKAlphaType.Premul));
        using (var canvas = new SKCanvas(bitmap))
        using (var paint = new SKPaint { IsAntialias = true, Color = SKColors.Black })
        {
            canvas.Translate(Left, Base);
            canvas.Scale(Cells / font.Size);
            canvas.DrawPath(path, paint);
        }

        var pixels = bitmap.GetPixelSpan();
        for (var y = 0; y < Up; y++)
        {
            for (var x = 0; x < Across; x++)
            {
                rows[y] |= pixels[(y * bitmap.RowBytes) + x] >= 96 ? 1UL << x : 0;
            }
        }

        return rows;
    }
}
