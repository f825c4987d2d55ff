namespace Cabida.Store.Rows;

/// <summary>A fitted piece as the board shows it. It follows from documents and may be lost.</summary>
public sealed class FitRow
{
    /// <summary>A hash of all that it depends on, the version of what works it out among it.</summary>
    public required string Key { get; set; }

    /// <summary>It, packed.</summary>
    public required byte[] Packed { get; set; }

    /// <summary>When it was kept, in ticks of UTC.</summary>
    public long KeptAt { get; set; }
}
