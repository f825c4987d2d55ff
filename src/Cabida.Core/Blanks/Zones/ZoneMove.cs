using Cabida.Core.Geometry;

namespace Cabida.Core.Blanks;

/// <summary>Where a zone stands once it is moved by hand on the drawing of its surface laid flat.</summary>
public static class ZoneMove
{
    /// <summary>
    /// How a zone stands after its middle was moved on the drawing; null where it cannot be moved so. On a taper the drawing bends: the
    /// middle goes where it is let go, and the zone turns with the ring it comes to.
    /// </summary>
    /// <param name="laid">The zone.</param>
    /// <param name="right">Millimetres to the right on the drawing.</param>
    /// <param name="up">Millimetres up on it.</param>
    public static ZoneStands? By(LaidZone laid, double right, double up)
    {
        ArgumentNullException.ThrowIfNull(laid);
        if (laid is not { Zone: { } zone, Stands: { } stands })
        {
            return null;
        }

        if (laid.Wall?.Cone is null)
        {
            return new ZoneStands(stands.FromTop - up, stands.FromBottom + up, stands.Across + right);
        }

        var wall = laid.Wall with { Turn = default };
        var from = wall.Laid(stands.Across, zone.MiddleHeight);
        var (round, v) = wall.OnWall(new PlanePoint(from.X + right, from.Y + up));
        var (height, half) = (wall.Height.Value.Millimetres, zone.Height.Value.Millimetres / 2);
        v = Math.Clamp(v, Math.Min(half, height / 2), Math.Max(height - half, height / 2));
        var raised = v - zone.MiddleHeight;
        return new ZoneStands(
            stands.FromTop - raised,
            stands.FromBottom + raised,
            round.Radians / (2 * Math.PI) * wall.GirthAt(v).Value.Millimetres
        );
    }

    /// <summary>The box of a zone on the drawing of its whole surface laid flat; null without a zone.</summary>
    public static Box? OnDrawing(LaidZone laid)
    {
        ArgumentNullException.ThrowIfNull(laid);
        return laid.Zone is not { } zone ? null
            : laid.Wall is { } wall ? Box.Of(Outlines.Moved(zone.Nominal.Outline, WallTurn.Between(wall, wall with { Turn = default })))
            : zone.Nominal.Bounds;
    }
}
