using Cabida.Core.Geometry;
using Cabida.Core.Layout;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Plans;

/// <summary>Keeps the silhouettes of ink by what they follow from. Bounded in bytes.</summary>
public sealed class Silhouettes
{
    private const long Budget = 48L << 20;
    private const int BytesPerPoint = 60;
    private readonly Kept<(string Ink, bool Holes, double Room), Area> kept = new(Budget, a => 300 + ((long)BytesPerPoint * a.NumPoints));

    /// <summary>The silhouette of ink.</summary>
    /// <param name="key">Tells the ink apart from any other.</param>
    /// <param name="ink">The ink; millimetres.</param>
    /// <param name="keepsHoles">Whether its holes stay free for others.</param>
    /// <param name="room">The scissors room; millimetres.</param>
    public Area Of(string key, Area ink, bool keepsHoles, double room) =>
        kept.Get((key, keepsHoles, room), () => Silhouette.Of(ink, keepsHoles, room));
}
