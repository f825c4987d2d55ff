using Cabida.Core.Geometry;
using Cabida.Core.Motifs;
using Cabida.Core.Stock;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Waste;

/// <summary>Keeps waste by what it follows from: the ink, what its film bears, and how its waste is cut. Bounded in bytes.</summary>
public sealed class FilmWasteCache
{
    private const long Budget = 48L << 20;
    private readonly Kept<(string Ink, FilmLimits Limits, WeedWays Ways), FilmWaste?> kept = new(Budget, w => 400 + (w?.Plan?.Bytes ?? 0));

    /// <summary>The waste of a film's ink; null without ink.</summary>
    /// <param name="hash">Tells the ink apart from any other.</param>
    /// <param name="ink">The ink; millimetres.</param>
    /// <param name="layer">Which sheet of which film.</param>
    /// <param name="parts">The parts in place.</param>
    /// <param name="limits">What the film bears.</param>
    /// <param name="ways">How its waste is cut.</param>
    public FilmWaste? Of(string hash, Area ink, FilmPly layer, IReadOnlyList<PlacedPart> parts, FilmLimits limits, WeedWays ways) =>
        kept.Get((hash, limits, ways), () => FilmWaste.Of(ink, layer, parts, limits, ways));
}
