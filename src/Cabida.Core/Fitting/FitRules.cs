using Cabida.Core.Blanks;
using Cabida.Core.Geometry;
using Cabida.Core.Runs;

namespace Cabida.Core.Fitting;

/// <summary>What a fit may do besides scaling.</summary>
/// <param name="Placing">Where it may stand.</param>
/// <param name="Turning">Whether it may be turned.</param>
/// <param name="TurnRange">How far to either side, in degrees, where a range is allowed.</param>
/// <param name="Nudge">How far its centre is moved from the datum centre.</param>
public sealed record FitRules(Placing Placing, Turning Turning, double TurnRange, PlanePoint Nudge)
{
    /// <summary>On the datum centre and upright.</summary>
    public static FitRules OnDatum { get; } = new(Placing.Anchored, Turning.Upright, 0, default);

    /// <summary>The angles that are tried, those nearest to upright first; artwork is never turned upside down.</summary>
    internal IReadOnlyList<double> Angles =>
        Turning switch
        {
            Turning.QuarterTurn => [0, 90, -90],
            Turning.Range when TurnRange > 0 => [.. Steps(TurnRange)],
            _ => [0],
        };

    /// <summary>The angles of a range at which a piece of a given size is placed lie so far apart, in degrees.</summary>
    private const double PlacingStep = 2.5;

    private const double WidestStep = 1;
    private const double FinestStep = 0.2;

    /// <summary>
    /// How finely angles are looked at for ink: a quarter of the turn by which a thing so long moves out of a way so narrow.
    /// </summary>
    internal static double StepFor(Motifs.IScaledInk ink) =>
        ink.BoxAt(1) is { Width: > 0, Height: > 0 } b
            ? Math.Clamp(Math.Atan2(Math.Min(b.Width, b.Height), Math.Max(b.Width, b.Height)) * 180 / Math.PI / 4, FinestStep, WidestStep)
            : WidestStep;

    private static IEnumerable<double> Steps(double range)
    {
        yield return 0;
        for (var a = PlacingStep; a < range + 1e-9; a += PlacingStep)
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
