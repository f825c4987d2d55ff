using Cabida.Core.Blanks;
using Cabida.Core.Geometry;

namespace Cabida.Core.Fitting;

/// <summary>Where artwork may stand in its zone.</summary>
public enum Placing
{
    /// <summary>Its centre stays on the zone's datum centre, or where it was nudged to.</summary>
    Anchored,

    /// <summary>Wherever it can be largest; of several such places the one nearest to the datum centre.</summary>
    Free,
}

/// <summary>What a fit may do besides scaling.</summary>
/// <param name="Placing">Where it may stand.</param>
/// <param name="Turning">Whether it may be turned.</param>
/// <param name="TurnRange">How far to either side, in degrees, where a range is allowed.</param>
/// <param name="Nudge">How far its centre is moved from the datum centre.</param>
public sealed record FitRules(Placing Placing, Turning Turning, double TurnRange, PlanePoint Nudge)
{
    /// <summary>The most angles of a range that are tried before the best of them is refined.</summary>
    private const int MostAngles = 25;

    /// <summary>On the datum centre and upright.</summary>
    public static FitRules OnDatum { get; } = new(Placing.Anchored, Turning.Upright, 0, default);

    /// <summary>The angles that are tried, those nearest to upright first; artwork is never turned upside down.</summary>
    internal IReadOnlyList<double> Angles => Turning switch
    {
        Turning.QuarterTurn => [0, 90, -90],
        Turning.Range when TurnRange > 0 => [.. Steps(TurnRange)],
        _ => [0],
    };

    /// <summary>How far apart the angles of a range are.</summary>
    internal double AngleStep => Turning == Turning.Range ? Math.Max(1, 2 * TurnRange / (MostAngles - 1)) : 0;

    private IEnumerable<double> Steps(double range)
    {
        yield return 0;
        for (var a = AngleStep; a < range + 1e-9; a += AngleStep)
        {
            yield return a;
            yield return -a;
        }
    }
}

/// <summary>Where ink comes to stand.</summary>
/// <param name="Scale">Its scale.</param>
/// <param name="Turn">How far it is turned to the left about its centre, in degrees.</param>
/// <param name="At">Where its centre stands, in the zone's coordinates.</param>
public sealed record FitPlace(double Scale, double Turn, PlanePoint At)
{
    /// <summary>The change of place from ink about its centre to the zone's coordinates.</summary>
    public Motion Motion => Motion.TurnLeft(Turn).Moved(At.X, At.Y);
}
