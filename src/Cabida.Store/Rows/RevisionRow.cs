namespace Cabida.Store.Rows;

/// <summary>One state that a document was ever in. Rows are only added.</summary>
public sealed class RevisionRow
{
    /// <summary>What the document is.</summary>
    public required string Kind { get; set; }

    /// <summary>Which one.</summary>
    public required string Id { get; set; }

    /// <summary>The revision.</summary>
    public int Revision { get; set; }

    /// <summary>The revision whose state this change replaced; null for the first.</summary>
    public int? Replaced { get; set; }

    /// <summary>
    /// The revision whose state was brought back, when this is an undo or redo; 0 for the state before there was any.
    /// </summary>
    public int? Restored { get; set; }

    /// <summary>The version of the document's form.</summary>
    public int Form { get; set; }

    /// <summary>Whether the document was removed: there is no text then.</summary>
    public bool Gone { get; set; }

    /// <summary>The document's JSON as it was kept before texts were packed; null since.</summary>
    public string? Json { get; set; }

    /// <summary>The document's JSON, packed whole (Brotli), or as what it differs in from <see cref="BasedOn"/>.</summary>
    public byte[]? Packed { get; set; }

    /// <summary>The revision of the same document that the packed text is a difference from; null where it is whole.</summary>
    public int? BasedOn { get; set; }

    /// <summary>The change-set it belongs to.</summary>
    public long ChangeSetId { get; set; }
}
