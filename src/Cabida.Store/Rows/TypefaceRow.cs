namespace Cabida.Store.Rows;

/// <summary>
/// A typeface that the maker added. Its file never changes; one that was taken away keeps its row, so that old revisions can be set.
/// </summary>
public sealed class TypefaceRow
{
    /// <summary>Which one: its name with a hash of its file.</summary>
    public required string Id { get; set; }

    /// <summary>The name it is shown by.</summary>
    public required string Name { get; set; }

    /// <summary>Its style in a word.</summary>
    public required string Kind { get; set; }

    /// <summary>A hash of its file.</summary>
    public required string Revision { get; set; }

    /// <summary>Which face of a collection.</summary>
    public int FaceIndex { get; set; }

    /// <summary>What its file says of its licence; empty when it says nothing.</summary>
    public required string Licence { get; set; }

    /// <summary>The file.</summary>
    public required byte[] Bytes { get; set; }

    /// <summary>When it was added, in UTC.</summary>
    public DateTime AddedAt { get; set; }

    /// <summary>When it was taken away, in UTC; null while it is offered.</summary>
    public DateTime? TakenAwayAt { get; set; }
}
