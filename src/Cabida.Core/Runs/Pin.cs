using System.ComponentModel.DataAnnotations;

namespace Cabida.Core.Runs;

/// <summary>A thing of the shelf, the motifs or the stock as it was when the run took it.</summary>
/// <param name="Id">Which.</param>
/// <param name="Revision">Which revision of it.</param>
public sealed record Pin(string Id, [property: Range(0, int.MaxValue)] int Revision);
