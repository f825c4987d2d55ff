using Cabida.Core.Motifs;

namespace Cabida.Web.Weeding;

/// <summary>What minutes are typed for.</summary>
internal static class WeedingKey
{
    /// <summary>A film of a side of a piece.</summary>
    public static string OfPiece(string run, string piece, string side, FilmPly ply) =>
        FormattableString.Invariant($"{run} {piece} {side} {ply.FilmId} {ply.Ply}");

    /// <summary>A load.</summary>
    public static string OfLoad(string run, int number) => FormattableString.Invariant($"{run} load {number}");
}
