using Cabida.Core.Blanks;
using Cabida.Core.Geometry;
using Cabida.Core.Measures;
using Area = NetTopologySuite.Geometries.Geometry;

namespace Cabida.Core.Fitting;

/// <summary>How ink goes round a wall, measured along the ring at the zone's middle height.</summary>
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
public sealed record GoingRound(Coverage Covers, Length? HandleLeft, Length? HandleRight, Length SeamLeft, Length SeamRight, Length Overlap, double? DrinkerSees)
{
    /// <summary>Measures ink on a wall.</summary>
    /// <param name="ink">The ink laid flat.</param>
    /// <param name="wall">The wall, turned so that the zone faces the reader.</param>
    /// <param name="height">The height of the ring.</param>
    /// <param name="width">Its width along the ring, where that is known better than from its flat box.</param>
    public static GoingRound Of(Area ink, Wall wall, double height, Box? width = null)
    {
        ArgumentNullException.ThrowIfNull(ink);
        ArgumentNullException.ThrowIfNull(wall);
        var girth = wall.GirthAt(height).Value.Millimetres;
        var box = Box.Of(ink) ?? throw new ArgumentException("There is no ink.", nameof(ink));
        // What is not bent lies on the ring at its middle; its ends lie a little off it.
        var flat = width ?? box;
        double Round(double x) => width is not null || wall.Cone is null ? x : wall.OnWall(new PlanePoint(x, box.CentreY)).Round.Radians * girth / (2 * Math.PI);
        var turned = wall.Turn.Radians * girth / (2 * Math.PI);
        var (left, right) = (Round(flat.MinX) + turned, Round(flat.MaxX) + turned);
        // Of the turns that name the same place the one whose middle is nearest to the front.
        var whole = Math.Round((left + right) / 2 / girth) * girth;
        (left, right) = (left - whole, right - whole);
        var free = wall.Handle is { } handle ? (girth - handle.Value.Millimetres) / 2 : (double?)null;
        return new GoingRound(
            Coverage.Of(Length.Mm(right - left), Length.Mm(girth)),
            free is { } l ? Length.Mm(left + l) : null,
            free is { } r ? Length.Mm(r - right) : null,
            Length.Mm(left + (girth / 2)), Length.Mm((girth / 2) - right), Length.Mm(right - left - girth),
            wall.Handle is null ? null : DrinkersShare(ink, wall));
    }

    /// <summary>By the wall's own measures, degrees round and millimetres up, in which a half turn is a strip whatever the taper.</summary>
    private static double DrinkersShare(Area ink, Wall wall)
    {
        double seen = 0, all = 0;
        foreach (var polygon in Outlines.PolygonsOf(ink))
        {
            foreach (var (ring, sign) in polygon.InteriorRings.Select(h => (h, -1)).Prepend((polygon.ExteriorRing, 1)))
            {
                var round = ring.Coordinates.Select(c => wall.OnWall(new PlanePoint(c.X, c.Y)) is var (angle, v) ? new PlanePoint(angle.Degrees + wall.Turn.Degrees, v) : default).ToList();
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
