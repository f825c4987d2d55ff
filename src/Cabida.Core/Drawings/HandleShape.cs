using Cabida.Core.Blanks;
using Cabida.Core.Geometry;

namespace Cabida.Core.Drawings;

/// <summary>A handle as a sign: where it stands is known, its own shape is not measured.</summary>
internal static class HandleShape
{
    /// <summary>How far it stands out, as a share of the wall's height.</summary>
    public const double Reach = 0.42;

    /// <summary>Where it leaves the wall above and below, as shares of the wall's height.</summary>
    public const double Upper = 0.84;

    /// <inheritdoc cref="Upper"/>
    public const double Lower = 0.2;

    /// <summary>How squarely it bows: a sine to this power.</summary>
    public const double Fullness = 0.55;

    private const double InnerReach = 0.30;
    private const int Steps = 40;

    /// <summary>Its outer and inner outline when it stands at an angle to the right of what faces the reader.</summary>
    public static IEnumerable<List<PlanePoint>> At(Wall wall, double degrees) =>
        [Outline(wall, degrees, Reach), Outline(wall, degrees, InnerReach)];

    /// <summary>Whether the wall stands before it.</summary>
    public static bool IsBehind(double degrees) => Math.Cos(degrees * Math.PI / 180) < -1e-9;

    private static List<PlanePoint> Outline(Wall wall, double degrees, double reach)
    {
        var height = wall.Height.Value.Millimetres;
        var inset = (Reach - reach) * 0.9 * height;
        var across = reach * height * Math.Sin(degrees * Math.PI / 180);
        PlanePoint high = Projection.Of(wall, degrees, (Upper * height) - inset),
            low = Projection.Of(wall, degrees, (Lower * height) + inset);
        return
        [
            .. Enumerable
                .Range(0, Steps + 1)
                .Select(i => (double)i / Steps)
                .Select(t =>
                    high.Towards(low, t) is var p ? new PlanePoint(p.X + (across * Math.Pow(Math.Sin(Math.PI * t), Fullness)), p.Y) : p
                ),
        ];
    }
}
