using Cabida.Core.Blanks;
using Cabida.Core.Geometry;
using Cabida.Core.Measures;
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

        // A straight wall is told by the box of what lies flat: its outermost points are as far round there.
        List<(Angle Round, double V)> points =
            wall.Cone is null && Box.Of(ink) is { } box
                ? [wall.OnWall(new PlanePoint(box.MinX, box.MinY)), wall.OnWall(new PlanePoint(box.MaxX, box.MaxY))]
                : OnWall(ink, wall);
        var (low, high, left, right) = (double.MaxValue, double.MinValue, double.MaxValue, double.MinValue);
        foreach (var (round, v) in points)
        {
            (low, high) = (Math.Min(low, v), Math.Max(high, v));
            (left, right) = (Math.Min(left, round.Radians), Math.Max(right, round.Radians));
        }

        // Of the turns that name the same place the one whose middle is nearest to the front.
        var turn = wall.Turn.Radians - (2 * Math.PI * Math.Round((((left + right) / 2) + wall.Turn.Radians) / (2 * Math.PI)));
        double PerRadian(double v) => wall.GirthAt(v).Value.Millimetres / (2 * Math.PI);
        var (toBackLeft, toBackRight) = (double.MaxValue, double.MaxValue);
        foreach (var (round, v) in points)
        {
            var perRadian = PerRadian(v);
            toBackLeft = Math.Min(toBackLeft, (Math.PI + round.Radians + turn) * perRadian);
            toBackRight = Math.Min(toBackRight, (Math.PI - round.Radians - turn) * perRadian);
        }

        return new WallExtent(
            low,
            high,
            left + turn - wall.Turn.Radians,
            right + turn - wall.Turn.Radians,
            toBackLeft,
            toBackRight,
            (right - left) * PerRadian((low + high) / 2)
        );
    }

    /// <summary>The corners of ink and places between them, since a tapered wall bends its edges.</summary>
    private static List<(Angle Round, double V)> OnWall(Area ink, Wall wall)
    {
        var points = new List<(Angle, double)>(ink.NumPoints);
        foreach (var ring in Outlines.RingsOf(ink))
        {
            var corners = ring.Coordinates;
            for (var i = 0; i + 1 < corners.Length; i++)
            {
                PlanePoint from = new(corners[i].X, corners[i].Y),
                    to = new(corners[i + 1].X, corners[i + 1].Y);
                if (from.To(to) <= Longest)
                {
                    points.Add(wall.OnWall(from));
                }
                else
                {
                    points.AddRange(Outlines.Divided(from, to, Longest).Select(wall.OnWall));
                }
            }
        }

        return points;
    }
}
