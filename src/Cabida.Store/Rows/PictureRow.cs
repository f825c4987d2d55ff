namespace Cabida.Store.Rows;

/// <summary>A picture or scan as it was brought in. Rows are only added; the same picture is kept once.</summary>
public sealed class PictureRow
{
    /// <summary>The first half of the SHA-256 of its bytes, in hexadecimal.</summary>
    public required string Id { get; set; }

    /// <summary>What kind of file it is.</summary>
    public required string MediaType { get; set; }

    /// <summary>Its width in pixels.</summary>
    public int Width { get; set; }

    /// <summary>Its height in pixels.</summary>
    public int Height { get; set; }

    /// <summary>Dots an inch as the file or the scanner states; null when it does not.</summary>
    public double? DotsPerInch { get; set; }

    /// <summary>Whether a scanner vouches for that; what stands in a file may be anything.</summary>
    public bool Proven { get; set; }

    /// <summary>The file.</summary>
    public required byte[] Bytes { get; set; }

    /// <summary>When it was brought in, in UTC.</summary>
    public DateTime AddedAt { get; set; }
}
