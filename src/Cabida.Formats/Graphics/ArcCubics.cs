using Cabida.Core.Geometry;

namespace Cabida.Formats.Graphics;

/// <summary>Arcs as cubics.</summary>
internal static class ArcCubics
{
    /// <summary>A cubic follows an arc of this angle to within 5·10⁻⁶ of its radius (Goldapp 1991).</summary>
    private const double Step = Math.PI / 4;

    /// <summary>A stretch of the unit circle as cubics, brought to a place; its end is given, so that no rounding opens it.</summary>
    /// <param name="first">Where it begins, in radians.</param>
    /// <param name="turn">How far it goes round, to the left when positive.</param>
    /// <param name="place">How the unit circle comes to its place.</param>
    /// <param name="to">Where it ends.</param>
    public static IEnumerable<CurveSegment> Of(double first, double turn, Motion place, PlanePoint to)
    {
        var steps = Math.Max(1, (int)Math.Ceiling((Math.Abs(turn) / Step) - 1e-9));
        var step = turn / steps;
        // The control points of a cubic through an arc of angle a lie 4/3·tan(a/4) along its tangents.
        var reach = 4.0 / 3 * Math.Tan(step / 4);
        return Enumerable
            .Range(0, steps)
            .Select(
                CurveSegment (k) =>
                {
                    var ((sa, ca), (sb, cb)) = (Math.SinCos(first + (k * step)), Math.SinCos(first + ((k + 1) * step)));
                    return new CubicTo(
                        place.Of(new PlanePoint(ca - (reach * sa), sa + (reach * ca))),
                        place.Of(new PlanePoint(cb + (reach * sb), sb - (reach * cb))),
                        k == steps - 1 ? to : place.Of(new PlanePoint(cb, sb))
                    );
                }
            );
    }
}
