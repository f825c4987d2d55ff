namespace Cabida.Store.Rows;

/// <summary>A document as it stands now.</summary>
public sealed class DocumentRow
{
    /// <summary>What it is: blank, motif, film, cutter, job, run or graphic.</summary>
    public required string Kind { get; set; }

    /// <summary>Which one.</summary>
    public required string Id { get; set; }

    /// <summary>What it is called, for lists.</summary>
    public required string Name { get; set; }

    /// <summary>Counts every change; a write must name the one it was made from.</summary>
    public int Revision { get; set; }

    /// <summary>The version of the document's form.</summary>
    public int Form { get; set; }

    /// <summary>The document.</summary>
    public required string Json { get; set; }

    /// <summary>When it was first kept, in UTC.</summary>
    public DateTime CreatedAt { get; set; }

    /// <summary>When it was last changed, in UTC.</summary>
    public DateTime ChangedAt { get; set; }
}
