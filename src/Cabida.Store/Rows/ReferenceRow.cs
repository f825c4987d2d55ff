namespace Cabida.Store.Rows;

/// <summary>A reference inside a document, kept beside it so that nothing in use can be removed.</summary>
public sealed class ReferenceRow
{
    /// <summary>What the referring document is.</summary>
    public required string FromKind { get; set; }

    /// <summary>Which one.</summary>
    public required string FromId { get; set; }

    /// <summary>What it refers to.</summary>
    public required string ToKind { get; set; }

    /// <summary>Which one.</summary>
    public required string ToId { get; set; }
}
