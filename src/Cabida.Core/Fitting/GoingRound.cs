using System.Buffers;
using Cabida.Core.Blanks;
using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Fitting;

/// <summary>How ink goes round a wall, as a tape on the wall itself would say; distances are the least there are at any height.</summary>
/// <param name="Covers">How far it reaches round, and how wide that looks from the front.</param>
/// <param name="HandleLeft">From its left edge round to the handle; null without one.</param>
/// <param name="HandleRight">From its right edge round to the handle; null without one.</param>
/// <param name="SeamLeft">From its left edge round to the seam, which lies opposite the front; negative when it reaches over it.</param>
/// <param name="SeamRight">From its right edge round to the seam.</param>
/// <param name="Overlap">By how much it laps over itself; negative for the gap it leaves of a full turn.</param>
/// <param name="DrinkerSees">
/// The share of its ink on the half that faces a drinker who holds the handle in the right hand: from the front line to the
/// right, as far as the handle. Null without a handle.
/// </param>
public sealed record GoingRound(
    Coverage Covers,
    Length? HandleLeft,
    Length? HandleRight,
    Length SeamLeft,
    Length SeamRight,
    Length Overlap,
    double? DrinkerSees
)
{
    private const double HalfTurn = 180;

    private static readonly double[] Turns = [-2 * HalfTurn, 0, 2 * HalfTurn];

    /// <summary>Measures ink on a wall.</summary>
    /// <param name="ink">The ink laid flat.</param>
    /// <param name="wall">The wall, turned so that the zone faces the reader.</param>
    public static GoingRound Of(Area ink, Wall wall)
    {
        ArgumentNullException.ThrowIfNull(wall);
        var on = WallExtent.Of(ink, wall) ?? throw new ArgumentException("There is no ink.", nameof(ink));
        var girth = wall.GirthAt((on.Low + on.High) / 2).Value.Millimetres;
        var blocked = wall.Handle is { } handle ? handle.Value.Millimetres / 2 : (double?)null;
        return new GoingRound(
            Coverage.Of(Length.Mm((on.Right - on.Left) * girth / (2 * Math.PI)), Length.Mm(girth)),
            blocked is { } l ? Length.Mm(on.LeftToBack - l) : null,
            blocked is { } r ? Length.Mm(on.RightToBack - r) : null,
            Length.Mm(on.LeftToBack),
            Length.Mm(on.RightToBack),
            Length.Mm(on.Width - girth),
            wall.Handle is null ? null : DrinkersShare(ink, wall)
        );
    }

    /// <summary>By the wall's own measures, degrees round and millimetres up, in which a half turn is a strip whatever the taper.</summary>
    private static double DrinkersShare(Area ink, Wall wall)
    {
        double seen = 0,
            all = 0;
        foreach (var polygon in Outlines.PolygonsOf(ink))
        {
            foreach (var (ring, sign) in polygon.InteriorRings.Select(h => (h, -1)).Prepend((polygon.ExteriorRing, 1)))
            {
                var corners = ring.Coordinates;
                var borrowed = ArrayPool<PlanePoint>.Shared.Rent(corners.Length);
                var round = borrowed.AsSpan(0, corners.Length);
                var (left, right) = (double.MaxValue, double.MinValue);
                for (var i = 0; i < corners.Length; i++)
                {
                    round[i] = OnWall(corners[i], wall);
                    (left, right) = (Math.Min(left, round[i].X), Math.Max(right, round[i].X));
                }

                var whole = AreaBetween(round, double.NegativeInfinity, double.PositiveInfinity);
                all += sign * whole;
                // The same half comes again a whole turn further on either side; few rings reach over its edge.
                foreach (var turn in Turns)
                {
                    seen +=
                        right <= turn || left >= turn + HalfTurn ? 0
                        : left >= turn && right <= turn + HalfTurn ? sign * whole
                        : sign * AreaBetween(round, turn, turn + HalfTurn);
                }

                ArrayPool<PlanePoint>.Shared.Return(borrowed);
            }
        }

        return all > 0 ? Math.Clamp(seen / all, 0, 1) : 0;
    }

    private static PlanePoint OnWall(NetTopologySuite.Geometries.Coordinate c, Wall wall)
    {
        var (angle, v) = wall.OnWall(new PlanePoint(c.X, c.Y));
        return new PlanePoint(angle.Degrees + wall.Turn.Degrees, v);
    }

    /// <summary>The area of what of a ring lies in an upright strip: its points brought to the strip, edge by edge.</summary>
    private static double AreaBetween(ReadOnlySpan<PlanePoint> ring, double left, double right)
    {
        var twice = 0.0;
        for (var i = 0; i + 1 < ring.Length; i++)
        {
            var (a, b) = (ring[i], ring[i + 1]);
            // The area under an edge within the strip; what lies beyond it adds nothing.
            var (from, to) = (Math.Clamp(a.X, left, right), Math.Clamp(b.X, left, right));
            if (from != to)
            {
                var slope = (b.Y - a.Y) / (b.X - a.X);
                twice += (to - from) * (a.Y + (slope * (from - a.X)) + a.Y + (slope * (to - a.X)));
            }
        }

        return Math.Abs(twice) / 2;
    }
}
