namespace Cabida.Core.Runs;

/// <summary>Another side of the same pieces: another motif in another zone.</summary>
/// <param name="Id">Tells it apart within its run.</param>
/// <param name="Motif">The motif; null until chosen.</param>
/// <param name="Zone">The zone of the run's blank; empty for its first.</param>
public sealed record RunSide(string Id, Pin? Motif, string Zone);
