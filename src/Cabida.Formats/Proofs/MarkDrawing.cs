using Cabida.Core.Geometry;
using SkiaSharp;

namespace Cabida.Formats.Proofs;

/// <summary>Draws a workshop's mark at the head of a page.</summary>
internal static class MarkDrawing
{
    /// <summary>Draws it as large as fits, from its upper left.</summary>
    /// <returns>How wide it became; zero without a mark.</returns>
    public static float Draw(SKCanvas canvas, IReadOnlyList<ColouredInk> mark, float left, float top, float wide, float high)
    {
        if (Box.Around(mark.Select(m => Box.Of(m.Ink)).OfType<Box>()) is not { } box)
        {
            return 0;
        }

        var k = (float)Math.Min(high / box.Height, wide / box.Width);
        canvas.Save();
        canvas.Translate(left - ((float)box.MinX * k), top + ((float)box.MaxY * k));
        canvas.Scale(k, -k);
        foreach (var ink in mark)
        {
            InkPath.Fill(canvas, ink);
        }

        canvas.Restore();
        return (float)box.Width * k;
    }
}
