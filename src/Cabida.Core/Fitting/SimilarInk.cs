using Cabida.Core.Geometry;
using Cabida.Core.Motifs;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Fitting;

/// <summary>
/// Ink all of whose lengths follow the scale, for searching: drawn at a few sizes only, and enlarged or reduced a little from the
/// nearest of them. It differs from the true ink by how curves are flattened, so what is found with it is fitted once more.
/// </summary>
internal sealed class SimilarInk(IScaledInk drawn) : IScaledInk
{
    /// <summary>Sizes it is drawn at are so much apart.</summary>
    private const double Step = 1.3;

    private readonly Dictionary<int, Area> known = [];

    /// <inheritdoc/>
    public Box? BoxAt(double scale) => Box.Of(InkAt(scale));

    /// <inheritdoc/>
    public Area InkAt(double scale)
    {
        var at = (int)Math.Round(Math.Log(scale) / Math.Log(Step));
        var size = Math.Pow(Step, at);
        if (!known.TryGetValue(at, out var ink))
        {
            known[at] = ink = drawn.InkAt(size);
        }

        return Outlines.Placed(ink, scale / size, 0, 0);
    }
}
