using Cabida.Core.Geometry;

namespace Cabida.Core.Cutting;

/// <summary>How fast a cutter moves.</summary>
/// <param name="Cutting">With the blade down; millimetres a second.</param>
/// <param name="Up">With the blade up; millimetres a second.</param>
/// <param name="Acceleration">Millimetres a second squared.</param>
/// <param name="Lift">How long the blade takes to go up or down; seconds.</param>
public readonly record struct CutSpeeds(double Cutting, double Up, double Acceleration, double Lift = 0);

/// <summary>How long a load takes to be cut (calculations 6.11).</summary>
/// <param name="Down">Seconds with the blade down.</param>
/// <param name="Up">Seconds with the blade up.</param>
/// <param name="LengthDown">The way with the blade down; millimetres.</param>
/// <param name="LengthUp">The way with the blade up; millimetres.</param>
public readonly record struct CutTime(double Down, double Up, double LengthDown, double LengthUp)
{
    /// <summary>At a corner turned by more than this the blade stops; radians (20°).</summary>
    public const double Corner = 20 * Math.PI / 180;

    /// <summary>All of it.</summary>
    public double Seconds => Down + Up;

    /// <summary>The time of a straight move from rest to rest: L/v + v/a, or 2√(L/a) where it never comes to full speed.</summary>
    /// <param name="length">How far; millimetres.</param>
    /// <param name="speed">How fast at most.</param>
    /// <param name="acceleration">How fast it gets there.</param>
    public static double OfMove(double length, double speed, double acceleration) =>
        length >= speed * speed / acceleration ? (length / speed) + (speed / acceleration) : 2 * Math.Sqrt(length / acceleration);

    /// <summary>The time of ways in their order, from and back to the loading corner.</summary>
    /// <param name="ways">Where the blade goes, each from where it is let down to where it is lifted.</param>
    /// <param name="speeds">How fast.</param>
    public static CutTime Of(IEnumerable<IReadOnlyList<PlanePoint>> ways, CutSpeeds speeds)
    {
        ArgumentNullException.ThrowIfNull(ways);
        var (down, up, lengthDown, lengthUp) = (0.0, 0.0, 0.0, 0.0);
        var at = new PlanePoint(0, 0);
        void Go(PlanePoint to)
        {
            up += OfMove(at.To(to), speeds.Up, speeds.Acceleration);
            lengthUp += at.To(to);
            at = to;
        }

        foreach (var way in ways.Where(w => w.Count > 0))
        {
            Go(way[0]);
            up += 2 * speeds.Lift;
            foreach (var stretch in Stretches(way))
            {
                down += OfMove(stretch, speeds.Cutting, speeds.Acceleration);
                lengthDown += stretch;
            }

            at = way[^1];
        }

        Go(default);
        return new CutTime(down, up, lengthDown, lengthUp);
    }

    /// <summary>The lengths from corner to corner.</summary>
    private static IEnumerable<double> Stretches(IReadOnlyList<PlanePoint> way)
    {
        var length = 0.0;
        for (var i = 1; i < way.Count; i++)
        {
            length += way[i - 1].To(way[i]);
            if (i == way.Count - 1 || Turns(way[i - 1], way[i], way[i + 1]))
            {
                yield return length;
                length = 0;
            }
        }
    }

    /// <summary>Whether a way turns by more than a corner does.</summary>
    internal static bool Turns(PlanePoint before, PlanePoint at, PlanePoint after) => Math.Abs(Turn(before, at, after)) > Corner;

    /// <summary>How far a way turns at a point; radians, positive to the left.</summary>
    internal static double Turn(PlanePoint before, PlanePoint at, PlanePoint after)
    {
        var (ux, uy, vx, vy) = (at.X - before.X, at.Y - before.Y, after.X - at.X, after.Y - at.Y);
        return Math.Atan2((ux * vy) - (uy * vx), (ux * vx) + (uy * vy));
    }
}
