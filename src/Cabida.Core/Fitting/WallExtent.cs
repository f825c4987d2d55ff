using Cabida.Core.Blanks;
using Cabida.Core.Geometry;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Fitting;

/// <summary>
/// How far ink reaches on the wall itself, as a tape laid on the goods reads it: heights along the wall, and round it by angle.
/// What lies flat in a box is higher or lower on a cone than the box says, since rings are bent there.
/// </summary>
/// <param name="Low">The height of its lowest point above the base, along the wall.</param>
/// <param name="High">The height of its highest.</param>
/// <param name="Left">Its leftmost point, in radians to the right of the line the wall is turned to.</param>
/// <param name="Right">Its rightmost.</param>
/// <param name="LeftToBack">The least distance round from its left side to the line at the back of the wall, at each point's own
/// height.</param>
/// <param name="RightToBack">The same from its right side.</param>
/// <param name="Width">Its width round the wall at its middle height.</param>
public sealed record WallExtent(double Low, double High, double Left, double Right, double LeftToBack, double RightToBack, double Width)
{
    /// <summary>An edge is divided so finely that its own bend on the wall is no longer seen; millimetres.</summary>
    private const double Longest = 1;

    /// <summary>Measures ink that is laid flat; null for no ink.</summary>
    public static WallExtent? Of(Area ink, Wall wall)
    {
        ArgumentNullException.ThrowIfNull(ink);
        ArgumentNullException.ThrowIfNull(wall);
        if (ink.IsEmpty)
        {
            return null;
        }

        var points = Outlines
            .RingsOf(ink)
            .SelectMany(r =>
                r.Coordinates.Zip(r.Coordinates.Skip(1), (a, b) => (From: new PlanePoint(a.X, a.Y), To: new PlanePoint(b.X, b.Y)))
            )
            .SelectMany(e => wall.Cone is null ? [e.From] : Outlines.Divided(e.From, e.To, Longest))
            .Select(wall.OnWall)
            .ToList();
        var (low, high, left, right) = (
            points.Min(p => p.V),
            points.Max(p => p.V),
            points.Min(p => p.Round.Radians),
            points.Max(p => p.Round.Radians)
        );
        // Of the turns that name the same place the one whose middle is nearest to the front.
        var turn = wall.Turn.Radians - (2 * Math.PI * Math.Round((((left + right) / 2) + wall.Turn.Radians) / (2 * Math.PI)));
        double PerRadian(double v) => wall.GirthAt(v).Value.Millimetres / (2 * Math.PI);
        return new WallExtent(
            low,
            high,
            left + turn - wall.Turn.Radians,
            right + turn - wall.Turn.Radians,
            points.Min(p => (Math.PI + p.Round.Radians + turn) * PerRadian(p.V)),
            points.Min(p => (Math.PI - p.Round.Radians - turn) * PerRadian(p.V)),
            (right - left) * PerRadian((low + high) / 2)
        );
    }
}
