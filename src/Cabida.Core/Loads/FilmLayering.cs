using Cabida.Core.Geometry;
using Cabida.Core.Stock;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Loads;

/// <summary>The ink of films that lie over one another (calculations 6.8), and the marks by which they are laid so.</summary>
public static class FilmLayering
{
    /// <summary>The middles of marks lie this far out from the ink; millimetres.</summary>
    public const double MarksOut = (Parting.MarkSize / 2) + 2;

    /// <summary>What is cut of the lower film.</summary>
    /// <param name="lower">Its ink.</param>
    /// <param name="upper">The ink of all that lies over it.</param>
    /// <param name="way">How it lies.</param>
    /// <param name="overlap">How far the upper lies on it where it is set in; millimetres.</param>
    public static Area Lower(Area lower, Area upper, LayerWay way, double overlap)
    {
        ArgumentNullException.ThrowIfNull(lower);
        ArgumentNullException.ThrowIfNull(upper);
        return way switch
        {
            LayerWay.Stacked => lower,
            LayerWay.KnockedOut => Outlines.Without(lower, upper),
            LayerWay.SetIn => Outlines.Without(lower, Outlines.Grown(upper, -overlap, Tolerances.Ink)),
            _ => throw new ArgumentOutOfRangeException(nameof(way)),
        };
    }

    /// <summary>
    /// The middles of three marks, cut with every film in the same place: outside of all ink, at three corners, so that a film that is
    /// turned or laid face down does not match.
    /// </summary>
    /// <param name="ink">The box of the ink of all films.</param>
    /// <param name="margin">How far weed boxes stand out from it: marks lie beyond those; millimetres.</param>
    public static IReadOnlyList<PlanePoint> Marks(Box ink, double margin)
    {
        var at = ink.Grown(margin + MarksOut);
        return [new(at.MinX, at.MinY), new(at.MaxX, at.MinY), new(at.MinX, at.MaxY)];
    }
}
