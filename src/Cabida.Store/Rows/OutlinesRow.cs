namespace Cabida.Store.Rows;

/// <summary>The outlines of a graphic as they were read. Rows are only added; the same outlines are kept once.</summary>
public sealed class OutlinesRow
{
    /// <summary>The first half of the SHA-256 of its JSON, in hexadecimal.</summary>
    public required string Id { get; set; }

    /// <summary>The version of the pieces' form.</summary>
    public int Form { get; set; } = 1;

    /// <summary>The pieces as JSON, compressed by Brotli.</summary>
    public required byte[] Packed { get; set; }

    /// <summary>When it was brought in, in UTC.</summary>
    public DateTime AddedAt { get; set; }
}
