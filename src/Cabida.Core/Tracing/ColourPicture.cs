namespace Cabida.Core.Tracing;

/// <summary>A picture in colour: red, green and blue a pixel, row after row from the top, each as it is by itself, however clear.</summary>
/// <param name="Width">Pixels across.</param>
/// <param name="Height">Pixels down.</param>
/// <param name="Pixels">Three bytes a pixel.</param>
public sealed record ColourPicture(int Width, int Height, byte[] Pixels)
{
    /// <summary>From this on a pixel counts as there; below, as clear.</summary>
    public const byte Half = 128;

    /// <summary>How opaque each pixel is, 255 for wholly; null where all are.</summary>
    public byte[]? Opacity { get; init; }

    /// <summary>Whether a pixel is there rather than clear.</summary>
    public bool IsThere(int pixel) => Opacity is null || Opacity[pixel] >= Half;

    /// <summary>Its brightness on white, as the eye weighs colours (Rec. 709).</summary>
    public GreyPicture Grey()
    {
        var grey = new byte[Width * Height];
        for (var i = 0; i < grey.Length; i++)
        {
            var own = (0.2126 * Pixels[3 * i]) + (0.7152 * Pixels[(3 * i) + 1]) + (0.0722 * Pixels[(3 * i) + 2]);
            grey[i] = (byte)Math.Round(Opacity is null ? own : 255 + ((own - 255) * Opacity[i] / 255));
        }

        return new GreyPicture(Width, Height, grey);
    }
}
