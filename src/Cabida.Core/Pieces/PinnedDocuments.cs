using Cabida.Core.Blanks;
using Cabida.Core.Motifs;
using Cabida.Core.Stock;

namespace Cabida.Core.Pieces;

/// <summary>What a run pins, as it was at the pinned revisions.</summary>
/// <param name="Blank">Its blank; null until chosen.</param>
/// <param name="Motif">Its motif; null until chosen.</param>
/// <param name="Film">Its film; null until chosen.</param>
/// <param name="Cutter">Its cutter; null until chosen.</param>
/// <param name="Films">The films that parts of its motifs name, by id.</param>
/// <param name="SideMotifs">The motifs of its other sides, in their order; null where none is chosen.</param>
public sealed record PinnedDocuments(
    Blank? Blank,
    Motif? Motif,
    Film? Film,
    Cutter? Cutter,
    IReadOnlyDictionary<string, Film> Films,
    IReadOnlyList<Motif?> SideMotifs
);
