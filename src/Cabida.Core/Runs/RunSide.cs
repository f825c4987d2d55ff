namespace Cabida.Core.Runs;

/// <summary>Another side of the same pieces: another motif in another zone.</summary>
/// <param name="Id">Tells it apart within its run.</param>
/// <param name="Motif">The motif; null until chosen.</param>
/// <param name="Zone">The zone of the run's blank; empty for its first.</param>
public sealed record RunSide(string Id, Pin? Motif, string Zone)
{
    /// <summary>Whether it lies behind clear goods and is seen through them: it is then cut the other way round.</summary>
    public bool SeenThrough { get; init; }
}
