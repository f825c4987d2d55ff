namespace Cabida.Store.Rows;

/// <summary>How a plan came to lie: found, not chosen, so that it is no document. The last ones of each plan are kept.</summary>
public sealed class LayoutRow
{
    /// <summary>The plan.</summary>
    public required string PlanId { get; set; }

    /// <summary>Tells apart what it was laid for.</summary>
    public required string Key { get; set; }

    /// <summary>The layout as JSON, compressed by Brotli.</summary>
    public required byte[] Packed { get; set; }

    /// <summary>When it was found, in UTC.</summary>
    public DateTime FoundAt { get; set; }
}
