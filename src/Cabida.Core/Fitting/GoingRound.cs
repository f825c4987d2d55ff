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
                var round = ring
                    .Coordinates.Select(c =>
                        wall.OnWall(new PlanePoint(c.X, c.Y)) is var (angle, v)
                            ? new PlanePoint(angle.Degrees + wall.Turn.Degrees, v)
                            : default
                    )
                    .ToList();
                all += sign * AreaBetween(round, double.NegativeInfinity, double.PositiveInfinity);
                // The same half comes again a whole turn further on either side.
                seen += sign * new[] { -360.0, 0, 360 }.Sum(turn => AreaBetween(round, turn, turn + 180));
            }
        }

        return all > 0 ? Math.Clamp(seen / all, 0, 1) : 0;
    }

    /// <summary>The area of what of a ring lies in an upright strip: its points brought to the strip, edge by edge.</summary>
    private static double AreaBetween(List<PlanePoint> ring, double left, double right)
    {
        var twice = 0.0;
        for (var i = 0; i + 1 < ring.Count; i++)
        {
            var (a, b) = (ring[i], ring[i + 1]);
            // The area under an edge within the strip; what lies beyond it adds nothing.
            var (from, to) = (Math.Clamp(a.X, left, right), Math.Clamp(b.X, left, right));
            if (from != to)
            {
                double At(double x) => a.Y + ((b.Y - a.Y) * (x - a.X) / (b.X - a.X));
                twice += (to - from) * (At(from) + At(to));
            }
        }

        return Math.Abs(twice) / 2;
    }
}
