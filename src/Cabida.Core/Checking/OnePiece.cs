using Cabida.Core.Motifs;

namespace Cabida.Core.Checking;

/// <summary>Which sheets of film have to hang together when they are cut: mats, and those with a part that says so.</summary>
public static class OnePiece
{
    /// <summary>Whether a sheet has to.</summary>
    /// <param name="layer">The sheet.</param>
    /// <param name="parts">The parts of the motif, in place.</param>
    public static bool Is(FilmPly layer, IReadOnlyList<PlacedPart> parts) =>
        PartPlaces.AnyOn(parts, layer, p => p is MatPart or { OnePiece: true });
}
