using SkiaSharp;

namespace Cabida.Formats;

/// <summary>
/// Faces as they are set on a page: letters as far apart as they are drawn, whatever their size; hinting would round that to whole points.
/// </summary>
internal static class PageFont
{
    /// <summary>A face at a size in points.</summary>
    public static SKFont Of(SKTypeface face, float size) =>
        new(face, size)
        {
            Hinting = SKFontHinting.None,
            Subpixel = true,
            LinearMetrics = true,
        };
}
