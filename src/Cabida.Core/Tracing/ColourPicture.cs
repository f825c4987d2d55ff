namespace Cabida.Core.Tracing;

/// <summary>A picture in colour: red, green and blue a pixel, row after row from the top; what is clear lies on white.</summary>
/// <param name="Width">Pixels across.</param>
/// <param name="Height">Pixels down.</param>
/// <param name="Pixels">Three bytes a pixel.</param>
public sealed record ColourPicture(int Width, int Height, byte[] Pixels)
{
    /// <summary>Its brightness, as the eye weighs colours (Rec. 709).</summary>
    public GreyPicture Grey()
    {
        var grey = new byte[Width * Height];
        for (var i = 0; i < grey.Length; i++)
        {
            grey[i] = (byte)Math.Round((0.2126 * Pixels[3 * i]) + (0.7152 * Pixels[(3 * i) + 1]) + (0.0722 * Pixels[(3 * i) + 2]));
        }

        return new GreyPicture(Width, Height, grey);
    }
}
