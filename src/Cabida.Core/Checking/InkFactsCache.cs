using Cabida.Core.Geometry;
using Cabida.Core.Stock;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Checking;

/// <summary>Keeps facts by the hash of the ink and what its film bears. Bounded in bytes.</summary>
public sealed class InkFactsCache
{
    private const long Budget = 64L << 20;
    private readonly Kept<(string Ink, FilmLimits Limits, bool OnePiece), InkFacts> kept = new(Budget, f => f.Bytes);

    /// <summary>The facts of ink.</summary>
    /// <param name="hash">Tells the ink apart from any other.</param>
    /// <param name="ink">The ink.</param>
    /// <param name="limits">What its film bears.</param>
    /// <param name="onePiece">Whether it has to hang together.</param>
    public InkFacts Of(string hash, Area ink, FilmLimits limits, bool onePiece = false) =>
        kept.Get((hash, limits, onePiece), () => new InkFacts(ink, limits, onePiece));
}
