namespace Cabida.Store.Rows;

/// <summary>A file of a released load. Rows are only added; the same bytes are kept once.</summary>
public sealed class CutFileRow
{
    /// <summary>The SHA-256 of its bytes, in hexadecimal.</summary>
    public required string Id { get; set; }

    /// <summary>The bytes, compressed by Brotli.</summary>
    public required byte[] Packed { get; set; }

    /// <summary>When it was kept, in UTC.</summary>
    public DateTime AddedAt { get; set; }
}
