using Cabida.Core.Geometry;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Loads;

/// <summary>How a film lies where another lies over it (calculations 6.8).</summary>
public enum LayerWay
{
    /// <summary>As composed: one on the other.</summary>
    Stacked,

    /// <summary>The lower loses the ink of the upper.</summary>
    KnockedOut,

    /// <summary>The lower loses the ink of the upper but for an overlap along its edge.</summary>
    SetIn,
}

/// <summary>The ink of films that lie over one another.</summary>
public static class FilmLayering
{
    /// <summary>The usual overlap of what is set in; millimetres.</summary>
    public const double UsualOverlap = 1;

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
}
