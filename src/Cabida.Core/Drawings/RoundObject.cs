using Cabida.Core.Blanks;
using Cabida.Core.Geometry;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Drawings;

/// <summary>A point of a profile.</summary>
/// <param name="Radius">From the axis.</param>
/// <param name="Up">Upright height above the base.</param>
/// <param name="Along">Height along the wall.</param>
public readonly record struct ProfilePoint(double Radius, double Up, double Along);

/// <summary>
/// A wall as a body to be turned: its measured profile from base to rim, its handle, and the skin that artwork lies on. The
/// skin is as wide as the largest girth, whatever the girth at a height, and as high as the wall: x is round it, with the front
/// in the middle, y along it. Millimetres.
/// </summary>
/// <param name="Profile">Base to rim.</param>
/// <param name="SkinWidth">Once round.</param>
/// <param name="SkinHeight">Along the wall.</param>
/// <param name="Handle">The middle line of the handle from where it leaves the rim's end to where it meets the base's: radius and upright
/// height; empty without one. Its place is measured, its shape is a sign.</param>
/// <param name="HandleThick">How thick it is drawn.</param>
public sealed record RoundObject(
    IReadOnlyList<ProfilePoint> Profile,
    double SkinWidth,
    double SkinHeight,
    IReadOnlyList<ProfilePoint> Handle,
    double HandleThick
)
{
    private const int ProfileSteps = 48;
    private const int HandleSteps = 24;

    /// <summary>The thickness of a drawn handle, as a share of the wall's height.</summary>
    private const double Thick = 0.085;

    /// <summary>Edges are followed in steps of this length before they are laid round; millimetres.</summary>
    private const double Step = 1;

    /// <summary>The body of a wall.</summary>
    public static RoundObject Of(Wall wall)
    {
        ArgumentNullException.ThrowIfNull(wall);
        var height = wall.Height.Value.Millimetres;
        var profile = Enumerable.Range(0, ProfileSteps + 1).Select(i => At(wall, height * i / ProfileSteps)).ToList();
        return new RoundObject(
            profile,
            SkinWidthOf(wall, profile),
            height,
            wall.Handle is null ? [] : [.. HandleOf(wall, height)],
            Thick * height
        );
    }

    /// <summary>Ink of a wall's development on the skin; what reaches over its end comes in again at the other.</summary>
    public static Area OnSkin(Wall wall, Area developed)
    {
        ArgumentNullException.ThrowIfNull(wall);
        var height = wall.Height.Value.Millimetres;
        var width = SkinWidthOf(wall, [.. Enumerable.Range(0, ProfileSteps + 1).Select(i => At(wall, height * i / ProfileSteps))]);
        var laid = Outlines.Mapped(
            developed,
            p =>
            {
                var (round, v) = wall.OnWall(p);
                return new PlanePoint((round.Degrees + wall.Turn.Degrees) / 360 * width, v);
            },
            Step
        );
        var skin = Outlines.Rectangle(new Box(-width / 2, -height, width / 2, 2 * height));
        return Outlines.Together([
            .. new[] { -width, 0, width }.SelectMany(turn => Outlines.PolygonsOf(Outlines.Within(Outlines.Placed(laid, 1, turn, 0), skin))),
        ]);
    }

    private static double SkinWidthOf(Wall wall, IReadOnlyList<ProfilePoint> profile) =>
        wall.Cone is null && wall.Belly is null ? wall.StraightGirth.Value.Millimetres : 2 * Math.PI * profile.Max(p => p.Radius);

    private static ProfilePoint At(Wall wall, double v) =>
        new(wall.AcrossAt(v).Millimetres / 2, wall.Belly?.UprightAt(v) ?? (v * Math.Cos(wall.Cone?.HalfAngle.Radians ?? 0)), v);

    private static IEnumerable<ProfilePoint> HandleOf(Wall wall, double height)
    {
        var (high, low) = (At(wall, HandleShape.Upper * height), At(wall, HandleShape.Lower * height));
        var reach = (HandleShape.Reach - (Thick / 2)) * height;
        return Enumerable
            .Range(0, HandleSteps + 1)
            .Select(i => (double)i / HandleSteps)
            .Select(t => new ProfilePoint(
                high.Radius + (t * (low.Radius - high.Radius)) + (reach * Math.Pow(Math.Sin(Math.PI * t), HandleShape.Fullness)),
                high.Up + (t * (low.Up - high.Up)),
                0
            ));
    }
}
