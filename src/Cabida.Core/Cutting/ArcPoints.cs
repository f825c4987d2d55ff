using Cabida.Core.Geometry;

namespace Cabida.Core.Cutting;

/// <summary>The points of lines and arcs, as a file holds them.</summary>
public static class ArcPoints
{
    /// <summary>Points along corners, the first repeated at the end of a closed line.</summary>
    /// <param name="corners">The corners.</param>
    /// <param name="isClosed">Whether the last leads back to the first.</param>
    /// <param name="chordError">How far the points' chords may lie from arcs; millimetres.</param>
    public static IReadOnlyList<PlanePoint> Of(IReadOnlyList<ArcCorner> corners, bool isClosed, double chordError)
    {
        ArgumentNullException.ThrowIfNull(corners);
        var points = new List<PlanePoint>();
        var steps = isClosed ? corners.Count : corners.Count - 1;
        for (var i = 0; i < steps; i++)
        {
            var (from, to) = (corners[i], corners[(i + 1) % corners.Count].At);
            points.Add(from.At);
            if (Math.Abs(from.Bulge) * from.At.To(to) / 2 < chordError)
            {
                continue;
            }

            var (centre, radius) = Circle(from.At, to, from.Bulge);
            var turn = 4 * Math.Atan(from.Bulge);
            var each = 2 * Math.Acos(Math.Max(0, 1 - (chordError / radius)));
            var parts = Math.Max(2, (int)Math.Ceiling(Math.Abs(turn) / Math.Max(each, 1e-3)));
            var start = Math.Atan2(from.At.Y - centre.Y, from.At.X - centre.X);
            for (var k = 1; k < parts; k++)
            {
                var angle = start + (turn * k / parts);
                points.Add(new PlanePoint(centre.X + (radius * Math.Cos(angle)), centre.Y + (radius * Math.Sin(angle))));
            }
        }

        if (corners.Count > 0)
        {
            points.Add(isClosed ? corners[0].At : corners[^1].At);
        }

        return points;
    }

    /// <summary>The circle of an arc: its middle lies (1 − b²)/4b chords to the left of the chord's.</summary>
    public static (PlanePoint Centre, double Radius) Circle(PlanePoint from, PlanePoint to, double bulge)
    {
        var (dx, dy) = (to.X - from.X, to.Y - from.Y);
        var aside = (1 - (bulge * bulge)) / (4 * bulge);
        var centre = new PlanePoint(((from.X + to.X) / 2) - (aside * dy), ((from.Y + to.Y) / 2) + (aside * dx));
        return (centre, centre.To(from));
    }
}
