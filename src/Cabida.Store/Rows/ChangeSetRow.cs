namespace Cabida.Store.Rows;

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
