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

    /// <summary>The revision whose state was brought back, when this is an undo or redo.</summary>
    public int? Restored { get; set; }

    /// <summary>The version of the document's form.</summary>
    public int Form { get; set; }

    /// <summary>The document; null when it was removed.</summary>
    public string? Json { get; set; }

    /// <summary>The change-set it belongs to.</summary>
    public long ChangeSetId { get; set; }
}

/// <summary>One change by the maker; it may span several documents.</summary>
public sealed class ChangeSetRow
{
    /// <summary>Counts up.</summary>
    public long Id { get; set; }

    /// <summary>When, in UTC.</summary>
    public DateTime At { get; set; }

    /// <summary>What was done, in a few words.</summary>
    public required string Words { get; set; }
}

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

/// <summary>The outlines of a graphic as they were read. Rows are only added; the same outlines are kept once.</summary>
public sealed class OutlinesRow
{
    /// <summary>The first half of the SHA-256 of its JSON, in hexadecimal.</summary>
    public required string Id { get; set; }

    /// <summary>The pieces as JSON, compressed by Brotli.</summary>
    public required byte[] Packed { get; set; }

    /// <summary>When it was brought in, in UTC.</summary>
    public DateTime AddedAt { get; set; }
}

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

/// <summary>A piece of long work: what it is about, how far it has come, and how it ended. It is taken up again after a restart.</summary>
public sealed class WorkRow
{
    /// <summary>Counts up, so that work is done in the order it was asked for.</summary>
    public long Id { get; set; }

    /// <summary>What kind of work it is.</summary>
    public required string Kind { get; set; }

    /// <summary>What it is about, as the id of a run.</summary>
    public required string Subject { get; set; }

    /// <summary>Of which revision of that.</summary>
    public int Revision { get; set; }

    /// <summary>How much is done.</summary>
    public int Done { get; set; }

    /// <summary>Of how much.</summary>
    public int Of { get; set; }

    /// <summary>How it stands.</summary>
    public WorkState State { get; set; }

    /// <summary>How often it was begun; work that was begun and never ended took the application down with it.</summary>
    public int Starts { get; set; }

    /// <summary>Why it failed; empty otherwise.</summary>
    public string Problem { get; set; } = "";

    /// <summary>When it was asked for, in UTC.</summary>
    public DateTime AskedAt { get; set; }

    /// <summary>When it was last reported on, in UTC.</summary>
    public DateTime ChangedAt { get; set; }
}

/// <summary>How a piece of long work stands.</summary>
public enum WorkState
{
    /// <summary>Asked for.</summary>
    Waiting,

    /// <summary>Being done; found so after a restart it is taken up again.</summary>
    Running,

    /// <summary>Done.</summary>
    Done,

    /// <summary>Stopped by the maker.</summary>
    Stopped,

    /// <summary>Ended by a fault.</summary>
    Failed,
}
