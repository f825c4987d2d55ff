namespace Cabida.Store.Rows;

/// <summary>A document as a list shows it, kept so that a list works nothing out. It follows from documents and may be lost.</summary>
public sealed class CardRow
{
    /// <summary>The kind of document.</summary>
    public required string Kind { get; set; }

    /// <summary>Which document.</summary>
    public required string Id { get; set; }

    /// <summary>What it was made from: revisions, and the version of what worked it out.</summary>
    public required string MadeFrom { get; set; }

    /// <summary>It as text.</summary>
    public required string Text { get; set; }
}
