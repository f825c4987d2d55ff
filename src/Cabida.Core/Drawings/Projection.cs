using Cabida.Core.Blanks;
using Cabida.Core.Geometry;

namespace Cabida.Core.Drawings;

/// <summary>A wall seen from the front and a little from above: parallel projection, rings appear as flat ellipses.</summary>
internal static class Projection
{
    /// <summary>A bellied outline is followed in so many steps.</summary>
    private const int ProfileSteps = 48;

    /// <summary>The height of a ring's ellipse as a share of its width.</summary>
    private const double Tilt = 0.1;

    /// <summary>The outline of the wall at an angle from the front, base to rim.</summary>
    public static List<PlanePoint> Profile(Wall wall, double degrees)
    {
        var height = wall.Height.Value.Millimetres;
        return wall.Belly is null
            ? [Of(wall, degrees, 0), Of(wall, degrees, height)]
            : [.. Enumerable.Range(0, ProfileSteps + 1).Select(i => Of(wall, degrees, height * i / ProfileSteps))];
    }

    /// <summary>A point of the wall: degrees to the right of the front, height along the wall.</summary>
    public static PlanePoint Of(Wall wall, double degrees, double v)
    {
        var radius = wall.AcrossAt(v).Millimetres / 2;
        var angle = degrees * Math.PI / 180;
        var upright = wall.Belly?.UprightAt(v) ?? (v * Math.Cos(wall.Cone?.HalfAngle.Radians ?? 0));
        return new PlanePoint(radius * Math.Sin(angle), upright - (Tilt * radius * Math.Cos(angle)));
    }
}
