using SkiaSharp;

namespace Cabida.Formats.Graphics.Dxf;

/// <summary>
/// Colours by their standard numbers: 1 to 9 have names, 10 to 249 are 24 hues in five depths, full and pale, 250 to 255 are greys.
/// </summary>
internal static class DxfColours
{
    /// <summary>The number that says “as the layer”.</summary>
    public const int ByLayer = 256;

    /// <summary>What is drawn in black or white, whichever is seen.</summary>
    public const int Plain = 7;

    private static readonly string[] Named =
    [
        "#000000",
        "#ff0000",
        "#ffff00",
        "#00ff00",
        "#00ffff",
        "#0000ff",
        "#ff00ff",
        "#000000",
        "#808080",
        "#c0c0c0",
    ];
    private static readonly float[] Depths = [100, 80, 60, 50, 30];
    private static readonly int[] Greys = [51, 91, 132, 173, 214, 255];

    /// <summary>The colour of a number.</summary>
    public static string Of(int number)
    {
        if (number is >= 0 and < 10)
        {
            return Named[number];
        }

        if (number is < 10 or > 255)
        {
            return "#808080";
        }

        var colour =
            number >= 250
                ? new SKColor((byte)Greys[number - 250], (byte)Greys[number - 250], (byte)Greys[number - 250])
                : SKColor.FromHsv(((number / 10) - 1) * 15, number % 2 == 0 ? 100 : 50, Depths[number % 10 / 2]);
        return $"#{colour.Red:x2}{colour.Green:x2}{colour.Blue:x2}";
    }

    /// <summary>A colour given as a number of 24 bits.</summary>
    public static string OfTrue(int number) => $"#{number & 0xffffff:x6}";
}
